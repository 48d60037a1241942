package kalodyne.core.studio;

import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;

/** Gear of the catalogue, each with a number of its own. */
final class Numbered {
    private Numbered() {}

    static Device device(int number) {
        var profiles = Catalogue.shipped().devices();
        return profiles.get(number % profiles.size())
                .gear()
                .withId("device-" + number)
                .withName("Device " + number);
    }

    static Lead lead(int number) {
        var profiles = Catalogue.shipped().leads();
        return profiles.get(number % profiles.size())
                .gear()
                .withId("lead-" + number)
                .withName("Lead " + number);
    }
}
