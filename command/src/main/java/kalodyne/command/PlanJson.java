package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.List;
import kalodyne.core.files.json.Words;
import kalodyne.core.findings.Finding;
import kalodyne.core.joint.Plugging;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.route.Missing;
import kalodyne.core.route.Obvious;
import kalodyne.core.route.PlaceChange;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Software;
import kalodyne.core.route.Way;
import kalodyne.core.route.WayFact;
import kalodyne.core.route.WayWords;
import kalodyne.core.route.Wish;

/** A plan as JSON, after docs/formats/plan.md. Other programs read it: fields are added, never changed. */
final class PlanJson {
    private PlanJson() {}

    static ObjectNode of(Path file, Wish wish, Plan plan) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", file.toString());
        node.put("jointsComputed", plan.looked());
        node.put("impossible", plan.impossible().orElse(null));
        ArrayNode ways = node.putArray("ways");
        plan.ways().forEach(way -> ways.add(way(wish, way, plan.ways())));
        ArrayNode dropped = node.putArray("dropped");
        plan.dropped()
                .forEach(each -> dropped.addObject().put("way", each.words()).put("reason", each.reason()));
        return node;
    }

    static ObjectNode of(Path file, List<Obvious> obvious) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", file.toString());
        ArrayNode all = node.putArray("obvious");
        for (Obvious each : obvious) {
            ObjectNode one = all.addObject().put("words", each.words());
            missing(one, each.missing());
            plugged(one, each.patch().map(patch -> patch.pluggings()).orElse(List.of()));
            findings(
                    one,
                    each.joints().stream()
                            .flatMap(joint -> joint.findings().stream())
                            .toList());
        }
        return node;
    }

    private static ObjectNode way(Wish wish, Way way, List<Way> all) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("title", way.title());
        Output.put(node, "score", way.score());
        ArrayNode strands = node.putArray("strands");
        way.strands().forEach(strand -> strands.add(strand(strand)));
        node.put("monitoring", way.monitoring().words());
        Output.put(node, "monitoringDelayMs", way.monitoring().delayMilliseconds());
        ArrayNode sideTasks = node.putArray("asides");
        way.sideTasks()
                .forEach(sideTask -> sideTasks
                        .addObject()
                        .put("of", sideTask.of().word())
                        .put("words", sideTask.words())
                        .put("done", sideTask.isDone()));
        missing(node, way.missing());
        plugged(node, way.patch().pluggings());
        findings(node, way.findings());
        ArrayNode knobs = node.putArray("knobs");
        way.turns().forEach(turn -> knobs.add(knob(turn.advised())));
        ArrayNode reasons = node.putArray("reasons");
        way.reasons().forEach(reason -> reasons.add(reason.words()));
        node.put("place", WayWords.place(way, all));
        ArrayNode changes = node.putArray("placeChanges");
        PlaceChange.of(way, all, wish).forEach(changes::add);
        ArrayNode points = node.putArray("points");
        PlaceChange.points(way, wish).forEach(points::add);
        ObjectNode facts = node.putObject("facts");
        for (WayFact fact : WayFact.values()) {
            facts.put(Words.name(fact), fact.of(way));
        }
        ArrayNode software = node.putArray("software");
        Software.of(wish, way).forEach(software::add);
        return node;
    }

    /** Where a control should stand, as the levels of the same rig advise it. */
    private static ObjectNode knob(Knob knob) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("control", knob.id().write());
        node.put("name", knob.control().name());
        node.put("device", knob.owner());
        Output.put(node, "position", knob.control().position());
        node.put("clock", knob.control().clock());
        Output.put(node, "gainDb", knob.gain().db());
        return node;
    }

    private static void missing(ObjectNode node, List<Missing> all) {
        ArrayNode missing = node.putArray("missing");
        for (Missing each : all) {
            ObjectNode thing = missing.addObject()
                    .put("id", each.id())
                    .put("what", each.words())
                    .put("priceClass", each.price().name());
            each.ownPrice().ifPresent(price -> thing.put("price", price));
        }
    }

    private static void plugged(ObjectNode node, List<Plugging> all) {
        ArrayNode plugged = node.putArray("plugged");
        all.forEach(plugging -> plugged.addObject()
                .put("plug", plugging.plug().write())
                .put("socket", plugging.socket().write()));
    }

    private static void findings(ObjectNode node, List<Finding> all) {
        ArrayNode findings = node.putArray("findings");
        all.forEach(finding -> findings.addObject()
                .put("code", finding.mark())
                .put("severity", finding.severity().word())
                .put("title", finding.title())
                .put("text", finding.text()));
    }

    private static ObjectNode strand(Way.Strand strand) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        ArrayNode stations = node.putArray("stations");
        strand.stations().forEach(stations::add);
        ArrayNode leads = node.putArray("leads");
        strand.leads().forEach(each -> {
            ArrayNode between = leads.addArray();
            each.forEach(between::add);
        });
        node.put("channels", strand.channels());
        node.put("breaks", strand.breaks());
        node.put("track", strand.track().words());
        ArrayNode numbers = node.putArray("channelNumbers");
        strand.track().channels().forEach(numbers::add);
        Output.put(
                node,
                "peakDbfs",
                strand.prediction().map(each -> each.peak().dbfs()).orElse(Double.NaN));
        Output.put(
                node,
                "noiseDbfs",
                strand.prediction().map(each -> each.noise().dbfs()).orElse(Double.NaN));
        return node;
    }
}
