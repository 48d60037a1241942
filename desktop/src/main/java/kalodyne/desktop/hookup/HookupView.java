package kalodyne.desktop.hookup;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.desktop.control.BesideOrBelow;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.control.Tabs;
import kalodyne.desktop.model.HearModel;
import kalodyne.desktop.shell.Overlay;

/** The setup as a map, or its joints in a list; of the one that is chosen, what touches what, and what arrives. */
final class HookupView extends VBox {
    /** In the size of the text. */
    private static final double LIST_WIDTH = 18.5;

    private static final double LIST_HEIGHT = 12;
    private static final double DETAIL_WIDTH = 30;

    private final JointsModel joints;
    private final MapModel map;
    private final PlugModel plugs;
    private final WayModel ways;
    private final HearModel hear;
    private final Button hearIt = new Button("Hear it");
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
    private final Label chosen = new Label();
    private final Label title = new Label();
    private final Label arrives = new Label();
    private final ToggleButton mapTab = new ToggleButton("Map");
    private final ToggleButton contactsTab = new ToggleButton("List and contacts");
    private final CheckBox onlyRun = new CheckBox("Only this run");
    private final CheckBox withFree = new CheckBox("Free sockets too");
    private final MapView picture;
    private final BesideOrBelow work;
    private final VBox empty = empty();
    private boolean showing;

    HookupView(JointsModel joints, MapModel map, PlugModel plugs, WayModel ways, HearModel hear, Overlay overlay) {
        this.joints = joints;
        this.map = map;
        this.plugs = plugs;
        this.ways = ways;
        this.hear = hear;
        this.overlay = overlay;
        getStyleClass().addAll("room", "hookup");
        switches = new SwitchesRow(plugs);
        alternatives = new AlternativesPane(plugs, hear);
        Styled.of(way).id("find-way").as("primary").whole().action(() -> findWay());
        Styled.of(plug).id("plug").whole().action(() -> plug());
        Styled.of(unplug).id("unplug").whole().action(() -> plugs.unplug());
        sentence.setId("hookup-sentence");
        Styled.of(chosen).id("map-chosen").as("second", "small").wrap();
        chosen.setMinHeight(USE_PREF_SIZE);
        list.setId("joints");
        list.setCellFactory(view -> new MarkedCell<>(joints::title, JointsModel::through, Checked::worst));
        list.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> {
            if (!showing && now != null) {
                joints.choose(now);
            }
        });
        work = new BesideOrBelow(list, detail(), LIST_WIDTH, LIST_HEIGHT, DETAIL_WIDTH);
        picture = new MapView(map, () -> showContacts(), plugs::unplug, this::plug);
        VBox.setVgrow(work, Priority.ALWAYS);
        VBox.setVgrow(picture, Priority.ALWAYS);
        getChildren().addAll(new RoomHeader(sentence, unplug, plug, way), tools(), empty, picture, chosen, work);
        // Before the list, which takes the key for itself.
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE && !mapTab.isSelected()) {
                showMap();
                event.consume();
            }
        });
        sceneProperty().addListener(change -> watch());
        mapTab.selectedProperty().addListener(change -> {
            watch();
            show();
        });
        joints.jointsProperty().addListener(change -> show());
        joints.chosenProperty().addListener(change -> show());
        alternatives.chosenProperty().addListener(change -> showCurves());
        show();
    }

    /** The map or the contacts, and what of the map is shown. */
    private FlowPane tools() {
        Tabs tabs = new Tabs(mapTab, contactsTab);
        Styled.of(mapTab).id("as-map").action(this::showMap);
        Styled.of(contactsTab).id("as-contacts").action(this::showContacts);
        Styled.of(onlyRun).id("only-run").tip("Show only the leads of the run that is looked at");
        Styled.of(withFree).id("free-sockets").tip("Show every socket, to draw a lead from one to another");
        onlyRun.selectedProperty().bindBidirectional(map.onlyRunProperty());
        withFree.selectedProperty().bindBidirectional(map.withFreeProperty());
        Stream.of(onlyRun, withFree).forEach(box -> {
            box.visibleProperty().bind(mapTab.selectedProperty());
            box.managedProperty().bind(mapTab.selectedProperty());
        });
        withFree.disableProperty().bind(onlyRun.selectedProperty());
        FlowPane tools = new FlowPane(16, 6, tabs, onlyRun, withFree);
        tools.setAlignment(Pos.CENTER_LEFT);
        tools.setMinHeight(USE_PREF_SIZE);
        return tools;
    }

    /** The whole setup as a picture. */
    void showMap() {
        mapTab.setSelected(true);
        picture.focus();
    }

    /** The joint that is chosen, contact by contact, beside the list of all. */
    void showContacts() {
        contactsTab.setSelected(true);
        list.requestFocus();
    }

    private void watch() {
        map.watch(getScene() != null && mapTab.isSelected());
    }

    private VBox detail() {
        Styled.of(title).as("card-title").id("joint-title");
        Styled.of(arrives).as("second", "small").id("joint-arrives").wrap();
        arrives.setMinHeight(Region.USE_PREF_SIZE);
        VBox.setVgrow(drawing, Priority.ALWAYS);
        VBox.setVgrow(curve, Priority.ALWAYS);
        VBox.setVgrow(alternatives, Priority.SOMETIMES);
        Styled.of(hearIt)
                .id("hear-joint")
                .whole()
                .tip("Hear what goes into this joint, and what comes out of it (Ctrl+Shift+H)")
                .action(this::hearJoint);
        Region between = new Region();
        HBox.setHgrow(between, Priority.ALWAYS);
        title.setMinWidth(0);
        HBox head = new HBox(8, title, between, hearIt);
        head.setAlignment(Pos.CENTER_LEFT);
        VBox detail = new VBox(6, head, drawing, switches, arrives, curve, alternatives);
        detail.setMinWidth(0);
        return detail;
    }

    void hearJoint() {
        joints.chosen().ifPresent(hear::hearJoint);
    }

    private static VBox empty() {
        Label what = Styled.of(new Label("Nothing is plugged in this setup yet"))
                .as("room-sentence")
                .node();
        Label how = new Label("Choose two sockets; the leads that fit are offered, each with what would come of it.");
        Styled.of(how).as("second").wrap();
        how.setMinHeight(USE_PREF_SIZE);
        VBox box = Styled.of(new VBox(what, how))
                .as("drop-zone")
                .id("nothing-plugged")
                .node();
        return box;
    }

    void findWay() {
        new WishPage(ways, hear, overlay).open();
    }

    void plug() {
        new PlugPage(plugs, overlay).open();
    }

    private void plug(Spot from, Spot to) {
        new PlugPage(plugs, overlay).open(from, to);
    }

    private void show() {
        List<Checked> all = joints.joints();
        sentence.setText(sentence(all));
        Styled.of(empty).shown(all.isEmpty());
        unplug.setDisable(joints.chosen().isEmpty());
        Styled.of(picture).shown(mapTab.isSelected());
        Styled.of(chosen).shown(mapTab.isSelected() && joints.chosen().isPresent());
        chosen.setText(joints.chosen().map(this::inShort).orElse(""));
        Styled.of(work).shown(!mapTab.isSelected() && !all.isEmpty());
        contactsTab.setDisable(all.isEmpty());
        showing = true;
        if (!list.getItems().equals(all)) {
            list.getItems().setAll(all);
        }
        joints.chosen().ifPresent(joint -> {
            list.getSelectionModel().select(joint);
            // With one above it, so that one sees that there are more.
            list.scrollTo(Math.max(0, all.indexOf(joint) - 1));
        });
        showing = false;
        picture.showChosen();
        hearIt.setDisable(joints.chosen().filter(hear::isHeard).isEmpty());
        drawing.show(joints.chosen());
        title.setText(joints.chosen().map(this::title).orElse(""));
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
        Styled.of(curve).shown(isSignal);
        Styled.of(arrives).shown(isSignal);
    }

    private static String sentence(List<Checked> all) {
        long bad = all.stream().filter(Checked::cannotWork).count();
        if (all.isEmpty()) {
            return "Nothing is plugged";
        }
        String count = all.size() == 1 ? "One joint" : all.size() + " joints";
        return bad == 0 ? count + ", and each does its job" : count + ", of which " + bad + " cannot work as plugged";
    }

    /** "Laptop → Interface · Lead 14. This lead only charges. Enter or a click shows its contacts." */
    private String inShort(Checked joint) {
        String noticed = joint.findings().stream()
                .findFirst()
                .map(worst -> worst.title() + ". ")
                .orElse("Nothing is wrong with it. ");
        return title(joint) + ". " + noticed + "Enter or a click on the line shows its contacts.";
    }

    private String title(Checked joint) {
        return joints.title(joint) + " · " + JointsModel.through(joint);
    }
}
