package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.stream.Collectors;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is plugged, lead by lead, as it stands on paper and on labels. */
class PatchListTest {
    /** Number, lead, side, where from and to, and what must be told beside it. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            synth-desktop.out-left ts-ts interface-2.line-1; synth-desktop.out-right ts-ts interface-2.line-2 | 1 6.35 mm two-pole lead left: Desktop synth, stereo unbalanced outputs, Output L/mono → Two-input interface, bus powered, Input 1, line ; 2 6.35 mm two-pole lead right: Desktop synth, stereo unbalanced outputs, Output R → Two-input interface, bus powered, Input 2, line
            mixer-rack.main-left ts-ts interface-2.line-1 | 1 6.35 mm two-pole lead left: Rack line mixer, eight stereo pairs, Main L → Two-input interface, bus powered, Input 1, line
            headphones-80.plug interface-2.phones | 1 : Two-input interface, bus powered, Headphones → Studio headphones, 80 Ω, Plug
            mic-condenser-large.out xlr-xlr interface-2.mic-1 | 1 XLR lead: Condenser microphone, large diaphragm, Output → Two-input interface, bus powered, Input 1, mic
            drum-box-headphone.phones mini-trs interface-2.line-1 | 1 3.5 mm three-pole to 6.35 mm three-pole: Drum box with a headphone socket only, Headphones → Two-input interface, bus powered, Input 1, line ! The centre cancels (voice and bass vanish)
            interface-2.usb usb-a-c-charge laptop-combo.usb-1 | 1 USB lead, A to C, charge only: Two-input interface, bus powered, USB → Laptop with one combined headset socket, USB 1 ! This lead only charges
            """)
    void each_lead_has_a_row(String plugged, String rows) {
        Patch patch = Plugged.of(plugged);
        String told = PatchList.of(patch, JointRules.check(patch)).stream()
                .map(PatchListTest::words)
                .collect(Collectors.joining(" ; "));
        assertThat(Arrays.asList(told.split(" ; ", -1)))
                .containsExactlyElementsOf(Arrays.asList(rows.split(" ; ", -1)));
    }

    private static String words(PatchList.Row row) {
        String side = row.side().isEmpty() ? "" : " " + row.side();
        return row.number() + " " + row.lead() + side + ": " + row.from().words() + " → "
                + row.to().stream().map(PatchList.End::words).collect(Collectors.joining(" and "))
                + row.caution().map(finding -> " ! " + finding.title()).orElse("");
    }
}
