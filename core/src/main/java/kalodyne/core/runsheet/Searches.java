package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.joint.rules.BusLoad;
import kalodyne.core.levels.Trace;
import kalodyne.core.runsheet.FaultSearch.Probe;

/** Which search leads on from a step where something else was noticed than should be. */
public final class Searches {
    private final SheetRig rig;

    /** Searches in a rig. */
    public Searches(SheetRig rig) {
        this.rig = rig;
    }

    /** The search for a symptom in a step. */
    public FaultSearch of(Step step, Symptom symptom) {
        return FaultSearch.of(
                symptom,
                switch (symptom) {
                    case NO_SIGNAL -> noSignal(step);
                    case ONE_SIDE -> oneSide();
                    case TOO_LOUD, TOO_QUIET -> level(step, symptom);
                    case HUM -> hum();
                    case HOWL -> howl();
                    case LAMP_BLINKS -> power(step);
                    case NOT_LISTED -> notListed(step);
                    case DOES_NOT_FIT -> fit(step);
                });
    }

    private Optional<Trace> trace(Step step) {
        return step.run()
                .flatMap(key -> rig.levels().trace(key))
                .or(() -> rig.recorded().stream().findFirst());
    }

    private List<Probe> noSignal(Step step) {
        return trace(step)
                .map(trace -> new SignalWay(rig, trace).probes())
                .orElseGet(() -> List.of(new Probe(
                        "Is every plug on the way pushed in all the way?",
                        "",
                        List.of("Push each in until it clicks.", "Try another lead of the same kind."))));
    }

    // --- sound -------------------------------------------------------------------------------------------------

    private List<Probe> oneSide() {
        List<Probe> probes = new ArrayList<>();
        List<String> computed = words(rig.joints().stream()
                .flatMap(joint -> joint.findings().stream())
                .filter(finding ->
                        finding.code().topic().equals("stereo") || finding.code() == FindingCode.BALANCED_HALF)
                .toList());
        if (!computed.isEmpty()) {
            probes.add(new Probe("Does the plan say that both sides arrive?", "it does not: see below", computed));
        }
        probes.add(new Probe(
                "Are all plugs pushed in all the way?",
                "a stereo plug that sits halfway gives one side",
                List.of("Push each in until it clicks.")));
        probes.add(new Probe(
                "Swap left and right at the source. Does the missing side stay where it was?",
                "then it is behind the swap",
                List.of("It moved: the lead or the output of the missing side is to blame. Try another lead.")));
        probes.add(new Probe(
                "Is every pan pot where it should be, and are both tracks armed?",
                "",
                List.of("Pan left to the left and right to the right.", "Arm both tracks, or one stereo track.")));
        return probes;
    }

    private List<Probe> level(Step step, Symptom symptom) {
        boolean isLoud = symptom == Symptom.TOO_LOUD;
        List<Probe> probes = new ArrayList<>();
        trace(step)
                .ifPresent(trace -> rig.levels().run(trace).advice().turns().stream()
                        .filter(turn -> !turn.stays())
                        .forEach(turn -> probes.add(new Probe(
                                "Does " + turn.present().words() + " stand at "
                                        + turn.advised().place() + "?",
                                "as advised",
                                List.of("Turn it to " + turn.advised().place() + ".")))));
        probes.add(new Probe(
                isLoud ? "Is every pad on that should be?" : "Is every pad off, and no plug only halfway in?",
                "",
                List.of(
                        isLoud
                                ? "Switch the pad on, or turn the source down."
                                : "Switch the pad off; push the plugs in.")));
        probes.add(new Probe(
                isLoud
                        ? "Is it played as loud as it will get, and not louder?"
                        : "Was it played as loud as it will get?",
                "the plan counts with the loudest part",
                List.of("Then the source is not as described: make a test take, and correct the gear from it.")));
        return probes;
    }

    private List<Probe> hum() {
        List<String> computed = words(rig.joints().stream()
                .flatMap(joint -> joint.findings().stream())
                .filter(finding -> finding.code().topic().equals("hum"))
                .toList());
        List<Probe> probes = new ArrayList<>();
        probes.add(new Probe(
                "Pull the plug out of the source and leave the lead in. Does it still hum?",
                "then the source and its supply are not to blame",
                Stream.concat(
                                computed.stream(),
                                Stream.of(
                                        "It stops: the source or its supply causes it. Run it on battery, or on the same outlet as the rest.",
                                        "Never defeat a safety earth to cure hum."))
                        .toList()));
        probes.add(new Probe(
                "Move the lead away from power supplies and screens. Does it hum as before?",
                "induction changes with the place, a ground loop does not",
                List.of("It changes: keep the lead there, or take a balanced one.")));
        probes.add(new Probe(
                "Is a test take with ten seconds of silence in the log?",
                "the Takes room tells which kind of hum it is",
                List.of("Make one: the Takes room finds the cause from it.")));
        return probes;
    }

    private List<Probe> howl() {
        return List.of(
                new Probe(
                        "Are the speakers muted while a microphone is open?",
                        "then nothing can howl",
                        List.of("Mute them at once, listen on headphones.")),
                new Probe(
                        "Is monitoring in the app off?",
                        "",
                        List.of("Switch it off; use direct monitoring on headphones.")),
                new Probe(
                        "Does the microphone point away from the speakers?",
                        "",
                        List.of("Turn it away, go closer to it, turn the speakers down.")));
    }

    // --- power and data ----------------------------------------------------------------------------------------

    private List<Probe> power(Step step) {
        List<Probe> probes = new ArrayList<>();
        List<Link> links = rig.links().stream()
                .filter(link ->
                        link.id().equals(step.id()) || link.devices().stream().anyMatch(step.gear()::contains))
                .filter(link -> link.feeders().findAny().isPresent())
                .toList();
        BusLoad.of(rig.patch()).stream()
                .filter(load -> links.stream().anyMatch(link -> link.sockets().contains(load.port())))
                .forEach(load -> probes.add(new Probe(
                        "Is " + rig.name(load.port().item()) + " itself on mains, or well charged?",
                        load.drawn() + " are drawn, its port gives " + load.most(),
                        List.of(
                                "A battery that runs low gives less than its port should: charge it.",
                                load.drawnAmperes() > load.mostAmperes()
                                        ? "The port gives too little: use a hub with its own supply, or a power bank."
                                        : "The numbers are enough: it is the lead or the port, not the plan."))));
        probes.add(new Probe(
                "Does another lead change nothing?",
                "thin, long leads lose too much voltage",
                words(findingsOf(links), "It does: the old lead is broken, or only charges. Mark it.")));
        probes.add(new Probe(
                "Does another port, or another outlet, change nothing?",
                "",
                List.of("It does: that port gives less than it should. Stay with the other one.")));
        return probes;
    }

    private List<Probe> notListed(Step step) {
        List<Link> links = rig.links().stream()
                .filter(link -> link.devices().stream().anyMatch(step.gear()::contains) && !link.isAudio())
                .toList();
        String leads = links.stream().map(Link::leadWords).collect(Collectors.joining(", "));
        return List.of(
                new Probe(
                        "Is its lamp lit, and does it stay lit?",
                        "without power it is in no list",
                        List.of("Find the power first: see “Its lamp blinks” at the step that switches it on.")),
                new Probe(
                        "Does " + (leads.isEmpty() ? "the lead" : leads) + " carry data?",
                        "leads that only charge look alike",
                        words(findingsOf(links), "Take another lead, one that is known to carry data.")),
                new Probe(
                        "Is it plugged in straight, without a hub between?",
                        "",
                        List.of("Try it straight; some hubs give no data while they charge.")),
                new Probe(
                        "Was the app started after it was plugged?",
                        "many apps look for devices once, when they start",
                        List.of("Close the app, wait ten seconds, start it again.")),
                new Probe(
                        "Is the app allowed to use the microphone?",
                        "",
                        List.of("Allow it in the system's privacy settings.")));
    }

    private List<Probe> fit(Step step) {
        String plugs = rig.links().stream()
                .filter(link -> link.id().equals(step.id()))
                .flatMap(link -> link.leads().stream())
                .map(mark -> rig.patch().leads().get(mark).name() + ": "
                        + rig.patch().leads().get(mark).words())
                .distinct()
                .collect(Collectors.joining("; "));
        return List.of(
                new Probe(
                        "Is it the lead that the step names?",
                        plugs,
                        List.of("Take the one that is named, or tell the Shelf room what this one is.")),
                new Probe(
                        "Is it the right end, and the right way round?",
                        "never force a plug: what does not go in with two fingers does not belong there",
                        List.of("Turn it round, or swap the ends.")),
                new Probe(
                        "Is the socket empty and straight?",
                        "",
                        List.of("A bent pin or a broken tip in it is for the bench; use another input.")));
    }

    // --- words -------------------------------------------------------------------------------------------------

    private List<Finding> findingsOf(List<Link> links) {
        return links.stream()
                .flatMap(link -> rig.findings(link).stream())
                .distinct()
                .toList();
    }

    /** What was computed, worst first, with what to do. */
    static List<String> words(List<Finding> findings, String... more) {
        return Stream.concat(
                        Finding.worstFirst(findings).stream()
                                .filter(finding -> finding.severity() != Severity.NOTE)
                                .map(finding -> finding.title() + ". " + finding.text()
                                        + finding.remedy()
                                                .map(Remedy::words)
                                                .map(words -> " " + words + ".")
                                                .orElse("")),
                        Stream.of(more))
                .distinct()
                .toList();
    }

    /** Whether a device waits for phantom power. */
    static boolean needsPhantom(SheetRig rig, String device) {
        return rig.device(device).sockets().stream().anyMatch(socket -> socket.has(PowerKind.PHANTOM, PowerRole.NEEDS));
    }
}
