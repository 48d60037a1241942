package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.Locale;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.levels.Advice;
import kalodyne.core.levels.Adviser;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.LevelRules;
import kalodyne.core.levels.LevelVerdict;
import kalodyne.core.levels.Setting;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.run.Run;
import kalodyne.core.run.Station;
import kalodyne.core.setup.Setup;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/** The levels of a setup as JSON, after docs/formats/levels.md. Fields are added, never changed. */
final class LevelsJson {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private LevelsJson() {}

    static ObjectNode of(Path file, String studio, Setup setup) {
        ObjectNode node = NODES.objectNode();
        node.put("file", file.toString());
        node.put("studio", studio);
        node.put("setup", setup.name());
        ArrayNode runs = node.putArray("runs");
        setup.runs().forEach(run -> runs.add(run(run)));
        return node;
    }

    private static ObjectNode run(Run run) {
        LevelPlan plan = LevelPlan.of(run);
        Advice advice = Adviser.advise(run);
        LevelVerdict verdict = LevelVerdict.of(plan, advice);
        ObjectNode node = NODES.objectNode().put("name", run.name());
        ObjectNode aim = node.putObject("aim");
        Output.put(aim, "lowDbfs", run.aim().low().dbfs());
        Output.put(aim, "highDbfs", run.aim().high().dbfs());
        ArrayNode stages = node.putArray("stages");
        plan.stages().forEach(stage -> stages.add(stage(stage)));
        ObjectNode track = node.putObject("track");
        Output.put(track, "peakDbfs", plan.trackPeak().dbfs());
        Output.put(track, "averageDbfs", plan.trackAverage().dbfs());
        Output.put(track, "floorDbfs", plan.trackFloor().dbfs());
        ArrayNode controls = node.putArray("controls");
        advice.settings().forEach(setting -> controls.add(control(setting)));
        ArrayNode findings = node.putArray("findings");
        LevelRules.check(plan, advice).forEach(finding -> findings.add(finding(finding)));
        return node.put("verdict", verdict.sentence()).put("nextStep", verdict.nextStep());
    }

    private static ObjectNode stage(StageLevel stage) {
        ObjectNode node = NODES.objectNode();
        node.put("name", stage.stage().label());
        node.put("station", name(stage.stage().part()));
        Output.put(node, "peakDbu", stage.peak().dbu());
        Output.put(node, "averageDbu", stage.average().dbu());
        Output.put(node, "floorDbu", stage.floor().dbu());
        Output.put(node, "ceilingDbu", stage.stage().ceiling().map(Level::dbu).orElse(Double.NaN));
        Output.put(node, "headroomDb", stage.headroom().map(Gain::db).orElse(Double.NaN));
        Output.put(node, "noiseMarginDb", stage.noiseMargin().db());
        Output.put(node, "noiseShare", stage.noiseShare());
        return node;
    }

    private static String name(Station.Part part) {
        return part.name().toLowerCase(Locale.ROOT);
    }

    private static ObjectNode control(Setting setting) {
        ObjectNode node = NODES.objectNode();
        node.put("control", setting.name());
        node.put("name", setting.present().name());
        node.put("device", setting.owner());
        Output.put(node, "position", setting.present().position());
        node.put("clock", setting.present().clock());
        Output.put(node, "gainDb", setting.present().gain().db());
        Output.put(node, "advisedPosition", setting.advised().position());
        node.put("advisedClock", setting.advised().clock());
        Output.put(node, "advisedGainDb", setting.advised().gain().db());
        Output.put(node, "quarterHourDb", setting.present().perQuarterHour().db());
        node.put("stays", setting.stays());
        return node;
    }

    private static ObjectNode finding(Finding finding) {
        ObjectNode node = NODES.objectNode();
        node.put("code", finding.code());
        node.put("severity", finding.severity().word());
        if (finding.place() instanceof Place.Station station) {
            node.put("station", name(Station.Part.at(station.station())));
        }
        Output.putFinding(node, finding);
        return node;
    }
}
