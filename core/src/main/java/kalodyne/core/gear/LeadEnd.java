package kalodyne.core.gear;

/**
 * An end of a lead or adapter.
 *
 * @param id its mark within the lead: "a"
 * @param name what is written or coloured on it: "left"; may be empty
 * @param connector which it is
 * @param form plug or socket
 */
public record LeadEnd(String id, String name, Connector connector, Form form) {
    public LeadEnd {
        id = Marks.checked(id);
        name = name.isBlank() ? "" : Names.checked(name);
    }

    /** In a few words: "6.35 mm two-pole plug", "XLR three-pin socket (left)". */
    public String words() {
        return connector.word() + " " + form.word() + (name.isEmpty() ? "" : " (" + name + ")");
    }
}
