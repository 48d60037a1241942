package kalodyne.core.recording;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.sound.WavRecorder;

/** One take while it is recorded: from an input into a file, with a meter to look at. Whatever goes wrong, what was recorded stays. */
public final class Recording {
    private static final int BLOCK_FRAMES = 4096;

    private final Path file;
    private final OptionalInt channel;
    private volatile boolean isStopped;
    private volatile boolean isKept;
    private volatile LiveMeter meter;
    private volatile int sampleRateHz;

    /**
     * A recording that has not begun.
     *
     * @param file that is to be made; none of that name may be there
     * @param channel which of the input's, from 0; all of them where empty
     */
    public Recording(Path file, OptionalInt channel) {
        this.file = file;
        this.channel = channel;
    }

    /**
     * How it ended.
     *
     * @param frames how many are in the file
     * @param trouble why it ended before somebody stopped it; says what to do
     */
    public record Ended(long frames, Optional<String> trouble) {}

    /**
     * Listens, and records from when it is told to, until it is stopped or nothing more comes.
     *
     * @param listening told on this thread when the input is open
     */
    public Ended run(InputDevice device, int wantedRateHz, Runnable listening) throws InterruptedException {
        try (InputLine line = device.open(wantedRateHz)) {
            InputFormat format = line.format();
            int channels = channel.isPresent() ? 1 : format.channels();
            sampleRateHz = format.sampleRateHz();
            meter = new LiveMeter(channels, format.sampleRateHz());
            listening.run();
            return record(line, channels);
        } catch (LostInput e) {
            return new Ended(0, Optional.of(e.getMessage()));
        }
    }

    private Ended record(InputLine line, int channels) throws InterruptedException {
        InputFormat format = line.format();
        float[][] samples = new float[format.channels()][BLOCK_FRAMES];
        float[][] chosen = channel.isPresent()
                ? new float[][] {samples[Math.min(channel.getAsInt(), samples.length - 1)]}
                : samples;
        WavRecorder recorder = null;
        Optional<String> trouble = Optional.empty();
        long frames = 0;
        try {
            while (!isStopped) {
                int count = line.read(samples);
                if (count > 0) {
                    if (isKept && recorder == null) {
                        Files.createDirectories(file.toAbsolutePath().getParent());
                        recorder = new WavRecorder(file, channels, format.sampleRateHz(), format.bits());
                        meter = new LiveMeter(channels, format.sampleRateHz());
                    }
                    meter.accept(chosen, count);
                    if (recorder != null) {
                        recorder.write(chosen, count);
                        frames = recorder.frames();
                    }
                }
            }
        } catch (LostInput e) {
            trouble = Optional.of(e.getMessage());
        } catch (IOException e) {
            trouble = Optional.of(cannotWrite(e));
        }
        try {
            if (recorder != null) {
                recorder.close();
            }
        } catch (IOException e) {
            trouble = trouble.or(() -> Optional.of(cannotWrite(e)));
        }
        return new Ended(frames, trouble);
    }

    private String cannotWrite(IOException e) {
        return file + " cannot be written: " + e.getMessage() + ". Free some space, or choose another folder.";
    }

    /** From now on what comes is kept. */
    public void keep() {
        isKept = true;
    }

    /** Ends it; {@link #run} returns soon. */
    public void stop() {
        isStopped = true;
    }

    /** What the meter shows; empty before the input is open. */
    public Optional<LiveMeter.Reading> meter() {
        return Optional.ofNullable(meter).map(LiveMeter::read);
    }

    /** Of the input; 0 before it is open. */
    public int sampleRateHz() {
        return sampleRateHz;
    }

    public Path file() {
        return file;
    }
}
