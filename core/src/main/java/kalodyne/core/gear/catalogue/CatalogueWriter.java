package kalodyne.core.gear.catalogue;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.function.Function;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.file.GearWriter;

/** A catalogue as JSON after its schema, every value telling for itself where it is from. */
public final class CatalogueWriter {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private CatalogueWriter() {}

    public static ObjectNode write(Catalogue catalogue) {
        ObjectNode root = NODES.objectNode();
        root.put("format", JsonFormat.CATALOGUE.mark()).put("version", JsonFormat.CATALOGUE.version());
        root.set("devices", profiles(catalogue.devices(), "device", GearWriter::device));
        root.set("leads", profiles(catalogue.leads(), "lead", GearWriter::lead));
        return root;
    }

    private static <T> ArrayNode profiles(List<Profile<T>> profiles, String field, Function<T, ObjectNode> write) {
        ArrayNode array = NODES.arrayNode();
        for (Profile<T> profile : profiles) {
            ObjectNode node = array.addObject();
            ArrayNode words = node.putArray("words");
            profile.words().forEach(words::add);
            profile.asks().forEach(ask -> node.withArray("asks").add(ask(ask)));
            node.set(field, write.apply(profile.gear()));
        }
        return array;
    }

    private static ObjectNode ask(Ask ask) {
        ObjectNode node = NODES.objectNode().put("question", ask.question());
        if (ask instanceof Ask.OfValue value) {
            node.put("part", value.part()).put("value", value.fact().id());
        } else if (ask instanceof Ask.OfSocket sockets) {
            sockets.sockets().forEach(socket -> node.withArray("sockets").add(socket));
            sockets.choices().forEach(choice -> node.withArray("choices").add(choice(choice)));
        } else {
            node.put("powering", true);
        }
        return node;
    }

    private static ObjectNode choice(Ask.Choice choice) {
        ObjectNode node = NODES.objectNode()
                .put("say", choice.say())
                .put("connector", choice.connector().word());
        ObjectNode contacts = node.putObject("contacts");
        choice.connector().contacts().forEach(contact -> {
            Carries carries = choice.contacts().getOrDefault(contact, Carries.NOTHING);
            if (carries != Carries.NOTHING) {
                contacts.put(contact.word(), carries.word());
            }
        });
        return node;
    }
}
