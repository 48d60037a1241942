package kalodyne.core.studio.setup;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import kalodyne.core.files.WholeFile;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.file.GearWriter;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.run.Aim;
import kalodyne.core.levels.run.Converter;
import kalodyne.core.levels.run.Input;
import kalodyne.core.levels.run.Run;
import kalodyne.core.levels.run.RunLead;
import kalodyne.core.levels.run.Source;
import kalodyne.core.units.Quantity;

/** Writes a setup as JSON that {@link SetupReader} reads back to an equal setup. */
public final class SetupWriter {
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private SetupWriter() {}

    /** Writes a file; one that was there is replaced only when the new one is complete. */
    public static void write(SetupFile file, Path path) throws IOException {
        WholeFile.write(path, ByteBuffer.wrap(write(file).getBytes(StandardCharsets.UTF_8)));
    }

    /** The setup as JSON, with a line break at its end. */
    public static String write(SetupFile file) {
        ObjectNode root = NODES.objectNode();
        root.put("format", JsonFormat.SETUP.mark()).put("version", JsonFormat.SETUP.version());
        root.put("studio", file.studio());
        root.setAll(setup(file.setup()));
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The setup as a part of a larger file. */
    public static ObjectNode setup(Setup setup) {
        ObjectNode root = NODES.objectNode().put("name", setup.name());
        ArrayNode runs = root.putArray("runs");
        setup.runs().forEach(run -> runs.add(run(run)));
        ArrayNode takes = root.putArray("takes");
        setup.takes().forEach(take -> takes.add(take(take)));
        SheetMapping.write(root, setup.sessionPlan());
        if (!setup.sessions().isEmpty()) {
            ArrayNode sessions = root.putArray("sittings");
            setup.sessions().forEach(session -> sessions.add(SheetMapping.write(session)));
        }
        return root;
    }

    /** What goes into what and how switches stand, put into the setup of a larger file. */
    public static void wiring(ObjectNode setup, Wiring wiring) {
        if (!wiring.plugged().isEmpty()) {
            setup.set("plugged", plugged(wiring.plugged()));
        }
        if (!wiring.switches().isEmpty()) {
            ArrayNode array = setup.putArray("switches");
            wiring.switches()
                    .forEach(each -> array.addObject()
                            .put("switch", each.control().write())
                            .put("at", each.at()));
        }
    }

    private static ArrayNode plugged(List<Plugging> plugged) {
        ArrayNode array = NODES.arrayNode();
        plugged.forEach(plugging -> array.addObject()
                .put("plug", plugging.plug().write())
                .put("socket", plugging.socket().write()));
        return array;
    }

    public static ObjectNode run(Run run) {
        ObjectNode node = NODES.objectNode().put("name", run.name());
        node.set("aim", aim(run.aim()));
        node.set("source", source(run.source()));
        node.set("lead", lead(run.lead()));
        node.set("input", input(run.input()));
        node.set("converter", converter(run.converter()));
        return node;
    }

    private static ObjectNode aim(Aim aim) {
        return NODES.objectNode()
                .put("low", Quantity.DIGITAL_LEVEL.write(aim.low()))
                .put("high", Quantity.DIGITAL_LEVEL.write(aim.high()));
    }

    private static ObjectNode source(Source source) {
        ObjectNode node = NODES.objectNode()
                .put("name", source.name())
                .put("socket", source.socket())
                .put("loudestPeak", Quantity.LEVEL.write(source.levels().peak()))
                .put("average", Quantity.LEVEL.write(source.levels().average()))
                .put("floor", Quantity.LEVEL.write(source.levels().floor()))
                .put("ceiling", Quantity.LEVEL.write(source.ceiling()))
                .put("impedance", Quantity.IMPEDANCE.write(source.impedance()));
        source.volume().ifPresent(volume -> node.set("volume", control(volume)));
        return node;
    }

    private static ObjectNode lead(RunLead lead) {
        return NODES.objectNode()
                .put("name", lead.name())
                .put("plugs", lead.plugs())
                .put("length", Quantity.LENGTH.write(lead.length()))
                .put("capacitance", Quantity.CAPACITANCE_PER_METRE.write(lead.capacitancePerMetre()))
                .put("resistance", Quantity.IMPEDANCE.write(lead.resistance()));
    }

    private static ObjectNode input(Input input) {
        ObjectNode node = NODES.objectNode()
                .put("device", input.device())
                .put("socket", input.socket())
                .put("kind", input.kind().word())
                .put("impedance", Quantity.IMPEDANCE.write(input.impedance()));
        input.socketCeiling().ifPresent(ceiling -> node.put("socketCeiling", Quantity.LEVEL.write(ceiling)));
        node.set("gain", control(input.gain()));
        return node.put("ceiling", Quantity.LEVEL.write(input.ceiling()))
                .put("equivalentInputNoise", Quantity.LEVEL.write(input.equivalentInputNoise()))
                .put("outputNoise", Quantity.LEVEL.write(input.outputNoise()));
    }

    private static ObjectNode converter(Converter converter) {
        return NODES.objectNode()
                .put("track", converter.track())
                .put("fullScale", Quantity.LEVEL.write(converter.fullScale()))
                .put("noise", Quantity.DIGITAL_LEVEL.write(converter.noise()))
                .put("bits", converter.bits())
                .put("sampleRateHz", converter.sampleRateHz());
    }

    private static ObjectNode control(Control control) {
        ObjectNode node = NODES.objectNode().put("name", control.name());
        node.set("taper", GearWriter.taper(control.taper()));
        node.set("dial", GearWriter.dial(control.dial()));
        return node.put("position", control.position());
    }

    public static ObjectNode take(Take take) {
        ObjectNode node = NODES.objectNode()
                .put("name", take.name())
                .put("run", take.run())
                .put("file", take.file())
                .put("at", take.at().toString());
        ObjectNode positions = node.putObject("positions");
        take.positions().forEach(positions::put);
        if (!take.note().isEmpty()) {
            node.put("note", take.note());
        }
        if (!take.tried().isEmpty()) {
            ArrayNode tried = node.putArray("tried");
            take.tried()
                    .forEach(each -> tried.addObject().put("test", each.test()).put("answer", each.answer()));
        }
        take.judged().ifPresent(judged -> judged(node.putObject("judged"), judged));
        return node;
    }

    private static void judged(ObjectNode node, FirstVerdict judged) {
        judged.peakDbfs().ifPresent(peak -> node.put("peakDbfs", peak));
        node.put("sentence", judged.sentence());
        ArrayNode faults = node.putArray("faults");
        judged.faults()
                .forEach(fault -> faults.addObject()
                        .put("code", fault.code())
                        .put("severity", fault.severity().word())
                        .put("title", fault.title()));
    }
}
