package kalodyne.core.studio.exchange;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.studio.Studio;

/**
 * What a file brings, before anything of it comes in.
 *
 * @param studio what is in it
 * @param parcel with recordings and photographs that are to be unpacked, if it is one
 */
public record Arrival(Studio studio, Optional<Parcel> parcel) {
    /**
     * Reads a file of any kind, without changing it.
     *
     * @throws UnreadableFile where it cannot be read; says everything that is wrong
     */
    public static Arrival read(Path file) throws UnreadableFile {
        if (Parcel.isOne(file)) {
            Parcel parcel = Parcel.open(file);
            return new Arrival(parcel.studio(), Optional.of(parcel));
        }
        return new Arrival(AnyStudio.read(file), Optional.empty());
    }

    /**
     * Puts what is to be unpacked into the folder of the studio that it comes into.
     *
     * @return what is in it, with its files where they now lie
     * @throws CancellationException where the progress asked to stop; nothing is left then
     */
    public Studio unpacked(Path folder, Progress progress) throws IOException {
        return parcel.isPresent() ? parcel.get().unpack(folder, progress) : studio;
    }
}
