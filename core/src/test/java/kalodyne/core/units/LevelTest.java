package kalodyne.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LevelTest {
    /** IEC 60268-17 and common practice, from memory: 0 dBu = √0.6 V; +4 dBu = 1.228 V; −10 dBV = 0.3162 V = −7.78 dBu. */
    @ParameterizedTest
    @CsvSource({
        "0, 0.77460, -2.2185",
        "4, 1.22766, 1.7815",
        "-7.7815, 0.316228, -10",
        "2.2185, 1, 0",
        "24, 12.2766, 21.7815"
    })
    void converts_between_dbu_volts_and_dbv(double dbu, double volts, double dbv) {
        assertThat(new Level(dbu).volts()).isCloseTo(volts, within(volts * 2e-5));
        assertThat(new Level(dbu).dbv()).isCloseTo(dbv, within(5e-5));
        assertThat(Level.ofVolts(volts).dbu()).isCloseTo(dbu, within(2e-4));
        assertThat(Level.ofDbv(dbv).dbu()).isCloseTo(dbu, within(1e-4));
    }

    /** As by hand: 20 · log₁₀(√0.6) = −2.2185; what is printed is read as the same level, to the digit that is shown. */
    @ParameterizedTest
    @CsvSource({
        "4, +4.0 dBu, +1.8 dBV",
        "-7.7815, −7.8 dBu, −10.0 dBV",
        "2.2185, +2.2 dBu, 0.0 dBV",
        "-Infinity, −∞ dBu, −∞ dBV"
    })
    void is_told_in_either_unit(double dbu, String inDbu, String inDbv) {
        Level level = new Level(dbu);
        assertThat(LevelUnit.DBU.print(level)).isEqualTo(inDbu);
        assertThat(LevelUnit.DBV.print(level)).isEqualTo(inDbv);
        if (!level.isSilence()) {
            assertThat(Quantity.LEVEL.read(inDbv).dbu()).isCloseTo(dbu, within(0.06));
        }
    }

    /** One milliwatt in 600 Ω, from which 0 dBu comes: √(0.001 · 600) V. */
    @Test
    void zero_dbu_is_a_milliwatt_in_600_ohms() {
        assertThat(Level.ofVolts(Math.sqrt(0.001 * 600)).dbu()).isCloseTo(0, within(1e-12));
    }

    @Test
    void tells_peaks_as_the_sine_that_has_them() {
        assertThat(Level.ofVoltsPeak(Math.sqrt(2)).dbv()).isCloseTo(0, within(1e-9));
        assertThat(Level.ofVoltsPeakToPeak(2 * Math.sqrt(2)).dbv()).isCloseTo(0, within(1e-9));
    }

    /** AES17: 0 dBFS is the RMS of a full-scale sine, so that the sine's peak and its RMS both read 0. */
    @Test
    void a_full_scale_sine_reads_zero_dbfs_either_way() {
        assertThat(DigitalLevel.ofRms(1 / Math.sqrt(2)).dbfs()).isCloseTo(0, within(1e-12));
        assertThat(DigitalLevel.ofPeak(1).dbfs()).isZero();
        assertThat(DigitalLevel.plainRmsDbfs(1 / Math.sqrt(2))).isCloseTo(-3.0103, within(1e-4));
    }

    /** EBU R 68, from memory: 0 dBu lies 18 dB below full scale; +18 dBu then fills the converter. */
    @Test
    void aligns_voltages_with_the_converters_full_scale() {
        assertThat(DigitalLevel.of(new Level(0), new Level(18)).dbfs()).isEqualTo(-18);
        assertThat(new DigitalLevel(-18).at(new Level(18)).dbu()).isZero();
    }

    /** Handbook: the signal to quantising noise of a full-scale sine is 6.02 n + 1.76 dB. */
    @ParameterizedTest
    @CsvSource({"16, 98.08", "24, 146.24", "8, 49.92"})
    void quantising_noise_is_6_db_a_bit(int bits, double ratio) {
        assertThat(DigitalLevel.quantisingNoise(bits).dbfs()).isCloseTo(-ratio, within(0.02));
    }

    /** Johnson noise, √(4kTRB) over 20 kHz at 20 °C: the usual −130.9 dBu of 150 Ω, and 1 kΩ 8.24 dB above it. */
    @Test
    void warm_resistors_make_johnson_noise() {
        assertThat(ThermalNoise.of(new Impedance(150)).dbu()).isCloseTo(-130.9, within(0.05));
        assertThat(ThermalNoise.of(new Impedance(1000))
                        .above(ThermalNoise.of(new Impedance(150)))
                        .db())
                .isCloseTo(10 * Math.log10(1000 / 150.0), within(1e-9));
    }

    @Test
    void adds_powers_of_what_has_nothing_to_do_with_each_other() {
        assertThat(new Level(-60).withUncorrelated(new Level(-60)).dbu()).isCloseTo(-56.9897, within(1e-4));
        assertThat(new Level(-60).withUncorrelated(Level.SILENCE).dbu()).isCloseTo(-60, within(1e-9));
        assertThat(Level.SILENCE.above(Level.SILENCE)).isEqualTo(Gain.NONE);
    }

    /** Voltage dividers by hand: 10 kΩ on 1 kΩ keeps 10/11; equal impedances lose half. */
    @ParameterizedTest
    @CsvSource({"1000, 10000, -0.8279", "600, 600, -6.0206", "0, 10000, 0", "0, 0, 0"})
    void loads_divide_the_voltage(double source, double load, double db) {
        assertThat(new Impedance(source).intoLoad(new Impedance(load)).db()).isCloseTo(db, within(1e-4));
    }

    @ParameterizedTest
    @CsvSource(textBlock = """
            4.04,       1, +4.0
            -0.04,      1, 0.0
            0.04,       1, 0.0
            -3.96,      1, −4.0
            -Infinity,  1, −∞
            """)
    void prints_real_minus_signs_and_no_signed_zero(double value, int decimals, String text) {
        assertThat(Print.signed(value, decimals)).isEqualTo(text);
    }

    @ParameterizedTest
    @CsvSource({"999.96, 1 kΩ", "4700, 4.7 kΩ", "0.3, 300 mΩ", "1e6, 1 MΩ", "0, 0 Ω"})
    void prints_prefixes(double ohms, String text) {
        assertThat(new Impedance(ohms).toString()).isEqualTo(text);
    }

    @ParameterizedTest
    @CsvSource({"31.24, 0:31.2", "59.97, 1:00.0", "3727.5, 1:02:07.5"})
    void prints_moments(double seconds, String text) {
        assertThat(Print.moment(seconds)).isEqualTo(text);
    }
}
