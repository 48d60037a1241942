package kalodyne.core.lineup.tidy;

import java.util.List;

/** What of a recording is kept. */
public sealed interface Cut {
    /** All of it. */
    record Nothing() implements Cut {}

    /**
     * What sounds, without what comes before and behind.
     *
     * @param leaveSeconds how much of that is left
     */
    record TopAndTail(double leaveSeconds) implements Cut {}

    /**
     * Single songs.
     *
     * @param pauseSeconds what is quiet for so long is between two songs
     * @param leaveSeconds how much of it is left before and behind each
     * @param names of the songs, in order; those beyond are numbered
     * @param isMarked whether the file stays one, with marks where songs begin
     */
    record Songs(double pauseSeconds, double leaveSeconds, List<String> names, boolean isMarked) implements Cut {
        public Songs {
            names = List.copyOf(names);
        }
    }

    /**
     * A part of a machine that was recorded in a pass of its own: from its first hit on, in whole bars, its tempo made exact.
     *
     * @param beatsOfBar how many
     * @param beforeBars how many empty bars stand before it
     */
    record Bars(double beatsPerMinute, int beatsOfBar, int beforeBars) implements Cut {}
}
