package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.sound.UnreadableSound;
import kalodyne.core.sound.measure.Hum;
import kalodyne.core.sound.measure.Loudness;
import kalodyne.core.takes.ChannelReport;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.causes.DiagnosticStep;
import kalodyne.core.takes.causes.Inquiry;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;

/** A take as JSON, after docs/formats/analyse.md. Other programs read it: fields are added, never changed. */
final class TakeJson {
    private TakeJson() {}

    static ObjectNode of(TakesJudged judged) {
        TakeReport take = judged.take();
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", take.file().toString());
        node.put("sampleRateHz", take.header().sampleRateHz());
        node.put("channelCount", take.channels().size());
        node.put("frames", take.header().frames());
        Output.put(node, "durationSeconds", take.header().seconds());
        Loudness loudness = take.loudness();
        Output.put(node, "integratedLufs", loudness.integratedLufs());
        Output.put(node, "loudnessRangeLu", loudness.rangeLu());
        Output.put(node, "maxMomentaryLufs", loudness.maxMomentaryLufs());
        Output.put(node, "maxShortTermLufs", loudness.maxShortTermLufs());
        Output.put(node, "correlation", correlation(take));
        take.hum().ifPresentOrElse(hum -> node.set("hum", hum(hum)), () -> node.putNull("hum"));
        ArrayNode channels = node.putArray("channels");
        take.channels().forEach(channel -> channels.add(channel(take, channel)));
        ArrayNode findings = node.putArray("findings");
        judged.findings().forEach(finding -> findings.add(finding(finding)));
        node.put("verdict", judged.sentence());
        putCauses(node, judged.inquiry());
        judged.verdict().ifPresent(verdict -> {
            node.put("instruction", verdict.instruction());
            ArrayNode comparisons = node.putArray("comparisons");
            verdict.comparisons()
                    .forEach(each -> comparisons
                            .addObject()
                            .put("what", each.what())
                            .put("predicted", each.predicted())
                            .put("measured", each.measured())
                            .put("aim", each.aim())
                            .put("outside", each.outside()));
        });
        return node;
    }

    static ObjectNode unreadable(Path take, UnreadableFile problem) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", take.toString());
        Problem first = problem.problems().get(0);
        node.putObject("error")
                .put("place", first.place())
                .put("problem", first.what())
                .put("remedy", first.remedy());
        return node;
    }

    private static void putCauses(ObjectNode node, Optional<Inquiry> inquiry) {
        ArrayNode causes = node.putArray("causes");
        inquiry.ifPresent(found -> found.suspects().forEach(suspect -> {
            ObjectNode cause = causes.addObject();
            cause.put("complaint", found.complaint().id());
            cause.put("id", suspect.cause().id());
            Output.put(cause, "chance", suspect.chance());
            cause.put("name", suspect.cause().name());
            cause.put("says", suspect.cause().says());
            cause.put("predicts", suspect.cause().predicts());
            cause.put("cure", suspect.cause().cure());
        }));
        inquiry.flatMap(Inquiry::nextTest)
                .ifPresentOrElse(test -> node.set("nextTest", nextTest(test)), () -> node.putNull("nextTest"));
    }

    private static ObjectNode nextTest(DiagnosticStep test) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", test.id());
        node.put("do", test.instruction());
        Output.put(node, "minutes", test.minutes());
        ArrayNode answers = node.putArray("answers");
        test.answers().forEach(answers::add);
        return node;
    }

    static ObjectNode unreadable(UnreadableSound problem) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", problem.fileName());
        node.putObject("error")
                .put("place", problem.place())
                .put("problem", problem.problem())
                .put("remedy", problem.remedy());
        return node;
    }

    private static ObjectNode channel(TakeReport take, ChannelReport channel) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        Output.put(node, "samplePeakDbfs", channel.peakLevel().dbfs());
        Output.put(node, "truePeakDbtp", channel.truePeak().dbfs());
        Output.put(node, "rmsDbfs", DigitalLevel.plainRmsDbfs(channel.rms()));
        Output.put(node, "crestDb", channel.crest().db());
        OptionalDouble noise = channel.heard().noisePower();
        Output.put(
                node,
                "noiseFloorDbfs",
                noise.isPresent() ? OptionalDouble.of(decibels(noise.getAsDouble())) : OptionalDouble.empty());
        Output.put(node, "dcOffset", channel.dcOffset());
        node.put("clippedSamples", channel.clippedSamples());
        node.put("clipRuns", channel.clipRuns());
        ArrayNode places = node.putArray("clipPlaces");
        channel.clipPlaces().forEach(place -> {
            ObjectNode stretch = places.addObject();
            Output.put(stretch, "fromSeconds", take.seconds(place.fromFrame()));
            Output.put(stretch, "toSeconds", take.seconds(place.toFrame()));
        });
        return node;
    }

    /** Of two channels; several pairs have no single one. */
    private static OptionalDouble correlation(TakeReport take) {
        return take.channels().size() == 2
                ? OptionalDouble.of(take.pairs().get(0).correlation())
                : OptionalDouble.empty();
    }

    private static ObjectNode hum(Hum hum) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        Output.put(node, "fundamentalHz", hum.fundamentalHz());
        Output.put(node, "levelDbfs", decibels(hum.power()));
        ArrayNode harmonics = node.putArray("harmonics");
        hum.lines().forEach(line -> {
            ObjectNode harmonic = harmonics.addObject();
            harmonic.put("harmonic", line.harmonic());
            Output.put(harmonic, "hertz", line.hertz());
            Output.put(harmonic, "levelDbfs", decibels(line.power()));
        });
        return node;
    }

    /** As all averages here: RMS re full scale 1. */
    private static double decibels(double power) {
        return Gain.ofPowerRatio(power).db();
    }

    private static ObjectNode finding(Finding finding) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("code", finding.mark());
        node.put("severity", finding.severity().word());
        if (finding.place() instanceof Place.Stretch stretch) {
            stretch.channel().ifPresentOrElse(channel -> node.put("channel", channel), () -> node.putNull("channel"));
            Output.put(node, "fromSeconds", stretch.fromSeconds());
            Output.put(node, "toSeconds", stretch.toSeconds());
        }
        Output.putFinding(node, finding);
        Output.put(node, "confidence", finding.confidence());
        return node;
    }
}
