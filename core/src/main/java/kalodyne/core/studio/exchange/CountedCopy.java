package kalodyne.core.studio.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.concurrent.CancellationException;
import java.util.zip.ZipException;
import kalodyne.core.files.Progress;

/** Tells how much of all was copied, and stops where that is wanted. */
final class CountedCopy {
    private static final int BLOCK = 1 << 16;

    private final Progress progress;
    private final long all;
    private long done;

    /**
     * Copies of several files.
     *
     * @param all bytes of all of them
     */
    CountedCopy(Progress progress, long all) {
        this.progress = progress;
        this.all = Math.max(1, all);
    }

    /**
     * Copies all there is.
     *
     * @param most what has more bytes than that is not what it says
     */
    void copy(InputStream in, OutputStream out, long most) throws IOException {
        byte[] block = new byte[BLOCK];
        long copied = 0;
        for (int count = in.read(block); count >= 0; count = in.read(block)) {
            copied += count;
            if (copied > most) {
                throw new ZipException("more bytes than it says");
            }
            out.write(block, 0, count);
            done += count;
            if (!progress.report(Math.min(1, (double) done / all))) {
                throw new CancellationException();
            }
        }
    }
}
