package kalodyne.core.gear.catalogue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Coded;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.file.GearMapping;

/** Profiles from JSON. */
final class CatalogueMapping extends Mapping {
    private final GearMapping gear;

    CatalogueMapping(JsonPlace root) {
        gear = GearMapping.withReasons(this, root);
    }

    List<Profile<Device>> devices(JsonPlace root) {
        return profiles(root.get("devices"), place -> gear.device(place.get("device")), Parts::of);
    }

    List<Profile<Lead>> leads(JsonPlace root) {
        return profiles(root.get("leads"), place -> gear.lead(place.get("lead")), Parts::of);
    }

    private <T> List<Profile<T>> profiles(
            JsonPlace list, Function<JsonPlace, T> read, Function<T, List<Part>> partsOf) {
        List<Profile<T>> profiles = new ArrayList<>();
        for (JsonPlace place : list.items()) {
            T item = read.apply(place);
            if (item != null) {
                List<Ask> asks = new ArrayList<>();
                place.get("asks")
                        .items()
                        .forEach(ask -> ask(ask, partsOf.apply(item)).ifPresent(asks::add));
                profiles.add(new Profile<>(item, place.texts("words"), asks));
            }
        }
        return profiles;
    }

    private Optional<Ask> ask(JsonPlace place, List<Part> parts) {
        String question = place.text("question");
        if (place.has("sockets")) {
            List<Ask.Choice> choices = new ArrayList<>();
            place.get("choices").items().forEach(choice -> choice(choice).ifPresent(choices::add));
            return Optional.of(new Ask.OfSocket(question, place.texts("sockets"), choices));
        }
        if (place.has("powering")) {
            return Optional.of(new Ask.OfPowering(question));
        }
        Optional<Fact<?>> fact =
                Parts.find(parts, place.text("part")).flatMap(part -> Fact.named(part.of(), place.text("value")));
        if (fact.isEmpty()) {
            problem(place, "It asks for a value that is not there.", "Compare part and value with the gear below.");
        }
        return fact.map(each -> new Ask.OfValue(question, place.text("part"), each));
    }

    private Optional<Ask.Choice> choice(JsonPlace place) {
        Connector connector = build(place.get("connector"), () -> Coded.read(Connector.class, place.text("connector")));
        Map<Contact, Carries> contacts = gear.contacts(place.get("contacts"));
        return Optional.ofNullable(
                build(place, () -> new Ask.Choice(place.text("say"), connector, contacts), connector, contacts));
    }
}
