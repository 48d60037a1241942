package kalodyne.core.studio.setup;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Wiring;

/** Writes a setup as JSON that {@link SetupMapping} reads back to an equal setup. */
public final class SetupWriter {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private SetupWriter() {}

    /** The setup as a part of a larger file. */
    public static ObjectNode setup(Setup setup) {
        ObjectNode root = NODES.objectNode().put("name", setup.name());
        // Older programs want the list; what is plugged stands beside it.
        root.putArray("runs");
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
