package kalodyne.core.sums;

import java.util.List;
import kalodyne.core.sums.Sum.Answer;
import kalodyne.core.sums.Sum.Group;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.ThermalNoise;

/** Levels in volts, decibels and in a recording. */
final class LevelSums {
    static final List<Sum> ALL = List.of(units(), recorded(), ratio(), together(), loading(), noise());

    private LevelSums() {}

    private static Sum units() {
        Field<Level> level = Field.of("level", "Level", Quantity.LEVEL, "+4 dBu");
        return new Sum(
                "level",
                Group.LEVELS,
                "What is a level in other units?",
                List.of(level),
                given -> {
                    Level is = given.of(level);
                    double volts = is.volts();
                    return List.of(
                            new Answer("dBu", Print.signed(is.dbu(), 2) + " dBu"),
                            new Answer("dBV", Print.signed(is.dbv(), 2) + " dBV"),
                            new Answer("RMS", Print.prefixed(volts, "V")),
                            new Answer("Of a sine, top to bottom", Print.prefixed(2 * Math.sqrt(2) * volts, "Vpp")));
                },
                "0 dBu is √0.6 V, 0 dBV is 1 V");
    }

    private static Sum recorded() {
        Field<Level> level = Field.of("level", "Level at the input", Quantity.LEVEL, "+4 dBu");
        Field<Level> full = Field.of("full", "Level that reads 0 dBFS", Quantity.LEVEL, "+18 dBu");
        return new Sum(
                "recorded",
                Group.LEVELS,
                "What does it read in the recording?",
                List.of(level, full),
                given -> {
                    DigitalLevel reads = DigitalLevel.of(given.of(level), given.of(full));
                    return List.of(
                            new Answer("In the recording", Print.signed(reads.dbfs(), 1) + " dBFS"),
                            new Answer(
                                    "Left above it",
                                    reads.dbfs() > 0
                                            ? "none: it is cut off"
                                            : Print.decimal(-reads.dbfs(), 1) + " dB"));
                },
                "AES17: a full-scale sine reads 0 dBFS");
    }

    private static Sum ratio() {
        Field<Gain> gain = Field.of("gain", "Gain", Quantity.GAIN, "+6 dB");
        return new Sum(
                "ratio",
                Group.LEVELS,
                "How much is a decibel?",
                List.of(gain),
                given -> {
                    double ratio = given.of(gain).ratio();
                    return List.of(
                            new Answer("Decibels", Print.signed(given.of(gain).db(), 2) + " dB"),
                            new Answer("Voltage", "× " + Print.plain(ratio) + ", " + Print.plain(100 * ratio) + " %"),
                            new Answer("Power", "× " + Print.plain(ratio * ratio)));
                },
                "20·log₁₀ of a voltage's ratio");
    }

    private static Sum together() {
        Field<Level> one = Field.of("one", "One", Quantity.LEVEL, "+4 dBu");
        Field<Level> other = Field.of("other", "The other", Quantity.LEVEL, "+4 dBu");
        return new Sum(
                "together",
                Group.LEVELS,
                "How loud are two together?",
                List.of(one, other),
                given -> {
                    Level first = given.of(one);
                    Level second = given.of(other);
                    double apart = Math.abs(first.volts() - second.volts());
                    return List.of(
                            new Answer("Of two players", first.withUncorrelated(second) + ""),
                            new Answer("Of the same signal", Level.ofVolts(first.volts() + second.volts()) + ""),
                            new Answer(
                                    "The same, one inverted",
                                    apart < 1e-12 * first.volts() ? "nothing is left" : Level.ofVolts(apart) + ""));
                },
                "Powers add where two have nothing in common, voltages where they are the same");
    }

    private static Sum loading() {
        Field<Impedance> source = Field.of("source", "Output's impedance", Quantity.IMPEDANCE, "10 kΩ");
        Field<Impedance> load = Field.of("load", "Input's impedance", Quantity.IMPEDANCE, "1 MΩ");
        return new Sum(
                "loading",
                Group.LEVELS,
                "How much does an input take away?",
                List.of(source, load),
                given -> {
                    Gain left = given.of(source).intoLoad(given.of(load));
                    double times = given.of(load).ohms() / given.of(source).ohms();
                    return List.of(
                            new Answer(
                                    "Of the level",
                                    Double.isInfinite(left.db()) ? "all of it" : Print.decimal(-left.db(), 2) + " dB"),
                            new Answer(
                                    "The input is",
                                    Double.isFinite(times) ? Print.plain(times) + " times the output" : "no load"),
                            new Answer("Wanted", "10 times or more (common practice)"));
                },
                "A divider of two resistances");
    }

    private static Sum noise() {
        Field<Impedance> source = Field.of("source", "Resistance", Quantity.IMPEDANCE, "150 Ω");
        return new Sum(
                "noise",
                Group.LEVELS,
                "How much noise does a resistance make?",
                List.of(source),
                given -> List.of(new Answer(
                        "20 Hz to 20 kHz, 20 °C",
                        ThermalNoise.of(given.of(source)).toString())),
                "Johnson noise, √(4·k·T·R·B)");
    }
}
