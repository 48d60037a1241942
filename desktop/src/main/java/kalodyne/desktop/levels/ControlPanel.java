package kalodyne.desktop.levels;

import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import kalodyne.core.levels.Setting;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.ClockFace;
import kalodyne.desktop.control.QuantityField;

/** One control: its clock face, where it stands as text that can be typed over, and where it should stand. */
final class ControlPanel extends VBox {
    private final ClockFace face;
    private final Label name = new Label();
    private final QuantityField typed;
    private final Label advice = new Label();
    private final Label problem = new Label();
    private final Tooltip hint = new Tooltip();
    private Setting shown;

    ControlPanel(String control, PeakDrag.Turn turn) {
        getStyleClass().add("control-panel");
        face = new ClockFace((gesture, position) -> turn.turn(gesture, control, position));
        face.setId(control + "-face");
        Tooltip.install(face, hint);
        typed = new QuantityField(
                text -> turn.turn(null, control, shown.present().read(onlyOne(text))), problem::setText);
        typed.setId(control + "-field");
        name.getStyleClass().addAll("strong", "small", "control-name");
        advice.getStyleClass().addAll("advised", "small");
        advice.setId(control + "-advice");
        problem.getStyleClass().addAll("problem", "small");
        problem.setWrapText(true);
        problem.setId(control + "-problem");
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        getChildren().addAll(face, name, typed, advice, problem);
    }

    /** What stands in the field has two parts; somebody who types over one of them means that one. */
    private String onlyOne(String text) {
        String[] parts = text.split("·", -1);
        if (parts.length != 2) {
            return text;
        }
        String[] before = shown.present().reading().split("·", -1);
        return parts[0].strip().equals(before[0].strip()) ? parts[1] : parts[0];
    }

    void show(Setting setting) {
        shown = setting;
        face.show(setting.present(), setting.advised());
        name.setText(setting.present().name());
        typed.show(setting.present().reading());
        hint.setText("A quarter of an hour is "
                + Print.decimal(setting.present().perQuarterHour().db(), 1)
                + " dB here. Arrow keys turn; Enter sets as advised.");
        typed.setAccessibleText(setting.present().name() + " on " + setting.owner());
        advice.setText(
                setting.stays()
                        ? "stays"
                        : "→ " + Print.signed(setting.advised().gain().db(), 1) + " dB · "
                                + setting.advised().clock());
    }
}
