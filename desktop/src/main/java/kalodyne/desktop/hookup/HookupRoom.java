package kalodyne.desktop.hookup;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableBooleanValue;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.joint.rules.Cure;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.HearModel;
import kalodyne.desktop.shell.Command;
import kalodyne.desktop.shell.Overlay;
import kalodyne.desktop.shell.Room;

/** The Hook-up room: what is plugged into what. */
public final class HookupRoom implements Room {
    private final Supplier<JointsModel> made;
    private final Supplier<MapModel> madeMap;
    private final Supplier<PlugModel> madePlugs;
    private final Supplier<WayModel> madeWays;
    private final ReadOnlyBooleanWrapper onRun = new ReadOnlyBooleanWrapper(this, "onRun", true);
    private final ReadOnlyObjectWrapper<Report> report =
            new ReadOnlyObjectWrapper<>(this, "report", new Report("", List.of(), "", Optional.empty(), ""));
    private JointsModel joints;
    private PlugModel plugs;
    private Overlay overlay;
    private HookupView view;
    private final HearModel hear;
    private VBox aside;

    /**
     * A room.
     *
     * @param joints is asked for when the room is first entered: until then nothing needs to be computed
     */
    public HookupRoom(
            Supplier<JointsModel> joints,
            Supplier<MapModel> map,
            Supplier<PlugModel> plugs,
            Supplier<WayModel> ways,
            HearModel hear) {
        this.made = joints;
        this.madeMap = map;
        this.madePlugs = plugs;
        this.madeWays = ways;
        this.hear = hear;
    }

    private JointsModel joints() {
        if (joints == null) {
            joints = made.get();
            joints.jointsProperty().addListener(change -> report.set(report()));
            joints.chosenProperty().addListener(change -> onRun.set(joints.isOfRun()));
            onRun.set(joints.isOfRun());
            report.set(report());
        }
        return joints;
    }

    private PlugModel plugs() {
        if (plugs == null) {
            plugs = madePlugs.get();
            plugs.alternativesProperty().addListener(change -> report.set(report()));
        }
        return plugs;
    }

    @Override
    public String id() {
        return "hookup";
    }

    @Override
    public String title() {
        return "Hook-up";
    }

    @Override
    public boolean isAboutRun() {
        return false;
    }

    @Override
    public boolean hasRibbon() {
        return true;
    }

    @Override
    public ObservableBooleanValue onRunProperty() {
        joints();
        return onRun.getReadOnlyProperty();
    }

    @Override
    public void useOverlay(Overlay windowsOverlay) {
        overlay = windowsOverlay;
    }

    @Override
    public Node node() {
        return view();
    }

    private HookupView view() {
        if (view == null) {
            view = new HookupView(joints(), madeMap.get(), plugs(), madeWays.get(), hear, overlay);
        }
        return view;
    }

    @Override
    public Optional<Node> aside() {
        if (aside == null) {
            aside = new VBox(
                    4,
                    head("How to read the picture"),
                    line(
                            "On the map a lead is drawn in its colour, the thicker the louder; dotted is data, dashed is power."),
                    line("Among the contacts each box is a socket or a plug, a line for each contact."),
                    line("Thick line: a plug touches a socket. Thin line: a wire in a lead."),
                    line("Volts and milliamperes: direct, with everything on that can be switched on."));
            aside.getStyleClass().add("legend");
        }
        return Optional.of(aside);
    }

    private static Label head(String words) {
        Label label = Styled.of(new Label(words)).as("section").node();
        return label;
    }

    private static Label line(String words) {
        Label label = Styled.of(new Label(words)).as("second", "small").wrap().node();
        return label;
    }

    @Override
    public ObservableValue<Report> reportProperty() {
        return report.getReadOnlyProperty();
    }

    private Report report() {
        List<Finding> findings = joints().findings();
        String next = joints().next(plugs().best().map(Cure::words)).orElse("");
        return new Report("What was noticed where you plug", findings, next, Finding.worst(findings), "");
    }

    @Override
    public void show(Place place) {
        if (place instanceof Place.Plugged here) {
            joints().choose(here);
            view().showContacts();
        }
    }

    @Override
    public List<Command> commands() {
        return List.of(
                Command.of("Find a way to record…", "Shortcut+Shift+P", () -> view().findWay()),
                Command.of("Plug something…", "Shortcut+P", () -> view().plug()),
                Command.of("Show the map", "Shortcut+M", () -> view().showMap()),
                Command.of("Show list and contacts", "Shortcut+J", () -> view().showContacts()),
                Command.of("Copy the patch list as a table", Copying.KEYS, () -> Copying.table(joints().patchTable())),
                Command.of("Hear this joint", "Shortcut+Shift+H", () -> view().hearJoint()),
                Command.of("Unplug this joint", "Shortcut+Delete", () -> plugs().unplug()));
    }

    @Override
    public boolean isPassable() {
        return joints().joints().stream().noneMatch(Checked::cannotWork);
    }

    @Override
    public String helpResource() {
        return "hookup.txt";
    }
}
