package kalodyne.core.studio;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Optional;

/**
 * Says that a process edits a studio. The system lets go of it when the process ends, however it ends. The small file
 * beside the studio stays: to remove it would open a gap through which two could slip.
 */
final class StudioLock implements AutoCloseable {
    /** Beyond the text, so that the others can read it where locked bytes cannot be read. */
    private static final long LOCKED_BYTE = 1 << 20;

    private static final DateTimeFormatter SINCE = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

    private final FileChannel channel;
    private final FileLock lock;

    private StudioLock(FileChannel channel, FileLock lock) {
        this.channel = channel;
        this.lock = lock;
    }

    /**
     * Takes the lock.
     *
     * @return empty where another process, or another window of this one, has it
     * @throws IOException where the folder cannot be written
     */
    static Optional<StudioLock> take(Path studio, Clock clock) throws IOException {
        FileChannel channel = FileChannel.open(
                beside(studio), StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE);
        try {
            FileLock lock = channel.tryLock(LOCKED_BYTE, 1, false);
            if (lock == null) {
                channel.close();
                return Optional.empty();
            }
            String since =
                    "process " + ProcessHandle.current().pid() + ", since " + SINCE.format(LocalDateTime.now(clock));
            channel.truncate(0);
            channel.write(ByteBuffer.wrap(since.getBytes(StandardCharsets.UTF_8)), 0);
            return Optional.of(new StudioLock(channel, lock));
        } catch (OverlappingFileLockException e) {
            channel.close();
            return Optional.empty();
        }
    }

    /** Who has the lock: "process 4711, since 2026-03-01 12:04". */
    private static String holder(Path studio) {
        try {
            String text = Files.readString(beside(studio)).strip();
            return text.isEmpty() || text.length() > 100 ? "another process" : text;
        } catch (IOException e) {
            return "another process";
        }
    }

    /** Why a studio cannot be edited whose lock another one has. */
    static String heldBy(Path studio) {
        return "It is already open: " + holder(studio) + ". Close it there to edit it here.";
    }

    private static Path beside(Path studio) {
        return studio.resolveSibling("." + studio.getFileName() + ".lock");
    }

    @Override
    public void close() throws IOException {
        lock.release();
        channel.close();
    }
}
