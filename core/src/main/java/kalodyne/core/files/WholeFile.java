package kalodyne.core.files;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/** Writes a file under another name beside its own, and moves it there when it is complete and on the disk. */
public final class WholeFile {
    private WholeFile() {}

    /**
     * Writes a file. After a crash or a power cut there is the old content or the new, never a half.
     *
     * @param file its folder is made if it is not there
     * @param bytes from its position to its limit
     */
    public static void write(Path file, ByteBuffer bytes) throws IOException {
        write(file, out -> Channels.newChannel(out).write(bytes));
    }

    /** Writes what a file is to hold. */
    @FunctionalInterface
    public interface Content {
        void write(OutputStream out) throws IOException;
    }

    /**
     * Writes a file that may be too large to be held in memory. What was begun is taken away again where it fails.
     *
     * @param file its folder is made if it is not there
     */
    public static void write(Path file, Content content) throws IOException {
        grow(file, part -> {
            try (FileChannel channel =
                    FileChannel.open(part, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
                OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel));
                content.write(out);
                out.flush();
                channel.force(true);
            }
        });
    }

    /** Writes a file that is not there yet, by its own means. */
    @FunctionalInterface
    public interface Growth {
        void write(Path part) throws IOException;
    }

    /**
     * Has a file written under another name beside its own, and gives it its name when that is done.
     *
     * @param file its folder is made if it is not there
     */
    public static void grow(Path file, Growth growth) throws IOException {
        Path target = file.toAbsolutePath();
        Files.createDirectories(target.getParent());
        Path part = target.resolveSibling(target.getFileName() + ".part");
        try {
            Files.deleteIfExists(part);
            growth.write(part);
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(part);
        }
    }
}
