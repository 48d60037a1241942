package kalodyne.core.recording;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.DataLine;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.Mixer;
import javax.sound.sampled.SourceDataLine;

/** Where takes are heard. */
public interface Speakers {
    /** Whether anything can be heard, or time only passes. */
    boolean isHeard();

    /** How long after it is given a sound of a recording is heard: enough for any machine. */
    double USUAL_SECONDS = 0.12;

    /**
     * Opens them for stereo sound; closing gives them back.
     *
     * @param seconds from giving a sound to hearing it
     */
    Ear open(int sampleRateHz, double seconds);

    /** Speakers that sound is given to. */
    interface Ear extends AutoCloseable {
        /** Takes frames of left and right, full scale 1; returns when there is room for more. */
        void give(float[] left, float[] right, int count) throws InterruptedException;

        /** How many frames were heard so far. */
        long heard();

        @Override
        void close();
    }

    /** What can be chosen in place of real ones: time passes, and nothing is heard. */
    String SIMULATED = "Simulated output, silent";

    /**
     * What the system plays through; where it has nothing, time passes as if it had.
     *
     * @param wanted the name of an output, asked for at each opening; the system's own where empty, or where it is not there
     */
    static Speakers system(Supplier<Optional<String>> wanted) {
        return new SystemSpeakers(wanted);
    }

    /** The outputs that there are, by name, with the simulated one at the end. */
    static List<String> names() {
        return Stream.concat(SystemSpeakers.outputs().map(Mixer.Info::getName), Stream.of(SIMULATED))
                .distinct()
                .toList();
    }

    /** The real ones, through Java Sound. */
    final class SystemSpeakers implements Speakers {
        private static final DataLine.Info LINE = new DataLine.Info(SourceDataLine.class, null);

        private final Supplier<Optional<String>> wanted;
        private volatile boolean isHeard = true;

        SystemSpeakers(Supplier<Optional<String>> wanted) {
            this.wanted = wanted;
        }

        private static Stream<Mixer.Info> outputs() {
            return Stream.of(AudioSystem.getMixerInfo())
                    .filter(info -> AudioSystem.getMixer(info).isLineSupported(LINE));
        }

        @Override
        public boolean isHeard() {
            return isHeard;
        }

        @Override
        public Ear open(int sampleRateHz, double seconds) {
            AudioFormat format = new AudioFormat(sampleRateHz, 16, 2, true, false);
            isHeard = true;
            Optional<String> name = wanted.get();
            if (name.filter(SIMULATED::equals).isPresent()) {
                return new Deaf(sampleRateHz, seconds);
            }
            try {
                SourceDataLine line = AudioSystem.getSourceDataLine(
                        format,
                        outputs()
                                .filter(info ->
                                        name.filter(info.getName()::equals).isPresent())
                                .findFirst()
                                .orElse(null));
                line.open(format, 4 * (int) Math.round(seconds * sampleRateHz));
                line.start();
                return new SystemEar(line, () -> {
                    isHeard = false;
                    return new Deaf(sampleRateHz, seconds);
                });
            } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
                isHeard = false;
                return new Deaf(sampleRateHz, seconds);
            }
        }
    }

    /** A line of the system; where it is pulled out in the middle, time goes on passing. */
    final class SystemEar implements Ear {
        private final SourceDataLine line;
        private final Supplier<Deaf> otherwise;
        private Optional<Deaf> deaf = Optional.empty();

        SystemEar(SourceDataLine line, Supplier<Deaf> otherwise) {
            this.line = line;
            this.otherwise = otherwise;
        }

        @Override
        public void give(float[] left, float[] right, int count) throws InterruptedException {
            if (deaf.isPresent()) {
                deaf.get().give(left, right, count);
                return;
            }
            byte[] bytes = new byte[4 * count];
            for (int i = 0; i < count; i++) {
                put(bytes, 4 * i, left[i]);
                put(bytes, 4 * i + 2, right[i]);
            }
            if (line.write(bytes, 0, bytes.length) < bytes.length) {
                deaf = Optional.of(otherwise.get());
            }
        }

        private static void put(byte[] bytes, int at, float sample) {
            int step = Math.round(Math.max(-1, Math.min(1, sample)) * 32_767);
            bytes[at] = (byte) step;
            bytes[at + 1] = (byte) (step >> 8);
        }

        @Override
        public long heard() {
            return line.getLongFramePosition() + deaf.map(Deaf::heard).orElse(0L);
        }

        @Override
        public void close() {
            line.stop();
            line.flush();
            line.close();
        }
    }

    /** Nothing is heard, but it takes as long. */
    final class Deaf implements Ear {
        private final int sampleRateHz;
        private final double aheadSeconds;
        private final long began = System.nanoTime();
        private long given;

        Deaf(int sampleRateHz, double seconds) {
            this.sampleRateHz = sampleRateHz;
            aheadSeconds = seconds;
        }

        @Override
        public void give(float[] left, float[] right, int count) throws InterruptedException {
            given += count;
            double ahead = (double) given / sampleRateHz - (System.nanoTime() - began) / 1e9;
            if (ahead > aheadSeconds) {
                Thread.sleep((long) (1000 * (ahead - aheadSeconds)));
            }
        }

        @Override
        public long heard() {
            return Math.min(given, (long) ((System.nanoTime() - began) / 1e9 * sampleRateHz));
        }

        @Override
        public void close() {
            // There is nothing to give back.
        }
    }
}
