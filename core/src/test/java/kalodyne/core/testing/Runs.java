package kalodyne.core.testing;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Problems;
import kalodyne.core.gear.AudioTaper;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.gear.Taper;
import kalodyne.core.gear.file.GearForms;
import kalodyne.core.gear.file.TaperForms;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.Advice;
import kalodyne.core.levels.Adviser;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.units.Gain;

/** Runs of one source, one lead and one input, as real gear that is plugged, whose numbers can be checked by hand. */
public final class Runs {
    public static final Spot VOLUME = Spot.read("synth.volume");
    public static final Spot GAIN = Spot.read("interface.gain");

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private Runs() {}

    /** Levels in dBu, open-circuit. */
    public record Source(
            double peak, double average, double floor, double ceiling, double ohms, Optional<Control> volume) {}

    /** Levels in dBu. */
    public record Input(
            SignalKind kind,
            double ohms,
            Optional<Double> socketCeiling,
            Control gain,
            double ceiling,
            double ein,
            double outputNoise) {
        public Input withNoise(double newEin) {
            return new Input(kind, ohms, socketCeiling, gain, ceiling, newEin, outputNoise);
        }
    }

    /** A run; 0 dBFS at so many dBu, the converter's noise in dBFS. */
    public record Run(
            Source source,
            double metres,
            double picofaradsPerMetre,
            Input input,
            double fullScale,
            double converterNoise,
            AimSchool aim) {
        public Run withSource(Source newSource) {
            return new Run(newSource, metres, picofaradsPerMetre, input, fullScale, converterNoise, aim);
        }

        public Run withInput(Input newInput) {
            return new Run(source, metres, picofaradsPerMetre, newInput, fullScale, converterNoise, aim);
        }

        public Run withFullScale(double newFullScale) {
            return new Run(source, metres, picofaradsPerMetre, input, newFullScale, converterNoise, aim);
        }

        public Run turned(Map<Spot, Double> positions) {
            Optional<Control> volume =
                    source.volume().map(each -> each.at(positions.getOrDefault(VOLUME, each.position())));
            Control gain =
                    input.gain().at(positions.getOrDefault(GAIN, input.gain().position()));
            return withSource(new Source(
                            source.peak(), source.average(), source.floor(), source.ceiling(), source.ohms(), volume))
                    .withInput(new Input(
                            input.kind(),
                            input.ohms(),
                            input.socketCeiling(),
                            gain,
                            input.ceiling(),
                            input.ein(),
                            input.outputNoise()));
        }

        public Patch patch() {
            return new Patch(
                    Map.of("synth", synth(source, input.kind()), "interface", recorder(this)),
                    Map.of("lead-7", lead(metres, picofaradsPerMetre)),
                    List.of(
                            new Plugging(new Spot("lead-7", "a"), new Spot("synth", "out")),
                            new Plugging(new Spot("lead-7", "b"), new Spot("interface", "in"))));
        }

        public Settings settings() {
            Map<Spot, Double> positions = new HashMap<>();
            positions.put(GAIN, input.gain().position());
            source.volume().ifPresent(volume -> positions.put(VOLUME, volume.position()));
            return Settings.NONE.turned(positions).with(aim);
        }

        /** A studio of nothing else. */
        public Studio studio() {
            Setup setup = Setup.bare("setup-1", "All")
                    .withWiring(new Wiring(patch().pluggings(), List.of()))
                    .withSettings(settings());
            return new Studio(
                    "Any",
                    List.copyOf(patch().devices().values()),
                    List.copyOf(patch().leads().values()),
                    List.of(setup));
        }

        public LevelPlan plan() {
            SetupLevels levels = SetupLevels.of(JointRules.check(patch()), patch(), settings());
            return levels.plan(levels.traces().get(0));
        }

        public Advice advice() {
            return Adviser.advise(plan(), Wanted.USUAL);
        }
    }

    /** +6 dBu at most from next to nothing into 10 kΩ, no loss; gain −8…+32 dB at 12:00 (+12 dB); 0 dBFS is +20 dBu. */
    public static Run plain() {
        return new Run(
                source(6, -6, -80, 18, 0, Optional.of(knob("volume", new AudioTaper(Gain.NONE), 1))),
                3,
                100,
                input(SignalKind.LINE, 10_000, Optional.of(22.0), knob("gain", linear(-8, 32), 0.5), 24),
                20,
                -110,
                AimSchool.EVEN);
    }

    public static Source source(
            double peak, double average, double floor, double ceiling, double ohms, Optional<Control> volume) {
        return new Source(peak, average, floor, ceiling, ohms, volume);
    }

    public static Input input(
            SignalKind kind, double ohms, Optional<Double> socketCeiling, Control gain, double ceiling) {
        return new Input(kind, ohms, socketCeiling, gain, ceiling, -106, -94);
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
                source(
                        peak,
                        average,
                        average - between(random, 20, 80),
                        between(random, 0, 26),
                        between(random, 0, 20_000),
                        volume),
                between(random, 0, 20),
                between(random, 30, 300),
                input(
                        List.of(SignalKind.LINE, SignalKind.INSTRUMENT, SignalKind.MIC)
                                .get(random.nextInt(3)),
                        between(random, 600, 1e6),
                        random.nextBoolean() ? Optional.of(between(random, 0, 26)) : Optional.empty(),
                        knob("gain", gain, random.nextDouble()),
                        between(random, 4, 30)),
                between(random, 0, 24),
                -105,
                random.nextBoolean() ? AimSchool.EVEN : AimSchool.UNEVEN);
    }

    private static double between(Random random, double low, double high) {
        return low + random.nextDouble() * (high - low);
    }

    // --- as gear -----------------------------------------------------------------------------------------------

    private static Device synth(Source source, SignalKind signal) {
        ObjectNode device = device("synth", "Synth", "synth");
        ObjectNode values = socket(device, "out", "line out", "out", signal);
        value(values, "sourceImpedance", source.ohms(), "Ω");
        value(values, "loudestPeak", source.peak(), "dBu");
        value(values, "averageLevel", source.average(), "dBu");
        value(values, "ownNoise", source.floor(), "dBu");
        value(values, "maximumLevel", source.ceiling(), "dBu");
        source.volume().ifPresent(volume -> control(device, "volume", volume));
        return read(device);
    }

    private static Device recorder(Run run) {
        Input input = run.input();
        ObjectNode device = device("interface", "Interface", "recorder");
        device.putArray("bitDepths").add(24);
        device.putArray("sampleRatesHz").add(48_000);
        ObjectNode values = socket(device, "in", "socket 3", "in", input.kind());
        value(values, "loadImpedance", input.ohms(), "Ω");
        input.socketCeiling().ifPresent(ceiling -> value(values, "maximumLevel", ceiling, "dBu"));
        control(device, "gain", input.gain());
        ObjectNode preamp = stage(device, "pre", "preamp", "amplifier", "in");
        preamp.putArray("controls").add("gain");
        ObjectNode gained = preamp.putObject("values");
        value(gained, "equivalentInputNoise", input.ein(), "dBu");
        value(gained, "outputNoise", input.outputNoise(), "dBu");
        value(gained, "ceiling", input.ceiling(), "dBu");
        ObjectNode converted =
                stage(device, "adc", "converter", "to digital", "pre").putObject("values");
        value(converted, "fullScale", run.fullScale(), "dBu");
        value(converted, "converterNoise", run.converterNoise(), "dBFS");
        return read(device);
    }

    private static Lead lead(double metres, double picofaradsPerMetre) {
        ObjectNode lead =
                NODES.objectNode().put("id", "lead-7").put("name", "Lead 7").put("kind", "lead");
        ObjectNode values = lead.putObject("values");
        value(values, "length", metres, "m");
        value(values, "capacitancePerMetre", picofaradsPerMetre, "pF/m");
        value(values, "coreResistancePerMetre", 0, "Ω/m");
        value(values, "shieldResistancePerMetre", 0, "Ω/m");
        ArrayNode ends = lead.putArray("ends");
        ends.addObject().put("id", "a").put("connector", "6.35 mm two-pole");
        ends.addObject().put("id", "b").put("connector", "6.35 mm two-pole");
        ArrayNode wires = lead.putArray("wires");
        wires.addObject().put("from", "a.T").put("to", "b.T");
        wires.addObject().put("from", "a.S").put("to", "b.S").put("conductor", "shield");
        return read(new GearForms().lead(), lead);
    }

    private static Device read(ObjectNode device) {
        return read(new GearForms().device(), device);
    }

    private static <T> T read(JsonForm<T> form, ObjectNode node) {
        Problems problems = new Problems();
        return form.read(new JsonPlace(node), problems)
                .orElseThrow(() -> new IllegalArgumentException(problems.all().toString()));
    }

    private static ObjectNode device(String id, String name, String kind) {
        return NODES.objectNode().put("id", id).put("name", name).put("kind", kind);
    }

    private static ObjectNode socket(ObjectNode device, String id, String name, String way, SignalKind signal) {
        ObjectNode socket = device.withArray("sockets")
                .addObject()
                .put("id", id)
                .put("name", name)
                .put("connector", "6.35 mm two-pole")
                .put("way", way)
                .put("signal", signal.word())
                .put("balance", "unbalanced");
        socket.putObject("contacts").put("T", "signal").put("S", "common");
        return socket.putObject("values");
    }

    private static void control(ObjectNode device, String id, Control control) {
        ObjectNode node = device.withArray("controls")
                .addObject()
                .put("id", id)
                .put("name", control.name())
                .put("kind", id);
        node.set("taper", TaperForms.TAPER.write(control.taper()));
    }

    private static ObjectNode stage(ObjectNode device, String id, String name, String kind, String from) {
        ObjectNode stage = device.withArray("stages")
                .addObject()
                .put("id", id)
                .put("name", name)
                .put("kind", kind);
        stage.putArray("from").add(from);
        return stage;
    }

    private static void value(ObjectNode values, String fact, double is, String unit) {
        values.putObject(fact)
                .put("is", BigDecimal.valueOf(is).toPlainString() + " " + unit)
                .put("from", "datasheet")
                // Its gain is a gain as such: what the socket takes says nothing of full scale.
                .put("source", Provenance.DESCRIBED);
    }
}
