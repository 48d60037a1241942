package kalodyne.core.levels.listening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.MicSensitivity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ListeningTest {
    /** ITU-T H.870: 80 dB for 40 h a week, 83 dB half of it; NIOSH 98-126: 85 dB 8 h, 88 dB 4 h, 100 dB 15 min (its table). */
    @ParameterizedTest
    @CsvSource({"80, 40, 25.4", "83.0103, 20, 12.7", "85, 12.65, 8", "88, 6.34, 4", "100, 0.4, 0.25"})
    void ears_bear_so_long(double db, double week, double day) {
        assertThat(Exposure.hoursAWeek(db)).isCloseTo(week, within(0.01 * week));
        assertThat(Exposure.hoursADay(db)).isCloseTo(day, within(0.01 * day));
    }

    @ParameterizedTest
    @CsvSource({"40, 40 h", "2.5, 2 h 30 min", "0.25, 15 min", "0.001, under a minute", "3, 3 h"})
    void tells_time_as_people_do(double hours, String words) {
        assertThat(Exposure.words(hours)).isEqualTo(words);
    }

    /** Linkwitz and Riley: both sides 6.02 dB down where they meet; in phase, so that their voltages add up to one everywhere. */
    @Test
    void both_sides_of_a_crossover_are_whole() {
        Crossover crossover = new Crossover(80);
        assertThat(crossover.low(80).db()).isCloseTo(-6.02, within(0.01));
        assertThat(crossover.high(80).db()).isCloseTo(-6.02, within(0.01));
        assertThat(crossover.low(160).db()).isCloseTo(-24.6, within(0.1));
        for (double hertz = 20; hertz < 20_000; hertz *= 1.3) {
            assertThat(crossover.low(hertz).ratio() + crossover.high(hertz).ratio())
                    .isCloseTo(1, within(1e-9));
        }
        assertThat(Crossover.delayMilliseconds(3.43)).isCloseTo(10, within(1e-9));
        assertThat(crossover.mostMetresApart()).isCloseTo(1.07, within(0.01));
    }

    /** By hand: 32 Ω on 22 Ω: factor 1.45, the resonance up to 20·log(54/32) = 4.5 dB out; on 2 Ω: 16, half a decibel. */
    @Test
    void damping_holds_headphones() {
        assertThat(Damping.of(32, 22).isEnough()).isFalse();
        assertThat(Damping.of(32, 22).colouration().db()).isCloseTo(4.54, within(0.01));
        assertThat(Damping.of(32, 2).isEnough()).isTrue();
        assertThat(Damping.of(32, 2).colouration().db()).isCloseTo(0.53, within(0.01));
    }

    /**
     * By hand: 1.8 mV/Pa is −52.7 dBu at 94 dB SPL; 60 dB further +7.3 dBu, 97.3 dB SPL at a loudspeaker of −90 dBu for 0 dB
     * SPL: it comes back 3.3 dB louder; of −84 dBu, as twice as far away, 2.7 dB quieter.
     */
    @Test
    void a_microphone_howls() {
        MicSensitivity microphone = new MicSensitivity(1.8e-3);
        Howling near = Howling.of(microphone, new Gain(60), new Level(-90));
        assertThat(near.gain().db()).isCloseTo(3.32, within(0.02));
        assertThat(near.howls()).isTrue();
        Howling far = Howling.of(microphone, new Gain(60), new Level(-84));
        assertThat(far.howls()).isFalse();
        assertThat(far.rings()).isTrue();
    }
}
