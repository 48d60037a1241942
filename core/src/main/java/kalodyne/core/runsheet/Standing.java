package kalodyne.core.runsheet;

/**
 * Where a device stands in the room, in metres.
 *
 * @param along from one corner along one wall, 0 to 100
 * @param across from the same corner along the other wall, 0 to 100
 * @param height of its sockets above the floor, 0 to 10
 */
public record Standing(double along, double across, double height) {
    public static final double LONGEST_ROOM = 100;
    public static final double HIGHEST = 10;

    public Standing {
        if (!(along >= 0 && along <= LONGEST_ROOM && across >= 0 && across <= LONGEST_ROOM)) {
            throw new IllegalArgumentException("a room is up to 100 m long and wide");
        }
        if (!(height >= 0 && height <= HIGHEST)) {
            throw new IllegalArgumentException("sockets are 0 to 10 m above the floor");
        }
    }

    /** One of the three numbers. */
    public enum Side {
        ALONG,
        ACROSS,
        HEIGHT
    }

    public double at(Side side) {
        return switch (side) {
            case ALONG -> along;
            case ACROSS -> across;
            case HEIGHT -> height;
        };
    }

    public Standing with(Side side, double metres) {
        return new Standing(
                side == Side.ALONG ? metres : along,
                side == Side.ACROSS ? metres : across,
                side == Side.HEIGHT ? metres : height);
    }
}
