package kalodyne.core.studio;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.List;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.gear.file.GearMapping;
import kalodyne.core.gear.file.GearWriter;
import kalodyne.core.studio.setup.SettingsMapping;
import kalodyne.core.studio.setup.SetupMapping;
import kalodyne.core.studio.setup.SetupWriter;
import kalodyne.core.studio.setup.SheetMapping;
import kalodyne.core.studio.setup.WishMapping;

/**
 * The bodies of items, as the studio file holds them: the same JSON as in an exported studio. One is made for many items, so
 * that what they have in common is read once.
 */
final class ItemText {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final GearMapping gear = new GearMapping();
    private final SetupMapping setups = new SetupMapping();

    static String write(Item item) {
        ObjectNode node = switch (item.key().kind()) {
            case STUDIO -> NODES.objectNode().put("name", ((Item.OfStudio) item).name());
            case DEVICE -> GearWriter.device(((Item.OfDevice) item).device());
            case LEAD -> GearWriter.lead(((Item.OfLead) item).lead());
            case SETUP -> setup((Item.OfSetup) item);
            case TAKE -> SetupWriter.take(((Item.OfTake) item).take());
            case SITTING -> SheetMapping.write(((Item.OfSession) item).session());
        };
        return node.toString();
    }

    private static ObjectNode setup(Item.OfSetup setup) {
        ObjectNode node = NODES.objectNode().put("name", setup.name());
        SetupWriter.wiring(node, setup.wiring());
        SettingsMapping.write(node, setup.settings());
        WishMapping.write(node, setup.wish());
        SheetMapping.write(node, setup.sessionPlan());
        return node;
    }

    /**
     * Reads a body.
     *
     * @throws UnreadableFile where it is damaged
     */
    Item read(Item.Key key, String body) throws UnreadableFile {
        Path place = Path.of(String.join(" ", key.path()));
        JsonPlace root = JsonFormat.STUDIO.trusted(body, place);
        Item item = switch (key.kind()) {
            case STUDIO -> new Item.OfStudio(root.text("name"));
            case DEVICE -> new Item.OfDevice(read(gear, gear.device(root), place));
            case LEAD -> new Item.OfLead(read(gear, gear.lead(root), place));
            case SETUP ->
                new Item.OfSetup(
                        key.path().get(0),
                        root.text("name"),
                        read(setups, setups.wiring(root), place),
                        read(setups, setups.settings(root), place),
                        read(setups, setups.wish(root), place),
                        read(setups, setups.sessionPlan(root), place));
            case TAKE -> new Item.OfTake(key.path().get(0), read(setups, setups.take(root), place));
            case SITTING -> new Item.OfSession(key.path().get(0), read(setups, setups.session(root), place));
        };
        if (!item.key().equals(key)) {
            throw new UnreadableFile(
                    place, Problem.ofWhole("It is kept under a name that is not its own.", "Use a backup."));
        }
        return item;
    }

    private static <T> T read(Mapping mapping, T value, Path place) throws UnreadableFile {
        List<Problem> problems = mapping.takeProblems();
        if (value == null || !problems.isEmpty()) {
            throw new UnreadableFile(place, problems);
        }
        return value;
    }
}
