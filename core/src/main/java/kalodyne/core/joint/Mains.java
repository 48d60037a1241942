package kalodyne.core.joint;

import kalodyne.core.gear.Coded;

/**
 * How far apart the outlets are that the gear of a setup hangs on: between their earths lies a voltage of mains frequency. Of the order
 * that is met in homes; common practice.
 */
public enum Mains implements Coded {
    UNKNOWN("not told", 0, 10e-3, 30e-3),
    ONE_STRIP("one strip", 0, 0, 1e-3),
    ONE_CIRCUIT("outlets of one room", 0.5e-3, 3e-3, 10e-3),
    SEVERAL("outlets far apart", 5e-3, 30e-3, 100e-3);

    private final String word;
    private final double leastVolts;
    private final double likelyVolts;
    private final double mostVolts;

    Mains(String word, double leastVolts, double likelyVolts, double mostVolts) {
        this.word = word;
        this.leastVolts = leastVolts;
        this.likelyVolts = likelyVolts;
        this.mostVolts = mostVolts;
    }

    @Override
    public String word() {
        return word;
    }

    double leastVolts() {
        return leastVolts;
    }

    double likelyVolts() {
        return likelyVolts;
    }

    double mostVolts() {
        return mostVolts;
    }
}
