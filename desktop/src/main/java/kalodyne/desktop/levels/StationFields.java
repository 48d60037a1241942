package kalodyne.desktop.levels;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.ControlRange;
import kalodyne.core.gear.Names;
import kalodyne.core.levels.run.Converter;
import kalodyne.core.levels.run.Input;
import kalodyne.core.levels.run.Run;
import kalodyne.core.levels.run.RunLead;
import kalodyne.core.levels.run.SignalLevels;
import kalodyne.core.levels.run.Source;
import kalodyne.core.units.Level;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;

/** What each station is described with: how a value is shown, and what becomes of the run when another is typed. */
final class StationFields {
    /**
     * One value.
     *
     * @param label "loudest peak"
     * @param help in plain words, for hover
     * @param shown the value as text; empty where the run has no such value
     * @param typed the run with another value; throws {@link UnreadableQuantity} where it cannot be read
     */
    record Field(String label, String help, Function<Run, String> shown, BiFunction<Run, String, Run> typed) {}

    /** A part of a run, and how the run with another one is made. */
    private record Lens<P>(Function<Run, P> get, BiFunction<Run, P, Run> set) {
        Field name(String label, String help, Function<P, String> shown, BiFunction<P, String, P> changed) {
            return new Field(
                    label,
                    help + ".",
                    run -> shown.apply(get.apply(run)),
                    (run, text) -> set.apply(run, changed.apply(get.apply(run), Names.checked(text))));
        }

        <T> Field quantity(
                String label, Quantity<T> quantity, String help, Function<P, T> shown, BiFunction<P, T, P> changed) {
            return new Field(
                    label,
                    help + ". For example " + quantity.example() + ".",
                    run -> quantity.print(shown.apply(get.apply(run))),
                    (run, text) -> set.apply(run, changed.apply(get.apply(run), quantity.read(text))));
        }
    }

    private static final Lens<Source> SOURCE = new Lens<>(Run::source, Run::withSource);
    private static final Lens<SignalLevels> LEVELS = new Lens<>(
            run -> run.source().levels(),
            (run, levels) -> run.withSource(run.source().withLevels(levels)));
    private static final Lens<RunLead> LEAD = new Lens<>(Run::lead, Run::withLead);
    private static final Lens<Input> INPUT = new Lens<>(Run::input, Run::withInput);
    private static final Lens<Converter> TRACK = new Lens<>(Run::converter, Run::withConverter);

    private StationFields() {}

    /** Of a station of a described run, by its index. */
    static List<Field> of(int station) {
        return switch (station) {
            case 0 -> source();
            case 1 -> lead();
            case 2 -> input();
            default -> track();
        };
    }

    private static List<Field> source() {
        return List.of(
                SOURCE.name("name", "What you call it", Source::name, Source::withName),
                SOURCE.name("output", "Which of its sockets", Source::socket, Source::withSocket),
                LEVELS.quantity(
                        "loudest peak",
                        Quantity.LEVEL,
                        "The loudest it gets with its volume at 0 dB, mostly full; as the sine that peaks as high",
                        SignalLevels::peak,
                        SignalLevels::withPeak),
                LEVELS.quantity(
                        "average",
                        Quantity.LEVEL,
                        "How loud it is while it plays, on a slow meter",
                        SignalLevels::average,
                        SignalLevels::withAverage),
                LEVELS.quantity(
                        "its noise",
                        Quantity.LEVEL,
                        "What it gives while nobody plays",
                        SignalLevels::floor,
                        SignalLevels::withFloor),
                SOURCE.quantity(
                        "clips at",
                        Quantity.LEVEL,
                        "The most its output can give",
                        Source::ceiling,
                        Source::withCeiling),
                SOURCE.quantity(
                        "impedance",
                        Quantity.IMPEDANCE,
                        "How easily a load pulls its output down: lower is sturdier",
                        Source::impedance,
                        Source::withImpedance));
    }

    private static List<Field> lead() {
        return List.of(
                LEAD.name("name", "The number or colour on it", RunLead::name, RunLead::withName),
                LEAD.name("plugs", "Which plugs it has", RunLead::plugs, RunLead::withPlugs),
                LEAD.quantity("length", Quantity.LENGTH, "From plug to plug", RunLead::length, RunLead::withLength),
                LEAD.quantity(
                        "capacitance",
                        Quantity.CAPACITANCE_PER_METRE,
                        "Between its wires, for one metre: takes treble from weak sources",
                        RunLead::capacitancePerMetre,
                        RunLead::withCapacitancePerMetre),
                LEAD.quantity(
                        "resistance",
                        Quantity.IMPEDANCE,
                        "Of both wires, there and back",
                        RunLead::resistance,
                        RunLead::withResistance));
    }

    private static List<Field> input() {
        return List.of(
                INPUT.name("device", "What you call it", Input::device, Input::withDevice),
                INPUT.name("input", "Which of its sockets", Input::socket, Input::withSocket),
                INPUT.quantity(
                        "impedance",
                        Quantity.IMPEDANCE,
                        "How little it loads the source: higher is lighter",
                        Input::impedance,
                        Input::withImpedance),
                socketCeiling(),
                gainRange(),
                INPUT.quantity(
                        "clips at",
                        Quantity.LEVEL,
                        "The most its gain stage can give to the converter",
                        Input::ceiling,
                        Input::withCeiling),
                INPUT.quantity(
                        "input noise (EIN)",
                        Quantity.LEVEL,
                        "Its noise at full gain, told as if it came in at the socket",
                        Input::equivalentInputNoise,
                        Input::withEquivalentInputNoise),
                INPUT.quantity(
                        "other noise",
                        Quantity.LEVEL,
                        "Noise behind the gain, which the gain does not change",
                        Input::outputNoise,
                        Input::withOutputNoise));
    }

    private static Field socketCeiling() {
        return new Field(
                "socket clips at",
                "The most the socket takes with the gain right down; empty if not known.",
                run -> run.input().socketCeiling().map(Level::toString).orElse(""),
                (run, text) -> run.withInput(run.input()
                        .withSocketCeiling(
                                text.isBlank() ? Optional.empty() : Optional.of(Quantity.LEVEL.read(text)))));
    }

    /** The ends of the gain. Other ends than those shown make it a control of equal decibels for equal travel. */
    private static Field gainRange() {
        return new Field(
                "gain range",
                "What the gain does right down and full up. For example +4 dB to +58 dB.",
                run -> ControlRange.print(run.input().gain().taper()),
                (run, text) -> {
                    Control gain = run.input().gain();
                    return run.withInput(run.input()
                            .withGain(new Control(
                                    gain.name(), ControlRange.read(text, gain.taper()), gain.dial(), gain.position())));
                });
    }

    private static List<Field> track() {
        return List.of(
                TRACK.name("track", "What you call it", Converter::track, Converter::withTrack),
                TRACK.quantity(
                        "0 dBFS is",
                        Quantity.LEVEL,
                        "The level that fills the converter",
                        Converter::fullScale,
                        Converter::withFullScale),
                TRACK.quantity(
                        "its noise",
                        Quantity.DIGITAL_LEVEL,
                        "Minus the dynamic range that its maker prints",
                        Converter::noise,
                        Converter::withNoise));
    }
}
