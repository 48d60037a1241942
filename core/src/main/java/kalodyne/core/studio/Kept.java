package kalodyne.core.studio;

import java.nio.file.Path;

/**
 * What became of an edit.
 *
 * @param file where it should lie
 * @param trouble why it does not; empty if it does
 */
public record Kept(Path file, String trouble) {
    public boolean isKept() {
        return trouble.isEmpty();
    }
}
