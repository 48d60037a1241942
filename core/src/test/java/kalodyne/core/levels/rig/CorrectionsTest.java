package kalodyne.core.levels.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Taper;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.levels.calibration.Calibration;
import kalodyne.core.levels.calibration.Observed;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.SignalLevels;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What takes found out is written to the gear as measured, with its uncertainty and the day. */
class CorrectionsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 30);

    /** Takes that all came out so much louder than was predicted, through a knob as printed. */
    private static Calibration louder(double db, int takes) {
        return Calibration.of(IntStream.range(0, takes)
                .mapToObj(i -> new Observed("take " + i, 0.5, -20, -20 + db))
                .toList());
    }

    /** A synth that was taken to peak at +4 and average at −8 dBu, and to give +14 at the most. */
    @ParameterizedTest
    @CsvSource({
        "3.5, 1, 7.5, -4.5, 14, one take",
        "-6, 2, -2, -14, 14, 2 takes",
        "12, 3, 16, 4, 16, 3 takes",
    })
    void the_source_is_as_loud_as_it_was(
            double louder, int takes, double peak, double average, double most, String told) {
        Device typical =
                Catalogue.shipped().device("synth-analogue").orElseThrow().gear();
        Socket output = typical.socket("out").orElseThrow();
        Device device = typical.withSockets(List.of(output.withFacts(output.facts()
                .with(
                        Fact.MAXIMUM_LEVEL,
                        new kalodyne.core.gear.Value<>(new Level(14), Provenance.datasheet(TODAY))))));
        Sound sound = Sound.played("synth", new SignalLevels(new Level(4), new Level(-8), new Level(-90)), Gain.NONE);
        Device corrected = Corrections.source(device, "out", sound, louder(louder, takes), TODAY);
        Socket now = corrected.socket("out").orElseThrow();
        assertThat(now.facts().quantity(Fact.LOUDEST_PEAK).orElseThrow().dbu()).isCloseTo(peak, within(1e-9));
        assertThat(now.facts().quantity(Fact.AVERAGE_LEVEL).orElseThrow().dbu()).isCloseTo(average, within(1e-9));
        // What was whole in a take can evidently be given.
        assertThat(now.facts().quantity(Fact.MAXIMUM_LEVEL).orElseThrow().dbu()).isCloseTo(most, within(1e-9));
        Provenance from = now.facts().get(Fact.LOUDEST_PEAK).orElseThrow().from();
        assertThat(from.origin()).isEqualTo(Provenance.Origin.MEASURED);
        assertThat(from.date()).contains(TODAY);
        assertThat(from.source()).startsWith(told + ", ± ");
    }

    /** By hand: at 0.2 and 0.8 the takes lie 2 and 8 dB above: 10 dB more over the whole travel, all of it at the top end. */
    @ParameterizedTest
    @CsvSource({"gain-1, 10", "phones-level, 0"})
    void a_knob_does_what_it_did(String control, double more) {
        Device device = Catalogue.shipped().device("interface-2").orElseThrow().gear();
        Calibration calibration = Calibration.of(List.of(
                new Observed("a", 0.2, -30, -28), new Observed("b", 0.5, -20, -15), new Observed("c", 0.8, -10, -2)));
        Device corrected = Corrections.knob(device, "gain-1", calibration);
        Taper before = taper(device, control);
        Taper after = taper(corrected, control);
        assertThat(after.at(1).db() - before.at(1).db()).isCloseTo(more, within(1e-9));
        assertThat(corrected.sockets()).isEqualTo(device.sockets());
    }

    private static Taper taper(Device device, String control) {
        return device.controls().stream()
                .filter(each -> each.id().equals(control))
                .flatMap(each -> each.taper().stream())
                .findFirst()
                .orElseThrow();
    }
}
