package kalodyne.core.joint;

/**
 * A socket of a device, or an end of a lead.
 *
 * @param item the mark under which the device or lead is in the patch
 * @param part the mark of its socket or end
 */
public record Spot(String item, String part) {
    /** "bass-synth.out". */
    public String write() {
        return item + "." + part;
    }
}
