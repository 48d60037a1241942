package kalodyne.core.levels.gain;

import java.util.List;
import kalodyne.core.units.Gain;

/**
 * Why no position of the controls does all that is wanted.
 *
 * @param kind what is in the way
 * @param point mark of the point that makes it impossible
 * @param end name of the end that it is about; empty where it is about the point alone
 * @param by how many decibels are missing, above 0
 * @param limits the controls that are at the end of their range, or locked, in the way
 */
public record Hindrance(Kind kind, PointId point, String end, Gain by, List<Knob> limits) {
    public Hindrance {
        limits = List.copyOf(limits);
    }

    /** What can be in the way. */
    public enum Kind {
        /** Too loud for the point whatever stands before it. */
        OVERLOADED,
        /** Every control at its lowest, and still too hot for the aim. */
        TOO_HOT_AT_LOWEST,
        /** Every control at its highest, and still too quiet for the aim. */
        TOO_QUIET_AT_HIGHEST,
        /** A point clips below the aim: the end wants more than it can give. */
        CLIPS_BEFORE_AIM,
        /** One click is too little, the next too much. */
        BETWEEN_CLICKS,
        /** One of several in a mix stays quieter than wanted. */
        OUT_OF_BALANCE,
        /** The preamp does not reach its ceiling. */
        NOT_DRIVEN
    }

    /** Whether a lock is in the way. */
    public boolean isByLock() {
        return limits.stream().anyMatch(Knob::isLockedByOwner);
    }
}
