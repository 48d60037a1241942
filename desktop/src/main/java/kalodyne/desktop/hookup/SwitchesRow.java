package kalodyne.desktop.hookup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import kalodyne.desktop.control.Chooser;

/** The switches that matter to a joint, each with how it stands, as far as that is known. */
final class SwitchesRow extends FlowPane {
    private static final String UNKNOWN = "not known";

    private final PlugModel plugs;
    private List<PlugModel.Switch> shown = List.of();

    SwitchesRow(PlugModel plugs) {
        super(16, 6);
        this.plugs = plugs;
        setId("switches");
        setMinHeight(Region.USE_PREF_SIZE);
    }

    void show() {
        List<PlugModel.Switch> switches = plugs.switches();
        if (!switches.equals(shown)) {
            shown = switches;
            getChildren().setAll(switches.stream().map(this::shown).toList());
        }
        setVisible(!switches.isEmpty());
        setManaged(!switches.isEmpty());
    }

    private Node shown(PlugModel.Switch control) {
        Label name = new Label(control.name());
        name.getStyleClass().addAll("second", "small");
        List<String> choices = new ArrayList<>(List.of(UNKNOWN));
        choices.addAll(control.positions());
        Chooser<String> chooser = new Chooser<String>(words -> words)
                .offering(choices, control.at().orElse(UNKNOWN));
        chooser.setId(
                "switch-" + control.control().item() + "-" + control.control().part());
        chooser.setAccessibleText(control.name());
        name.setLabelFor(chooser);
        chooser.valueProperty()
                .addListener((property, before, now) ->
                        plugs.stands(control, Optional.of(now).filter(position -> !position.equals(UNKNOWN))));
        HBox pair = new HBox(6, name, chooser);
        pair.setAlignment(Pos.CENTER_LEFT);
        return pair;
    }
}
