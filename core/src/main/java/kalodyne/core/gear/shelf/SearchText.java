package kalodyne.core.gear.shelf;

import java.util.stream.Collectors;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;

/** The words by which gear is found. */
public final class SearchText {
    private SearchText() {}

    public static String of(Device device) {
        String sockets = device.sockets().stream()
                .map(socket -> socket.name() + " " + socket.words())
                .collect(Collectors.joining(" "));
        String more = device.profile()
                .flatMap(Catalogue.shipped()::device)
                .map(profile -> words(profile.gear().name(), profile))
                .orElse("");
        return String.join(" ", device.name(), device.kind().word(), device.note(), sockets, more);
    }

    public static String of(Lead lead) {
        String more = lead.profile()
                .flatMap(Catalogue.shipped()::lead)
                .map(profile -> words(profile.gear().name(), profile))
                .orElse("");
        return String.join(" ", lead.name(), lead.kind().word(), lead.words(), lead.colour(), lead.note(), more);
    }

    private static String words(String name, Profile<?> profile) {
        return name + " " + String.join(" ", profile.words());
    }
}
