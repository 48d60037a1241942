package kalodyne.core.lineup.tidy;

import java.util.ArrayList;
import java.util.List;

/**
 * Where something sounds in a recording. What dies away belongs to what sounds until it cannot be told from the quiet of the room: nothing
 * is cut inside a decay.
 */
final class SoundFinder {
    /** Over the quiet of the room, for a sound to begin. */
    private static final double BEGINS_DB = 10;
    /** Over the quiet of the room, a decay is still heard. */
    private static final double DIES_DB = 3;
    /** What is so far below the loud is quiet, however silent the room. */
    private static final double BELOW_LOUD_DB = 60;

    private static final double DEAD_BELOW_LOUD_DB = 75;
    /** A room this loud against the music leaves nothing to tell pauses by. */
    static final double LEAST_RANGE_DB = 16;
    /** A noise shorter than this and much softer than the music is a cough or a chair. */
    private static final int SHORTEST_STEPS = Envelope.STEPS_A_SECOND / 2;

    private static final double SOFT_DB = 25;
    private static final int AROUND = 5;

    private final Envelope envelope;
    private final double begins;
    private final double dies;

    SoundFinder(Envelope envelope) {
        this.envelope = envelope;
        begins = Math.max(envelope.floorDb() + BEGINS_DB, envelope.loudDb() - BELOW_LOUD_DB);
        dies = Math.max(envelope.floorDb() + DIES_DB, envelope.loudDb() - DEAD_BELOW_LOUD_DB);
    }

    /** Whether quiet and loud can be told apart. */
    boolean canTell() {
        return envelope.loudDb() - envelope.floorDb() >= LEAST_RANGE_DB;
    }

    /**
     * The stretches that sound, with the pauses between them at least so long; each from where it begins to where it has died away.
     *
     * @param leaveSeconds how much quiet is left before and behind, where there is so much
     */
    List<KeptStretch> sounding(double pauseSeconds, double leaveSeconds) {
        int pause = (int) (pauseSeconds * Envelope.STEPS_A_SECOND);
        List<int[]> found = new ArrayList<>();
        int step = 0;
        while (step < envelope.steps()) {
            int from = nextSound(step);
            if (from == envelope.steps()) {
                break;
            }
            int to = died(from, pause);
            if (!isNoise(from, to)) {
                found.add(new int[] {from, to});
            }
            step = to;
        }
        return stretches(found, leaveSeconds);
    }

    private int nextSound(int from) {
        int step = from;
        while (step < envelope.steps() && envelope.level(step) < begins) {
            step++;
        }
        return step;
    }

    /** Where it has been quiet for a pause, or the end; then back to where the decay ended. */
    private int died(int from, int pause) {
        int lastLoud = from;
        int step = from;
        while (step < envelope.steps() && step - lastLoud <= pause) {
            lastLoud = envelope.level(step) >= begins ? step : lastLoud;
            step++;
        }
        int end = lastLoud + 1;
        while (end < step && envelope.around(end, AROUND) > dies) {
            end++;
        }
        return end;
    }

    private boolean isNoise(int from, int to) {
        double most = envelope.around((from + to) / 2, (to - from) / 2);
        return to - from < SHORTEST_STEPS && most < envelope.loudDb() - SOFT_DB;
    }

    private List<KeptStretch> stretches(List<int[]> found, double leaveSeconds) {
        List<KeptStretch> stretches = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            double from = seconds(found.get(i)[0]);
            double to = seconds(found.get(i)[1]);
            double before = i == 0 ? 0 : 0.5 * (seconds(found.get(i - 1)[1]) + from);
            double after = i == found.size() - 1 ? envelope.seconds() : 0.5 * (to + seconds(found.get(i + 1)[0]));
            stretches.add(
                    new KeptStretch("", Math.max(before, from - leaveSeconds), Math.min(after, to + leaveSeconds)));
        }
        return stretches;
    }

    private static double seconds(int step) {
        return (double) step / Envelope.STEPS_A_SECOND;
    }
}
