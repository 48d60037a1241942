package kalodyne.core.route;

import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;

/**
 * Something that a way needs and that is not owned.
 *
 * @param words a line to buy by: "6.35 mm two-pole lead, 3 m"
 * @param price how dear such things are
 */
public record Missing(String words, Price price) {
    private static final String MARK = "get-";

    /** Classes of price; common practice. */
    public enum Price {
        A("A, a lead or adapter"),
        B("B, a small box"),
        C("C, an interface or mixer");

        private final String words;

        Price(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Under which something that is not owned stands in a way. */
    static String mark(String id) {
        return MARK + id;
    }

    static boolean is(String mark) {
        return mark.startsWith(MARK);
    }

    static Missing of(Lead lead) {
        return new Missing(lead.name(), Price.A);
    }

    static Missing of(Device device) {
        boolean isSimple = device.kind() == DeviceKind.BOX || device.kind() == DeviceKind.HUB;
        return new Missing(device.name(), isSimple ? Price.B : Price.C);
    }
}
