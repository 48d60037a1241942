package kalodyne.core.files.json;

/**
 * Something in a file that cannot be read.
 *
 * @param place "runs › 1 › lead › length, line 14"
 * @param what as a sentence
 * @param remedy as a sentence
 */
public record Problem(String place, String what, String remedy) {
    /** A problem that has no place of its own. */
    public static Problem ofWhole(String what, String remedy) {
        return new Problem("the whole of it", what, remedy);
    }

    @Override
    public String toString() {
        return place + ": " + what + " " + remedy;
    }
}
