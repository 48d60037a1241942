package kalodyne.core.lineup.tidy;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Problems;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.units.Gain;

/** Reads a plan from JSON: docs/formats/tidy.md. */
public final class TidyPlanReader {
    private static final double USUAL_LEAVE_SECONDS = 0.3;
    private static final double USUAL_PAUSE_SECONDS = 2;
    private static final int USUAL_BEATS_OF_BAR = 4;

    private final Problems problems = new Problems();

    private TidyPlanReader() {}

    /**
     * Reads a file.
     *
     * @throws UnreadableFile where it cannot be read; says everything that is wrong
     */
    public static TidyPlan read(Path file) throws UnreadableFile {
        TidyPlanReader reader = new TidyPlanReader();
        TidyPlan plan = reader.plan(JsonFormat.TIDY.read(file), file);
        if (!reader.problems.isEmpty()) {
            throw new UnreadableFile(file, reader.problems.all());
        }
        return plan;
    }

    private TidyPlan plan(JsonPlace root, Path file) {
        // A folder that is not absolute lies beside the plan.
        Path beside = file.toAbsolutePath().getParent();
        return new TidyPlan(
                Channels.named(
                        root.get("parts").items().stream().map(this::part).toList()),
                level(root.get("level")),
                number(root.get("mostDbtp"), TidyPlan.USUAL_MOST_DBTP),
                cut(root.get("cut")),
                root.has("as") ? CopyFormat.of(root.text("as")) : Optional.empty(),
                root.has("sampleRateHz")
                        ? OptionalInt.of(root.get("sampleRateHz").node().asInt())
                        : OptionalInt.empty(),
                root.has("timeReference")
                        ? OptionalLong.of(root.get("timeReference").node().asLong())
                        : OptionalLong.empty(),
                root.has("folder") ? Optional.of(beside.resolve(root.text("folder"))) : Optional.empty(),
                root.get("replace").node().asBoolean(false));
    }

    private static double number(JsonPlace place, double otherwise) {
        return place.node().isNumber() ? place.node().asDouble() : otherwise;
    }

    private FilePart part(JsonPlace place) {
        Set<Integer> inverted = new HashSet<>(channels(place.get("invert")));
        List<Integer> channels = channels(place.get("channels"));
        if (!channels.containsAll(inverted)) {
            problems.add(
                    place.get("invert"), "It turns a channel over that is not among its channels.", "Name it in both.");
        }
        List<FilePart.Pick> picks = channels.stream()
                .map(channel -> new FilePart.Pick(channel - 1, inverted.contains(channel)))
                .toList();
        return new FilePart(
                place.textOr("name", ""), picks, place.get("mono").node().asBoolean(false));
    }

    private static List<Integer> channels(JsonPlace place) {
        List<Integer> all = new ArrayList<>();
        place.items().forEach(each -> all.add(each.node().asInt()));
        return all;
    }

    private LevelAim level(JsonPlace place) {
        List<LevelAim> aims = new ArrayList<>();
        if (place.has("gainDb")) {
            aims.add(new LevelAim.By(new Gain(number(place.get("gainDb"), 0))));
        }
        if (place.has("peakDbfs")) {
            aims.add(new LevelAim.Peak(number(place.get("peakDbfs"), 0)));
        }
        if (place.has("loudnessLufs")) {
            aims.add(new LevelAim.Loudness(number(place.get("loudnessLufs"), 0)));
        }
        if (place.has("match")) {
            aims.add(new LevelAim.Match(
                    place.text("match"),
                    place.textOr("by", "loudness").equals("peak"),
                    new Gain(number(place.get("differenceDb"), 0))));
        }
        if (aims.size() > 1) {
            problems.add(
                    place, "It names more than one level.", "Choose one of gainDb, peakDbfs, loudnessLufs and match.");
        }
        return aims.isEmpty() ? new LevelAim.AsItIs() : aims.get(0);
    }

    private static Cut cut(JsonPlace place) {
        if (place.has("topAndTail")) {
            return new Cut.TopAndTail(number(place.get("topAndTail").get("leaveSeconds"), USUAL_LEAVE_SECONDS));
        }
        if (place.has("songs")) {
            JsonPlace songs = place.get("songs");
            return new Cut.Songs(
                    number(songs.get("pauseSeconds"), USUAL_PAUSE_SECONDS),
                    number(songs.get("leaveSeconds"), USUAL_LEAVE_SECONDS),
                    songs.texts("names"),
                    songs.get("asMarks").node().asBoolean(false));
        }
        if (place.has("bars")) {
            JsonPlace bars = place.get("bars");
            return new Cut.Bars(
                    number(bars.get("beatsPerMinute"), 0),
                    (int) number(bars.get("beatsOfBar"), USUAL_BEATS_OF_BAR),
                    (int) number(bars.get("beforeBars"), 0));
        }
        return new Cut.Nothing();
    }
}
