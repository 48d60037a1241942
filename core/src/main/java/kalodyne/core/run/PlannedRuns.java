package kalodyne.core.run;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Usual;
import kalodyne.core.route.Planner;
import kalodyne.core.route.Way;
import kalodyne.core.units.Capacitance;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Length;
import kalodyne.core.units.Level;

/**
 * The runs of a way that was planned, one for each source that comes as a voltage; their levels are set in the Levels room. What
 * the gear does not tell is common practice.
 */
public final class PlannedRuns {
    private static final Set<ControlKind> VOLUMES =
            EnumSet.of(ControlKind.VOLUME, ControlKind.LEVEL, ControlKind.FADER);
    private static final Set<ControlKind> GAINS = EnumSet.of(ControlKind.GAIN, ControlKind.TRIM, ControlKind.LEVEL);

    private static final Gain USUAL_CREST = new Gain(-12);
    private static final Level USUAL_CEILING = new Level(18);
    private static final Level USUAL_MIC_NOISE = new Level(-125);
    private static final Level USUAL_LINE_NOISE = new Level(-100);
    private static final Level USUAL_OUTPUT_NOISE = new Level(-94);
    private static final DigitalLevel USUAL_CONVERTER_NOISE = new DigitalLevel(-95);
    private static final Capacitance USUAL_PER_METRE = new Capacitance(100e-12);
    private static final double USUAL_OHMS_PER_METRE = 0.1;
    private static final int USUAL_BITS = 24;
    private static final int USUAL_RATE = 48_000;

    private final Map<String, Device> devices;
    private final Map<String, Lead> leads;

    private PlannedRuns(Way way) {
        devices = way.patch().devices();
        leads = way.patch().leads();
    }

    /** In the order of the sources. */
    public static List<Run> of(Way way) {
        PlannedRuns runs = new PlannedRuns(way);
        return way.strands().stream()
                .flatMap(strand -> strand.entry().map(entry -> runs.run(strand, entry)).stream())
                .toList();
    }

    private Run run(Way.Strand strand, Way.Entry entry) {
        String played = devices.get(strand.stations().get(0)).name();
        String track = track(strand);
        return new Run(
                shortened(played + " → " + track),
                source(entry),
                lead(entry.leads()),
                input(entry.in()),
                converter(entry.in(), track),
                Aim.EVEN);
    }

    private static String track(Way.Strand strand) {
        List<Integer> channels = strand.track().channels();
        return channels.isEmpty()
                ? shortened(strand.track().words())
                : channels.size() == 1
                        ? "track " + channels.get(0)
                        : "tracks " + channels.get(0) + "–" + channels.get(channels.size() - 1);
    }

    private static String shortened(String name) {
        return name.length() <= 100 ? name : name.substring(0, 99) + "…";
    }

    // --- source ------------------------------------------------------------------------------------------------

    private Source source(Way.Entry entry) {
        Device device = devices.get(entry.out().item());
        Socket socket = device.socket(entry.out().part()).orElseThrow();
        Facts facts = socket.facts();
        Level peak = entry.peak();
        Level average = least(facts.quantity(Fact.AVERAGE_LEVEL).orElse(peak.plus(USUAL_CREST)), peak);
        Level ceiling = most(facts.quantity(Fact.MAXIMUM_LEVEL).orElse(USUAL_CEILING), peak);
        return new Source(
                device.name(),
                socket.name(),
                new SignalLevels(peak, average, least(entry.noise(), average)),
                ceiling,
                new Impedance(Usual.sourceOhms(device, socket)),
                device.controls().stream()
                        .filter(control -> VOLUMES.contains(control.kind()))
                        .filter(control -> control.taper().isPresent())
                        .filter(control -> device.stages().isEmpty())
                        .findFirst()
                        .map(control -> at(control, Gain.NONE)));
    }

    /** As near to a gain as it comes from below. */
    private static Control at(DeviceControl control, Gain gain) {
        return new Control(
                control.name(),
                control.taper().orElseThrow(),
                control.dial(),
                control.taper().orElseThrow().positionAtMost(gain));
    }

    private static Level least(Level one, Level other) {
        return one.compareTo(other) <= 0 ? one : other;
    }

    private static Level most(Level one, Level other) {
        return one.compareTo(other) >= 0 ? one : other;
    }

    // --- lead --------------------------------------------------------------------------------------------------

    private RunLead lead(List<String> marks) {
        List<Lead> all = marks.stream().map(leads::get).toList();
        if (all.isEmpty()) {
            return new RunLead(
                    "Plugged straight in",
                    "no lead",
                    new Length(0),
                    USUAL_PER_METRE,
                    new Impedance(USUAL_OHMS_PER_METRE));
        }
        double metres = all.stream().mapToDouble(Lead::metres).sum();
        double farads = all.stream()
                .mapToDouble(lead -> lead.metres()
                        * lead.facts()
                                .quantity(Fact.CAPACITANCE_PER_METRE)
                                .orElse(USUAL_PER_METRE)
                                .farads())
                .sum();
        double ohms = all.stream().mapToDouble(PlannedRuns::ohms).sum();
        return new RunLead(
                shortened(all.stream().map(Lead::name).distinct().collect(Collectors.joining(", "))),
                plugs(all.get(0)),
                new Length(metres),
                metres > 0 ? new Capacitance(farads / metres) : USUAL_PER_METRE,
                new Impedance(ohms));
    }

    private static double ohms(Lead lead) {
        double each = Stream.of(Fact.CORE_RESISTANCE, Fact.SHIELD_RESISTANCE)
                .mapToDouble(
                        fact -> lead.facts().quantity(fact).map(Impedance::ohms).orElse(USUAL_OHMS_PER_METRE / 2))
                .sum();
        return lead.metres() * each;
    }

    private static String plugs(Lead lead) {
        return lead.ends().stream().map(end -> word(end.connector())).limit(2).collect(Collectors.joining(" to "));
    }

    private static String word(Connector connector) {
        return switch (connector) {
            case JACK_635_TS -> "TS";
            case JACK_635_TRS -> "TRS";
            case XLR -> "XLR";
            default -> connector.word();
        };
    }

    // --- input and converter -----------------------------------------------------------------------------------

    private Input input(Spot spot) {
        Device device = devices.get(spot.item());
        Socket socket = device.socket(spot.part()).orElseThrow();
        InputKind kind = kind(socket.signal());
        List<Stage> stages = stages(device, spot.part());
        Level ceiling = stages.stream()
                .flatMap(stage -> stage.facts().quantity(Fact.STAGE_CEILING).stream())
                .findFirst()
                .orElse(fullScale(stages));
        return new Input(
                device.name(),
                socket.name(),
                kind,
                new Impedance(Usual.loadOhms(device, socket)),
                socket.facts().quantity(Fact.MAXIMUM_LEVEL),
                gain(device, stages),
                ceiling,
                first(stages, Fact.INPUT_NOISE).orElse(kind == InputKind.LINE ? USUAL_LINE_NOISE : USUAL_MIC_NOISE),
                first(stages, Fact.OUTPUT_NOISE).orElse(USUAL_OUTPUT_NOISE));
    }

    private static InputKind kind(SignalKind signal) {
        return switch (signal) {
            case LINE, HEADPHONE -> InputKind.LINE;
            case INSTRUMENT -> InputKind.INSTRUMENT;
            default -> InputKind.MIC;
        };
    }

    private static Optional<Level> first(List<Stage> stages, Fact<Level> fact) {
        return stages.stream()
                .flatMap(stage -> stage.facts().quantity(fact).stream())
                .findFirst();
    }

    /** The control that sets the level of an input, fully down: one works up from there. */
    private static Control gain(Device device, List<Stage> stages) {
        return device.controls().stream()
                .filter(control -> GAINS.contains(control.kind()))
                .filter(control -> control.taper().isPresent())
                .filter(control ->
                        stages.stream().anyMatch(stage -> stage.controls().contains(control.id())))
                .findFirst()
                .map(control -> new Control(control.name(), control.taper().orElseThrow(), control.dial(), 0))
                .orElse(new Control("input level, fixed", new LinearTaper(Gain.NONE, new Gain(0.1)), Dial.USUAL, 0));
    }

    /** From a socket on, up to the first converter. */
    private static List<Stage> stages(Device device, String socket) {
        return Planner.recording(device, socket);
    }

    private static Level fullScale(List<Stage> stages) {
        return first(stages, Fact.FULL_SCALE).orElse(USUAL_CEILING);
    }

    private Converter converter(Spot in, String track) {
        Device device = devices.get(in.item());
        List<Stage> stages = stages(device, in.part());
        DigitalLevel noise = stages.stream()
                .filter(stage -> stage.kind() == StageKind.TO_DIGITAL)
                .flatMap(stage -> stage.facts().quantity(Fact.CONVERTER_NOISE).stream())
                .findFirst()
                .orElse(USUAL_CONVERTER_NOISE);
        int bits = device.bitDepths().stream()
                .filter(each -> each <= 32)
                .max(Integer::compare)
                .orElse(USUAL_BITS);
        int rate = device.sampleRatesHz().contains(USUAL_RATE)
                ? USUAL_RATE
                : device.sampleRatesHz().stream().findFirst().orElse(USUAL_RATE);
        return new Converter(track, fullScale(stages), noise, bits, rate);
    }
}
