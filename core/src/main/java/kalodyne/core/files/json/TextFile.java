package kalodyne.core.files.json;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Reads a text from a file that somebody chose, which may be anything. */
public final class TextFile {
    private TextFile() {}

    /**
     * The whole text, without a byte order mark.
     *
     * @param kind what it should be, for messages: "setup"
     * @param mostBytes what is longer is refused before it is read
     */
    public static String read(Path file, String kind, long mostBytes) throws UnreadableFile {
        try {
            if (Files.isRegularFile(file) && Files.size(file) > mostBytes) {
                throw unreadable(
                        file,
                        "It is far too large for a " + kind + ".",
                        "Choose the " + kind + " file, not a recording.");
            }
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(Files.readAllBytes(file)))
                    .toString();
            return text.startsWith("\ufeff") ? text.substring(1) : text;
        } catch (UnreadableFile e) {
            throw e;
        } catch (NoSuchFileException e) {
            throw unreadable(file, "There is no such file.", "Check its name, or whether it was moved.");
        } catch (CharacterCodingException e) {
            throw unreadable(file, "It is not a text in UTF-8.", "Choose a " + kind + " file, saved as UTF-8.");
        } catch (IOException e) {
            throw unreadable(file, "It cannot be opened.", "Check that it is a file and that you may read it.");
        }
    }

    private static UnreadableFile unreadable(Path file, String what, String remedy) {
        return new UnreadableFile(file, Problem.ofWhole(what, remedy));
    }
}
