package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.joint.Hum;
import kalodyne.core.joint.JointReading;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.Cure;

/** A joint as JSON, after docs/formats/joint.md. Other programs read it: fields are added, never changed. */
final class JointJson {
    private static final double MIDDLE_HERTZ = 1000;

    private JointJson() {}

    static ObjectNode of(Path file, JointCommand.Found joint) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", file.toString());
        node.put("setup", joint.setup().name());
        node.put("joint", joint.number());
        node.put("title", joint.checked().title());
        Patch patch = joint.checked().patch();
        ArrayNode plugged = node.putArray("plugged");
        patch.pluggings()
                .forEach(plugging -> plugged.addObject()
                        .put("plug", plugging.plug().write())
                        .put("socket", plugging.socket().write())
                        .put("readings", patch.readings(plugging).size()));
        ArrayNode frequencies = node.putArray("frequenciesHz");
        JointReading.TOLD.forEach(frequencies::add);
        ArrayNode signals = node.putArray("signals");
        ArrayNode atRest = node.putArray("atRest");
        joint.checked().reading().ifPresent(reading -> {
            reading.ways()
                    .forEach(
                            way -> signals.add(signal(way, joint.checked().hum().get(way.to()))));
            atRest(reading, atRest);
        });
        ArrayNode findings = node.putArray("findings");
        joint.checked().findings().forEach(finding -> findings.add(finding(finding)));
        ArrayNode cures = node.putArray("remedies");
        joint.cures().forEach(cure -> cures.add(cure(cure)));
        return node;
    }

    private static ObjectNode cure(Cure cure) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("kind", cure.kind().word());
        node.put("text", cure.words());
        ArrayNode left = node.putArray("leaves");
        cure.joints().stream()
                .flatMap(joint -> joint.findings().stream())
                .map(Finding::mark)
                .distinct()
                .forEach(left::add);
        return node;
    }

    private static ObjectNode signal(Transfer way, Hum hum) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("from", way.from().socket().write());
        node.put("fromChannel", way.from().channel().word());
        node.put("to", way.to().socket().write());
        node.put("toChannel", way.to().channel().word());
        ArrayNode levels = node.putArray("levelsDb");
        JointReading.TOLD.forEach(hertz -> {
            double db = way.gain(hertz).db();
            if (Double.isFinite(db)) {
                levels.add(Math.rint(db * 1e6) / 1e6);
            } else {
                levels.addNull();
            }
        });
        Output.put(node, "lossAt1kDb", 0.0 - way.gain(MIDDLE_HERTZ).db());
        Output.put(node, "lowCornerHz", way.lowCorner().orElse(Double.NaN));
        Output.put(node, "highCornerHz", way.highCorner().orElse(Double.NaN));
        Output.put(node, "resonanceHz", way.resonance().hertz());
        Output.put(node, "resonanceDb", way.resonance().above().db());
        Output.put(node, "humDbu", hum.likely().dbu());
        Output.put(node, "leastHumDbu", hum.least().dbu());
        Output.put(node, "mostHumDbu", hum.most().dbu());
        return node;
    }

    private static void atRest(JointReading reading, ArrayNode array) {
        reading.atRest()
                .forEach((spot, contacts) -> contacts.forEach((contact, direct) -> {
                    ObjectNode node =
                            array.addObject().put("socket", spot.write()).put("contact", contact.word());
                    Output.put(node, "volts", direct.volts());
                    Output.put(node, "milliamperes", direct.amperes() * 1e3);
                }));
    }

    static ObjectNode finding(Finding finding) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("code", finding.mark());
        node.put("severity", finding.severity().word());
        if (finding.place() instanceof Place.Plugged place) {
            node.put("place", place.item() + "." + place.part());
        }
        Output.putFinding(node, finding);
        return node;
    }
}
