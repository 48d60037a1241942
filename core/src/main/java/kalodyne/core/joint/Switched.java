package kalodyne.core.joint;

import java.util.List;
import java.util.Optional;

/**
 * Where a switch of a device stands.
 *
 * @param control which switch of which device
 * @param at the name of its position, as printed beside it: "off"
 */
public record Switched(Spot control, String at) {
    /** Where one of several stands; empty where nobody said. */
    static Optional<String> standing(List<Switched> switched, Spot control) {
        return switched.stream()
                .filter(each -> each.control().equals(control))
                .map(Switched::at)
                .findFirst();
    }
}
