package kalodyne.core.recording;

import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.DataLine;
import javax.sound.sampled.LineUnavailableException;
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

    /** What the system plays through; where it has nothing, time passes as if it had. */
    static Speakers system() {
        return new SystemSpeakers();
    }

    /** The real ones, through Java Sound. */
    final class SystemSpeakers implements Speakers {
        private boolean isHeard = true;

        @Override
        public boolean isHeard() {
            return isHeard;
        }

        @Override
        public Ear open(int sampleRateHz, double seconds) {
            AudioFormat format = new AudioFormat(sampleRateHz, 16, 2, true, false);
            try {
                SourceDataLine line =
                        (SourceDataLine) AudioSystem.getLine(new DataLine.Info(SourceDataLine.class, format));
                line.open(format, 4 * (int) Math.round(seconds * sampleRateHz));
                line.start();
                isHeard = true;
                return new SystemEar(line);
            } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
                isHeard = false;
                return new Deaf(sampleRateHz, seconds);
            }
        }
    }

    /** A line of the system. */
    final class SystemEar implements Ear {
        private final SourceDataLine line;

        SystemEar(SourceDataLine line) {
            this.line = line;
        }

        @Override
        public void give(float[] left, float[] right, int count) {
            byte[] bytes = new byte[4 * count];
            for (int i = 0; i < count; i++) {
                put(bytes, 4 * i, left[i]);
                put(bytes, 4 * i + 2, right[i]);
            }
            line.write(bytes, 0, bytes.length);
        }

        private static void put(byte[] bytes, int at, float sample) {
            int step = Math.round(Math.max(-1, Math.min(1, sample)) * 32_767);
            bytes[at] = (byte) step;
            bytes[at + 1] = (byte) (step >> 8);
        }

        @Override
        public long heard() {
            return line.getLongFramePosition();
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
