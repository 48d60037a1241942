package kalodyne.desktop.levels;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import kalodyne.core.gear.Converter;
import kalodyne.core.gear.Input;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Run;
import kalodyne.core.gear.SignalLevels;
import kalodyne.core.gear.Source;
import kalodyne.core.gear.Station;
import kalodyne.core.units.Level;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;

/** What each station is described with: how a value is shown, and what becomes of the run when another is typed. */
final class StationFields {
    private static final int LONGEST_NAME = 120;

    /**
     * One value.
     *
     * @param label "loudest peak"
     * @param help in plain words, for hover
     * @param shown the value as text
     * @param typed the run with another value; throws {@link UnreadableQuantity} where it cannot be read
     */
    record Field(String label, String help, Function<Run, String> shown, BiFunction<Run, String, Run> typed) {}

    private StationFields() {}

    static List<Field> of(Station.Part part) {
        return switch (part) {
            case SOURCE -> SOURCE;
            case LEAD -> LEAD;
            case INPUT -> INPUT;
            case TRACK -> TRACK;
        };
    }

    private static final List<Field> SOURCE = List.of(
            new Field("name", "What you call it", run -> run.source().name(), (run, text) -> {
                Source s = run.source();
                return run.withSource(
                        new Source(name(text), s.socket(), s.levels(), s.ceiling(), s.impedance(), s.volume()));
            }),
            new Field("output", "Which of its sockets", run -> run.source().socket(), (run, text) -> {
                Source s = run.source();
                return run.withSource(
                        new Source(s.name(), name(text), s.levels(), s.ceiling(), s.impedance(), s.volume()));
            }),
            quantity(
                    "loudest peak",
                    "The loudest it gets with its volume at 0 dB, mostly full; as the sine that peaks as high",
                    Quantity.LEVEL,
                    run -> run.source().levels().peak(),
                    (run, level) -> levels(
                            run,
                            new SignalLevels(
                                    level,
                                    run.source().levels().average(),
                                    run.source().levels().floor()))),
            quantity(
                    "average",
                    "How loud it is while it plays, on a slow meter",
                    Quantity.LEVEL,
                    run -> run.source().levels().average(),
                    (run, level) -> levels(
                            run,
                            new SignalLevels(
                                    run.source().levels().peak(),
                                    level,
                                    run.source().levels().floor()))),
            quantity(
                    "its noise",
                    "What it gives while nobody plays",
                    Quantity.LEVEL,
                    run -> run.source().levels().floor(),
                    (run, level) -> levels(
                            run,
                            new SignalLevels(
                                    run.source().levels().peak(),
                                    run.source().levels().average(),
                                    level))),
            quantity(
                    "clips at",
                    "The most its output can give",
                    Quantity.LEVEL,
                    run -> run.source().ceiling(),
                    (run, level) -> {
                        Source s = run.source();
                        return run.withSource(
                                new Source(s.name(), s.socket(), s.levels(), level, s.impedance(), s.volume()));
                    }),
            quantity(
                    "impedance",
                    "How easily its output is weighed down: lower is sturdier",
                    Quantity.IMPEDANCE,
                    run -> run.source().impedance(),
                    (run, ohms) -> {
                        Source s = run.source();
                        return run.withSource(
                                new Source(s.name(), s.socket(), s.levels(), s.ceiling(), ohms, s.volume()));
                    }));

    private static final List<Field> LEAD = List.of(
            new Field("name", "The number or colour on it", run -> run.lead().name(), (run, text) -> {
                Lead l = run.lead();
                return run.withLead(
                        new Lead(name(text), l.plugs(), l.length(), l.capacitancePerMetre(), l.resistance()));
            }),
            new Field("plugs", "Which plugs it has", run -> run.lead().plugs(), (run, text) -> {
                Lead l = run.lead();
                return run.withLead(
                        new Lead(l.name(), name(text), l.length(), l.capacitancePerMetre(), l.resistance()));
            }),
            quantity(
                    "length",
                    "From plug to plug",
                    Quantity.LENGTH,
                    run -> run.lead().length(),
                    (run, length) -> {
                        Lead l = run.lead();
                        return run.withLead(
                                new Lead(l.name(), l.plugs(), length, l.capacitancePerMetre(), l.resistance()));
                    }),
            quantity(
                    "capacitance",
                    "Between its wires, for one metre: takes treble from weak sources",
                    Quantity.CAPACITANCE_PER_METRE,
                    run -> run.lead().capacitancePerMetre(),
                    (run, capacitance) -> {
                        Lead l = run.lead();
                        return run.withLead(new Lead(l.name(), l.plugs(), l.length(), capacitance, l.resistance()));
                    }));

    private static final List<Field> INPUT = List.of(
            new Field("device", "What you call it", run -> run.input().device(), (run, text) -> {
                Input i = run.input();
                return run.withInput(copy(i, name(text), i.socket()));
            }),
            new Field("input", "Which of its sockets", run -> run.input().socket(), (run, text) -> {
                Input i = run.input();
                return run.withInput(copy(i, i.device(), name(text)));
            }),
            quantity(
                    "impedance",
                    "How little it weighs the source down: higher is lighter",
                    Quantity.IMPEDANCE,
                    run -> run.input().impedance(),
                    (run, ohms) -> {
                        Input i = run.input();
                        return run.withInput(new Input(
                                i.device(),
                                i.socket(),
                                i.kind(),
                                ohms,
                                i.socketCeiling(),
                                i.gain(),
                                i.ceiling(),
                                i.equivalentInputNoise(),
                                i.outputNoise()));
                    }),
            new Field(
                    "socket clips at",
                    "The most the socket takes with the gain right down; empty if not known",
                    run -> run.input().socketCeiling().map(Level::toString).orElse(""),
                    (run, text) -> {
                        Input i = run.input();
                        return run.withInput(new Input(
                                i.device(),
                                i.socket(),
                                i.kind(),
                                i.impedance(),
                                text.isBlank() ? Optional.empty() : Optional.of(Quantity.LEVEL.read(text)),
                                i.gain(),
                                i.ceiling(),
                                i.equivalentInputNoise(),
                                i.outputNoise()));
                    }),
            quantity(
                    "clips at",
                    "The most its gain stage can give to the converter",
                    Quantity.LEVEL,
                    run -> run.input().ceiling(),
                    (run, level) -> {
                        Input i = run.input();
                        return run.withInput(new Input(
                                i.device(),
                                i.socket(),
                                i.kind(),
                                i.impedance(),
                                i.socketCeiling(),
                                i.gain(),
                                level,
                                i.equivalentInputNoise(),
                                i.outputNoise()));
                    }),
            quantity(
                    "input noise (EIN)",
                    "Its noise at full gain, told as if it came in at the socket",
                    Quantity.LEVEL,
                    run -> run.input().equivalentInputNoise(),
                    (run, level) -> {
                        Input i = run.input();
                        return run.withInput(new Input(
                                i.device(),
                                i.socket(),
                                i.kind(),
                                i.impedance(),
                                i.socketCeiling(),
                                i.gain(),
                                i.ceiling(),
                                level,
                                i.outputNoise()));
                    }));

    private static final List<Field> TRACK = List.of(
            new Field("track", "What you call it", run -> run.converter().track(), (run, text) -> {
                Converter c = run.converter();
                return run.withConverter(
                        new Converter(name(text), c.fullScale(), c.noise(), c.bits(), c.sampleRateHz()));
            }),
            quantity(
                    "0 dBFS is",
                    "The level that fills the converter",
                    Quantity.LEVEL,
                    run -> run.converter().fullScale(),
                    (run, level) -> {
                        Converter c = run.converter();
                        return run.withConverter(
                                new Converter(c.track(), level, c.noise(), c.bits(), c.sampleRateHz()));
                    }),
            quantity(
                    "its noise",
                    "Minus the dynamic range that its maker prints",
                    Quantity.DIGITAL_LEVEL,
                    run -> run.converter().noise(),
                    (run, level) -> {
                        Converter c = run.converter();
                        return run.withConverter(
                                new Converter(c.track(), c.fullScale(), level, c.bits(), c.sampleRateHz()));
                    }));

    private static Run levels(Run run, SignalLevels levels) {
        return run.withSource(run.source().withLevels(levels));
    }

    private static Input copy(Input i, String device, String socket) {
        return new Input(
                device,
                socket,
                i.kind(),
                i.impedance(),
                i.socketCeiling(),
                i.gain(),
                i.ceiling(),
                i.equivalentInputNoise(),
                i.outputNoise());
    }

    private static <T> Field quantity(
            String label, String help, Quantity<T> quantity, Function<Run, T> get, BiFunction<Run, T, Run> set) {
        return new Field(
                label,
                help + ". For example " + quantity.example() + ".",
                run -> String.valueOf(get.apply(run)),
                (run, text) -> set.apply(run, quantity.read(text)));
    }

    private static String name(String text) {
        String name = text.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new UnreadableQuantity(
                    "A name has 1 to " + LONGEST_NAME + " letters.", name.isEmpty() ? "Write one." : "Shorten it.");
        }
        return name;
    }
}
