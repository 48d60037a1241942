package kalodyne.core.levels.gain;

import static kalodyne.core.testing.Flows.NONE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.testing.Flows;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import kalodyne.core.units.ThermalNoise;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FlowLevelsTest {
    /**
     * A chain as handbooks work it out: a microphone of 1.1 mV/Pa (−56.95 dBu at 94 dB SPL) at 94 dB SPL, 65 dB of gain, a line
     * input at unity, full scale at +18 dBu: +8.05 dBu, −9.95 dBFS. Common practice: a low-output dynamic at speaking distance wants
     * about 65 dB.
     */
    @Test
    void microphone_to_line_to_converter() {
        double sensitivity = Level.ofVolts(1.1e-3).dbu();
        assertThat(sensitivity).isCloseTo(-56.95, within(0.005));
        Flows flows = new Flows();
        int microphone = flows.sound("voice", sensitivity, sensitivity - 12, -130.9, NONE, -1);
        int preamp = flows.stage("Preamp", 65, 24, -128, NONE, -1, Feed.of(microphone, 0));
        int mixer = flows.stage("Mixer", 0, 22, NONE, -90, -1, Feed.of(preamp, 0));
        flows.track(18, -100, Feed.of(mixer, 0));
        FlowLevels levels = FlowLevels.of(flows.flow());
        assertThat(levels.aimed(0)).isCloseTo(-9.95, within(0.005));
        // By hand, powers at the converter, in dBu: −130.9 + 65, −128 + 65, −90, −82.
        double floor =
                10 * Math.log10(Math.pow(10, -6.59) + Math.pow(10, -6.3) + Math.pow(10, -9) + Math.pow(10, -8.2));
        assertThat(levels.floor(3).dbu()).isCloseTo(floor, within(1e-6));
        assertThat(levels.noiseShare(1, 0)).isCloseTo(Math.pow(10, -6.3) / Math.pow(10, floor / 10), within(1e-6));
        double shares = 0;
        for (int i = 0; i < 4; i++) {
            shares += levels.noiseShare(i, 0);
        }
        assertThat(shares).isCloseTo(1, within(1e-12));
    }

    /** Johnson's noise: 150 Ω make −130.9 dBu over 20 kHz at 20 °C, and a preamp as good as that makes it 3 dB more. */
    @Test
    void noise_follows_thermal_theory() {
        double thermal = ThermalNoise.of(new Impedance(150)).dbu();
        assertThat(thermal).isCloseTo(-130.9, within(0.05));
        Flows flows = new Flows();
        int source = flows.sound("s", -40, -52, thermal, NONE, -1);
        int preamp = flows.stage("P", 50, NONE, thermal, NONE, -1, Feed.of(source, 0));
        flows.track(20, -300, Feed.of(preamp, 0));
        FlowLevels levels = FlowLevels.of(flows.flow());
        assertThat(levels.floor(preamp).dbu() - 50 - thermal).isCloseTo(3.0103, within(1e-4));
    }

    /** Common practice: on a trim of −20 to +40 dB that is linear in dB unity stands a third of the way; +6 dB are 200 %. */
    @Test
    void common_practice_of_trims() {
        LinearTaper trim = new LinearTaper(new Gain(-20), new Gain(40));
        assertThat(trim.positionFor(Gain.NONE)).isCloseTo(1.0 / 3, within(1e-9));
        assertThat(new Gain(6).ratio()).isCloseTo(2, within(0.01));
    }

    /** Two alike by hand: one player on both ways +6.02 dB, upside down nothing; two players +3.01 dB, at worst +6.02. */
    @ParameterizedTest
    @CsvSource({"true, false, 6.0206, 6.0206", "true, true, -300, -300", "false, false, 3.0103, 6.0206"})
    void what_comes_together_adds_up(boolean isOnePlayer, boolean isInverted, double expected, double worst) {
        Flows flows = new Flows();
        int one = flows.sound("one", -10, -20, NONE, NONE, -1);
        int other = isOnePlayer
                ? flows.stage("Split", 0, NONE, NONE, NONE, -1, Feed.of(one, 0))
                : flows.sound("other", -10, -20, NONE, NONE, -1);
        Feed second = new Feed(other, Gain.NONE, Gain.NONE, isInverted);
        int bus = flows.stage("Bus", 0, NONE, NONE, NONE, -1, Feed.of(one, 0), second);
        flows.track(20, -100, Feed.of(bus, 0));
        FlowLevels levels = FlowLevels.of(flows.flow());
        assertThat(Math.max(-300, levels.peak(bus).dbu() + 10)).isCloseTo(expected, within(1e-3));
        assertThat(Math.max(-300, levels.worstPeak(bus).dbu() + 10)).isCloseTo(worst, within(1e-3));
    }

    /** By hand: noise at −98.08 dBFS with 16-bit rounding at −98.08 dBFS is 3.01 dB more; 14 bits have 86.04 dB. */
    @Test
    void tells_what_bits_keep() {
        Flows flows = new Flows();
        int source = flows.sound("s", 12, 0, -300, NONE, -1);
        flows.track(20, -98.08, Feed.of(source, 0));
        FlowLevels.Kept kept = FlowLevels.of(flows.flow()).kept(0);
        assertThat(kept.costOf16().db()).isCloseTo(3.01, within(0.01));
        assertThat(kept.costOf24().db()).isCloseTo(0, within(0.001));
        assertThat(kept.effectiveBits()).isCloseTo(16, within(0.01));
        assertThat(kept.usedBits()).isCloseTo(16 - 8 / 6.0206, within(0.01));
    }

    /**
     * The same chain sample by sample: two players, each a burst of tones with noise, through gains with their own noise onto a bus,
     * clipped at its ceiling. Peaks, noise and whether it clips are as computed.
     */
    @Test
    void agrees_with_samples_that_go_through_the_stages() {
        Random random = new Random(21);
        for (int i = 0; i < 12; i++) {
            double[] gains = {random.nextInt(40), random.nextInt(40)};
            double main = random.nextInt(20) - 15;
            Flows flows = new Flows();
            int[] pres = new int[2];
            for (int p = 0; p < 2; p++) {
                int knob = flows.knob(ControlKind.GAIN, Flows.linear(0, 50), gains[p] / 50);
                int source = flows.sound("player " + p, -20 - 10 * p, -26 - 10 * p, -100, NONE, -1);
                pres[p] = flows.stage("Pre", 0, NONE, -110, -95, knob, Feed.of(source, -1 - p));
            }
            int knob = flows.knob(ControlKind.LEVEL, Flows.linear(-20, 10), (main + 20) / 30);
            int bus = flows.stage("Bus", 0, 14, NONE, -88, knob, Feed.of(pres[0], 0), Feed.of(pres[1], -3));
            flows.track(18, -96, Feed.of(bus, 0));
            FlowLevels levels = FlowLevels.of(flows.flow());
            double[] one = played(-20, -1 + gains[0] + main, 997);
            double[] other = played(-30, -2 + gains[1] - 3 + main, 1361);
            double peak = 0;
            int cut = 0;
            for (int n = 0; n < one.length; n++) {
                double sum = one[n] + other[n];
                peak = Math.max(peak, Math.abs(sum));
                cut += Math.abs(sum) > volts(14) * Math.sqrt(2) ? 1 : 0;
            }
            double measured = Level.ofVoltsPeak(peak).dbu();
            // Two steady tones do meet: the worst is reached, and what is expected of music lies below it.
            assertThat(measured).isCloseTo(levels.worstPeak(bus).dbu(), within(0.1));
            assertThat(levels.peak(bus).dbu()).isLessThanOrEqualTo(measured + 0.1);
            assertThat(cut > 0).isEqualTo(levels.worstPeak(bus).dbu() > 14.0);
            assertThat(noise(gains, main, random)).isCloseTo(levels.floor(bus).dbu(), within(0.15));
        }
    }

    private static double volts(double dbu) {
        return new Level(dbu).volts();
    }

    private static double[] played(double peakDbu, double gainDb, double hertz) {
        double amplitude = volts(peakDbu) * Math.sqrt(2) * Math.pow(10, gainDb / 20);
        double[] samples = new double[96_000];
        for (int n = 0; n < samples.length; n++) {
            samples[n] = amplitude * Math.sin(2 * Math.PI * hertz * n / 48_000 + hertz);
        }
        return samples;
    }

    /** Nobody plays: every noise as random samples through the same gains, added up, as RMS. */
    private static double noise(double[] gains, double main, Random random) {
        double square = 0;
        int count = 60_000;
        double out = Math.pow(10, main / 20);
        for (int n = 0; n < count; n++) {
            double sum = 0;
            for (int p = 0; p < 2; p++) {
                double joint = Math.pow(10, (-1.0 - p) / 20);
                double gain = Math.pow(10, gains[p] / 20);
                double source = random.nextGaussian() * volts(-100) * joint;
                double pre = (source + random.nextGaussian() * volts(-110)) * gain + random.nextGaussian() * volts(-95);
                sum += pre * (p == 1 ? Math.pow(10, -3.0 / 20) : 1);
            }
            double bus = sum * out + random.nextGaussian() * volts(-88);
            square += bus * bus;
        }
        return Level.ofVolts(Math.sqrt(square / count)).dbu();
    }

    @Test
    void a_loss_of_contact_is_no_nonsense() {
        Flows flows = new Flows();
        int source = flows.sound("s", 0, -12, -80, NONE, flows.knob(ControlKind.VOLUME, Flows.linear(-60, 0), 0));
        int lost = flows.stage("S", 0, 20, -120, -90, -1, Feed.of(source, Double.NEGATIVE_INFINITY));
        flows.track(18, -100, Feed.of(lost, 0));
        FlowLevels levels = FlowLevels.of(flows.flow());
        assertThat(levels.peak(lost).isSilence()).isTrue();
        assertThat(levels.headroom(lost).orElseThrow().db()).isEqualTo(Double.POSITIVE_INFINITY);
        assertThat(GainAdviser.advise(flows.flow(), Wanted.USUAL).hindrances())
                .extracting(Hindrance::kind)
                .contains(Hindrance.Kind.TOO_QUIET_AT_HIGHEST);
        assertThat(flows.flow().turned(Map.of(Flows.knob(0), 1.0)).parted()).hasSize(1);
        assertThat(List.of(levels.players(lost))).containsExactly(List.of());
    }
}
