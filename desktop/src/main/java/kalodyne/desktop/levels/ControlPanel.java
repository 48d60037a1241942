package kalodyne.desktop.levels;

import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.PanTaper;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Turn;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.ClockFace;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.StudioModel;

/**
 * One control: its clock face, where it stands as text that can be typed over, where it should stand, and whether it must stay.
 */
final class ControlPanel extends VBox {
    private final ClockFace face;
    private final Label name = new Label();
    private final QuantityField typed;
    private final Label advice = new Label();
    private final Label problem = new Label();
    private final ToggleButton lock = new ToggleButton("Lock");
    private final Tooltip hint = new Tooltip();
    private final Tooltip whole = new Tooltip();
    private Turn shown;

    ControlPanel(Spot control, StudioModel studio) {
        String id = control.item() + "-" + control.part();
        getStyleClass().add("control-panel");
        face = new ClockFace((gesture, position) -> studio.turn(gesture, control, position));
        face.setId(id + "-face");
        face.addEventHandler(javafx.scene.input.KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.L && !event.isShortcutDown() && lock.isVisible()) {
                lock.fire();
                event.consume();
            }
        });
        Tooltip.install(face, hint);
        typed = new QuantityField(text -> studio.turn(null, control, present().read(onlyOne(text))), problem::setText);
        typed.setId(id + "-field");
        name.getStyleClass().addAll("strong", "small", "control-name");
        name.setTooltip(whole);
        Styled.of(advice).as("advised", "small").id(id + "-advice");
        lock.getStyleClass().addAll("quiet", "lock");
        Styled.of(lock).id(id + "-lock").tip("A locked knob stays where it is; the others are set around it (L)");
        lock.setOnAction(event -> studio.editSettings(
                lock.isSelected() ? "lock a knob" : "unlock a knob",
                settings ->
                        settings.turned(Map.of(control, present().position())).locked(control, lock.isSelected())));
        lock.managedProperty().bind(lock.visibleProperty());
        Styled.of(problem).as("problem", "small").wrap().id(id + "-problem");
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        getChildren().addAll(face, name, typed, advice, lock, problem);
    }

    /** What stands in the field has two parts; somebody who types over one of them means that one. */
    private String onlyOne(String text) {
        String[] parts = text.split("·", -1);
        if (parts.length != 2) {
            return text;
        }
        String[] before = present().reading().split("·", -1);
        return parts[0].strip().equals(before[0].strip()) ? parts[1] : parts[0];
    }

    private Control present() {
        return shown.present().control();
    }

    void show(Turn turn) {
        if (turn.equals(shown)) {
            return;
        }
        shown = turn;
        Control control = present();
        String called = control.name() + " on " + turn.present().owner();
        boolean isMissed = turn.present().isMissed();
        face.show(control, turn.advised().control(), isMissed);
        name.setText(control.name());
        whole.setText(called);
        typed.show(isMissed ? "" : control.reading());
        typed.setPromptText(isMissed ? "stands at?" : "");
        boolean isPan = control.taper() instanceof PanTaper;
        lock.setVisible(!Knob.isChoice(turn.present().kind()));
        hint.setText(
                isPan
                        ? "Where it stands between left and right is your choice. Arrow keys turn it."
                        : hint(control, isMissed));
        typed.setAccessibleText(called);
        lock.setSelected(turn.present().isLockedByOwner());
        lock.setText(turn.present().isLockedByOwner() ? "Locked" : "Lock");
        lock.setAccessibleText("Lock the " + called);
        advice.setText(advised(turn));
    }

    private static String hint(Control control, boolean isMissed) {
        return (isMissed ? "Nobody said where it stands. Turn it here to where it is. " : "")
                + "A quarter of an hour is "
                + Print.decimal(control.perQuarterHour().db(), 1)
                + " dB here. Arrow keys turn by it, with Ctrl by 1 dB; Enter sets as advised.";
    }

    private static String advised(Turn turn) {
        if (turn.present().isLocked()) {
            return turn.present().isLockedByOwner() ? "stays, locked" : "stays";
        }
        return turn.stays() ? "stays" : "→ " + turn.advised().control().reading();
    }
}
