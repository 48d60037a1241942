package kalodyne.core.recording;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.DataLine;
import javax.sound.sampled.Line;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.Mixer;
import javax.sound.sampled.TargetDataLine;

/** The inputs that the system has, through Java Sound. */
public final class SystemInputs {
    private static final int[] RATES = {48_000, 44_100};
    private static final int[] BITS = {24, 16};
    private static final int MOST_CHANNELS = 32;

    /** Shorter buffers overflow while a computer does something else. */
    private static final int BUFFER_SECONDS = 1;

    private SystemInputs() {}

    /** All that record; none where the system has no sound. Asks the system, which can take a moment. */
    public static List<InputDevice> all() {
        List<InputDevice> all = new ArrayList<>();
        for (Mixer.Info info : AudioSystem.getMixerInfo()) {
            Mixer mixer = AudioSystem.getMixer(info);
            for (Line.Info line : mixer.getTargetLineInfo()) {
                if (line instanceof DataLine.Info data && TargetDataLine.class.isAssignableFrom(data.getLineClass())) {
                    all.add(new SystemInput(info.getName(), mixer, data));
                    break;
                }
            }
        }
        return all;
    }

    private record SystemInput(String name, Mixer mixer, DataLine.Info info) implements InputDevice {
        @Override
        public boolean isSimulated() {
            return false;
        }

        @Override
        public InputLine open(int sampleRateHz) throws LostInput {
            for (int bits : BITS) {
                for (int rate : rates(sampleRateHz)) {
                    for (int channels : channelCounts()) {
                        AudioFormat format = new AudioFormat(rate, bits, channels, true, false);
                        if (mixer.isLineSupported(new DataLine.Info(TargetDataLine.class, format))) {
                            return opened(format);
                        }
                    }
                }
            }
            throw new LostInput(
                    name + " offers no 16-bit or 24-bit sound at " + sampleRateHz + " Hz, 48 kHz or 44.1 kHz.",
                    "Choose another input.");
        }

        private static int[] rates(int wanted) {
            return new int[] {wanted, RATES[0], RATES[1]};
        }

        /** What offers every number of channels makes them up: two of them are what it has. */
        @Override
        public int channels() {
            Set<Integer> offered = new HashSet<>();
            for (AudioFormat format : info.getFormats()) {
                offered.add(format.getChannels());
            }
            boolean areMadeUp = offered.contains(3) && offered.contains(5) && offered.contains(7);
            int most = offered.stream().mapToInt(Integer::intValue).max().orElse(2);
            return areMadeUp || most < 1 ? 2 : Math.min(MOST_CHANNELS, most);
        }

        /** As many as it has: which of them is wanted is chosen behind it. */
        private List<Integer> channelCounts() {
            List<Integer> channels = new ArrayList<>();
            for (int count : new int[] {channels(), 2, 1}) {
                if (!channels.contains(count)) {
                    channels.add(count);
                }
            }
            return channels;
        }

        private InputLine opened(AudioFormat format) throws LostInput {
            try {
                TargetDataLine line = (TargetDataLine) mixer.getLine(new DataLine.Info(TargetDataLine.class, format));
                int frames = BUFFER_SECONDS * Math.round(format.getSampleRate());
                line.open(format, frames * format.getFrameSize());
                line.start();
                return new SystemLine(name, line, format);
            } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
                throw new LostInput(
                        name + " cannot be opened: another program may be using it.",
                        "Close that program, or let this one use the input, and try again.");
            }
        }
    }
}
