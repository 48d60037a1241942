package kalodyne.core.testing;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import kalodyne.core.gear.AudioTaper;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.gear.Taper;
import kalodyne.core.levels.run.Aim;
import kalodyne.core.levels.run.Converter;
import kalodyne.core.levels.run.Input;
import kalodyne.core.levels.run.InputKind;
import kalodyne.core.levels.run.Run;
import kalodyne.core.levels.run.RunLead;
import kalodyne.core.levels.run.SignalLevels;
import kalodyne.core.levels.run.Source;
import kalodyne.core.units.Capacitance;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Length;
import kalodyne.core.units.Level;

/** Runs whose numbers can be checked by hand. */
public final class Runs {
    private Runs() {}

    /** +6 dBu at most from 0 Ω into 10 kΩ, no loss; gain −8…+32 dB at 12:00 (+12 dB); 0 dBFS is +20 dBu. */
    public static Run plain() {
        return new Run(
                "Synth → track",
                source(6, -6, -80, 18, 0, Optional.of(knob("volume", new AudioTaper(Gain.NONE), 1))),
                lead(3, 100),
                input(InputKind.LINE, 10_000, Optional.of(22.0), knob("gain", linear(-8, 32), 0.5), 24),
                new Converter("Track 3", new Level(20), new DigitalLevel(-110), 24, 48_000),
                Aim.EVEN);
    }

    public static Source source(
            double peak, double average, double floor, double ceiling, double ohms, Optional<Control> volume) {
        return new Source(
                "Synth",
                "line out",
                new SignalLevels(new Level(peak), new Level(average), new Level(floor)),
                new Level(ceiling),
                new Impedance(ohms),
                volume);
    }

    public static RunLead lead(double metres, double picofaradsPerMetre) {
        return new RunLead(
                "Lead 7", "TS to TS", new Length(metres), Capacitance.picofarads(picofaradsPerMetre), new Impedance(0));
    }

    public static Input input(
            InputKind kind, double ohms, Optional<Double> socketCeiling, Control gain, double ceiling) {
        return new Input(
                "Interface",
                "socket 3",
                kind,
                new Impedance(ohms),
                socketCeiling.map(Level::new),
                gain,
                new Level(ceiling),
                new Level(-106),
                new Level(-94));
    }

    public static Control knob(String name, Taper taper, double position) {
        return new Control(name, taper, Dial.USUAL, position);
    }

    public static Taper linear(double lowest, double highest) {
        return new LinearTaper(new Gain(lowest), new Gain(highest));
    }

    /** Any run that could stand in a studio, and some that could not; the same for the same random numbers. */
    public static Run any(Random random) {
        double peak = between(random, -60, 26);
        double average = peak - between(random, 0, 25);
        Optional<Control> volume = switch (random.nextInt(3)) {
            case 0 -> Optional.empty();
            case 1 -> Optional.of(knob("volume", new AudioTaper(Gain.NONE), random.nextDouble()));
            default -> Optional.of(knob("volume", linear(-40, 0), random.nextDouble()));
        };
        double lowest = between(random, -20, 10);
        Taper gain = random.nextInt(4) == 0
                ? new SteppedTaper(
                        List.of(new Gain(lowest), new Gain(lowest + 10), new Gain(lowest + 20), new Gain(lowest + 40)))
                : linear(lowest, lowest + between(random, 10, 60));
        return new Run(
                "Any",
                source(
                        peak,
                        average,
                        average - between(random, 20, 80),
                        between(random, 0, 26),
                        between(random, 0, 20_000),
                        volume),
                lead(between(random, 0, 20), between(random, 30, 300)),
                input(
                        List.of(InputKind.values()).get(random.nextInt(3)),
                        between(random, 600, 1e6),
                        random.nextBoolean() ? Optional.of(between(random, 0, 26)) : Optional.empty(),
                        knob("gain", gain, random.nextDouble()),
                        between(random, 4, 30)),
                new Converter("Track 1", new Level(between(random, 0, 24)), new DigitalLevel(-105), 24, 48_000),
                random.nextBoolean() ? Aim.EVEN : Aim.UNEVEN);
    }

    private static double between(Random random, double low, double high) {
        return low + random.nextDouble() * (high - low);
    }
}
