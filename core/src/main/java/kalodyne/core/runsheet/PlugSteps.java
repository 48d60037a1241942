package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.SignalKind;

/** Each lead with all its adapters in one step. What gives power when it is plugged belongs to the power. */
final class PlugSteps implements SheetPart {
    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        List<Link> links = rig.links();
        Map<Link, String> hubs = hubs(rig);
        hubs.forEach((link, hub) ->
                draft.add(step(rig, link, hub.isEmpty() ? "" : "Plug all that goes to " + rig.name(hub))));
        for (Link link : links) {
            if (link.isOf(SignalKind.EARTH)) {
                links.stream()
                        .filter(other -> !other.equals(link) && other.isAudio())
                        .filter(other -> other.devices().stream().anyMatch(link::touches))
                        .forEach(other -> draft.order(
                                link.id(),
                                other.id(),
                                Order.Strength.HABIT,
                                "Without the ground wire the first touch hums loudly."));
            }
            if (isOfEars(rig, link)) {
                draft.order(
                        isPlug(link).negate().and(Steps.does(Act.PLUG)).and(Steps.in(Section.PLUG)),
                        link.id(),
                        Order.Strength.HABIT,
                        "Ears come last.");
            }
            if (link.isAudio()) {
                link.devices().stream()
                        .filter(rig::isActive)
                        .forEach(
                                device -> draft.order(
                                        link.id(),
                                        PowerSteps.poweredBy(rig, device),
                                        Order.Strength.HABIT,
                                        "A plug that slides in touches the wrong contacts for a moment. Without power that does no harm."));
            }
            draft.order(
                    link.id(),
                    Steps.does(Act.SET_LEVEL, Act.TEST_TAKE, Act.TAKE),
                    Order.Strength.NEED,
                    "Only what is plugged can be heard.");
        }
    }

    /** All leads, those of one device together: of the device that has most of them first; ears last. */
    private static Map<Link, String> hubs(SheetRig rig) {
        Map<Link, String> hubs = new LinkedHashMap<>();
        List<Link> open = new ArrayList<>(rig.links());
        open.removeIf(link -> isOfEars(rig, link));
        while (!open.isEmpty()) {
            Map<String, Long> count = open.stream()
                    .flatMap(link -> link.devices().stream().distinct())
                    .collect(Collectors.groupingBy(id -> id, LinkedHashMap::new, Collectors.counting()));
            String hub = count.entrySet().stream()
                    .max(Map.Entry.<String, Long>comparingByValue())
                    .orElseThrow()
                    .getKey();
            boolean isOne = count.get(hub) < 2;
            List<Link> its =
                    open.stream().filter(link -> isOne || link.touches(hub)).toList();
            its.forEach(link -> hubs.put(link, isOne ? "" : hub));
            open.removeAll(its);
        }
        rig.links().forEach(link -> hubs.putIfAbsent(link, ""));
        return hubs;
    }

    private static Predicate<Step> isPlug(Link link) {
        return step -> step.id().equals(link.id());
    }

    private static boolean isOfEars(SheetRig rig, Link link) {
        return link.devices().stream().anyMatch(rig.worn()::contains);
    }

    /** The device that a link gives its power to, if it does. */
    static Optional<String> fed(SheetRig rig, Link link) {
        return link.devices().stream()
                .filter(id -> rig.feeding(id).filter(link::equals).isPresent())
                .findFirst();
    }

    private static Step step(SheetRig rig, Link link, String task) {
        Optional<String> fed = fed(rig, link);
        Step step = Step.of(
                        link.id(),
                        fed.isPresent() ? Section.POWER : Section.PLUG,
                        Act.PLUG,
                        link.leadWords() + ": " + link.endWords(),
                        reason(rig, link, fed))
                .with(how(rig, link, fed))
                .about(Stream.concat(link.devices().stream(), link.leads().stream())
                        .toList())
                .in(fed.isPresent() ? PowerSteps.IN_ORDER : task);
        Step told = fed.isPresent()
                ? step.noticing(Symptom.LAMP_BLINKS, Symptom.DOES_NOT_FIT)
                : step.noticing(Symptom.DOES_NOT_FIT);
        return rig.findings(link).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .findFirst()
                .map(worst -> told.with(new Caution(worst.severity(), worst.title()))
                        .with((told.detail() + remedy(worst)).strip()))
                .orElse(told);
    }

    private static String remedy(Finding finding) {
        return finding.remedy().map(remedy -> " " + remedy.words() + ".").orElse("");
    }

    private static String reason(SheetRig rig, Link link, Optional<String> fed) {
        if (fed.isPresent()) {
            return "This lead feeds " + rig.name(fed.get()) + ": plugging it is switching it on.";
        }
        if (link.isOf(SignalKind.EARTH)) {
            return "The ground wire takes the hum of the arm and motor away.";
        }
        if (link.isOf(SignalKind.MIDI)) {
            return "It carries notes and the clock, no sound.";
        }
        return link.isAudio()
                ? "The sound of " + rig.name(link.devices().get(0)) + " goes this way."
                : rig.name(link.devices().get(0)) + " and "
                        + link.devices().stream().skip(1).map(rig::name).collect(Collectors.joining(", "))
                        + " talk over it.";
    }

    private static String how(SheetRig rig, Link link, Optional<String> fed) {
        if (fed.isPresent()) {
            return "Into " + rig.name(fed.get()) + " first, then the other end. Wait until its lamp stays lit.";
        }
        String apart = signs(link);
        if (link.isPutTogether()) {
            return "Put lead and adapter together first, then into the gear: adapters strain sockets." + apart;
        }
        return isOfEars(rig, link) ? "Push it in all the way; not on the ears yet." + apart : apart.strip();
    }

    /** Which end goes where, of a lead whose ends are told apart by a sign or a colour. */
    private static String signs(Link link) {
        return link.signs().isEmpty() ? "" : " " + String.join(", ", link.signs()) + ".";
    }
}
