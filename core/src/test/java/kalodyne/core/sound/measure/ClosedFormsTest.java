package kalodyne.core.sound.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.function.IntToDoubleFunction;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every meter against signals whose measures can be worked out on paper. Levels are in decibels, full scale 1. */
class ClosedFormsTest {
    private static final int RATE = 48_000;
    private static final double SINE_POWER_DB = -3.01;

    private static float[] made(double seconds, IntToDoubleFunction sample) {
        float[] samples = new float[(int) Math.round(seconds * RATE)];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) sample.applyAsDouble(i);
        }
        return samples;
    }

    private static double sine(double hertz, double peakDb, int frame) {
        return new Gain(peakDb).ratio() * Math.sin(2 * Math.PI * hertz * frame / RATE);
    }

    private static IntToDoubleFunction noise(double rmsDb) {
        Random random = new Random(5);
        return frame -> new Gain(rmsDb).ratio() * random.nextGaussian();
    }

    /** Whatever size the blocks come in, the same is heard. */
    private static SoundMeasures heard(float[] samples) {
        return heardAt(RATE, samples);
    }

    private static SoundMeasures heardAt(int rate, float[] samples) {
        ChannelEar ear = ChannelEar.forChannels(1, rate).get(0);
        Random sizes = new Random(9);
        for (int at = 0; at < samples.length; ) {
            int count = Math.min(samples.length - at, 1 + sizes.nextInt(5_000));
            float[] block = new float[count];
            System.arraycopy(samples, at, block, 0, count);
            ear.accept(block, count);
            at += count;
        }
        return ear.heard();
    }

    // --- level ---------------------------------------------------------------------------------------------------

    @ParameterizedTest(name = "a sine of {0} Hz at {1} dBFS, offset {2}")
    @CsvSource({"1000, 0, 0", "997, -20, 0", "440, -60, 0", "61, -6, 0.2", "10000, -40, -0.01"})
    void a_sine_is_3_db_below_its_peak_whatever_its_offset(double hertz, double peakDb, double offset) {
        SoundMeasures heard = heard(made(3, i -> offset + sine(hertz, peakDb, i)));
        assertThat(heard.truePeak()).isCloseTo(Math.abs(offset) + new Gain(peakDb).ratio(), within(0.01));
        assertThat(heard.loudDb()).isCloseTo(peakDb + SINE_POWER_DB, within(0.15));
        assertThat(heard.silentShare()).isZero();
        assertThat(heard.range()).isLessThan(0.3);
        assertThat(heard.pauses()).isEmpty();
        assertThat(heard.noisePower()).as("a tone is no noise").isEmpty();
    }

    @Test
    void a_third_of_silence_is_a_third() {
        SoundMeasures heard = heard(made(6, i -> i < 4 * RATE ? sine(500, -12, i) : 0));
        assertThat(heard.silentShare()).isCloseTo(1 / 3.0, within(0.01));
        assertThat(heard.range()).isEqualTo(Double.POSITIVE_INFINITY);
        assertThat(heard.loudDb()).isCloseTo(-12 + SINE_POWER_DB, within(0.15));
    }

    /** The noise of pauses is what a meter shows when nothing is played; music 12 dB above it or more. */
    @ParameterizedTest(name = "noise at {0} dBFS under a tone at {1}")
    @CsvSource({"-60, -10, true", "-90, -30, true", "-40, -20, true", "-40, -34, false"})
    void noise_is_read_where_nothing_is_played(double rmsDb, double peakDb, boolean isPause) {
        IntToDoubleFunction noise = noise(rmsDb);
        SoundMeasures heard =
                heard(made(8, i -> noise.applyAsDouble(i) + (i / RATE % 4 < 2 ? sine(700, peakDb, i) : 0)));
        assertThat(heard.pauses().isPresent()).isEqualTo(isPause);
        if (isPause) {
            assertThat(Gain.ofPowerRatio(heard.noisePower().orElseThrow()).db()).isCloseTo(rmsDb, within(0.3));
            assertThat(heard.pauses().orElseThrow().stretches())
                    .allSatisfy(
                            pause -> assertThat(pause.fromFrame() / RATE % 4).isGreaterThanOrEqualTo(1));
        }
    }

    @Test
    void nothing_but_steady_noise_is_noise_all_of_it() {
        SoundMeasures heard = heard(made(5, noise(-50)));
        assertThat(heard.pauses()).isEmpty();
        assertThat(Gain.ofPowerRatio(heard.noisePower().orElseThrow()).db()).isCloseTo(-50, within(0.5));
    }

    // --- spectrum ------------------------------------------------------------------------------------------------

    @ParameterizedTest(name = "{0} Hz at {1} Hz sample rate")
    @CsvSource({"997.3, 48000", "440, 44100", "52.5, 96000", "15000, 192000"})
    void a_tone_lies_where_it_is_with_all_its_power(double hertz, int rate) {
        float[] samples = new float[3 * rate];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) (0.5 * Math.sin(2 * Math.PI * hertz * i / rate));
        }
        Spectrum spectrum = heardAt(rate, samples).spectrum();
        int highest = 0;
        for (int step = 0; step < spectrum.steps(); step++) {
            highest = spectrum.power(step) > spectrum.power(highest) ? step : highest;
        }
        assertThat(spectrum.peakHz(highest)).isCloseTo(hertz, within(spectrum.stepHz() / 10));
        assertThat(spectrum.power(hertz * 0.8, hertz * 1.25)).isCloseTo(0.125, within(0.001));
        assertThat(spectrum.power(hertz * 1.5, hertz * 1.6)).isLessThan(1e-6);
    }

    @Test
    void white_noise_is_as_dense_everywhere() {
        Spectrum spectrum = heard(made(30, noise(-20))).spectrum();
        double density = 0.01 / (RATE / 2.0);
        assertThat(spectrum.density(100, 1_000)).isCloseTo(density, within(0.1 * density));
        assertThat(spectrum.density(10_000, 20_000)).isCloseTo(density, within(0.03 * density));
        assertThat(spectrum.power(0, RATE / 2.0)).isCloseTo(0.01, within(0.0002));
        assertThat(spectrum.median(5_000, 15_000)).isCloseTo(density * spectrum.stepHz(), within(0.1 * density * 3));
        assertThat(spectrum.flatness(200, 20_000).db()).isBetween(-0.3, 0.0);
    }

    // --- hum -----------------------------------------------------------------------------------------------------

    @ParameterizedTest(name = "{0} Hz mains, in pauses {1}")
    @CsvSource({"50, true", "60, true", "50, false", "60.2, true", "49.9, true"})
    void hum_is_each_multiple_of_the_mains_with_its_power(double mains, boolean pauses) {
        IntToDoubleFunction noise = noise(-95);
        SoundMeasures heard = heard(made(12, i -> {
            double played = pauses && i / RATE % 4 >= 2
                    ? 0
                    : sine(392.7 + 83 * (i / (RATE / 2) % 7), i / RATE % 2 == 0 ? -12 : -21, i);
            return noise.applyAsDouble(i)
                    + played
                    + sine(mains, -50, i)
                    + sine(3 * mains, -60, i)
                    + sine(5 * mains, -66, i);
        }));
        Hum hum = heard.hum().orElseThrow();
        assertThat(hum.fundamentalHz()).isCloseTo(mains, within(0.3));
        assertThat(hum.isFromPauses()).isEqualTo(pauses);
        assertThat(hum.lines().stream().map(Hum.Line::harmonic))
                .startsWith(1)
                .contains(3)
                .doesNotContain(2);
        assertThat(Gain.ofPowerRatio(hum.power()).db()).isCloseTo(-52.5, within(pauses ? 0.3 : 1));
        assertThat(hum.isOfRectifier()).isFalse();
    }

    @Test
    void pulses_of_a_rectifier_come_twice_a_period() {
        SoundMeasures heard = heard(made(8, i -> {
            double buzz = 0;
            for (int k = 1; k <= 8; k++) {
                buzz += sine(100 * k, -55 - 3 * k, i);
            }
            return buzz + 1e-5 * Math.cos(i * 1.7) + (i / RATE % 4 < 2 ? sine(440, -10, i) : 0);
        }));
        assertThat(heard.hum().orElseThrow().isOfRectifier()).isTrue();
    }

    /** A bass note near the mains, a note that sounds all the time, and a note that is the mains but is played and let go. */
    @ParameterizedTest(name = "{0} Hz for {1} s of each 4 s")
    @CsvSource({"55, 4", "48.2, 4", "73.4, 2", "49, 2"})
    void a_note_is_no_hum(double hertz, double seconds) {
        IntToDoubleFunction noise = noise(-80);
        SoundMeasures heard = heard(made(
                12, i -> noise.applyAsDouble(i) + (i % (4 * RATE) < seconds * RATE ? sine(hertz, -12, i) : 0)));
        assertThat(heard.hum()).isEmpty();
    }

    // --- shapes --------------------------------------------------------------------------------------------------

    /** Mean over height of a half-wave: 2/π for a sine, 1/2 for a triangle, 1 for a square. */
    @ParameterizedTest
    @CsvSource({"sine, 0.637, false", "triangle, 0.5, false", "square, 1, true"})
    void how_full_a_half_wave_is(String shape, double fullness, boolean flat) {
        float[] samples = made(2, i -> {
            double phase = i % 480 / 480.0;
            return 0.5
                    * switch (shape) {
                        case "sine" -> Math.sin(2 * Math.PI * phase);
                        case "triangle" -> 1 - 4 * Math.abs((phase + 0.25) % 1 - 0.5);
                        default -> phase < 0.5 ? 1 : -1;
                    };
        });
        for (WaveShapes.Side side :
                List.of(heard(samples).shapes().up(), heard(samples).shapes().down())) {
            assertThat(side.count(0, side.steps())).isBetween(198L, 200L);
            assertThat(side.fullness(0, side.steps())).isCloseTo(fullness, within(0.02));
            assertThat(side.flat(0, side.steps()) > 150).isEqualTo(flat);
            int step = 0;
            while (side.count(step) == 0) {
                step++;
            }
            assertThat(side.dbfs(step)).isCloseTo(-6.02, within(0.25));
        }
    }

    @Test
    void what_is_cut_on_one_side_is_flat_on_that_side() {
        SoundMeasures heard = heard(made(2, i -> Math.min(0.3, sine(100, -6.02, i))));
        WaveShapes.Side up = heard.shapes().up();
        WaveShapes.Side down = heard.shapes().down();
        assertThat(up.flat(0, up.steps())).isGreaterThan(190);
        assertThat(down.flat(0, down.steps())).isZero();
        int step = 0;
        while (up.flat(step) == 0) {
            step++;
        }
        assertThat(up.dbfs(step)).isCloseTo(Gain.ofRatio(0.3).db(), within(0.25));
        assertThat(up.firstFlat(step)).isLessThan(RATE / 10);
        assertThat(up.lastFlat(step)).isGreaterThan(19 * RATE / 10);
    }

    // --- clicks, holes, gates, swells ------------------------------------------------------------------------------

    @ParameterizedTest(name = "a jump of {0}")
    @ValueSource(doubles = {0.02, 0.1, 0.2})
    void a_jump_is_a_click_of_its_height(double height) {
        List<Event> clicks =
                heard(made(2, i -> sine(200, -12, i) + (i > RATE ? height : 0))).clicks();
        assertThat(clicks).hasSize(1);
        assertThat(clicks.get(0).fromFrame()).isBetween(RATE - 2L, RATE + 4L);
        assertThat(clicks.get(0).strength()).isCloseTo(height, within(0.1 * height));
    }

    @Test
    void what_is_played_does_not_click() {
        assertThat(heard(made(2, i -> i < RATE ? 0 : Math.exp(-(i - RATE) / 4_000.0) * sine(900, -3, i)))
                        .clicks())
                .as("an attack")
                .isEmpty();
        assertThat(heard(made(2, i -> i % 400 < 200 ? 0.3 : -0.3)).clicks())
                .as("the edges of a square wave")
                .isEmpty();
        assertThat(heard(made(2, noise(-20))).clicks()).as("noise").isEmpty();
    }

    @ParameterizedTest(name = "{0} ms of nothing in a tone")
    @CsvSource({"0.3, false", "1, true", "21.3, true", "120, true", "200, false"})
    void a_hole_is_short_and_in_the_middle_of_sound(double milliseconds, boolean isHole) {
        int length = (int) Math.round(milliseconds * RATE / 1_000);
        float[] samples = made(2, i -> i >= RATE && i < RATE + length ? 0 : sine(777, -10, i));
        List<Event> holes = heard(samples).holes();
        assertThat(holes).hasSize(isHole ? 1 : 0);
        if (isHole) {
            assertThat(holes.get(0).fromFrame()).isBetween(RATE - 2L, RATE + 2L);
            assertThat(holes.get(0).frames()).isBetween(length - 2L, length + 2L);
            assertThat(holes.get(0).strength()).isCloseTo(new Gain(-13).ratio(), within(0.03));
        }
    }

    @Test
    void a_rest_after_a_note_that_died_away_is_no_hole() {
        float[] samples = made(2, i -> {
            int at = i % (RATE / 2);
            return at > 9 * RATE / 20 ? 0 : Math.exp(-at / 2_500.0) * sine(440, -6, i);
        });
        assertThat(heard(samples).holes()).isEmpty();
    }

    /** Noise that stops at once was shut off; a tone that stops and leaves other noise has ended; what fades was let go. */
    @Test
    void a_gate_shuts_at_once_and_leaves_nothing_or_the_same_noise() {
        IntToDoubleFunction noise = noise(-50);
        List<LevelChange> shut =
                heard(made(3, i -> i < 2 * RATE ? noise.applyAsDouble(i) : 0)).closings();
        assertThat(shut).hasSize(1);
        assertThat(shut.get(0).from()).isCloseTo(2L * RATE, within((long) RATE / 40));
        assertThat(shut.get(0).fromDb()).isCloseTo(-50, within(1.0));
        List<LevelChange> ducked = heard(made(3, i -> noise.applyAsDouble(i) * (i < 2 * RATE ? 1 : 0.1)))
                .closings();
        assertThat(ducked).hasSize(1);
        assertThat(ducked.get(0).db()).isCloseTo(-20, within(2.0));
        assertThat(heard(made(3, i -> noise.applyAsDouble(i) * 0.01 + (i < 2 * RATE ? sine(600, -20, i) : 0)))
                        .closings())
                .isEmpty();
        assertThat(heard(made(3, i -> noise.applyAsDouble(i) * Math.exp(-Math.max(0, i - 2 * RATE) / 6_000.0)))
                        .closings())
                .isEmpty();
    }

    @ParameterizedTest(name = "noise of a pause rises by {0} dB in {1} s")
    @CsvSource({"10, 1.5, true", "20, 1, true", "0, 1.5, false", "2, 1.5, false"})
    void automatic_level_lifts_the_noise_of_a_pause(double rise, double seconds, boolean swells) {
        IntToDoubleFunction noise = noise(0);
        List<LevelChange> found = heard(made(6, i -> {
                    double inPause = (i / (double) RATE - 2) / seconds;
                    return inPause < 0 || inPause > 1
                            ? sine(500, -12, i)
                            : noise.applyAsDouble(i) * new Gain(-55 + rise * inPause).ratio();
                }))
                .swells();
        assertThat(found).hasSize(swells ? 1 : 0);
        if (swells) {
            assertThat(found.get(0).db()).isBetween(rise - 3, rise);
            assertThat(found.get(0).from()).isBetween(19L * RATE / 10, 23L * RATE / 10);
        }
    }

    // --- curves ----------------------------------------------------------------------------------------------------

    /** IEC 60098, table of the playback characteristic, from memory. */
    @ParameterizedTest
    @CsvSource({
        "20, 19.27",
        "50, 16.95",
        "100, 13.09",
        "500, 2.65",
        "1000, 0",
        "2122, -2.87",
        "10000, -13.73",
        "20000, -19.62"
    })
    void records_are_played_back_by_the_standards_curve(double hertz, double db) {
        assertThat(Riaa.playback(hertz).db()).isCloseTo(db, within(0.02));
    }

    /** IEC 61672-1, table of curve A at its exact frequencies, ten to a decade, from memory. */
    @ParameterizedTest
    @CsvSource({
        "31.62, -39.4",
        "63.1, -26.2",
        "125.9, -16.1",
        "251.2, -8.6",
        "501.2, -3.2",
        "1000, 0",
        "3981, 1",
        "7943, -1.1",
        "15849, -6.6"
    })
    void the_ear_makes_less_of_bass(double hertz, double db) {
        assertThat(Gain.ofPowerRatio(Weighting.power(hertz)).db()).isCloseTo(db, within(0.1));
    }

    /** A sound plus itself one sample later loses treble by a cosine: that is what changed, and a curve like it explains it. */
    @Test
    void a_change_of_colour_is_read_band_by_band() {
        SoundMeasures before = heard(made(20, filtered(noise(-30), 0)));
        SoundMeasures after = heard(made(20, filtered(noise(-30), 1)));
        ColourChange change = Colour.of(after).since(Colour.of(before));
        assertThat(change.bands()).allSatisfy(band -> assertThat(band.db()).isCloseTo(comb(band.hertz()), within(0.6)));
        assertThat(change.explainedBy(ClosedFormsTest::comb)).isGreaterThan(0.95);
        assertThat(change.explainedBy(hertz -> -comb(hertz))).isNegative();
        assertThat(change.bandsAbove(4_000)).isBetween(4L, 8L);
    }

    /** A sound, plus a share of itself one sample later. */
    private static IntToDoubleFunction filtered(IntToDoubleFunction sound, double share) {
        double[] last = new double[1];
        return frame -> {
            double now = sound.applyAsDouble(frame);
            double sum = now + share * last[0];
            last[0] = now;
            return sum;
        };
    }

    /** What that does: |1 + e^−jωT|, in bands an octave wide near enough its middle. */
    private static double comb(double hertz) {
        return Gain.ofRatio(2 * Math.cos(Math.PI * hertz / RATE)).db();
    }
}
