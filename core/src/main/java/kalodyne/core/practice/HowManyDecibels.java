package kalodyne.core.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** The same twice, the second time softer or louder: by how much? */
final class HowManyDecibels {
    static final String TOPIC = "decibels";

    /** By strength: how far the answers lie apart. */
    private static final double[] APART_DB = {10, 6, 3, 2, 1};

    private static final double STRETCH_SECONDS = 2.5;
    private static final double PAUSE_SECONDS = 0.5;
    private static final double BETWEEN_PAUSES_SECONDS = 1.4;

    private final FaultMaker maker;

    HowManyDecibels(FaultMaker maker) {
        this.maker = maker;
    }

    Exercise make(int strength, long number) {
        Random random = Draw.from(number);
        double apart = APART_DB[strength - 1];
        List<Double> offered = new ArrayList<>(List.of(-2 * apart, -apart, apart, 2 * apart));
        if (random.nextBoolean()) {
            offered.set(random.nextInt(offered.size()), 0.0);
        }
        Collections.sort(offered);
        int right = random.nextInt(offered.size());
        double db = offered.get(right);
        String double6 = Math.abs(db) >= 5.5 && Math.abs(db) <= 6.5
                ? " 6 dB are twice the voltage."
                : Math.abs(db) == 10 ? " 10 dB sound about twice as loud, or half." : "";
        return new Exercise(
                TOPIC,
                number,
                strength,
                "You hear the same twice. How loud is the second, against the first?",
                offered.stream().map(HowManyDecibels::words).toList(),
                right,
                "The second time every sample is multiplied by " + Print.decimal(new Gain(db).ratio(), 2) + ": "
                        + words(db) + "." + double6,
                "",
                Optional.of(twice(maker.make(Fault.NOTHING, 1, number), db)),
                Optional.empty());
    }

    private static String words(double db) {
        return db == 0 ? "as loud" : Print.decimal(Math.abs(db), 0) + " dB " + (db > 0 ? "louder" : "softer");
    }

    /** The louder one as loud as it was made: nothing is cut off. */
    private static Clip twice(Clip whole, double db) {
        int rate = whole.sampleRateHz();
        int stretch = (int) (STRETCH_SECONDS * rate);
        int pause = (int) (PAUSE_SECONDS * rate);
        int from = (int) (BETWEEN_PAUSES_SECONDS * rate);
        double first = new Gain(Math.min(0, -db)).ratio();
        double second = new Gain(Math.min(0, db)).ratio();
        float[][] sides = new float[2][2 * stretch + 2 * pause];
        for (int c = 0; c < 2; c++) {
            Arrays.fill(sides[c], 0);
            for (int i = 0; i < stretch; i++) {
                float sample = whole.at(c, from + i);
                sides[c][i] = (float) (first * sample);
                sides[c][stretch + pause + i] = (float) (second * sample);
            }
        }
        return new Clip(sides[0], sides[1], rate);
    }
}
