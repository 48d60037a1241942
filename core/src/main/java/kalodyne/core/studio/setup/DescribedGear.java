package kalodyne.core.studio.setup;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Provenance;

/** Parts of gear in JSON, from what a run without gear says of them. */
final class DescribedGear {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private DescribedGear() {}

    /** An output with what a run says of its source. */
    static ObjectNode output(JsonNode run, int number) {
        JsonNode source = run.path("source");
        ObjectNode socket = socket(run, "out-" + number, source.path("socket").asText(), "out");
        ObjectNode values = socket.putObject("values");
        value(values, "sourceImpedance", source.path("impedance"));
        value(values, "maximumLevel", source.path("ceiling"));
        value(values, "loudestPeak", source.path("loudestPeak"));
        value(values, "averageLevel", source.path("average"));
        value(values, "ownNoise", source.path("floor"));
        return socket;
    }

    /** Gives a device an input, with its gain and its track, with what a run says of it. */
    static void input(ObjectNode device, JsonNode run, int number) {
        JsonNode input = run.path("input");
        JsonNode converter = run.path("converter");
        ObjectNode socket = socket(run, "in-" + number, input.path("socket").asText(), "in");
        ObjectNode values = socket.putObject("values");
        value(values, "loadImpedance", input.path("impedance"));
        value(values, "maximumLevel", input.path("socketCeiling"));
        device.withArray("sockets").add(socket);
        device.withArray("controls").add(control(input.path("gain"), "gain-" + number, "gain"));
        ObjectNode preamp = device.withArray("stages")
                .addObject()
                .put("id", "pre-" + number)
                .put("name", "preamp of " + input.path("socket").asText())
                .put("kind", "amplifier");
        preamp.putArray("from").add("in-" + number);
        preamp.putArray("controls").add("gain-" + number);
        ObjectNode gained = preamp.putObject("values");
        value(gained, "equivalentInputNoise", input.path("equivalentInputNoise"));
        value(gained, "outputNoise", input.path("outputNoise"));
        value(gained, "ceiling", input.path("ceiling"));
        ObjectNode track = device.withArray("stages")
                .addObject()
                .put("id", "adc-" + number)
                .put("name", converter.path("track").asText())
                .put("kind", "to digital");
        track.putArray("from").add("pre-" + number);
        ObjectNode converted = track.putObject("values");
        value(converted, "fullScale", converter.path("fullScale"));
        value(converted, "converterNoise", converter.path("noise"));
    }

    private static ObjectNode socket(JsonNode run, String id, String name, String way) {
        boolean isMic = isMic(run);
        ObjectNode socket = NODES.objectNode()
                .put("id", id)
                .put("name", name)
                .put("connector", isMic ? "XLR three-pin" : "6.35 mm two-pole")
                .put("form", isMic && way.equals("out") ? "plug" : "socket")
                .put("way", way)
                .put("signal", run.path("input").path("kind").asText())
                .put("balance", isMic ? "balanced" : "unbalanced");
        ObjectNode contacts = socket.putObject("contacts");
        if (isMic) {
            contacts.put("1", "shield").put("2", "hot").put("3", "cold");
        } else {
            contacts.put("T", "signal").put("S", "common");
        }
        return socket;
    }

    /** Whether a run comes from a microphone. */
    static boolean isMic(JsonNode run) {
        return run.path("input").path("kind").asText().equals("mic");
    }

    static ObjectNode control(JsonNode described, String id, String kind) {
        ObjectNode control = NODES.objectNode()
                .put("id", id)
                .put("name", described.path("name").asText())
                .put("kind", kind);
        control.set("taper", described.path("taper"));
        if (described.has("dial")) {
            control.set("dial", described.path("dial"));
        }
        return control;
    }

    static ObjectNode lead(JsonNode described, boolean isMic, String id, String name, Optional<String> perMetre) {
        ObjectNode lead = NODES.objectNode()
                .put("id", id)
                .put("name", name)
                .put("kind", "lead")
                .put("owned", 1)
                .put("colour", "")
                .put("note", "");
        ObjectNode values = lead.putObject("values");
        value(values, "length", described.path("length"));
        value(values, "capacitancePerMetre", described.path("capacitance"));
        perMetre.ifPresent(each -> {
            value(values, "coreResistancePerMetre", NODES.textNode(each));
            value(values, "shieldResistancePerMetre", NODES.textNode(each));
        });
        String connector = isMic ? "XLR three-pin" : "6.35 mm two-pole";
        ArrayNode ends = lead.putArray("ends");
        ends.addObject().put("id", "a").put("connector", connector).put("form", isMic ? "socket" : "plug");
        ends.addObject().put("id", "b").put("connector", connector).put("form", "plug");
        ArrayNode wires = lead.putArray("wires");
        for (String contact : isMic ? List.of("1", "2", "3") : List.of("T", "S")) {
            ObjectNode wire = wires.addObject().put("from", "a." + contact).put("to", "b." + contact);
            if (contact.equals("1") || contact.equals("S")) {
                wire.put("conductor", "shield");
            }
        }
        return lead;
    }

    private static void value(ObjectNode values, String fact, JsonNode is) {
        if (!is.isMissingNode()) {
            values.putObject(fact)
                    .put("from", "datasheet")
                    .put("source", Provenance.DESCRIBED)
                    .set("is", is);
        }
    }
}
