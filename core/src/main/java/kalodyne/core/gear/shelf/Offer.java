package kalodyne.core.gear.shelf;

import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;

/** A profile that can be put on the shelf, of a device or of a lead. */
public sealed interface Offer {
    String id();

    String name();

    /** What it is one of: the heading above it. */
    String group();

    /** The same of one alone. */
    String kind();

    List<String> words();

    /** Everything else that is known of it. */
    String text();

    /** The one that a catalogue offers under this mark. */
    static Offer of(Catalogue catalogue, String profile) {
        Optional<Offer> device = catalogue.device(profile).map(OfDevice::new);
        return device.or(() -> catalogue.lead(profile).map(OfLead::new)).orElseThrow();
    }

    record OfDevice(Profile<Device> profile) implements Offer {
        @Override
        public String id() {
            return profile.gear().id();
        }

        @Override
        public String name() {
            return profile.gear().name();
        }

        @Override
        public String group() {
            return profile.gear().kind().plural();
        }

        @Override
        public String kind() {
            return profile.gear().kind().word();
        }

        @Override
        public List<String> words() {
            return profile.words();
        }

        @Override
        public String text() {
            return SearchText.of(profile.gear());
        }
    }

    record OfLead(Profile<Lead> profile) implements Offer {
        @Override
        public String id() {
            return profile.gear().id();
        }

        @Override
        public String name() {
            return profile.gear().name();
        }

        @Override
        public String group() {
            return profile.gear().kind().plural();
        }

        @Override
        public String kind() {
            return profile.gear().kind().word();
        }

        @Override
        public List<String> words() {
            return profile.words();
        }

        @Override
        public String text() {
            return SearchText.of(profile.gear());
        }
    }
}
