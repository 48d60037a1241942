package kalodyne.core.takes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.sound.measure.Event;
import kalodyne.core.sound.measure.LevelChange;
import kalodyne.core.sound.measure.SoundMeasures;

/**
 * A place in a take that shows what was found.
 *
 * @param code of the finding
 * @param severity of the finding
 * @param channel from 0
 * @param fromSeconds where it begins
 * @param toSeconds where it ends, not before
 */
public record Evidence(FindingCode code, Severity severity, int channel, double fromSeconds, double toSeconds) {
    /** More are not told apart by anybody. */
    private static final int MOST_OF_A_KIND = 400;

    private static final int A_TOP_FRAMES = 60;

    /** All places of what was found in a take, in the order of time; of findings without places none. */
    public static List<Evidence> of(TakeReport take, List<Finding> findings) {
        List<Evidence> all = new ArrayList<>();
        for (Finding finding : findings) {
            for (int c = 0; c < take.channels().size(); c++) {
                ChannelReport channel = take.channels().get(c);
                int number = c;
                places(finding.code(), channel)
                        .limit(MOST_OF_A_KIND)
                        .map(place -> new Evidence(
                                finding.code(),
                                finding.severity(),
                                number,
                                take.seconds(place.fromFrame()),
                                take.seconds(place.toFrame())))
                        .forEach(all::add);
            }
        }
        return all.stream()
                .distinct()
                .sorted(Comparator.comparingDouble(Evidence::fromSeconds))
                .toList();
    }

    private static Stream<Stretch> places(FindingCode code, ChannelReport channel) {
        SoundMeasures heard = channel.heard();
        return switch (code) {
            case CLIP_DIGITAL -> channel.clipPlaces().stream();
            case CLIP_ANALOGUE -> channel.ceiling().stream().flatMap(Evidence::ends);
            case CLICK -> heard.clicks().stream().map(Evidence::stretch);
            case DROPOUT -> heard.holes().stream().map(Evidence::stretch);
            case NOISE_GATE -> heard.closings().stream().map(Evidence::stretch);
            case AGC -> heard.swells().stream().map(Evidence::stretch);
            default -> Stream.empty();
        };
    }

    /** The first and the last of the tops that a ceiling flattened. */
    private static Stream<Stretch> ends(Ceiling ceiling) {
        return Stream.of(
                new Stretch(ceiling.fromFrame(), ceiling.fromFrame() + A_TOP_FRAMES),
                new Stretch(Math.max(0, ceiling.toFrame() - A_TOP_FRAMES), ceiling.toFrame()));
    }

    private static Stretch stretch(Event event) {
        return new Stretch(event.fromFrame(), event.toFrame());
    }

    private static Stretch stretch(LevelChange change) {
        return new Stretch(change.from(), change.to());
    }

    /** The pauses of a channel, in which noise and hum were measured, in seconds. */
    public static List<Stretch> pauses(ChannelReport channel) {
        return channel.heard().pauses().stream()
                .flatMap(pauses -> pauses.stretches().stream())
                .map(quiet -> new Stretch(quiet.fromFrame(), quiet.toFrame()))
                .toList();
    }
}
