package kalodyne.core.gear;

import kalodyne.core.units.UnreadableQuantity;

/**
 * A wire between two contacts of a lead.
 *
 * @param from a contact of one end
 * @param to a contact of another end, or of the same
 * @param conductor an inner wire or a shield
 * @param facts {@link Fact.Of#WIRE}
 */
public record Wire(Spot from, Spot to, Conductor conductor, Facts facts) {
    /**
     * A contact of an end.
     *
     * @param end the end's mark
     * @param contact which of its contacts
     */
    public record Spot(String end, Contact contact) {
        /** "a.T". */
        public String write() {
            return end + "." + contact.word();
        }

        /**
         * Reads "a.T".
         *
         * @throws UnreadableQuantity where it is something else
         */
        public static Spot read(String text) {
            int point = text.indexOf('.');
            if (point < 1) {
                throw new UnreadableQuantity(
                        "“" + Names.shown(text) + "” is not a contact of an end.", "Write for example a.T.");
            }
            return new Spot(text.substring(0, point), Coded.read(Contact.class, text.substring(point + 1)));
        }
    }
}
