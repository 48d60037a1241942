package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Station;
import kalodyne.core.levels.Trace;
import kalodyne.core.runsheet.FaultSearch.Probe;

/** Where a signal is lost on its way: from the source onward, station by station, with what the model expects at each. */
final class SignalWay {
    private final SheetRig rig;
    private final Trace trace;
    private final LevelPlan plan;

    SignalWay(SheetRig rig, Trace trace) {
        this.rig = rig;
        this.trace = trace;
        this.plan = rig.levels().plan(trace);
    }

    List<Probe> probes() {
        List<Probe> probes = new ArrayList<>();
        String source = rig.source(trace);
        probes.add(source(source));
        String before = source;
        for (Station station : trace.stations()) {
            Optional<String> mark = trace.marks().get(station.index());
            if (mark.isPresent() && !mark.get().equals(before)) {
                probes.add(device(before, mark.get(), station));
                before = mark.get();
            }
        }
        probes.add(plan.isRecorded() ? recorder() : ears(before));
        return probes;
    }

    private Probe source(String id) {
        List<String> causes = new ArrayList<>();
        if (rig.isActive(id)) {
            causes.add("Switch it on; look at its battery or its adapter.");
        }
        if (Searches.needsPhantom(rig, id)) {
            causes.add("It needs phantom power: switch 48 V on at its input, wait ten seconds.");
        }
        causes.addAll(knobs(id));
        causes.add("Look for a switch on it that mutes it.");
        return new Probe(
                rig.isActive(id)
                        ? "Is " + rig.name(id) + " on, turned up and playing?"
                        : "Is " + rig.name(id) + " played, and its own volume up?",
                "it gives about " + plan.stages().get(0).peak() + " in the loudest part",
                causes);
    }

    private Probe device(String from, String to, Station station) {
        List<String> causes = new ArrayList<>();
        Optional<Link> link = rig.links().stream()
                .filter(each -> each.touches(from) && each.touches(to) && each.isAudio())
                .findFirst();
        link.ifPresent(each -> {
            causes.addAll(Searches.words(rig.findings(each)));
            causes.add("Push both ends of " + each.leadWords() + " in until they click: " + each.endWords() + ".");
            spare(each).ifPresent(lead -> causes.add("Swap it with " + lead.name() + ", which has the same plugs."));
        });
        causes.addAll(knobs(from));
        causes.addAll(knobs(to));
        rig.device(to).controls().stream()
                .filter(control -> control.kind() == ControlKind.MUTE)
                .forEach(control -> causes.add("See that " + control.name() + " on " + rig.name(to) + " is off."));
        if (rig.isActive(to)) {
            causes.add("See that " + rig.name(to) + " is on.");
        }
        return new Probe(
                "Play. Does the lamp or meter of " + rig.name(to) + " move, at " + entry(link, to, station) + "?",
                "about " + plan.entering(station.index()).peak() + " arrive there",
                causes);
    }

    private String entry(Optional<Link> link, String to, Station station) {
        return link.flatMap(each -> each.sockets().stream()
                        .filter(spot -> spot.item().equals(to))
                        .map(spot -> rig.patch().socket(spot).orElseThrow().name())
                        .findFirst())
                .orElse(station.name());
    }

    /** Another lead of this rig with the same plugs. */
    private Optional<Lead> spare(Link link) {
        return link.leads().stream()
                .findFirst()
                .map(mark -> rig.patch().leads().get(mark))
                .flatMap(lead -> rig.patch().leads().entrySet().stream()
                        .filter(entry -> !link.leads().contains(entry.getKey()))
                        .map(Map.Entry::getValue)
                        .filter(other -> plugs(other).equals(plugs(lead))
                                && !other.name().equals(lead.name()))
                        .findFirst());
    }

    private static List<String> plugs(Lead lead) {
        return lead.ends().stream().map(LeadEnd::words).sorted().toList();
    }

    /** The knobs of a device in this line that stand lower than they should. */
    private List<String> knobs(String device) {
        return rig.levels().run(trace).advice().turns().stream()
                .filter(turn -> !turn.stays() && turn.present().owner().equals(rig.name(device)))
                .filter(turn -> turn.present().isMissed()
                        || turn.advised().gain().compareTo(turn.present().gain()) > 0)
                .map(turn -> "Turn " + turn.present().words() + " up to "
                        + turn.advised().place() + ".")
                .toList();
    }

    private Probe recorder() {
        return new Probe(
                "Does the meter of " + plan.end().name() + " in the recorder move?",
                "about " + plan.onScale(plan.endPeak()),
                List.of(
                        "Choose " + rig.name(rig.last(trace)) + " as the input device of the system and of the app.",
                        "Choose " + plan.end().name().replace("track", "channel")
                                + " as the input of the track, and arm it.",
                        "Allow the app the microphone.",
                        "A lead that only charges carries no sound: take one with data wires."));
    }

    private Probe ears(String last) {
        return new Probe(
                "Is it heard on " + rig.name(last) + " now?",
                "",
                List.of(
                        "Turn its level up slowly.",
                        "Look at the output that is chosen in the system and in the app."));
    }
}
