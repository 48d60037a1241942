package kalodyne.desktop.hookup;

import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.Cure;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.HearModel;

/** The same joint another way: what would make it better and other leads, each with what would come of it. */
final class AlternativesPane extends VBox {
    private final PlugModel plugs;
    private final HearModel hear;
    private final ListView<Cure> list = new ListView<>();
    private final Button follow = new Button("Do this");
    private final Button compare = new Button("Hear the difference");

    AlternativesPane(PlugModel plugs, HearModel hear) {
        super(4);
        this.plugs = plugs;
        this.hear = hear;
        setId("alternatives-pane");
        Label head =
                Styled.of(new Label("The same joint another way")).as("section").node();
        Region between = new Region();
        HBox.setHgrow(between, Priority.ALWAYS);
        HBox top = new HBox(8, head, between, compare, follow);
        top.setAlignment(Pos.CENTER_LEFT);
        top.setMinHeight(Region.USE_PREF_SIZE);
        head.setLabelFor(list);
        list.setId("alternatives");
        list.setCellFactory(view -> new MarkedCell<>(Cure::words, AlternativesPane::outcome, Cure::worst));
        list.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                follow();
                event.consume();
            }
        });
        VBox.setVgrow(list, Priority.ALWAYS);
        Styled.of(compare).id("hear-alternative").whole().action(() -> compare());
        Styled.of(follow).id("follow-alternative").whole().action(() -> follow());
        getChildren().addAll(top, list);
        plugs.alternativesProperty().addListener(change -> show());
        chosenProperty().addListener(change -> enable());
        show();
    }

    ObservableValue<Cure> chosenProperty() {
        return list.getSelectionModel().selectedItemProperty();
    }

    Optional<Cure> chosen() {
        return Optional.ofNullable(chosenProperty().getValue());
    }

    private void show() {
        list.getItems().setAll(plugs.alternativesProperty().get());
        setVisible(!list.getItems().isEmpty());
        setManaged(!list.getItems().isEmpty());
        enable();
    }

    private void compare() {
        chosen().ifPresent(cure -> cure.wiring().ifPresent(otherwise -> hear.hearWiring(cure.words(), otherwise)));
    }

    private void enable() {
        compare.setDisable(chosen().flatMap(Cure::wiring).isEmpty());
        follow.setDisable(chosen().flatMap(Cure::wiring).isEmpty());
    }

    private void follow() {
        chosen().ifPresent(plugs::follow);
    }

    /** "−0.9 dB at 1 kHz. Then nothing is wrong." */
    private static String outcome(Cure cure) {
        String left = cure.joints().stream()
                .flatMap(joint -> joint.findings().stream())
                .filter(finding -> finding.severity() != Severity.NOTE)
                .findFirst()
                .map(Finding::title)
                .map(title -> "Then: " + Print.withinSentence(title))
                .orElse("Then nothing is wrong");
        return left
                + cure.joints().stream()
                        .flatMap(joint -> Arriving.ways(joint).stream())
                        .findFirst()
                        .map(AlternativesPane::arriving)
                        .orElse("");
    }

    private static String arriving(Transfer way) {
        double db = way.atMiddle().db();
        return db < -100 ? " · nothing arrives" : " · " + Print.decimal(db, 1) + " dB at 1 kHz";
    }
}
