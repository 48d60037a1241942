package kalodyne.desktop.levels;

import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import kalodyne.core.run.Aim;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.model.RunReading;
import kalodyne.desktop.model.StudioModel;

/** The sentence, the corridor and the controls beneath it. */
final class LevelsView extends VBox {
    private final StudioModel studio;
    private final Label sentence = new Label();
    private final ComboBox<Aim> aim = new ComboBox<>();
    private final Button setAll = new Button("Set all as advised");
    private final Corridor corridor = new Corridor();
    private final ControlStrip strip;
    private boolean showing;

    LevelsView(StudioModel studio) {
        this.studio = studio;
        getStyleClass().add("room");
        strip = new ControlStrip(corridor, studio::turn);
        VBox.setVgrow(corridor, Priority.ALWAYS);
        getChildren().addAll(header(), corridor, strip);
        PeakDrag.install(corridor, studio::turn);
        studio.readingProperty().addListener(change -> show());
        studio.focusProperty().addListener(change -> show());
        show();
    }

    private RoomHeader header() {
        sentence.setId("levels-sentence");
        aim.setId("aim");
        aim.setConverter(new AimNames());
        aim.setTooltip(new Tooltip("Where the loudest peak should lie in the recording"));
        aim.setOnAction(event -> chooseAim());
        aim.setMinWidth(Region.USE_PREF_SIZE);
        setAll.getStyleClass().add("primary");
        setAll.setId("set-all");
        setAll.setMinWidth(Region.USE_PREF_SIZE);
        setAll.setTooltip(new Tooltip("Turn every knob to its advised place (Ctrl+Enter)"));
        setAll.setOnAction(event -> studio.setAllAsAdvised());
        return new RoomHeader(sentence, aim, setAll);
    }

    private void chooseAim() {
        Aim chosen = aim.getValue();
        if (!showing && chosen != null) {
            studio.editRun("change the aim", run -> run.withAim(chosen));
        }
    }

    private void show() {
        Optional<RunReading> reading = studio.reading();
        if (reading.isEmpty()) {
            return;
        }
        RunReading run = reading.get();
        sentence.setText(run.verdict().sentence());
        showing = true;
        showAim(run.run().aim());
        showing = false;
        setAll.setDisable(run.advice().isFollowed());
        corridor.show(run.plan(), studio.focusProperty().get());
        strip.show(run);
    }

    private void showAim(Aim present) {
        if (present.equals(aim.getValue())) {
            return;
        }
        aim.getItems().setAll(Aim.EVEN, Aim.UNEVEN);
        if (!aim.getItems().contains(present)) {
            aim.getItems().add(present);
        }
        aim.setValue(present);
    }

    /** "Aim: even player, −12…−6". */
    private static final class AimNames extends StringConverter<Aim> {
        @Override
        public String toString(Aim aim) {
            return aim == null ? "" : "Aim: " + aim.name() + ", " + aim.edges();
        }

        @Override
        public Aim fromString(String text) {
            throw new UnsupportedOperationException("the aim is chosen, not typed");
        }
    }
}
