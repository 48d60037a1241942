package kalodyne.core.gear.shelf;

import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;

/**
 * A profile that can be put on the shelf.
 *
 * @param id of the profile
 * @param kind what it is one of, in a word
 * @param group the heading above those of its kind
 * @param words others that somebody may search by
 * @param text everything else that is known of it
 */
public record Offer(What what, String id, String name, String kind, String group, List<String> words, String text) {
    /** The profile itself, of a device or of a lead. */
    public sealed interface What {
        record OfDevice(Profile<Device> profile) implements What {}

        record OfLead(Profile<Lead> profile) implements What {}
    }

    static Offer of(Profile<Device> profile) {
        Device gear = profile.gear();
        return new Offer(
                new What.OfDevice(profile),
                gear.id(),
                gear.name(),
                gear.kind().word(),
                gear.kind().plural(),
                profile.words(),
                SearchText.of(gear));
    }

    static Offer ofLead(Profile<Lead> profile) {
        Lead gear = profile.gear();
        return new Offer(
                new What.OfLead(profile),
                gear.id(),
                gear.name(),
                gear.kind().word(),
                gear.kind().plural(),
                profile.words(),
                SearchText.of(gear));
    }

    /** The one that a catalogue offers under this mark. */
    static Offer of(Catalogue catalogue, String profile) {
        Optional<Offer> device = catalogue.device(profile).map(Offer::of);
        return device.or(() -> catalogue.lead(profile).map(Offer::ofLead)).orElseThrow();
    }

    public boolean isLead() {
        return what instanceof What.OfLead;
    }
}
