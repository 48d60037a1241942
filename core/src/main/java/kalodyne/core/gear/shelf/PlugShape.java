package kalodyne.core.gear.shelf;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;

/**
 * What the metal of a plug looks like from the side, in millimetres from its tip, to be drawn to scale beside the one in the
 * hand. After IEC 60603-11 (6.35 mm) and EIAJ RC-5325A (3.5 mm), from memory, to about half a millimetre; other makers'
 * plugs differ by as much.
 *
 * @param diameter of the shaft
 * @param length from tip to body
 * @param segments contacts and the dark bands between them, from the tip
 */
public record PlugShape(double diameter, double length, List<Segment> segments) {
    /** How wide a dark band is, at 6.35 mm and at 3.5 mm. */
    private static final double WIDE_BAND = 1.2;

    private static final double NARROW_BAND = 0.6;

    /**
     * A stretch of the shaft.
     *
     * @param from millimetres from the tip
     * @param to millimetres from the tip
     * @param contact the contact that it is; null for a dark band
     */
    public record Segment(double from, double to, Contact contact) {
        public boolean isBand() {
            return contact == null;
        }
    }

    public PlugShape {
        segments = List.copyOf(segments);
    }

    /**
     * The shape of a jack plug.
     *
     * @throws IllegalArgumentException for a connector that is no jack
     */
    public static PlugShape of(Connector connector) {
        return switch (connector) {
            case JACK_635_TS -> shape(6.35, 31, WIDE_BAND, connector, 7.6);
            case JACK_635_TRS -> shape(6.35, 31, WIDE_BAND, connector, 7.6, 13.2);
            case JACK_35_TS -> shape(3.5, 14, NARROW_BAND, connector, 4.1);
            case JACK_35_TRS -> shape(3.5, 14, NARROW_BAND, connector, 4.1, 7.0);
            case JACK_35_TRRS -> shape(3.5, 14, NARROW_BAND, connector, 3.8, 6.5, 9.2);
            default -> throw new IllegalArgumentException(connector + " has no bands");
        };
    }

    /** How many dark bands there are to count. */
    public int bands() {
        return (int) segments.stream().filter(Segment::isBand).count();
    }

    private static PlugShape shape(
            double diameter, double length, double band, Connector connector, double... bandStarts) {
        List<Segment> segments = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < bandStarts.length; i++) {
            segments.add(new Segment(at, bandStarts[i], connector.contacts().get(i)));
            segments.add(new Segment(bandStarts[i], bandStarts[i] + band, null));
            at = bandStarts[i] + band;
        }
        segments.add(new Segment(at, length, connector.contacts().get(bandStarts.length)));
        return new PlugShape(diameter, length, segments);
    }
}
