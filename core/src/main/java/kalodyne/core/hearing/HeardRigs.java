package kalodyne.core.hearing;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;

/**
 * A rig that is listened to while it changes. Controls move over a block; for another rig both are made for one block, and the one fades
 * into the other. The new one is given what was played before, so that it rings as if it had been there. Not for several threads at once.
 */
public final class HeardRigs {
    /** So many blocks of what was played are kept: 0.17 s at 48 kHz, longer than any joint rings. */
    private static final int KEPT_BLOCKS = 16;

    private final int sampleRateHz;
    private final Deque<float[][]> past = new ArrayDeque<>();
    private Listening present;
    private Auralisation rig;
    private final float[][] heard = new float[2][Auralisation.BLOCK];

    /** Begins with silence behind it. */
    public HeardRigs(Listening first, int sampleRateHz) {
        this.sampleRateHz = sampleRateHz;
        present = first;
        rig = new Auralisation(first, sampleRateHz);
    }

    /**
     * Makes the next block, of the left and the right side.
     *
     * @param wanted what is listened to from now on
     * @param into two channels
     */
    public void next(Listening wanted, float[][] played, int count, float[][] into) {
        Auralisation before = rig;
        boolean isOther = !wanted.equals(present) && !rig.turn(wanted);
        if (isOther) {
            rig = new Auralisation(wanted, sampleRateHz);
            past.forEach(block -> rig.next(block, Auralisation.BLOCK, heard));
        }
        present = wanted;
        rig.next(played, count, into);
        if (isOther) {
            before.next(played, count, heard);
            fade(heard, into);
        }
        keep(played, count);
    }

    private static void fade(float[][] from, float[][] into) {
        for (int c = 0; c < into.length; c++) {
            for (int i = 0; i < Auralisation.BLOCK; i++) {
                float share = (i + 1f) / Auralisation.BLOCK;
                into[c][i] = share * into[c][i] + (1 - share) * from[c][i];
            }
        }
    }

    private void keep(float[][] played, int count) {
        float[][] kept = past.size() == KEPT_BLOCKS ? past.removeFirst() : new float[played.length][Auralisation.BLOCK];
        for (int c = 0; c < played.length; c++) {
            System.arraycopy(played[c], 0, kept[c], 0, count);
            Arrays.fill(kept[c], count, Auralisation.BLOCK, 0);
        }
        past.addLast(kept);
    }
}
