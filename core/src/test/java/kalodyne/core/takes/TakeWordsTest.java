package kalodyne.core.takes;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import kalodyne.core.files.Progress;
import kalodyne.core.testing.WavBytes;
import kalodyne.core.testing.Wordings;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What is said of takes with one fault each, word by word; the faults are put by formula into notes of 220 Hz that die away. Their peak lies at
 * −11.3 dBFS, their own noise 90 dB under full scale.
 */
class TakeWordsTest {
    private static final int RATE = 48_000;
    private static final int SECONDS = 12;
    private static final double[] NOISE = noise();

    @TempDir
    Path folder;

    /** A fault, then what is said of the take. */
    private static final String BOOK = """
            none
            Peaks at −11.3 dBFS: nothing wrong was found.

            too loud for the converter
            Cut off at 9 places: turn down and record again.
            wrong clip.digital: Cut off at full scale
                5,913 samples at 9 places, first at 0:00.0. The tops would have reached about +4 dBFS.
                → Turn down and record again: what is cut off cannot be repaired

            too loud for a stage before it
            Peaks at −8.0 dBFS: cut off before the recorder.
            wrong clip.analogue: Cut off before the recorder
                540 tops are flat at −7.6 dBFS: a stage before the converter, not the converter.
                → Turn down what comes before it, turn up behind it, and record again

            a coil near the mains
            Peaks at −11.3 dBFS: hum of the mains, 50 Hz.
            wrong hum.mains: Hum of the mains, 50 Hz
                −47 dBFS at 50, 150 Hz: odd multiples, as coils and open leads catch them.
                → Move leads and pickups away from mains adapters, and compare

            a rectifier's ripple
            Peaks at −11.3 dBFS: buzz of the mains, 50 Hz.
            wrong hum.rectifier: Buzz of the mains, 50 Hz
                −45 dBFS at 100, 200, 300 Hz: even multiples, as a power supply or a ground loop makes them.
                → Run it on batteries, or all gear from one outlet, and compare

            the mains of 60 Hz
            Peaks at −11.3 dBFS: hum of the mains, 60 Hz.
            wrong hum.mains: Hum of the mains, 60 Hz
                −47 dBFS at 60, 180, 660, 1320 Hz: odd multiples, as coils and open leads catch them.
                → Move leads and pickups away from mains adapters, and compare

            a noisy preamp
            Peaks at −11.0 dBFS: hiss in the pauses.
            wrong hiss: Hiss in the pauses
                The noise of the pauses is at −44 dBFS, only 35 dB under the loudest.
                → Make the source louder and the gain behind it lower

            an offset
            Peaks at −9.9 dBFS: a DC offset.
            weak dc: A DC offset
                The whole take lies +5.0 % off centre. Edits will click.
                → Remove it with a low-cut filter at 20 Hz; look for a faulty source

            one side not plugged
            Peaks at −11.3 dBFS: nothing in channel 2.
            wrong channel.dead: Nothing in channel 2
                The other side was recorded, this one was not.
                → Check its plug at both ends, or record without that channel

            mono on both sides
            Peaks at −11.3 dBFS: both sides are the same.
            note channel.dual-mono: Both sides are the same
                What differs between them is more than 30 dB down: it is mono, twice.
                → Record one channel, or plug the other side in

            two wires swapped
            Peaks at −11.3 dBFS: one side is inverted.
            wrong channel.inverted: One side is inverted
                The two sides move against each other: on one loudspeaker most of it is gone.
                → Invert the polarity of one side, or replace a lead whose wires are swapped

            a buffer that ran dry
            Peaks at −11.3 dBFS: a dropout in the sound.
            wrong dropout: A dropout in the sound
                One place at 0:04.2 where sound is missing, the longest for 20.0 ms.
                → Choose a larger buffer, close other programs, and record again

            a plug that was touched
            Peaks at −6.0 dBFS: a click.
            weak click: A click
                One jump of the wave at 0:03.5, up to 50 % of full scale.
                → Check plugs and switches; with an external clock, which device leads

            steps on the floor
            Peaks at −10.7 dBFS: rumble.
            weak rumble: Rumble
                Deep noise below 32 Hz at −26 dBFS goes on when nothing is played.
                → Switch on a low cut, or stand the source on something soft

            gain left down
            Peaks at −45.2 dBFS: very quiet.
            weak level.low: Very quiet
                Nothing is above −45.2 dBFS. If you raise it later, the noise rises with it.
                → Turn the gain up
            weak hiss: Hiss in the pauses
                The noise of the pauses is at −87 dBFS, only 44 dB under the loudest.
                → Make the source louder and the gain behind it lower

            gain left up
            Peaks at −1.5 dBFS: little room above the peaks.
            weak level.hot: Little room above the peaks
                1.5 dB are left. A louder bar in the real take would be cut off.
                → Turn the gain down

            a gate
            Peaks at −11.2 dBFS: noise that switches on and off.
            weak noise.gate: Noise that switches on and off
                At 9 places, first at 0:00.5, the noise falls at once by 60 dB or more: a gate.
                → Switch off the noise gate or noise suppression, and lower the noise itself
            """;

    static Stream<List<String>> takes() {
        return Wordings.read(BOOK);
    }

    @ParameterizedTest
    @MethodSource("takes")
    void says(List<String> take) throws IOException {
        double[][] channels =
                Arrays.stream(faulty(take.get(0))).map(TakeWordsTest::samples).toArray(double[][]::new);
        TakeReport report =
                TakeReader.read(WavBytes.integers(24, channels).write(folder.resolve("take.wav")), Progress.NONE);
        assertThat((TakeSentence.of(report) + "\n" + Wordings.of(report.findings())).strip())
                .isEqualTo(take.get(1));
    }

    private static double[] noise() {
        Random random = new Random(3);
        return random.doubles(SECONDS * RATE).map(each -> random.nextGaussian()).toArray();
    }

    private static double[] samples(DoubleUnaryOperator of) {
        double[] samples = new double[SECONDS * RATE];
        Arrays.setAll(samples, i -> of.applyAsDouble((double) i / RATE));
        return samples;
    }

    private static double sine(double hertz, double seconds) {
        return Math.sin(2 * Math.PI * hertz * seconds);
    }

    /** A note each second, and each fourth second none. */
    private static double notes(double seconds) {
        double at = seconds % 4 >= 3 ? seconds % 1 + 1 : seconds % 1;
        double size = 0.4 * Math.exp(-6 * at) * Math.min(1, at * 500) / 1.9;
        return size
                * (sine(220, seconds)
                        + 0.5 * sine(440, seconds)
                        + 0.3 * sine(660, seconds)
                        + 0.1 * sine(1320, seconds));
    }

    private static double hiss(double seconds, double size) {
        return size * NOISE[(int) Math.round(seconds * RATE)];
    }

    private static double clean(double seconds) {
        return notes(seconds) + hiss(seconds, 3e-5);
    }

    private static double cut(double sample, double ceiling) {
        return Math.max(-ceiling, Math.min(ceiling, sample));
    }

    private static DoubleUnaryOperator[] faulty(String fault) {
        return switch (fault) {
            case "none" -> channels(t -> clean(t));
            case "too loud for the converter" -> channels(t -> cut(5 * clean(t), 1));
            case "too loud for a stage before it" -> channels(t -> 3.3 * cut(notes(t), 0.12) + hiss(t, 3e-5));
            case "a coil near the mains" -> channels(t -> clean(t) + 0.004 * sine(50, t) + 0.002 * sine(150, t));
            case "a rectifier's ripple" ->
                channels(t -> clean(t) + 0.004 * sine(100, t) + 0.003 * sine(200, t) + 0.002 * sine(300, t));
            case "the mains of 60 Hz" -> channels(t -> clean(t) + 0.004 * sine(60, t) + 0.002 * sine(180, t));
            case "a noisy preamp" -> channels(t -> notes(t) + hiss(t, 0.004));
            case "an offset" -> channels(t -> clean(t) + 0.05);
            case "one side not plugged" -> channels(t -> clean(t), t -> 0);
            case "mono on both sides" -> channels(t -> clean(t), t -> clean(t));
            case "two wires swapped" -> channels(t -> clean(t), t -> -clean(t));
            case "a buffer that ran dry" -> channels(t -> t > 4.2 && t < 4.22 ? 0 : clean(t));
            case "a plug that was touched" -> channels(t -> clean(t) + (Math.abs(t - 3.5) < 1.1 / RATE ? 0.5 : 0));
            case "steps on the floor" -> channels(t -> clean(t) + 0.05 * sine(9, t));
            case "gain left down" -> channels(t -> 0.02 * notes(t) + hiss(t, 3e-5));
            case "gain left up" -> channels(t -> 3.1 * notes(t) + hiss(t, 3e-5));
            case "a gate" -> channels(t -> t % 1 > 0.5 ? 0 : notes(t) + hiss(t, 0.001));
            default -> throw new IllegalArgumentException(fault);
        };
    }

    private static DoubleUnaryOperator[] channels(DoubleUnaryOperator... each) {
        return each;
    }
}
