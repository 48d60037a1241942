package kalodyne.core.sound.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * Finds single jumps of the wave in a sound that goes on as it was: what stands out of the third difference of the samples, in
 * which slow waves vanish, for less than two milliseconds. The attack of a note is none, since it is louder behind than before;
 * nor is an edge of a wave that comes again.
 */
public final class ClickMeter {
    private static final double SLOTS_PER_SECOND = 1_000;
    private static final int REACH = 60;
    private static final int RING = 2 * REACH + 1;
    private static final int NEAR = 20;

    /** Noise reaches 5 to 6 times its mean among so many samples. */
    private static final double OVER_MEAN = 14;

    private static final double OVER_OTHERS = 3;
    private static final double LEAST_JUMP = 0.002;

    /** In power: 6 dB. */
    private static final double SAME_SOUND = 4;

    /** A jump of 1 makes the third difference reach 2; a single odd sample 3. */
    private static final double DIFFERENCE_OF_JUMP = 2;

    private static final int MOST_KEPT = 400;

    private final int slotFrames;
    private final float[] largest = new float[RING];
    private final float[] sums = new float[RING];
    private final float[] powers = new float[RING];
    private final long[] positions = new long[RING];
    private final List<Event> clicks = new ArrayList<>();

    private long frame;
    private long slots;
    private float x1;
    private float x2;
    private float x3;
    private float slotLargest;
    private float slotSum;
    private float slotPower;
    private int slotPosition;
    private int inSlot;

    public ClickMeter(double sampleRateHz) {
        slotFrames = Math.max(4, (int) Math.round(sampleRateHz / SLOTS_PER_SECOND));
    }

    public void accept(float[] samples, int count) {
        int at = 0;
        while (at < count) {
            int to = Math.min(count, at + slotFrames - inSlot);
            look(samples, at, to);
            inSlot += to - at;
            frame += to - at;
            at = to;
            if (inSlot == slotFrames) {
                finishSlot();
            }
        }
    }

    private void look(float[] samples, int from, int to) {
        float a = x1;
        float b = x2;
        float c = x3;
        float sum = 0;
        float power = 0;
        float most = slotLargest;
        int position = slotPosition;
        for (int i = from; i < to; i++) {
            float x = samples[i];
            float jump = Math.abs(x - 3 * a + 3 * b - c);
            c = b;
            b = a;
            a = x;
            sum += jump;
            power += x * x;
            if (jump > most) {
                most = jump;
                position = inSlot + i - from;
            }
        }
        x1 = a;
        x2 = b;
        x3 = c;
        slotSum += sum;
        slotPower += power;
        slotLargest = most;
        slotPosition = position;
    }

    private void finishSlot() {
        int at = (int) (slots % RING);
        largest[at] = slotLargest;
        sums[at] = slotSum;
        powers[at] = slotPower;
        positions[at] = frame - slotFrames + slotPosition;
        slots++;
        slotLargest = 0;
        slotSum = 0;
        slotPower = 0;
        slotPosition = 0;
        inSlot = 0;
        if (slots >= RING) {
            judgeMiddle();
        }
    }

    private int slot(int fromMiddle) {
        return (int) ((slots - 1 - REACH + fromMiddle) % RING);
    }

    private void judgeMiddle() {
        float jump = largest[slot(0)];
        boolean ofThree = jump >= largest[slot(-1)] && jump > largest[slot(1)];
        float beside = Math.max(largest[slot(-2)], largest[slot(2)]);
        if (jump < DIFFERENCE_OF_JUMP * LEAST_JUMP || !ofThree || jump < OVER_OTHERS * beside || !standsOut(jump)) {
            return;
        }
        if (clicks.size() < MOST_KEPT) {
            clicks.add(new Event(positions[slot(0)], positions[slot(0)] + 1, jump / DIFFERENCE_OF_JUMP));
        }
    }

    private boolean standsOut(float jump) {
        double before = 0;
        double after = 0;
        double powerBefore = 0;
        double powerAfter = 0;
        for (int d = 2; d <= NEAR; d++) {
            before += sums[slot(-d)];
            after += sums[slot(d)];
            powerBefore += powers[slot(-d)];
            powerAfter += powers[slot(d)];
        }
        double mean = (before + after) / (2 * (NEAR - 1) * slotFrames);
        if (jump < OVER_MEAN * mean || !isAlike(powerBefore, powerAfter) || !isAlike(before * before, after * after)) {
            return false;
        }
        float others = 0;
        for (int d = 2; d <= REACH; d++) {
            others = Math.max(others, Math.max(largest[slot(-d)], largest[slot(d)]));
        }
        return jump >= OVER_OTHERS * others;
    }

    private static boolean isAlike(double one, double other) {
        return one <= SAME_SOUND * other && other <= SAME_SOUND * one;
    }

    /** Where, with the height of the jump; of very many, the first. */
    public List<Event> clicks() {
        return List.copyOf(clicks);
    }
}
