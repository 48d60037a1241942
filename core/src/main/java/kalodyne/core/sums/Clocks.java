package kalodyne.core.sums;

/** Tempo and clocks: MIDI's pulses, beats in a take, two clocks that drift apart. */
public final class Clocks {
    /** MIDI 1.0: timing clock, 24 to a quarter note. */
    public static final int PULSES_OF_QUARTER = 24;

    private static final double SECONDS_OF_MINUTE = 60;
    private static final double MILLION = 1e6;
    private static final double MILLISECONDS_OF_HOUR = 3.6e6;

    private Clocks() {}

    public static double secondsOfBeat(double beatsPerMinute) {
        return SECONDS_OF_MINUTE / beatsPerMinute;
    }

    public static double secondsOfPulse(double beatsPerMinute) {
        return secondsOfBeat(beatsPerMinute) / PULSES_OF_QUARTER;
    }

    /** Beats a minute of so many beats that took so long, from the first to the beginning of the one behind the last. */
    public static double beatsPerMinute(double beats, double seconds) {
        return SECONDS_OF_MINUTE * beats / seconds;
    }

    /** How much faster one is than the other, in parts per million; negative where it is slower. */
    public static double driftPpm(double is, double shouldBe) {
        return (is / shouldBe - 1) * MILLION;
    }

    /** What a drift comes to in an hour. */
    public static double millisecondsAnHour(double ppm) {
        return ppm / MILLION * MILLISECONDS_OF_HOUR;
    }
}
