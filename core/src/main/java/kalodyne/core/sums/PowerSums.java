package kalodyne.core.sums;

import java.util.List;
import kalodyne.core.sums.Sum.Answer;
import kalodyne.core.sums.Sum.Group;
import kalodyne.core.units.Current;
import kalodyne.core.units.Energy;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.SoundLevel;
import kalodyne.core.units.Voltage;

/** Power in loads, from ports and from batteries. */
final class PowerSums {
    private static final double MILLI = 1e-3;

    static final List<Sum> ALL = List.of(phones(), port(), battery());

    private PowerSums() {}

    private static Sum phones() {
        Field<Level> level = Field.of("level", "Level at the headphones", Quantity.LEVEL, "0 dBu");
        Field<Impedance> ohms = Field.of("ohms", "Their impedance", Quantity.IMPEDANCE, "80 Ω");
        Field<SoundLevel> loud = Field.of("loud", "Their sensitivity", Quantity.SOUND_PER_MILLIWATT, "96 dB/mW");
        return new Sum(
                "headphones",
                Group.POWER,
                "How loud are headphones?",
                List.of(level, ohms, loud),
                given -> {
                    double volts = given.of(level).volts();
                    double watts = volts * volts / given.of(ohms).ohms();
                    if (!(watts > 0) || Double.isInfinite(watts)) {
                        throw new IllegalArgumentException("level and impedance must be more than 0");
                    }
                    double sound = given.of(loud).db()
                            + Gain.ofPowerRatio(watts / MILLI).db();
                    return List.of(
                            new Answer("Power", Print.prefixed(watts, "W")),
                            new Answer("Sound", Print.decimal(sound, 1) + " dB SPL"));
                },
                "P = V²/R");
    }

    private static Sum port() {
        Field<Current> gives = Field.of("gives", "The port gives", Quantity.CURRENT, "500 mA");
        Field<Current> first = Field.of("first", "First device draws", Quantity.CURRENT, "250 mA");
        Field<Current> second = Field.of("second", "Second device draws", Quantity.CURRENT, "100 mA");
        Field<Current> third = Field.of("third", "Third device draws", Quantity.CURRENT, "0 mA");
        return new Sum(
                "port",
                Group.POWER,
                "Is a port's power enough?",
                List.of(gives, first, second, third),
                given -> {
                    double drawn = given.of(first).amperes()
                            + given.of(second).amperes()
                            + given.of(third).amperes();
                    double left = given.of(gives).amperes() - drawn;
                    return List.of(
                            new Answer("Drawn", Print.prefixed(drawn, "A")),
                            new Answer(
                                    left >= 0 ? "Left" : "Missing",
                                    Print.prefixed(Math.abs(left), "A")
                                            + (left >= 0 ? "" : ": use a hub with its own supply")));
                },
                "Currents add; USB 2 gives 500 mA, USB 3 900 mA, USB-C up to 3 A (from memory)");
    }

    private static Sum battery() {
        Field<Energy> energy = Field.of("energy", "It holds", Quantity.ENERGY, "10 Wh");
        Field<Voltage> volts = Field.of("volts", "At", Quantity.VOLTAGE, "5 V");
        Field<Current> amperes = Field.of("amperes", "Current drawn", Quantity.CURRENT, "400 mA");
        return new Sum(
                "battery",
                Group.POWER,
                "How long does a battery last?",
                List.of(energy, volts, amperes),
                given -> {
                    double watts = given.of(volts).volts() * given.of(amperes).amperes();
                    return List.of(
                            new Answer("Power", Print.prefixed(watts, "W")),
                            new Answer(
                                    "It lasts about",
                                    Spans.words(new Battery(given.of(energy).wattHours(), watts).lasting())));
                },
                "Energy through power; 85 % of it is of use (common practice)");
    }
}
