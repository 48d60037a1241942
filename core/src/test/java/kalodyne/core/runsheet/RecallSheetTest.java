package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.gain.GainSchool;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.paper.PaperSize;
import kalodyne.core.paper.RecallPaper;
import kalodyne.core.testing.Plugged;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** How everything stood, by hand: a dial from 7 to 5 o'clock, 10 hours, of which 0.4 are 11 o'clock. */
class RecallSheetTest {
    private static final Patch PATCH =
            Plugged.of("guitar-single-coil.out ts-ts interface-2.inst-1; interface-2.usb usb-a-c laptop-combo.usb-1");

    private static final RecallSheet SHEET = RecallSheet.of(
            PATCH,
            RigSnapshot.of(
                    new Wiring(
                            PATCH.pluggings(),
                            List.of(new Switched(new Spot("interface-2", "inst-switch-1"), "instrument"))),
                    new Settings(
                            Map.of(
                                    new Spot("interface-2", "gain-1"),
                                    0.4,
                                    new Spot("guitar-single-coil", "volume"),
                                    1.0),
                            Set.of(),
                            GainSchool.STRONG_SOURCE,
                            AimSchool.PLAYER,
                            Map.of(),
                            Map.of())),
            PatchList.of(PATCH, List.of()));

    @Test
    void every_control_of_what_is_plugged_is_on_it() {
        assertThat(SHEET.devices())
                .extracting(RecallSheet.Desk::name)
                .startsWith("Electric guitar, single-coil pickups", "Two-input interface, bus powered");
        RecallSheet.Desk desk = SHEET.devices().get(1);
        Map<String, String> knobs = desk.knobs().stream()
                .collect(Collectors.toMap(
                        RecallSheet.Knob::name,
                        knob -> knob.at().map(at -> at.clock()).orElse("?")));
        assertThat(knobs).containsEntry("gain 1", "11:00").containsEntry("gain 2", "?");
        Map<String, String> switches = desk.switches().stream()
                .collect(Collectors.toMap(
                        RecallSheet.Toggle::name, toggle -> toggle.at().orElse("?"), (a, b) -> a + b));
        assertThat(switches.values()).contains("instrument", "?");
        assertThat(SHEET.rows()).hasSize(2);
    }

    /** A switch that has gain is kept by its place: of two positions half the way and more is the second. */
    @Test
    void a_switch_with_gain_stands_where_its_place_is() {
        Patch patch = Plugged.of("synth-analogue.out ts-ts mixer-small.line-1");
        RecallSheet sheet = RecallSheet.of(
                patch,
                new RigSnapshot(java.util.Optional.empty(), Map.of(Spot.read("mixer-small.phantom"), 1.0)),
                List.of());
        assertThat(sheet.devices().stream()
                        .flatMap(desk -> desk.switches().stream())
                        .filter(toggle -> toggle.at().isPresent()))
                .singleElement()
                .satisfies(toggle -> assertThat(toggle.at())
                        .contains(toggle.positions().get(toggle.positions().size() - 1)));
    }

    @ParameterizedTest
    @EnumSource(PaperSize.class)
    void it_is_on_paper(PaperSize size) throws IOException {
        byte[] pdf = RecallPaper.of(SHEET, "The Boathouse", "Sunday trio", "as of 1 March 2026, 11:52", size);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains("Sunday trio", "The Boathouse · as of 1 March 2026, 11:52")
                    .contains("gain 1", "11:00", "5:00", "________", ": instrument", "Leads", "6.35 mm two-pole lead");
        }
    }
}
