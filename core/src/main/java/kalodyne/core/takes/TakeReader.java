package kalodyne.core.takes;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import kalodyne.core.sound.WavHeader;
import kalodyne.core.sound.WavStream;

/** Measures a take from beginning to end. */
public final class TakeReader {
    private TakeReader() {}

    /**
     * Reads and measures a file.
     *
     * @throws kalodyne.core.sound.UnreadableSound where it cannot be read; says why
     * @throws CancellationException where the progress asked to stop
     */
    public static TakeReport read(Path file, Progress progress) throws IOException {
        try (WavStream stream = WavStream.open(file)) {
            WavHeader header = stream.header();
            List<ChannelMeter> meters = new ArrayList<>();
            for (int c = 0; c < header.channels(); c++) {
                meters.add(new ChannelMeter(header));
            }
            long done = 0;
            for (int count = stream.next(); count > 0; count = stream.next()) {
                for (int c = 0; c < meters.size(); c++) {
                    meters.get(c).accept(stream.samples()[c], count);
                }
                done += count;
                if (!progress.report((double) done / header.frames())) {
                    throw new CancellationException("Reading " + file.getFileName() + " was stopped.");
                }
            }
            List<ChannelReport> channels =
                    meters.stream().map(ChannelMeter::report).toList();
            TakeReport measured = new TakeReport(file, header, channels, List.of());
            return new TakeReport(file, header, channels, TakeRules.check(measured));
        }
    }
}
