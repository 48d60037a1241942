package kalodyne.core.gear.shelf;

import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;

/**
 * What a connector looks like from the front, in millimetres, to be drawn to scale. Sizes from memory of the standards named
 * beside them, to about half a millimetre.
 *
 * @param width of the outline
 * @param height of the outline
 * @param corner radius of its corners; half the height for a circle
 * @param pins what is seen inside, measured from the middle
 */
public record PlugFace(double width, double height, double corner, List<Pin> pins) {
    /**
     * A pin, or the hole for one.
     *
     * @param x to the right of the middle
     * @param y below the middle
     * @param width of it
     * @param height of it
     * @param contact which contact it is, where one can be told
     */
    public record Pin(double x, double y, double width, double height, Optional<Contact> contact) {
        static Pin round(double x, double y, double diameter, Contact contact) {
            return new Pin(x, y, diameter, diameter, Optional.of(contact));
        }

        public boolean isRound() {
            return width == height;
        }
    }

    public PlugFace {
        pins = List.copyOf(pins);
    }

    /** The face of a connector; empty for jacks, which are told from the side, and for what has no face. */
    public static Optional<PlugFace> of(Connector connector) {
        return Optional.ofNullable(
                switch (connector) {
                    // IEC 61076-2-103, looking at the holes; the pins are its mirror image.
                    case XLR ->
                        circle(
                                18.6,
                                Pin.round(3.3, -2.6, 2.4, Contact.ONE),
                                Pin.round(-3.3, -2.6, 2.4, Contact.TWO),
                                Pin.round(0, 3.6, 2.4, Contact.THREE));
                    // IEC 60130-9: five pins on a half circle of 7.5 mm.
                    case DIN_5 ->
                        circle(
                                13.2,
                                Pin.round(-3.75, 0, 1.45, Contact.ONE),
                                Pin.round(-2.65, 2.65, 1.45, Contact.FOUR),
                                Pin.round(0, 3.75, 1.45, Contact.TWO),
                                Pin.round(2.65, 2.65, 1.45, Contact.FIVE),
                                Pin.round(3.75, 0, 1.45, Contact.THREE));
                    case RCA -> circle(8.3, Pin.round(0, 0, 3.2, Contact.PIN));
                    // USB 2.0 and USB type C.
                    case USB_A -> flat(12, 4.5, 0.5, tongue(0, 0.9, 10, 1.4));
                    case USB_B -> flat(8.45, 7.78, 1.6, tongue(0, 0, 5.6, 3.2));
                    case USB_C -> flat(8.25, 2.4, 1.2, tongue(0, 0, 6.2, 0.7));
                    case USB_MICRO_B -> flat(6.85, 1.8, 0.6, tongue(0, 0.2, 4.8, 0.5));
                    case USB_MINI_B -> flat(6.8, 3, 0.8, tongue(0, 0.3, 4.6, 0.9));
                    case DIGITAL_PORT -> flat(6.7, 1.5, 0.75, tongue(0, 0, 5.4, 0.4));
                    case OPTICAL -> flat(6.7, 7, 0.8, Pin.round(0, 0, 2.2, Contact.LIGHT));
                    case SPEAKER_LOCKING ->
                        circle(
                                24,
                                new Pin(-6.2, 0, 1.6, 5, Optional.of(Contact.PLUS)),
                                new Pin(6.2, 0, 1.6, 5, Optional.of(Contact.MINUS)));
                    default -> null;
                });
    }

    private static PlugFace circle(double diameter, Pin... pins) {
        return new PlugFace(diameter, diameter, diameter / 2, List.of(pins));
    }

    private static PlugFace flat(double width, double height, double corner, Pin... pins) {
        return new PlugFace(width, height, corner, List.of(pins));
    }

    private static Pin tongue(double x, double y, double width, double height) {
        return new Pin(x, y, width, height, Optional.empty());
    }
}
