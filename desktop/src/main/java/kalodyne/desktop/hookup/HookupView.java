package kalodyne.desktop.hookup;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Carries;
import kalodyne.core.joint.Sounding;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.BesideOrBelow;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.model.JointsModel;
import kalodyne.desktop.shell.Overlay;

/** The joints of the setup in a list; of the one that is chosen, what touches what, and what arrives. */
final class HookupView extends VBox {
    private static final int MOST_CURVES = 4;

    /** In the size of the text. */
    private static final double LIST_WIDTH = 18.5;

    private static final double LIST_HEIGHT = 12;
    private static final double DETAIL_WIDTH = 30;

    private final JointsModel joints;
    private final Overlay overlay;
    private final Button plug = new Button("Plug something…");
    private final Button unplug = new Button("Unplug this");
    private final Label sentence = new Label();
    private final ListView<Checked> list = new ListView<>();
    private final JointDrawing drawing = new JointDrawing();
    private final ResponseCurve curve = new ResponseCurve();
    private final Label title = new Label();
    private final Label arrives = new Label();
    private final BesideOrBelow work;
    private final VBox empty = empty();
    private boolean showing;

    HookupView(JointsModel joints, Overlay overlay) {
        this.joints = joints;
        getStyleClass().addAll("room", "hookup");
        this.overlay = overlay;
        plug.setId("plug");
        plug.getStyleClass().add("primary");
        plug.setMinWidth(Region.USE_PREF_SIZE);
        plug.setOnAction(event -> plug());
        unplug.setId("unplug");
        unplug.setMinWidth(Region.USE_PREF_SIZE);
        unplug.setOnAction(event -> joints.unplug());
        sentence.setId("hookup-sentence");
        list.setId("joints");
        list.setCellFactory(view -> new MarkedCell<>(Checked::title, JointsModel::through, Checked::worst));
        list.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> {
            if (!showing && now != null) {
                joints.choose(now);
            }
        });
        title.getStyleClass().add("card-title");
        title.setId("joint-title");
        arrives.getStyleClass().addAll("second", "small");
        arrives.setId("joint-arrives");
        arrives.setWrapText(true);
        arrives.setMinHeight(Region.USE_PREF_SIZE);
        VBox.setVgrow(drawing, Priority.ALWAYS);
        VBox.setVgrow(curve, Priority.ALWAYS);
        VBox right = new VBox(6, title, drawing, arrives, curve);
        right.setMinWidth(0);
        work = new BesideOrBelow(list, right, LIST_WIDTH, LIST_HEIGHT, DETAIL_WIDTH);
        VBox.setVgrow(work, Priority.ALWAYS);
        getChildren().addAll(new RoomHeader(sentence, unplug, plug), empty, work);
        joints.jointsProperty().addListener(change -> show());
        joints.chosenProperty().addListener(change -> show());
        show();
    }

    private static VBox empty() {
        Label what = new Label("Nothing is plugged in this setup yet");
        what.getStyleClass().add("room-sentence");
        Label how = new Label("Choose two sockets; the leads that fit are offered, each with what would come of it.");
        how.getStyleClass().add("second");
        how.setWrapText(true);
        VBox box = new VBox(what, how);
        box.getStyleClass().add("drop-zone");
        box.setId("nothing-plugged");
        return box;
    }

    void plug() {
        new PlugPage(joints, overlay).open();
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
        List<Transfer> ways = joints.chosen().map(HookupView::ways).orElse(List.of());
        curve.show(Stream.concat(ways.stream().map(HookupView::curve), together(ways).stream())
                .toList());
        arrives.setText(arriving(ways));
        // Joints without a signal, as of data, have nothing to draw.
        curve.setVisible(!ways.isEmpty());
        curve.setManaged(!ways.isEmpty());
        arrives.setVisible(!ways.isEmpty());
        arrives.setManaged(!ways.isEmpty());
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

    /** Of each signal the way on which most of it arrives in another device. */
    private static List<Transfer> ways(Checked joint) {
        Map<Sounding, Transfer> best = new LinkedHashMap<>();
        joint.reading().stream()
                .flatMap(reading -> reading.ways().stream())
                .forEach(way -> best.merge(
                        way.from(),
                        way,
                        (a, b) -> a.atMiddle().db() >= b.atMiddle().db() ? a : b));
        return best.values().stream().limit(MOST_CURVES).toList();
    }

    private static ResponseCurve.Curve curve(Transfer way) {
        return new ResponseCurve.Curve(words(way), way, false);
    }

    /** What arrives of something that is alike in left and right, as a voice or a bass. */
    private static Optional<ResponseCurve.Curve> together(List<Transfer> ways) {
        return ways.stream()
                .filter(left -> left.from().channel() == Carries.LEFT)
                .flatMap(left -> ways.stream()
                        .filter(right -> right.from().channel() == Carries.RIGHT
                                && right.to().equals(left.to()))
                        .map(right ->
                                new ResponseCurve.Curve("what is alike in left and right", left.with(right), true)))
                .findFirst();
    }

    private static String words(Transfer way) {
        return way.from().channel().word() + " → " + way.to().channel().word();
    }

    private static String arriving(List<Transfer> ways) {
        List<String> words = new ArrayList<>();
        for (Transfer way : ways) {
            double db = way.atMiddle().db();
            words.add(words(way) + ": "
                    + (db < -100 ? "nothing arrives" : Print.decimal(db, 1) + " dB at 1 kHz")
                    + (db > -100 && way.at(1000).re() < 0 ? ", upside down" : "")
                    + way.lowCorner().stream()
                            .filter(hertz -> hertz > 20)
                            .mapToObj(hertz -> ", 3 dB down at " + Print.prefixed(hertz, "Hz"))
                            .findFirst()
                            .orElse("")
                    + way.highCorner().stream()
                            .filter(hertz -> hertz < 20_000)
                            .mapToObj(hertz -> ", 3 dB down at " + Print.prefixed(hertz, "Hz"))
                            .findFirst()
                            .orElse(""));
        }
        return "What arrives of the open-circuit source. " + String.join("; ", words) + ".";
    }
}
