package kalodyne.core.studio.setup;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.Taper;
import kalodyne.core.gear.file.TaperMapping;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.levels.run.Aim;
import kalodyne.core.levels.run.Converter;
import kalodyne.core.levels.run.Input;
import kalodyne.core.levels.run.InputKind;
import kalodyne.core.levels.run.Run;
import kalodyne.core.levels.run.RunLead;
import kalodyne.core.levels.run.SignalLevels;
import kalodyne.core.levels.run.Source;
import kalodyne.core.route.Wish;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.takes.causes.Inquiry;
import kalodyne.core.units.Quantity;

/**
 * Turns JSON that has the form of a setup into a setup. Goes on after a problem, so that all of them are told at once;
 * what depends on a value that could not be read is null meanwhile and never leaves this class.
 */
public final class SetupMapping extends Mapping {
    public SetupMapping() {}

    /** A mapping of the setups in a larger file. */
    public SetupMapping(Mapping larger) {
        super(larger);
    }

    /** The setup; of no use if there are problems. */
    public Setup setup(JsonPlace root) {
        List<Run> runs = root.get("runs").items().stream().map(this::run).toList();
        Wiring wiring = wiring(root);
        Settings settings = settings(root);
        Optional<Wish> wish = wish(root);
        List<Take> takes = root.get("takes").items().stream().map(this::take).toList();
        SessionPlan sessionPlan = sessionPlan(root);
        List<Session> sessions =
                root.get("sittings").items().stream().map(this::session).toList();
        if (!problems().isEmpty()) {
            return Setup.empty();
        }
        requireOwnNames(root.get("runs"), runs);
        requireTheirRuns(root.get("takes"), runs, takes);
        requireOwn(root.get("sittings"), sessions);
        return build(
                root,
                () -> new Setup(
                        root.textOr("id", Setup.empty().id()),
                        root.text("name"),
                        runs,
                        wiring,
                        settings,
                        wish,
                        takes,
                        sessionPlan,
                        sessions));
    }

    private void requireOwnNames(JsonPlace place, List<Run> runs) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < runs.size(); i++) {
            if (!seen.add(runs.get(i).name())) {
                problem(
                        place.items().get(i).get("name"),
                        "Another run has this name.",
                        "Give each run a name of its own.");
            }
        }
    }

    private void requireTheirRuns(JsonPlace place, List<Run> runs, List<Take> takes) {
        Set<String> names = runs.stream().map(Run::name).collect(Collectors.toSet());
        Set<List<String>> seen = new HashSet<>();
        for (int i = 0; i < takes.size(); i++) {
            Take take = takes.get(i);
            JsonPlace here = place.items().get(i);
            // A run of what is plugged is known by its ends, whether or not it is plugged now.
            if (!names.contains(take.run()) && !take.isOfPlugged()) {
                problem(here.get("run"), "There is no run of this name.", "Name one of the runs above.");
            } else if (!seen.add(List.of(take.run(), take.name()))) {
                problem(here.get("name"), "Another take of this run has this name.", "Give it a name of its own.");
            }
        }
    }

    private void requireOwn(JsonPlace place, List<Session> sessions) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < sessions.size(); i++) {
            if (!seen.add(sessions.get(i).name())) {
                problem(
                        place.items().get(i).get("name"),
                        "Another session has this name.",
                        "Give it a name of its own.");
            }
        }
    }

    /** What is intended with it. */
    public SessionPlan sessionPlan(JsonPlace setup) {
        return new SheetMapping(this).sessionPlan(setup);
    }

    /** A time that its run sheet was gone through. */
    public Session session(JsonPlace place) {
        return new SheetMapping(this).session(place);
    }

    /** How the controls stand and should be set. */
    public Settings settings(JsonPlace setup) {
        return new SettingsMapping(this).settings(setup);
    }

    /** What was last looked for. */
    public Optional<Wish> wish(JsonPlace setup) {
        return new WishMapping(this).wish(setup);
    }

    /** What goes into what, and how switches stand. */
    public Wiring wiring(JsonPlace setup) {
        Set<Spot> seen = new HashSet<>();
        List<Switched> switches = setup.get("switches").items().stream()
                .map(place -> {
                    Spot control = build(place.get("switch"), () -> Spot.read(place.text("switch")));
                    if (!seen.add(control)) {
                        problem(place.get("switch"), "This switch stands in the list twice.", "Take one of them out.");
                    }
                    return new Switched(control, place.text("at"));
                })
                .toList();
        return new Wiring(plugged(setup.get("plugged")), switches);
    }

    private List<Plugging> plugged(JsonPlace list) {
        return list.items().stream()
                .map(place -> {
                    Spot plug = build(place.get("plug"), () -> Spot.read(place.text("plug")));
                    Spot socket = build(place.get("socket"), () -> Spot.read(place.text("socket")));
                    return new Plugging(plug, socket);
                })
                .toList();
    }

    public Run run(JsonPlace place) {
        Source source = source(place.get("source"));
        RunLead lead = lead(place.get("lead"));
        Input input = input(place.get("input"));
        Converter converter = converter(place.get("converter"));
        Aim aim = place.has("aim") ? aim(place.get("aim")) : Aim.EVEN;
        return build(
                place,
                () -> new Run(place.text("name"), source, lead, input, converter, aim),
                source,
                lead,
                input,
                converter,
                aim);
    }

    private Aim aim(JsonPlace place) {
        var low = quantity(place, "low", Quantity.DIGITAL_LEVEL);
        var high = quantity(place, "high", Quantity.DIGITAL_LEVEL);
        return build(place, () -> new Aim(low, high), low, high);
    }

    private Source source(JsonPlace place) {
        var peak = quantity(place, "loudestPeak", Quantity.LEVEL);
        var average = quantity(place, "average", Quantity.LEVEL);
        var floor = quantity(place, "floor", Quantity.LEVEL);
        var ceiling = quantity(place, "ceiling", Quantity.LEVEL);
        var impedance = quantity(place, "impedance", Quantity.IMPEDANCE);
        var levels = build(place, () -> new SignalLevels(peak, average, floor), peak, average, floor);
        var volume = place.has("volume") ? control(place.get("volume")) : null;
        return build(
                place,
                () -> new Source(
                        place.text("name"),
                        place.text("socket"),
                        levels,
                        ceiling,
                        impedance,
                        Optional.ofNullable(volume)),
                levels,
                ceiling,
                impedance);
    }

    private RunLead lead(JsonPlace place) {
        var length = quantity(place, "length", Quantity.LENGTH);
        var capacitance = quantity(place, "capacitance", Quantity.CAPACITANCE_PER_METRE);
        var resistance = quantity(place, "resistance", Quantity.IMPEDANCE);
        return build(
                place,
                () -> new RunLead(place.text("name"), place.text("plugs"), length, capacitance, resistance),
                length,
                capacitance,
                resistance);
    }

    private Input input(JsonPlace place) {
        var impedance = quantity(place, "impedance", Quantity.IMPEDANCE);
        var socketCeiling = place.has("socketCeiling") ? quantity(place, "socketCeiling", Quantity.LEVEL) : null;
        var gain = control(place.get("gain"));
        var ceiling = quantity(place, "ceiling", Quantity.LEVEL);
        var ein = quantity(place, "equivalentInputNoise", Quantity.LEVEL);
        var outputNoise = quantity(place, "outputNoise", Quantity.LEVEL);
        InputKind kind = Stream.of(InputKind.values())
                .filter(each -> each.word().equals(place.text("kind")))
                .findFirst()
                .orElseThrow();
        return build(
                place,
                () -> new Input(
                        place.text("device"),
                        place.text("socket"),
                        kind,
                        impedance,
                        Optional.ofNullable(socketCeiling),
                        gain,
                        ceiling,
                        ein,
                        outputNoise),
                impedance,
                gain,
                ceiling,
                ein,
                outputNoise);
    }

    private Converter converter(JsonPlace place) {
        var fullScale = quantity(place, "fullScale", Quantity.LEVEL);
        var noise = quantity(place, "noise", Quantity.DIGITAL_LEVEL);
        return build(
                place,
                () -> new Converter(
                        place.text("track"),
                        fullScale,
                        noise,
                        place.node().path("bits").asInt(),
                        place.node().path("sampleRateHz").asInt()),
                fullScale,
                noise);
    }

    private Control control(JsonPlace place) {
        TaperMapping tapers = new TaperMapping(this);
        Taper taper = tapers.taper(place.get("taper"));
        Dial dial = tapers.dial(place);
        JsonPlace position = place.get("position");
        return build(
                position,
                () -> {
                    Control lowest = new Control(place.text("name"), taper, dial, 0);
                    return lowest.at(
                            position.node().isNumber()
                                    ? position.node().asDouble()
                                    : lowest.read(position.node().asText()));
                },
                taper,
                dial);
    }

    /** A moment in time; null, and told, where it is none. */
    Instant moment(JsonPlace place) {
        try {
            return Instant.parse(place.node().asText());
        } catch (DateTimeParseException e) {
            problem(place, "This is not a moment in time.", "Write it as 2026-03-01T18:30:00Z.");
            return null;
        }
    }

    public Take take(JsonPlace place) {
        Instant at = moment(place.get("at"));
        Map<String, Double> positions = new LinkedHashMap<>();
        place.get("positions")
                .node()
                .properties()
                .forEach(field -> positions.put(field.getKey(), field.getValue().asDouble()));
        List<Inquiry.Tried> tried = place.get("tried").items().stream()
                .map(each -> new Inquiry.Tried(
                        each.text("test"), each.get("answer").node().asInt()))
                .toList();
        return build(
                place,
                () -> new Take(
                        place.text("name"),
                        place.text("run"),
                        place.text("file"),
                        at,
                        positions,
                        place.textOr("note", ""),
                        tried,
                        place.has("judged") ? Optional.of(judged(place.get("judged"))) : Optional.empty()),
                at);
    }

    private static FirstVerdict judged(JsonPlace place) {
        return new FirstVerdict(
                place.has("peakDbfs")
                        ? OptionalDouble.of(place.get("peakDbfs").node().asDouble())
                        : OptionalDouble.empty(),
                place.text("sentence"),
                place.get("faults").items().stream()
                        .map(each -> new FirstVerdict.Fault(
                                each.text("code"), Severity.of(each.text("severity")), each.text("title")))
                        .toList());
    }
}
