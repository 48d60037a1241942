package kalodyne.core.levels.run;

import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/**
 * Where the loudest peak should come to lie in the recording.
 *
 * @param low lower edge, included
 * @param high upper edge, included; above the lower edge and not above 0 dBFS
 */
public record Aim(DigitalLevel low, DigitalLevel high) {
    /** For players whose loudness can be foreseen: −12 to −6 dBFS (common practice). */
    public static final Aim EVEN = new Aim(new DigitalLevel(-12), new DigitalLevel(-6));

    /** For very uneven players: −18 to −12 dBFS (common practice). */
    public static final Aim UNEVEN = new Aim(new DigitalLevel(-18), new DigitalLevel(-12));

    public Aim {
        if (low.compareTo(high) >= 0 || high.dbfs() > 0) {
            throw new IllegalArgumentException(
                    "the aim must rise from its lower edge (" + low + ") to its upper (" + high + "), 0 dBFS at most");
        }
    }

    /** The level that leaves most room for error on both sides. */
    public DigitalLevel middle() {
        return new DigitalLevel((low.dbfs() + high.dbfs()) / 2);
    }

    /** How far a peak lies above the aim (positive), below it (negative), or 0 where it is inside. */
    public Gain miss(DigitalLevel peak) {
        if (peak.compareTo(high) > 0) {
            return peak.above(high);
        }
        return peak.compareTo(low) < 0 ? peak.above(low) : Gain.NONE;
    }

    /** What the aim is meant for, or "own aim". */
    public String name() {
        if (equals(EVEN)) {
            return "even player";
        }
        return equals(UNEVEN) ? "uneven player" : "own aim";
    }

    /** Its edges in dBFS without the unit, where that is told beside: "−12…−6". */
    public String edges() {
        return edge(low) + "…" + edge(high);
    }

    /** For example "−12…−6 dBFS". */
    @Override
    public String toString() {
        return edges() + " dBFS";
    }

    private static String edge(DigitalLevel level) {
        return Print.plain(level.dbfs());
    }
}
