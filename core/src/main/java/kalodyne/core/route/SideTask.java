package kalodyne.core.route;

/**
 * What belongs to a way beside what is recorded.
 *
 * @param of what it is about
 * @param words how it is done, or why it is not
 * @param isDone whether it is as it was wished
 */
public record SideTask(Of of, String words, boolean isDone) {
    /** What can belong to a way. */
    public enum Of {
        SPEAKERS("Speakers"),
        LEADS("Leads"),
        SOUND("Sound"),
        TEMPO("Tempo"),
        POWER("Power"),
        CHARGING("Charging"),
        ALSO("Also captured");

        private final String word;

        Of(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }
}
