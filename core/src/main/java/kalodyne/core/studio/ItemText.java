package kalodyne.core.studio;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Path;
import java.util.Optional;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.ObjectForm;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.Problems;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.gear.file.GearForms;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.studio.practised.Answer;
import kalodyne.core.studio.setup.RigForms;
import kalodyne.core.studio.setup.SetupForms;
import kalodyne.core.studio.setup.SheetForms;
import kalodyne.core.studio.setup.WishForms;

/**
 * The bodies of items, as the studio file holds them: the same JSON as in an exported studio. One is made for many items, so
 * that what they have in common is read once.
 */
final class ItemText {
    private static final ObjectForm<Item.OfStudio> STUDIO =
            ObjectForm.of(f -> new Item.OfStudio(f.text("name", Item.OfStudio::name)));

    /** Writing keeps nothing, so that all may share it. */
    private static final GearForms WRITTEN = new GearForms();

    private final GearForms gear = new GearForms();

    private static ObjectForm<Item.OfSetup> setup(String id) {
        return ObjectForm.of(f -> new Item.OfSetup(
                id,
                f.text("name", Item.OfSetup::name),
                f.among(RigForms.WIRING, Item.OfSetup::wiring),
                f.valueOr("levels", RigForms.SETTINGS, Settings.NONE, Item.OfSetup::settings),
                f.maybe("wish", WishForms.WISH, Item.OfSetup::wish),
                f.valueOr("intention", SheetForms.PLAN, SessionPlan.USUAL, Item.OfSetup::sessionPlan)));
    }

    static String write(Item item) {
        JsonNode node = switch (item.key().kind()) {
            case STUDIO -> STUDIO.write((Item.OfStudio) item);
            case DEVICE -> WRITTEN.device().write(((Item.OfDevice) item).device());
            case LEAD -> WRITTEN.lead().write(((Item.OfLead) item).lead());
            case SETUP -> setup(item.key().path().get(0)).write((Item.OfSetup) item);
            case TAKE -> SetupForms.TAKE.write(((Item.OfTake) item).take());
            case ANSWER -> Answer.FORM.write(((Item.OfAnswer) item).answer());
            case SITTING -> SheetForms.SESSION.write(((Item.OfSession) item).session());
        };
        return node.toString();
    }

    /**
     * Reads a body.
     *
     * @throws UnreadableFile where it is damaged
     */
    Item read(Item.Key key, String body) throws UnreadableFile {
        Path place = Path.of(String.join(" ", key.path()));
        JsonPlace root = JsonFormat.STUDIO.trusted(body, place);
        Problems problems = new Problems();
        String owner = key.path().get(0);
        Optional<? extends Item> item = switch (key.kind()) {
            case STUDIO -> STUDIO.read(root, problems);
            case DEVICE -> gear.device().read(root, problems).map(Item.OfDevice::new);
            case LEAD -> gear.lead().read(root, problems).map(Item.OfLead::new);
            case SETUP -> setup(owner).read(root, problems);
            case TAKE -> SetupForms.TAKE.read(root, problems).map(take -> new Item.OfTake(owner, take));
            case ANSWER -> Answer.FORM.read(root, problems).map(Item.OfAnswer::new);
            case SITTING -> SheetForms.SESSION.read(root, problems).map(session -> new Item.OfSession(owner, session));
        };
        if (item.isEmpty() || !problems.isEmpty()) {
            throw new UnreadableFile(place, problems.all());
        }
        if (!item.get().key().equals(key)) {
            throw new UnreadableFile(
                    place, Problem.ofWhole("It is kept under a name that is not its own.", "Use a backup."));
        }
        return item.get();
    }
}
