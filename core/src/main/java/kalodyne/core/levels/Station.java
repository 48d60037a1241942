package kalodyne.core.levels;

/**
 * A part of a run as people point at it.
 *
 * @param index along the run, from 0 at the source
 * @param kind what it is
 * @param name "Interface", "Lead 7"
 * @param detail "line socket 3", "TS to TS, 3 m"
 */
public record Station(int index, Kind kind, String name, String detail) {
    /** What a station can be. */
    public enum Kind {
        DEVICE,
        JOINT,
        END
    }

    /** "Interface, line socket 3". */
    public String words() {
        return joined(", ");
    }

    /** Its name and, where there is any, its detail. */
    public String joined(String between) {
        return detail.isEmpty() ? name : name + between + detail;
    }

    public boolean isJoint() {
        return kind == Kind.JOINT;
    }

    public boolean isEnd() {
        return kind == Kind.END;
    }
}
