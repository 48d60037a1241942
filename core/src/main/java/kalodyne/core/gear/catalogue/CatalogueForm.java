package kalodyne.core.gear.catalogue;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.function.Function;
import kalodyne.core.files.json.Fields;
import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.ObjectForm;
import kalodyne.core.files.json.Problems;
import kalodyne.core.files.json.Words;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.file.GearForms;
import kalodyne.core.units.UnreadableQuantity;

/** A catalogue as JSON after its schema. */
public final class CatalogueForm {
    private static final ObjectForm<Ask.Choice> CHOICE = ObjectForm.of(f -> new Ask.Choice(
            f.text("say", Ask.Choice::say),
            f.value("connector", GearForms.choice(Connector.class), Ask.Choice::connector),
            GearForms.contacts(f, Ask.Choice::contacts)));

    private CatalogueForm() {}

    private static ObjectForm<Catalogue> of(GearForms gear) {
        ObjectForm<Profile<Device>> device =
                ObjectForm.of(f -> profile(f, f.value("device", gear.device(), Profile::gear), Parts::of));
        ObjectForm<Profile<Lead>> lead =
                ObjectForm.of(f -> profile(f, f.value("lead", gear.lead(), Profile::gear), Parts::of));
        return ObjectForm.of(f ->
                new Catalogue(f.list("devices", device, Catalogue::devices), f.list("leads", lead, Catalogue::leads)));
    }

    private static <T> Profile<T> profile(Fields<Profile<T>> f, T gear, Function<T, List<Part>> partsOf) {
        ObjectForm<Ask> ask = ObjectForm.of(each -> ask(each, gear == null ? List.of() : partsOf.apply(gear)));
        return new Profile<>(
                gear,
                f.list("words", JsonForm.TEXT, Profile::words),
                f.listIfAny("asks", ask, Profile::asks),
                f.valueOr("onlyUsed", JsonForm.FLAG, false, Profile::isOnlyUsed));
    }

    private static Ask ask(Fields<Ask> f, List<Part> parts) {
        String question = f.text("question", Ask::question);
        return f.when("sockets", Ask.OfSocket.class)
                .<Ask>map(it -> new Ask.OfSocket(
                        question,
                        it.list("sockets", JsonForm.TEXT, Ask.OfSocket::sockets),
                        it.list("choices", CHOICE, Ask.OfSocket::choices)))
                .or(() -> f.when("powering", Ask.OfPowering.class).map(it -> {
                    it.value("powering", JsonForm.FLAG, each -> true);
                    return new Ask.OfPowering(question);
                }))
                .or(() -> f.when("part", Ask.OfValue.class).map(it -> ofValue(it, question, parts)))
                .orElseThrow(() -> new UnreadableQuantity(
                        "It does not tell what is asked for.", "Choose one of part, sockets and powering."));
    }

    private static Ask ofValue(Fields<Ask.OfValue> f, String question, List<Part> parts) {
        String part = f.text("part", Ask.OfValue::part);
        Words<Fact<?>> fact = new Words<>(
                id -> Parts.find(parts, part)
                        .flatMap(of -> Fact.named(of.of(), id))
                        .orElseThrow(() -> new UnreadableQuantity(
                                "It asks for a value that is not there.",
                                "Compare part and value with the gear below.")),
                Fact::id);
        return new Ask.OfValue(question, part, f.value("value", fact, Ask.OfValue::fact));
    }

    /** What can be read of a catalogue. */
    static Catalogue read(JsonPlace root, Problems problems) {
        return of(new GearForms(root, problems)).read(root, problems).orElse(new Catalogue(List.of(), List.of()));
    }

    /** With every value telling for itself where it is from. */
    public static ObjectNode write(Catalogue catalogue) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", JsonFormat.CATALOGUE.mark()).put("version", JsonFormat.CATALOGUE.version());
        return root.setAll(of(new GearForms()).write(catalogue));
    }
}
