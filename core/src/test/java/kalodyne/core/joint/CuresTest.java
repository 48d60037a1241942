package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.joint.rules.Cure;
import kalodyne.core.joint.rules.Cures;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is advised for a joint of the catalogue's gear with a few things beside it, and that it does what it says. */
class CuresTest {
    private static final List<Lead> SHOP =
            Catalogue.shipped().leads().stream().map(Profile::gear).toList();

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            preamp-xlr.out-xlr xlr-xlr interface-2.mic-1 | xlr-trs | SOCKET | Go into Input 1, line of Two-input interface, bus powered, with XLR socket to 6.35 mm three-pole, balanced | |
            preamp-xlr.out-xlr xlr-xlr pad-xlr.in; pad-xlr.out xlr-xlr interface-2.mic-1 | | SWITCH | Switch 48 V of Two-input interface, bus powered to “off” | wrong caution.line-into-mic
            mic-condenser-large.out xlr-xlr interface-1.mic-1; interface-1.phantom=off | | SWITCH | Switch 48 V of One-input interface, bus powered to “on” | |
            interface-2.usb usb-a-c-charge laptop-combo.usb-1 | usb-a-c | LEAD | Use USB lead, A to C instead of USB lead, A to C, charge only | |
            drum-box-headphone.phones mini-trs interface-4.line-3 | mini-2ts | BOTH_SIDES | Take left and right to Line in 3 of Four-input interface and Line in 4 of Four-input interface, with 3.5 mm three-pole to two 6.35 mm two-pole | |
            guitar-humbucker.out ts-ts interface-2.line-2 | ts-ts ts-ts xlr-trs di-active | SWITCH | Switch INST 2 of Two-input interface, bus powered to “instrument” | |
            guitar-humbucker.out ts-xlr mixer-small.mic-1 | ts-ts xlr-xlr di-active | BOX | Put DI box, active between, 6.35 mm two-pole lead before it, XLR lead behind it | |
            drum-box-headphone.phones mini-trs interface-1.line-1 | | GET | Get: Mono-summing lead, 3.5 mm three-pole to 6.35 mm two-pole | |
            """)
    void the_best_cure_is_told_first_and_works(String rig, String beside, Cure.Kind kind, String words, String left) {
        Patch patch = Plugged.of(rig);
        List<Device> devices = Stream.concat(patch.devices().values().stream(), gear(beside, true))
                .map(Device.class::cast)
                .toList();
        List<Lead> leads = Stream.concat(
                        patch.leads().entrySet().stream()
                                .map(entry -> entry.getValue().withId(entry.getKey())),
                        gear(beside, false))
                .map(Lead.class::cast)
                .toList();
        Wiring wiring = new Wiring(patch.pluggings(), patch.switched());
        JointRules.Checked joint = JointRules.check(patch).get(0);
        List<Cure> cures = new Cures(devices, leads, SHOP, wiring).of(joint);
        assertThat(cures).as(rig).isNotEmpty();
        Cure best = cures.get(0);
        assertThat(best.kind() + " " + best.words()).isEqualTo(kind + " " + words);
        assertThat(best.joints().stream()
                        .flatMap(each -> each.findings().stream())
                        .filter(finding -> finding.severity() != Severity.NOTE)
                        .map(finding -> finding.severity().word() + " " + finding.mark()))
                .containsExactlyElementsOf(left == null ? List.of() : List.of(left));
        // What is plugged then is what was tried, and it is better than before.
        best.wiring().ifPresent(after -> {
            List<Finding> found = JointRules.check(after.patch(
                            id -> devices.stream()
                                    .filter(device -> device.id().equals(id))
                                    .findFirst(),
                            id -> leads.stream()
                                    .filter(lead -> lead.id().equals(id))
                                    .findFirst()))
                    .stream()
                    .flatMap(each -> each.findings().stream())
                    .toList();
            assertThat(found.stream().filter(finding -> finding.severity() != Severity.NOTE))
                    .hasSizeLessThan((int) joint.findings().stream()
                            .filter(finding -> finding.severity() != Severity.NOTE)
                            .count());
        });
    }

    private static Stream<?> gear(String beside, boolean isDevice) {
        if (beside == null) {
            return Stream.empty();
        }
        Catalogue catalogue = Catalogue.shipped();
        List<String> words = List.of(beside.split(" ", -1));
        return isDevice
                ? words.stream().flatMap(id -> catalogue.device(id).map(Profile::gear).stream())
                : words.stream()
                        .distinct()
                        .flatMap(id -> catalogue
                                .lead(id)
                                .map(profile -> profile.gear().withOwned((int)
                                        words.stream().filter(id::equals).count()))
                                .stream());
    }
}
