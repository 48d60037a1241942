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
import kalodyne.core.joint.Mains;
import kalodyne.desktop.control.Chooser;

/**
 * The switches that matter to a joint, each with how it stands, as far as that is known; and where a loop goes through it, how far apart
 * the outlets of the setup are.
 */
final class SwitchesRow extends FlowPane {
    private static final String UNKNOWN = "not known";

    private final PlugModel plugs;
    private Shown shown = new Shown(List.of(), Optional.empty());

    /** What is asked for now. */
    private record Shown(List<PlugModel.Switch> switches, Optional<Mains> mains) {}

    SwitchesRow(PlugModel plugs) {
        super(16, 6);
        this.plugs = plugs;
        setId("switches");
        setMinHeight(Region.USE_PREF_SIZE);
    }

    void show() {
        Shown now = new Shown(plugs.switches(), plugs.asksForMains() ? Optional.of(plugs.mains()) : Optional.empty());
        if (!now.equals(shown)) {
            shown = now;
            getChildren().setAll(now.switches().stream().map(this::shown).toList());
            now.mains().map(this::outlets).ifPresent(getChildren()::add);
        }
        boolean isEmpty = getChildren().isEmpty();
        setVisible(!isEmpty);
        setManaged(!isEmpty);
    }

    private Node outlets(Mains present) {
        Chooser<Mains> chooser = new Chooser<Mains>(Mains::word).offering(List.of(Mains.values()), present);
        chooser.setId("mains");
        chooser.valueProperty().addListener((property, before, now) -> plugs.hangsOn(now));
        return labelled("Outlets of the setup", chooser);
    }

    private Node shown(PlugModel.Switch control) {
        List<String> choices = new ArrayList<>(List.of(UNKNOWN));
        choices.addAll(control.positions());
        Chooser<String> chooser = new Chooser<String>(words -> words)
                .offering(choices, control.at().orElse(UNKNOWN));
        chooser.setId(
                "switch-" + control.control().item() + "-" + control.control().part());
        chooser.valueProperty()
                .addListener((property, before, now) ->
                        plugs.stands(control, Optional.of(now).filter(position -> !position.equals(UNKNOWN))));
        return labelled(control.name(), chooser);
    }

    private static Node labelled(String words, Chooser<?> chooser) {
        Label name = new Label(words);
        name.getStyleClass().addAll("second", "small");
        name.setLabelFor(chooser);
        chooser.setAccessibleText(words);
        HBox pair = new HBox(6, name, chooser);
        pair.setAlignment(Pos.CENTER_LEFT);
        return pair;
    }
}
