package kalodyne.core.gear.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import kalodyne.core.gear.AudioTaper;
import kalodyne.core.gear.CalibratedTaper;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.Conductor;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.gear.Powering;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.SocketPower;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.gear.Taper;
import kalodyne.core.gear.Wire;
import kalodyne.core.units.Quantity;

/** Devices and leads as JSON that {@link GearMapping} reads back to equal ones. What is empty is left out. */
public final class GearWriter {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private GearWriter() {}

    public static ObjectNode device(Device device) {
        ObjectNode node = NODES.objectNode()
                .put("id", device.id())
                .put("name", device.name())
                .put("kind", device.kind().word());
        device.profile().ifPresent(profile -> node.put("profile", profile));
        putText(node, "note", device.note());
        putFacts(node, device.facts());
        ArrayNode sockets = node.putArray("sockets");
        device.sockets().forEach(socket -> sockets.add(socket(socket)));
        device.stages().forEach(stage -> node.withArray("stages").add(stage(stage)));
        device.controls().forEach(control -> node.withArray("controls").add(control(control)));
        device.powering().forEach(powering -> node.withArray("powering").add(powering(powering)));
        device.sampleRatesHz().forEach(rate -> node.withArray("sampleRatesHz").add(rate));
        device.bitDepths().forEach(bits -> node.withArray("bitDepths").add(bits));
        return node;
    }

    public static ObjectNode lead(Lead lead) {
        ObjectNode node = NODES.objectNode()
                .put("id", lead.id())
                .put("name", lead.name())
                .put("kind", lead.kind().word());
        lead.profile().ifPresent(profile -> node.put("profile", profile));
        putText(node, "colour", lead.colour());
        putText(node, "note", lead.note());
        node.put("owned", lead.owned());
        putFacts(node, lead.facts());
        ArrayNode ends = node.putArray("ends");
        lead.ends().forEach(end -> ends.add(end(end)));
        ArrayNode wires = node.putArray("wires");
        lead.wires().forEach(wire -> wires.add(wire(wire)));
        return node;
    }

    private static ObjectNode socket(Socket socket) {
        ObjectNode node = NODES.objectNode()
                .put("id", socket.id())
                .put("name", socket.name())
                .put("connector", socket.connector().word());
        if (socket.form() != Form.SOCKET) {
            node.put("form", socket.form().word());
        }
        node.put("way", socket.way().word()).put("signal", socket.signal().word());
        socket.balance().ifPresent(balance -> node.put("balance", balance.word()));
        ObjectNode contacts = node.putObject("contacts");
        socket.contacts().forEach((contact, carries) -> {
            if (carries != Carries.NOTHING) {
                contacts.put(contact.word(), carries.word());
            }
        });
        socket.side().ifPresent(side -> node.put("side", side.word()));
        socket.ties().opening().ifPresent(opening -> node.put("opening", opening));
        socket.ties().normalledFrom().ifPresent(other -> node.put("normalledFrom", other));
        socket.ties().monoWithout().ifPresent(other -> node.put("monoWithout", other));
        socket.ties().parallelTo().ifPresent(other -> node.put("parallelTo", other));
        putTexts(node, "from", socket.from());
        socket.power().forEach(power -> node.withArray("power").add(socketPower(power)));
        socket.channels().forEach(pair -> node.withArray("channels").add(channels(pair)));
        putFacts(node, socket.facts());
        return node;
    }

    private static ObjectNode socketPower(SocketPower power) {
        ObjectNode node = NODES.objectNode()
                .put("kind", power.kind().word())
                .put("role", power.role().word());
        power.control().ifPresent(control -> node.put("control", control));
        putFacts(node, power.facts());
        return node;
    }

    private static ObjectNode channels(ChannelPair pair) {
        ObjectNode node = NODES.objectNode()
                .put("way", pair.way().word())
                .put("channels", pair.channels())
                .put("role", pair.role().word())
                .put("carries", pair.carries());
        putTexts(node, "from", pair.from());
        return node;
    }

    private static ObjectNode stage(Stage stage) {
        ObjectNode node = NODES.objectNode()
                .put("id", stage.id())
                .put("name", stage.name())
                .put("kind", stage.kind().word());
        stage.side().ifPresent(side -> node.put("side", side.word()));
        putTexts(node, "from", stage.from());
        putTexts(node, "controls", stage.controls());
        putFacts(node, stage.facts());
        return node;
    }

    private static ObjectNode control(DeviceControl control) {
        ObjectNode node = NODES.objectNode()
                .put("id", control.id())
                .put("name", control.name())
                .put("kind", control.kind().word());
        control.taper().ifPresent(taper -> node.set("taper", taper(taper)));
        if (!control.dial().equals(Dial.USUAL)) {
            node.set("dial", dial(control.dial()));
        }
        putTexts(node, "positions", control.positions());
        return node;
    }

    private static ObjectNode powering(Powering powering) {
        ObjectNode node = NODES.objectNode().put("source", powering.source().word());
        putFacts(node, powering.facts());
        return node;
    }

    private static ObjectNode end(LeadEnd end) {
        ObjectNode node = NODES.objectNode().put("id", end.id());
        putText(node, "name", end.name());
        node.put("connector", end.connector().word());
        if (end.form() != Form.PLUG) {
            node.put("form", end.form().word());
        }
        return node;
    }

    private static ObjectNode wire(Wire wire) {
        ObjectNode node = NODES.objectNode()
                .put("from", wire.from().write())
                .put("to", wire.to().write());
        if (wire.conductor() != Conductor.CORE) {
            node.put("conductor", wire.conductor().word());
        }
        putFacts(node, wire.facts());
        return node;
    }

    public static ObjectNode dial(Dial dial) {
        return NODES.objectNode().put("lowest", dial.clock(0)).put("highest", dial.highestClock());
    }

    public static ObjectNode taper(Taper taper) {
        ObjectNode node = NODES.objectNode();
        if (taper instanceof LinearTaper linear) {
            node.putObject("linear")
                    .put("lowest", Quantity.GAIN.write(linear.lowest()))
                    .put("highest", Quantity.GAIN.write(linear.highest()));
        } else if (taper instanceof AudioTaper audio) {
            node.putObject("audio").put("highest", Quantity.GAIN.write(audio.highest()));
        } else if (taper instanceof SteppedTaper stepped) {
            ArrayNode steps = node.putArray("steps");
            stepped.steps().forEach(step -> steps.add(Quantity.GAIN.write(step)));
        } else if (taper instanceof CalibratedTaper calibrated) {
            ArrayNode points = node.putArray("points");
            calibrated
                    .points()
                    .forEach(point -> points.addObject()
                            .put("position", point.position())
                            .put("gain", Quantity.GAIN.write(point.gain())));
        }
        return node;
    }

    private static void putFacts(ObjectNode node, Facts facts) {
        if (!facts.known().isEmpty()) {
            ObjectNode values = node.putObject("values");
            facts.known().forEach(fact -> values.set(fact.id(), value(facts, fact)));
        }
    }

    private static ObjectNode value(Facts facts, Fact<?> fact) {
        ObjectNode node = NODES.objectNode().put("is", facts.written(fact).orElseThrow());
        Provenance from = facts.get(fact).orElseThrow().from();
        node.put("from", from.origin().word());
        from.ground().ifPresent(ground -> node.put("ground", ground.word()));
        from.date().ifPresent(date -> node.put("date", date.toString()));
        putText(node, "source", from.source());
        return node;
    }

    private static void putText(ObjectNode node, String field, String text) {
        if (!text.isEmpty()) {
            node.put(field, text);
        }
    }

    private static void putTexts(ObjectNode node, String field, List<String> texts) {
        texts.forEach(text -> node.withArray(field).add(text));
    }
}
