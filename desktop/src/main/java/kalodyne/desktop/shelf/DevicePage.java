package kalodyne.desktop.shelf;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import kalodyne.core.gear.Conversion;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Driver;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Powering;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Overlay;

/** Changes what a device is as a whole: its kind, what it can run on, its sample rates and bit depths. */
final class DevicePage {
    private final ShelfModel shelf;
    private final Device was;
    private final Chooser<DeviceKind> kind = new Chooser<>(DeviceKind::word);
    private final Map<PowerSource, CheckBox> sources = new LinkedHashMap<>();
    private final Chooser<PowerSource> usual = new Chooser<>(PowerSource::word);
    private final TextField rates = new TextField();
    private final TextField depths = new TextField();
    private final Chooser<Optional<Driver>> driver = new Chooser<>(DevicePage::words);

    private DevicePage(ShelfModel shelf, Device was) {
        this.shelf = shelf;
        this.was = was;
    }

    static void lay(Overlay overlay, ShelfModel shelf, Device device) {
        new DevicePage(shelf, device).lay(overlay);
    }

    private void lay(Overlay overlay) {
        FormPage page = new FormPage(overlay, "What is " + was.name() + "?", "Change it", this::take);
        kind.offering(List.of(DeviceKind.values()), was.kind()).setId("device-kind");
        page.row("It is", kind);
        rates.setText(Conversion.printRates(was.sampleRatesHz()));
        rates.setPromptText("none, or 44.1, 48, 96 kHz");
        rates.setId("device-rates");
        page.row("Sample rates", rates);
        depths.setText(Conversion.printDepths(was.bitDepths()));
        depths.setPromptText("none, or 16, 24 bit");
        depths.setId("device-depths");
        page.row("Bit depths", depths);
        driver.offering(
                        List.of(Optional.empty(), Optional.of(Driver.NOT_NEEDED), Optional.of(Driver.NEEDED)),
                        was.driver())
                .setId("device-driver");
        page.row("Over USB", driver);
        for (PowerSource source : PowerSource.values()) {
            CheckBox box = Styled.of(new CheckBox(source.word()))
                    .id("runs-on-" + source.name())
                    .node();
            box.setSelected(was.powering().stream().anyMatch(each -> each.source() == source));
            box.setOnAction(event -> showUsual());
            sources.put(source, box);
        }
        page.beside("It can run on", sources.values().toArray(Node[]::new));
        usual.setId("usual-power");
        showUsual();
        if (!was.powering().isEmpty()) {
            usual.setValue(was.powering().get(0).source());
        }
        page.row("Usually on", usual);
        page.open(kind);
    }

    private static String words(Optional<Driver> driver) {
        return driver.map(each -> each == Driver.NEEDED
                        ? "needs a driver: not for phones and tablets"
                        : "works without a driver (class-compliant)")
                .orElse("not known");
    }

    private void showUsual() {
        PowerSource present = usual.getValue();
        List<PowerSource> checked = checked();
        usual.offering(checked, checked.contains(present) ? present : checked.isEmpty() ? null : checked.get(0));
        usual.setDisable(checked.isEmpty());
    }

    private List<PowerSource> checked() {
        return sources.entrySet().stream()
                .filter(entry -> entry.getValue().isSelected())
                .map(Map.Entry::getKey)
                .toList();
    }

    /** What is known of a way of powering stays with it; the usual one stands first. */
    private List<Powering> powering() {
        List<Powering> powering = new ArrayList<>(was.powering());
        powering.removeIf(each -> !sources.get(each.source()).isSelected());
        for (PowerSource source : checked()) {
            if (powering.stream().noneMatch(each -> each.source() == source)) {
                powering.add(new Powering(source, Facts.NONE));
            }
        }
        for (Powering each : List.copyOf(powering)) {
            if (each.source() == usual.getValue() && powering.get(0).source() != usual.getValue()) {
                powering.remove(each);
                powering.add(0, each);
            }
        }
        return powering;
    }

    private void take() {
        Device after = was.withKind(kind.getValue())
                .withConversion(Conversion.readRates(rates.getText()), Conversion.readDepths(depths.getText()))
                .withPowering(powering())
                .withDriver(driver.getValue());
        if (!after.equals(was)) {
            shelf.changeDevice("change what " + was.name() + " is", device -> after);
        }
    }
}
