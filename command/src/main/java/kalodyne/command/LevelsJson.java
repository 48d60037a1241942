package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.gear.Control;
import kalodyne.core.levels.LeastChange;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.levels.Station;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.GainAdviser;
import kalodyne.core.levels.gain.GainSchool;
import kalodyne.core.levels.gain.Hindrance;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Sensitivity;
import kalodyne.core.levels.gain.Turn;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/** The levels of a setup as JSON, after docs/formats/levels.md. Fields are added, never changed. */
final class LevelsJson {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private LevelsJson() {}

    static ObjectNode of(Path file, String studio, String setup, List<RunLevels> all) {
        ObjectNode node = NODES.objectNode();
        node.put("file", file.toString());
        node.put("studio", studio);
        node.put("setup", setup);
        ArrayNode runs = node.putArray("runs");
        ArrayNode listening = node.putArray("listening");
        all.forEach(run -> (run.plan().isRecorded() ? runs : listening).add(run(run)));
        return node;
    }

    private static ObjectNode run(RunLevels run) {
        LevelPlan plan = run.plan();
        ObjectNode node = NODES.objectNode().put("name", plan.name());
        node.put("key", plan.trace().key());
        if (plan.isRecorded()) {
            ArrayNode with = node.putArray("with");
            plan.trace().with().forEach(with::add);
        }
        ObjectNode aim = node.putObject("aim");
        String unit = plan.isRecorded() ? "Dbfs" : "DbSpl";
        Output.put(aim, "low" + unit, plan.end().low());
        Output.put(aim, "high" + unit, plan.end().high());
        aim.put("line", plan.end().line().name().toLowerCase(Locale.ROOT));
        ArrayNode stages = node.putArray("stages");
        plan.stages().forEach(stage -> stages.add(stage(plan, stage)));
        ObjectNode end = node.putObject(plan.isRecorded() ? "track" : "ears");
        Output.put(end, "peak" + unit, plan.endPeak());
        if (plan.isRecorded()) {
            Output.put(end, "peakAloneDbfs", plan.endPeakAlone());
        }
        Output.put(end, "average" + unit, plan.endAverage());
        Output.put(end, "floor" + unit, plan.endFloor());
        Output.put(
                end, "spreadDb", plan.levels().spread(plan.trace().path().end()).db());
        Output.put(
                end, "rangeDb", plan.levels().range(plan.trace().path().end()).db());
        if (plan.isRecorded()) {
            FlowLevels.Kept kept = plan.levels().kept(plan.trace().path().end());
            Output.put(end, "effectiveBits", kept.effectiveBits());
            Output.put(end, "usedBits", kept.usedBits());
            Output.put(end, "costOf16BitsDb", kept.costOf16().db());
            Output.put(end, "costOf24BitsDb", kept.costOf24().db());
        }
        ArrayNode controls = node.putArray("controls");
        run.advice().turns().forEach(turn -> controls.add(control(turn)));
        ArrayNode findings = node.putArray("findings");
        run.findings().forEach(finding -> findings.add(finding(plan, finding)));
        return node.put("verdict", run.verdict().sentence())
                .put("nextStep", run.verdict().nextStep());
    }

    private static ObjectNode stage(LevelPlan plan, StageLevel stage) {
        ObjectNode node = NODES.objectNode();
        node.put("name", stage.stage().label());
        node.put("station", name(plan, stage.stage().station()));
        Output.put(node, "peakDbu", stage.peak().dbu());
        Output.put(node, "averageDbu", stage.average().dbu());
        Output.put(node, "floorDbu", stage.floor().dbu());
        Output.put(node, "ceilingDbu", stage.stage().ceiling().map(Level::dbu).orElse(Double.NaN));
        Output.put(node, "headroomDb", stage.headroom().map(Gain::db).orElse(Double.NaN));
        Output.put(node, "noiseMarginDb", stage.noiseMargin().db());
        Output.put(node, "noiseShare", stage.noiseShare());
        return node;
    }

    private static String name(LevelPlan plan, int station) {
        return plan.trace().stations().get(station).name();
    }

    private static ObjectNode control(Turn turn) {
        ObjectNode node = NODES.objectNode();
        Control present = turn.present().control();
        Control advised = turn.advised().control();
        node.put("control", turn.id().write());
        node.put("name", present.name());
        node.put("device", turn.present().owner());
        node.put("known", !turn.present().isMissed());
        Output.put(node, "position", present.position());
        node.put("clock", present.clock());
        Output.put(node, "gainDb", present.gain().db());
        Output.put(node, "advisedPosition", advised.position());
        node.put("advisedClock", advised.clock());
        node.put("advisedPlace", turn.advised().place());
        Output.put(node, "advisedGainDb", advised.gain().db());
        Output.put(node, "quarterHourDb", present.perQuarterHour().db());
        node.put("stays", turn.stays());
        return node;
    }

    private static ObjectNode finding(LevelPlan plan, Finding finding) {
        ObjectNode node = NODES.objectNode();
        node.put("code", finding.mark());
        node.put("severity", finding.severity().word());
        if (finding.place() instanceof Place.Station station) {
            node.put("station", name(plan, station.station()));
        }
        Output.putFinding(node, finding);
        return node;
    }

    // --- advice for all that is plugged --------------------------------------------------------------------------

    /** Where every knob should stand, what it does to be off by a little, and what each school of gain would cost. */
    static ObjectNode advice(SetupLevels levels) {
        Flow flow = levels.rig().flow();
        FlowLevels then = levels.onceAdvised();
        ObjectNode node = NODES.objectNode();
        node.put("school", word(levels.wanted().school()));
        node.put("proven", levels.advised().isProven());
        ArrayNode knobs = node.putArray("knobs");
        levels.advised().turns().forEach(turn -> knobs.add(knob(then.flow(), turn)));
        ArrayNode hindrances = node.putArray("hindrances");
        levels.advised().hindrances().forEach(each -> hindrances.add(hindrance(each)));
        ArrayNode ends = node.putArray("ends");
        for (int e = 0; e < flow.ends().size(); e++) {
            ObjectNode end = ends.addObject();
            end.put("name", levels.rig().endName(e));
            Output.put(end, "aimed", then.aimed(e));
            Output.put(end, "rangeDb", then.range(e).db());
            Output.put(
                    end,
                    "wastedDb",
                    then.range(e).minus(levels.levels().range(e)).db());
        }
        ArrayNode schools = node.putArray("schools");
        for (GainSchool school : GainSchool.values()) {
            schools.add(school(levels, then, school));
        }
        return node;
    }

    /** What would help where no knob does, run by run, the least change first. */
    static ArrayNode changes(SetupLevels levels, Settings settings) {
        ArrayNode all = NODES.arrayNode();
        for (Trace trace : levels.traces()) {
            for (LeastChange.Change change : LeastChange.of(levels.rig(), settings, trace, () -> false)) {
                ObjectNode node = all.addObject();
                node.put("run", trace.name());
                node.put("kind", word(change.kind()));
                node.put("words", change.words());
                Output.put(node, "aimed", change.aimed());
                Output.put(node, "rangeDb", change.range().db());
            }
        }
        return all;
    }

    private static ObjectNode school(SetupLevels levels, FlowLevels usual, GainSchool school) {
        Flow flow = levels.rig().flow();
        FlowLevels then = FlowLevels.of(
                GainAdviser.advise(flow, levels.wanted().with(school)).followedOn(flow));
        ObjectNode node = NODES.objectNode().put("school", word(school)).put("reason", school.reason());
        double cost = 0;
        for (int e = 0; e < flow.ends().size(); e++) {
            cost = Math.max(cost, usual.range(e).minus(then.range(e)).db());
        }
        Output.put(node, "costDb", cost);
        return node;
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static ObjectNode knob(Flow advised, Turn turn) {
        Knob knob = turn.advised();
        ObjectNode node = NODES.objectNode();
        node.put("control", knob.id().write());
        node.put("name", knob.control().name());
        node.put("device", knob.owner());
        node.put("locked", knob.isLockedByOwner());
        node.put("known", !turn.present().isMissed());
        Output.put(node, "position", turn.present().control().position());
        node.put("clock", turn.present().control().clock());
        Output.put(node, "advisedPosition", knob.control().position());
        node.put("advisedClock", knob.control().clock());
        node.put("advisedPlace", knob.place());
        Output.put(node, "advisedGainDb", knob.gain().db());
        Sensitivity off = Sensitivity.of(advised, knob);
        Output.put(node, "quarterUpDb", off.up().db());
        Output.put(node, "quarterDownDb", off.down().db());
        minutes(node, "roomMinutes", off.room());
        minutes(node, "slackMinutes", off.slack());
        return node.put("stays", turn.stays());
    }

    private static void minutes(ObjectNode node, String name, OptionalInt minutes) {
        if (minutes.isPresent()) {
            node.put(name, minutes.getAsInt());
        } else {
            node.putNull(name);
        }
    }

    private static ObjectNode hindrance(Hindrance hindrance) {
        ObjectNode node = NODES.objectNode();
        node.put("kind", word(hindrance.kind()));
        node.put("point", hindrance.point().write());
        node.put("end", hindrance.end());
        Output.put(node, "byDb", hindrance.by().db());
        ArrayNode limits = node.putArray("limits");
        hindrance.limits().forEach(knob -> limits.add(knob.id().write()));
        return node.put("byLock", hindrance.isByLock());
    }

    /** How a station is told in a line of text. */
    static String label(LevelPlan plan, StageLevel stage) {
        Station station = plan.station(stage);
        boolean isItself = station.isJoint() || station.isEnd();
        return isItself
                ? stage.stage().label()
                : station.name() + ", " + stage.stage().label();
    }
}
