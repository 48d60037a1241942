package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Powering;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.joint.Patch;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Battery where a ground loop threatens, mains where a long take would outlast the battery: common practice, and both are computed. */
class BatteryOrMainsTest {
    /** A keyboard into an interface on a laptop with its charger: both earths meet in the two-pole leads. */
    private static final String LOOP =
            "interface-2.usb usb-a-c laptop-combo.usb-1; keyboard-portable.phones mini-2ts#1.a; mini-2ts#1.b interface-2.line-1; mini-2ts#1.c interface-2.line-2; interface-2.out-1 ts-ts speakers-powered.in-trs";

    private static final Facts FOUR_HOURS = Facts.NONE.with(
            Fact.RUNS_FOR,
            new Value<>(Fact.RUNS_FOR.quantity().read("4 h"), Provenance.datasheet(LocalDate.of(2026, 11, 1))));

    @ParameterizedTest
    @CsvSource({
        "ADAPTER_EARTHED BATTERY, 30, true",
        "ADAPTER_EARTHED, 30, false",
        "BATTERY ADAPTER_EARTHED, 30, false",
        "ADAPTER_EARTHED BATTERY, 1400, false"
    })
    void the_battery_is_the_cure_as_long_as_it_lasts(String powering, int minutes, boolean isAdvised) {
        Patch patch = Plugged.of(LOOP);
        Map<String, Device> devices = new HashMap<>(patch.devices());
        devices.computeIfPresent("keyboard-portable", (id, device) -> on(device, powering));
        Patch changed = new Patch(devices, patch.leads(), patch.pluggings());
        SessionPlan plan = SessionPlan.USUAL.withMinutes(minutes);
        Optional<Step> step = SheetMaker.of(Sheets.rig(changed, plan)).steps().stream()
                .filter(each -> each.id().equals("charge:keyboard-portable"))
                .filter(each -> each.title().contains("on its battery for the takes"))
                .findFirst();
        assertThat(step.isPresent()).isEqualTo(isAdvised);
        step.ifPresent(each -> assertThat(each.reason())
                .contains("a ground loop may hum")
                .contains("dB under the music")
                .contains("on its battery there is none"));
    }

    private static Device on(Device device, String sources) {
        List<Powering> ways = Arrays.stream(sources.split(" ", -1))
                .map(PowerSource::valueOf)
                .map(source -> new Powering(source, source == PowerSource.BATTERY ? FOUR_HOURS : Facts.NONE))
                .toList();
        return device.withPowering(ways);
    }
}
