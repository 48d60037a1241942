package kalodyne.core.studio.log;

import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import kalodyne.core.files.Progress;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.FirstVerdict;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.TakeReader;

/**
 * What was found in takes that nobody had read.
 *
 * @param judged what is said of each, by the ids of their setups
 * @param unreadable how many could not be read
 */
public record UnreadTakes(Map<String, Map<Take, FirstVerdict>> judged, int unreadable) {
    public UnreadTakes {
        judged = Map.copyOf(judged);
    }

    private static Stream<Take> of(Setup setup) {
        return setup.takes().stream().filter(take -> take.judged().isEmpty());
    }

    /**
     * Reads them. Where the progress asks to stop, what was read before is kept.
     *
     * @param setups of the studio whose takes are read
     * @param folder that their files are relative to
     */
    public static UnreadTakes read(Studio studio, List<Setup> setups, Path folder, Progress progress) {
        long all = setups.stream().flatMap(UnreadTakes::of).count();
        Map<String, Map<Take, FirstVerdict>> judged = new HashMap<>();
        int unreadable = 0;
        int done = 0;
        for (Setup setup : setups) {
            List<Take> takes = of(setup).toList();
            if (takes.isEmpty()) {
                continue;
            }
            Judging judging = Judging.of(studio, setup);
            Map<Take, FirstVerdict> own = judged.computeIfAbsent(setup.id(), id -> new HashMap<>());
            for (Take take : takes) {
                double before = (double) done / all;
                try {
                    Path file = folder.resolve(take.file());
                    own.put(
                            take,
                            judging.judge(take, TakeReader.read(file, part -> progress.report(before + part / all))));
                } catch (IOException e) {
                    unreadable++;
                } catch (CancellationException e) {
                    return new UnreadTakes(judged, unreadable);
                }
                done++;
            }
        }
        return new UnreadTakes(judged, unreadable);
    }

    /** How many were read. */
    public int count() {
        return judged.values().stream().mapToInt(Map::size).sum();
    }

    /** A studio with what was found; it may have been edited meanwhile. */
    public Studio keptIn(Studio now) {
        return now.withSetups(now.setups().stream()
                .map(setup -> {
                    Map<Take, FirstVerdict> own = judged.getOrDefault(setup.id(), Map.of());
                    return own.isEmpty()
                            ? setup
                            : setup.withTakes(setup.takes().stream()
                                    .map(take -> Optional.ofNullable(own.get(take))
                                            .map(take::with)
                                            .orElse(take))
                                    .toList());
                })
                .toList());
    }
}
