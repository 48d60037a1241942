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
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.Wish;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.takes.causes.Inquiry;

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
        requireTheirRuns(root.get("takes"), takes);
        requireOwn(root.get("sittings"), sessions);
        return build(
                root,
                () -> new Setup(
                        root.textOr("id", Setup.empty().id()),
                        root.text("name"),
                        wiring,
                        settings,
                        wish,
                        takes,
                        sessionPlan,
                        sessions));
    }

    private void requireTheirRuns(JsonPlace place, List<Take> takes) {
        Set<List<String>> seen = new HashSet<>();
        for (int i = 0; i < takes.size(); i++) {
            Take take = takes.get(i);
            JsonPlace here = place.items().get(i);
            // A run is known by its ends, whether or not it is plugged now.
            if (!take.isOfPlugged()) {
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
