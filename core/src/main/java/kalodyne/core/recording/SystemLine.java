package kalodyne.core.recording;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.TargetDataLine;

/**
 * An input of the system while it gives sound. A device that was pulled out says so by nothing but silence: it stays open and running, and
 * nothing more ever comes. So it is lost when nothing came for too long.
 */
final class SystemLine implements InputLine {
    private static final long ASK_AGAIN_MILLIS = 10;

    /** Until the first samples come, systems take up to two seconds; afterwards they come all the time. */
    private static final double FIRST_SECONDS = 5;

    private static final double LATER_SECONDS = 2;

    private final String name;
    private final TargetDataLine line;
    private final InputFormat format;
    private final byte[] bytes;
    private final ByteBuffer ordered;
    private boolean hasBegun;
    private long lastNanos = System.nanoTime();

    SystemLine(String name, TargetDataLine line, AudioFormat format) {
        this.name = name;
        this.line = line;
        this.format =
                new InputFormat(Math.round(format.getSampleRate()), format.getChannels(), format.getSampleSizeInBits());
        bytes = new byte[format.getFrameSize() * 4096];
        ordered = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    }

    @Override
    public InputFormat format() {
        return format;
    }

    @Override
    public int read(float[][] samples) throws LostInput, InterruptedException {
        int frame = format.channels() * format.bits() / 8;
        int wanted = Math.min(samples[0].length * frame, bytes.length);
        int ready = Math.min(line.available(), wanted) / frame * frame;
        // A device that is gone may go on to say that something is ready, and then give nothing.
        int read = ready == 0 ? 0 : line.read(bytes, 0, ready);
        if (read <= 0) {
            waitForMore();
            return 0;
        }
        hasBegun = true;
        lastNanos = System.nanoTime();
        int frames = read / frame;
        int at = 0;
        for (int i = 0; i < frames; i++) {
            for (int channel = 0; channel < format.channels(); channel++) {
                samples[channel][i] = sample(at);
                at += format.bits() / 8;
            }
        }
        return frames;
    }

    private void waitForMore() throws LostInput, InterruptedException {
        double waited = (System.nanoTime() - lastNanos) / 1e9;
        if (waited > (hasBegun ? LATER_SECONDS : FIRST_SECONDS)) {
            throw new LostInput(
                    hasBegun ? name + " stopped giving sound." : name + " gives no sound.",
                    "Check its plug and its power, then choose it again.");
        }
        Thread.sleep(ASK_AGAIN_MILLIS);
    }

    private float sample(int at) {
        return format.bits() == 16
                ? ordered.getShort(at) / 32_768f
                : ((bytes[at + 2] << 16) | Short.toUnsignedInt(ordered.getShort(at))) / 8_388_608f;
    }

    @Override
    public void close() {
        line.stop();
        line.close();
    }
}
