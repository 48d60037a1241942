package kalodyne.core.sound.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * Finds holes: samples that stay exactly the same, near the middle, for half a millisecond to 150 ms, in a sound that is as loud
 * behind them as before, and that they cut into. A rest is none, since the note before it dies away.
 */
public final class DropoutMeter {
    private static final double SHORTEST_SECONDS = 0.0005;
    private static final double LONGEST_SECONDS = 0.15;
    private static final double MEMORY_SECONDS = 0.012;

    /** In power: −50 dBFS. */
    private static final double LEAST_POWER = 1e-5;

    /** In power: 6 dB. */
    private static final double SAME_SOUND = 4;

    /** How near the middle, as a share of the height round it. */
    private static final double MIDDLE = 0.1;

    private static final int MOST_KEPT = 400;

    private final int shortest;
    private final int longest;
    private final int lookAhead;
    private final float keep;
    private final List<Event> holes = new ArrayList<>();

    private long frame;
    private float last;
    private float power;
    private long runStart;
    private float powerBeforeRun;

    /** A hole whose far side is being heard; none where its start is −1. */
    private long holeStart = -1;

    private long holeEnd;
    private float powerBeforeHole;
    private float powerBehind;

    public DropoutMeter(double sampleRateHz) {
        shortest = Math.max(8, (int) (SHORTEST_SECONDS * sampleRateHz));
        longest = (int) (LONGEST_SECONDS * sampleRateHz);
        lookAhead = Math.max(8, (int) (2 * MEMORY_SECONDS * sampleRateHz));
        keep = (float) (1 - 1 / (MEMORY_SECONDS * sampleRateHz));
    }

    public void accept(float[] samples, int count) {
        float before = last;
        float level = power;
        float rest = 1 - keep;
        for (int i = 0; i < count; i++) {
            float x = samples[i];
            if (x != before) {
                if (frame + i - runStart >= shortest) {
                    endRun(before, frame + i);
                }
                runStart = frame + i;
                powerBeforeRun = level;
                before = x;
            }
            level = keep * level + rest * x * x;
            if (holeStart >= 0) {
                hearBehind(x, frame + i);
            }
        }
        last = before;
        power = level;
        frame += count;
    }

    private void hearBehind(float x, long at) {
        powerBehind += x * x;
        if (at - holeEnd == lookAhead) {
            judge();
        }
    }

    private void endRun(float value, long end) {
        long length = end - runStart;
        boolean inSound = powerBeforeRun > LEAST_POWER && value * value < MIDDLE * MIDDLE * powerBeforeRun;
        if (length <= longest && inSound) {
            holeStart = runStart;
            holeEnd = end;
            powerBeforeHole = powerBeforeRun;
            powerBehind = 0;
        }
    }

    private void judge() {
        float behind = powerBehind / lookAhead;
        if (behind <= SAME_SOUND * powerBeforeHole && powerBeforeHole <= SAME_SOUND * behind) {
            if (holes.size() < MOST_KEPT) {
                holes.add(new Event(holeStart, holeEnd, Math.sqrt(powerBeforeHole)));
            }
        }
        holeStart = -1;
    }

    /** Where, with the RMS before each; of very many, the first. */
    public List<Event> holes() {
        return List.copyOf(holes);
    }
}
