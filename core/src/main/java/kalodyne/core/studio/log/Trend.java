package kalodyne.core.studio.log;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How the takes of a run came out, one after the other.
 *
 * @param points oldest first; takes that nobody has read are left out
 */
public record Trend(List<Point> points) {
    public Trend {
        points = List.copyOf(points);
    }

    /**
     * A take.
     *
     * @param name "Take 2"
     * @param peakDbfs its loudest sample
     * @param noiseDbfs what was left in its pauses; empty where it had none
     * @param isClean whether nothing was wrong with it
     */
    public record Point(String name, Instant at, double peakDbfs, OptionalDouble noiseDbfs, boolean isClean) {}

    /** Of the takes of the same run and setup as one of them; of nothing where it is no take. */
    public static Trend of(List<Entry> entries, Entry one) {
        return new Trend(entries.stream()
                .filter(entry -> entry.isTake()
                        && one.isTake()
                        && entry.setupId().equals(one.setupId())
                        && entry.take()
                                .orElseThrow()
                                .run()
                                .equals(one.take().orElseThrow().run()))
                .sorted(Comparator.comparing(Entry::at))
                .flatMap(entry -> entry.judged().stream()
                        .filter(judged -> judged.peakDbfs().isPresent())
                        .map(judged -> new Point(
                                entry.name(),
                                entry.at(),
                                judged.peakDbfs().getAsDouble(),
                                judged.noiseDbfs(),
                                judged.isClean())))
                .toList());
    }
}
