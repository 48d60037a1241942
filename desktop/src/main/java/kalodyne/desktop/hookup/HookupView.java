package kalodyne.desktop.hookup;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.desktop.control.BesideOrBelow;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Overlay;

/** The joints of the setup in a list; of the one that is chosen, what touches what, and what arrives. */
final class HookupView extends VBox {
    /** In the size of the text. */
    private static final double LIST_WIDTH = 18.5;

    private static final double LIST_HEIGHT = 12;
    private static final double DETAIL_WIDTH = 30;

    private final JointsModel joints;
    private final PlugModel plugs;
    private final WayModel ways;
    private final Overlay overlay;
    private final Button way = new Button("Find a way…");
    private final Button plug = new Button("Plug something…");
    private final Button unplug = new Button("Unplug this");
    private final Label sentence = new Label();
    private final ListView<Checked> list = new ListView<>();
    private final JointDrawing drawing = new JointDrawing();
    private final ResponseCurve curve = new ResponseCurve();
    private final SwitchesRow switches;
    private final AlternativesPane alternatives;
    private final Label title = new Label();
    private final Label arrives = new Label();
    private final BesideOrBelow work;
    private final VBox empty = empty();
    private boolean showing;

    HookupView(JointsModel joints, PlugModel plugs, WayModel ways, Overlay overlay) {
        this.joints = joints;
        this.plugs = plugs;
        this.ways = ways;
        this.overlay = overlay;
        getStyleClass().addAll("room", "hookup");
        switches = new SwitchesRow(plugs);
        alternatives = new AlternativesPane(plugs);
        Styled.of(way).id("find-way").as("primary").whole().action(() -> findWay());
        Styled.of(plug).id("plug").whole().action(() -> plug());
        Styled.of(unplug).id("unplug").whole().action(() -> plugs.unplug());
        sentence.setId("hookup-sentence");
        list.setId("joints");
        list.setCellFactory(view -> new MarkedCell<>(Checked::title, JointsModel::through, Checked::worst));
        list.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> {
            if (!showing && now != null) {
                joints.choose(now);
            }
        });
        work = new BesideOrBelow(list, detail(), LIST_WIDTH, LIST_HEIGHT, DETAIL_WIDTH);
        VBox.setVgrow(work, Priority.ALWAYS);
        getChildren().addAll(new RoomHeader(sentence, unplug, plug, way), empty, work);
        joints.jointsProperty().addListener(change -> show());
        joints.chosenProperty().addListener(change -> show());
        alternatives.chosenProperty().addListener(change -> showCurves());
        show();
    }

    private VBox detail() {
        Styled.of(title).as("card-title").id("joint-title");
        Styled.of(arrives).as("second", "small").id("joint-arrives").wrap();
        arrives.setMinHeight(Region.USE_PREF_SIZE);
        VBox.setVgrow(drawing, Priority.ALWAYS);
        VBox.setVgrow(curve, Priority.ALWAYS);
        VBox.setVgrow(alternatives, Priority.SOMETIMES);
        VBox detail = new VBox(6, title, drawing, switches, arrives, curve, alternatives);
        detail.setMinWidth(0);
        return detail;
    }

    private static VBox empty() {
        Label what = Styled.of(new Label("Nothing is plugged in this setup yet"))
                .as("room-sentence")
                .node();
        Label how = new Label("Choose two sockets; the leads that fit are offered, each with what would come of it.");
        Styled.of(how).as("second").wrap();
        VBox box = Styled.of(new VBox(what, how))
                .as("drop-zone")
                .id("nothing-plugged")
                .node();
        return box;
    }

    void findWay() {
        new WishPage(ways, overlay).open();
    }

    void plug() {
        new PlugPage(plugs, overlay).open();
    }

    private void show() {
        List<Checked> all = joints.joints();
        sentence.setText(sentence(all));
        empty.setVisible(all.isEmpty());
        empty.setManaged(all.isEmpty());
        unplug.setDisable(joints.chosen().isEmpty());
        work.setVisible(!all.isEmpty());
        work.setManaged(!all.isEmpty());
        showing = true;
        if (!list.getItems().equals(all)) {
            list.getItems().setAll(all);
        }
        joints.chosen().ifPresent(chosen -> {
            list.getSelectionModel().select(chosen);
            // With one above it, so that one sees that there are more.
            list.scrollTo(Math.max(0, all.indexOf(chosen) - 1));
        });
        showing = false;
        drawing.show(joints.chosen());
        title.setText(joints.chosen().map(HookupView::title).orElse(""));
        switches.show();
        showCurves();
    }

    private void showCurves() {
        Optional<Checked> joint = joints.chosen();
        List<ResponseCurve.Curve> own = joint.map(Arriving::curves).orElse(List.of());
        boolean isSignal = !own.isEmpty();
        curve.show(Stream.concat(
                        own.stream(), alternatives.chosen().stream().flatMap(cure -> Arriving.compared(cure).stream()))
                .toList());
        arrives.setText(joint.map(Arriving::inWords).orElse(""));
        // Joints without a signal, as of data, have nothing to draw.
        curve.setVisible(isSignal);
        curve.setManaged(isSignal);
        arrives.setVisible(isSignal);
        arrives.setManaged(isSignal);
    }

    private static String sentence(List<Checked> all) {
        long bad = all.stream().filter(Checked::cannotWork).count();
        if (all.isEmpty()) {
            return "Nothing is plugged";
        }
        String count = all.size() == 1 ? "One joint" : all.size() + " joints";
        return bad == 0 ? count + ", and each does its job" : count + ", of which " + bad + " cannot work as plugged";
    }

    private static String title(Checked joint) {
        return joint.title() + " · " + JointsModel.through(joint);
    }
}
