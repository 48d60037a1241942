package kalodyne.core.sums;

import java.util.List;
import kalodyne.core.sums.Sum.Answer;
import kalodyne.core.sums.Sum.Group;
import kalodyne.core.units.Capacitance;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Length;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;

/** Pads, and where resistance and capacitance take the treble or the bass. */
final class ResistorSums {
    static final List<Sum> ALL = List.of(pad(), divider(), corner(), lead());

    private ResistorSums() {}

    private static Sum pad() {
        Field<Impedance> ohms = Field.of("ohms", "Impedance on both sides", Quantity.IMPEDANCE, "600 Ω");
        Field<Gain> loss = Field.of("loss", "It takes", Quantity.GAIN, "20 dB");
        return new Sum(
                "pad",
                Group.RESISTORS,
                "Which resistors make a pad?",
                List.of(ohms, loss),
                given -> {
                    Pad pad = new Pad(given.of(ohms).ohms(), given.of(loss));
                    return List.of(
                            new Answer("T: two in series, each", Print.prefixed(pad.seriesOhms(), "Ω")),
                            new Answer("T: one across", Print.prefixed(pad.acrossOhms(), "Ω")),
                            new Answer(
                                    "H, balanced: four in series, each", Print.prefixed(pad.balancedSeriesOhms(), "Ω")),
                            new Answer("H, balanced: one across", Print.prefixed(pad.acrossOhms(), "Ω")));
                },
                given -> {
                    Pad pad = new Pad(given.of(ohms).ohms(), given.of(loss));
                    return List.of(
                            new Sketch.Circuit(
                                    "T pad",
                                    false,
                                    List.of(
                                            series(pad.seriesOhms()),
                                            across(pad.acrossOhms()),
                                            series(pad.seriesOhms()))),
                            new Sketch.Circuit(
                                    "H pad, balanced",
                                    true,
                                    List.of(
                                            series(pad.balancedSeriesOhms()),
                                            across(pad.acrossOhms()),
                                            series(pad.balancedSeriesOhms()))));
                },
                "Handbook formulas for symmetrical pads");
    }

    private static Sum divider() {
        Field<Impedance> across = Field.of("across", "Resistor across the input", Quantity.IMPEDANCE, "150 Ω");
        Field<Gain> loss = Field.of("loss", "It takes", Quantity.GAIN, "40 dB");
        return new Sum(
                "divider",
                Group.RESISTORS,
                "Which two resistors bring line to mic?",
                List.of(across, loss),
                given -> {
                    double series = Pad.seriesOfDivider(given.of(across).ohms(), given.of(loss));
                    if (!(series > 0)) {
                        throw new IllegalArgumentException("it must take more than 0 dB");
                    }
                    return List.of(
                            new Answer("L: one in series", Print.prefixed(series, "Ω")),
                            new Answer("U, balanced: two in series, each", Print.prefixed(series / 2, "Ω")),
                            new Answer(
                                    "The output sees",
                                    Print.prefixed(series + given.of(across).ohms(), "Ω")));
                },
                given -> {
                    double shunt = given.of(across).ohms();
                    double series = Pad.seriesOfDivider(shunt, given.of(loss));
                    return List.of(
                            new Sketch.Circuit("L pad", false, List.of(series(series), across(shunt))),
                            new Sketch.Circuit("U pad, balanced", true, List.of(series(series / 2), across(shunt))));
                },
                "A divider of two resistances, between a low output and a high input");
    }

    private static Sum corner() {
        Field<Impedance> ohms = Field.of("ohms", "Resistance", Quantity.IMPEDANCE, "10 kΩ");
        Field<Capacitance> farads = Field.of("farads", "Capacitance", Quantity.CAPACITANCE, "1 nF");
        return new Sum(
                "corner",
                Group.RESISTORS,
                "Where does an RC filter cut?",
                List.of(ohms, farads),
                given -> List.of(new Answer("3 dB down at", hertz(given.of(farads), given.of(ohms)))),
                given -> List.of(
                        new Sketch.Circuit(
                                "Low-pass",
                                false,
                                List.of(
                                        series(given.of(ohms).ohms()),
                                        new Sketch.Part(
                                                true,
                                                true,
                                                Print.prefixed(given.of(farads).farads(), "F")))),
                        Sketch.Curve.lowPass("What passes", given.of(farads).cornerHz(given.of(ohms)))),
                "f = 1/(2π·R·C)");
    }

    private static Sum lead() {
        Field<Impedance> ohms = Field.of("ohms", "Output's impedance", Quantity.IMPEDANCE, "10 kΩ");
        Field<Capacitance> perMetre =
                Field.of("per-metre", "Capacitance of the lead", Quantity.CAPACITANCE_PER_METRE, "100 pF/m");
        Field<Length> length = Field.of("length", "Its length", Quantity.LENGTH, "6 m");
        return new Sum(
                "lead",
                Group.LEADS,
                "How much treble does a lead take?",
                List.of(ohms, perMetre, length),
                given -> {
                    Capacitance whole =
                            given.of(perMetre).times(given.of(length).metres());
                    return List.of(
                            new Answer("Capacitance", Print.prefixed(whole.farads(), "F")),
                            new Answer("3 dB down at", hertz(whole, given.of(ohms))));
                },
                given -> List.of(Sketch.Curve.lowPass(
                        "What the lead leaves",
                        given.of(perMetre).times(given.of(length).metres()).cornerHz(given.of(ohms)))),
                "f = 1/(2π·R·C); a coil's own resonance comes on top: see Levels");
    }

    private static Sketch.Part series(double ohms) {
        return new Sketch.Part(false, false, Print.prefixed(ohms, "Ω"));
    }

    private static Sketch.Part across(double ohms) {
        return new Sketch.Part(true, false, Print.prefixed(ohms, "Ω"));
    }

    private static String hertz(Capacitance farads, Impedance ohms) {
        double hertz = farads.cornerHz(ohms);
        if (!Double.isFinite(hertz)) {
            throw new IllegalArgumentException("both must be more than 0");
        }
        return Print.prefixed(hertz, "Hz");
    }
}
