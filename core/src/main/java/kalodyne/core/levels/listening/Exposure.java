package kalodyne.core.levels.listening;

import kalodyne.core.units.Gain;

/**
 * How long ears bear a level, by published limits. Levels are taken as A-weighted, which for music differs by a decibel or two.
 * All figures are from memory of the documents named.
 */
public final class Exposure {
    /** ITU-T H.870 (with the WHO), adults: 80 dB(A) for 40 hours a week. */
    public static final double WEEKLY_DB = 80;

    private static final double WEEKLY_HOURS = 40;

    /** Directive 2003/10/EC: the upper action value at work, for 8 hours a day. */
    public static final double AT_WORK_DB = 85;

    /** NIOSH 98-126: 85 dB(A) for 8 hours a day, half the time for 3 dB more. */
    private static final double DAILY_HOURS = 8;

    private static final double DAILY_DB = 85;
    private static final double HALVING_DB = 3;

    /** Directive 2003/10/EC: the lower action value for peaks, 112 Pa, dB(C). */
    public static final double PEAK_DB = 135;

    private Exposure() {}

    /** Hours a week at a level until the allowance of ITU-T H.870 is used up: equal energy, 3 dB for half the time. */
    public static double hoursAWeek(double db) {
        return WEEKLY_HOURS * new Gain(WEEKLY_DB - db).powerRatio();
    }

    /** Hours a day at a level by NIOSH 98-126. */
    public static double hoursADay(double db) {
        return DAILY_HOURS * Math.pow(2, (DAILY_DB - db) / HALVING_DB);
    }

    /** "40 h", "2 h 30 min", "12 min", "under a minute". */
    public static String words(double hours) {
        long minutes = Math.round(hours * 60);
        if (minutes < 1) {
            return "under a minute";
        }
        if (minutes < 60) {
            return minutes + " min";
        }
        return minutes >= 600 || minutes % 60 == 0
                ? Math.round(minutes / 60.0) + " h"
                : minutes / 60 + " h " + minutes % 60 + " min";
    }
}
