package kalodyne.core.levels.calibration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import kalodyne.core.gear.AudioTaper;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;

class CalibrationTest {
    private static final LinearTaper PRINTED = new LinearTaper(new Gain(0), new Gain(50));

    /** Takes of a source that is louder than described through a knob that does more than printed. */
    private static List<Observed> takes(double louder, double trueHighest, double jitter, Random random, double... at) {
        List<Observed> takes = new ArrayList<>();
        for (double position : at) {
            double predicted = -40 + PRINTED.at(position).db();
            double measured = -40 + louder + trueHighest * position + jitter * random.nextGaussian();
            takes.add(new Observed("take", position, predicted, measured));
        }
        return takes;
    }

    @Test
    void one_take_corrects_the_source() {
        Calibration calibration = Calibration.of(takes(4.2, 50, 0, new Random(1), 0.5));
        assertThat(calibration.source().db()).isCloseTo(4.2, within(1e-9));
        assertThat(calibration.source().isClear()).isTrue();
        assertThat(calibration.travel()).isEmpty();
        assertThat(calibration.correct(PRINTED)).isEqualTo(PRINTED);
        assertThat(calibration.beforeDb()).isCloseTo(4.2, within(1e-9));
        assertThat(calibration.afterDb()).isCloseTo(0, within(1e-9));
    }

    /** By hand: at 0.2, 0.5, 0.8 they lie 3.2, 5, 6.8 dB above: 2 dB of the source, 6 dB over the travel. */
    @Test
    void three_takes_tell_source_and_knob_apart() {
        Calibration calibration = Calibration.of(takes(2, 56, 0, new Random(1), 0.2, 0.5, 0.8));
        assertThat(calibration.source().db()).isCloseTo(2, within(1e-9));
        assertThat(calibration.travel().orElseThrow().db()).isCloseTo(6, within(1e-9));
        assertThat(calibration.correct(PRINTED)).isEqualTo(new LinearTaper(new Gain(0), new Gain(56)));
        AudioTaper volume = new AudioTaper(new Gain(0));
        assertThat(calibration.correct(volume).at(1).db()).isCloseTo(6, within(1e-9));
    }

    @Test
    void takes_at_one_place_or_chance_say_nothing_of_the_knob() {
        assertThat(Calibration.of(takes(2, 60, 0, new Random(1), 0.5, 0.55)).travel())
                .isEmpty();
        assertThat(Calibration.of(takes(2, 50.5, 0, new Random(1), 0.2, 0.8)).travel())
                .isEmpty();
    }

    /** The true source lies within what is claimed in about 95 of 100 cases, and never in much fewer. */
    @Test
    void its_confidence_is_honest() {
        Random random = new Random(11);
        int within = 0;
        int cases = 2000;
        for (int i = 0; i < cases; i++) {
            Calibration calibration = Calibration.of(takes(3, 62, 0.7, random, 0.1, 0.3, 0.6, 0.9));
            boolean isIn = Math.abs(calibration.source().db() - 3)
                    <= calibration.source().uncertaintyDb();
            within += isIn ? 1 : 0;
        }
        assertThat((double) within / cases).isBetween(0.94, 1.0);
    }
}
