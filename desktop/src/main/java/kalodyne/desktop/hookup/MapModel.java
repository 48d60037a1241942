package kalodyne.desktop.hookup;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.RunJoints;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.Station;
import kalodyne.core.paper.TextWidth;
import kalodyne.core.rigmap.Letters;
import kalodyne.core.rigmap.MapLayout;
import kalodyne.core.rigmap.MapLayout.Placed;
import kalodyne.core.rigmap.RigMap;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.StudioModel;

/** The whole setup as a picture: which part of it is shown, and where everything lies. */
public final class MapModel {
    private final StudioModel studio;
    private final JointsModel joints;
    private final Jobs jobs;
    private final BooleanProperty onlyRun = new SimpleBooleanProperty(this, "onlyRun");
    private final BooleanProperty withFree = new SimpleBooleanProperty(this, "withFree");
    private final ReadOnlyObjectWrapper<Optional<Placed>> placed =
            new ReadOnlyObjectWrapper<>(this, "placed", Optional.empty());
    private RigMap wanted = new RigMap(List.of(), List.of());
    private boolean isWatched;

    /** Reading the typeface takes a moment: it is done with the first layout, off the screen's thread. */
    private MapLayout layout;

    public MapModel(StudioModel studio, JointsModel joints, Jobs jobs) {
        this.studio = studio;
        this.joints = joints;
        this.jobs = jobs;
        studio.revisionProperty().addListener(change -> refresh());
        onlyRun.addListener(change -> afresh());
        withFree.addListener(change -> afresh());
    }

    /** Whether only the run that is looked at is shown. */
    public BooleanProperty onlyRunProperty() {
        return onlyRun;
    }

    /** Whether sockets are shown that nothing is in. */
    public BooleanProperty withFreeProperty() {
        return withFree;
    }

    /** Everything in its place; empty until it was laid out for the first time. */
    public ReadOnlyObjectProperty<Optional<Placed>> placedProperty() {
        return placed.getReadOnlyProperty();
    }

    /** Lays out from now on, or no longer: somebody looks at it. */
    void watch(boolean isLookedAt) {
        isWatched = isLookedAt;
        refresh();
    }

    /** Another part of it: nothing need stay where it was. */
    private void afresh() {
        placed.set(Optional.empty());
        refresh();
    }

    private void refresh() {
        if (!isWatched) {
            return;
        }
        RigMap now = map();
        if (now.equals(wanted) && placed.get().isPresent()) {
            return;
        }
        wanted = now;
        Optional<Placed> before = placed.get();
        jobs.runBriefly(
                progress -> before.isPresent() ? layout().place(now, before.get()) : layout().place(now), done -> {
                    // Something may have been plugged meanwhile.
                    if (now.equals(wanted)) {
                        placed.set(Optional.of(done));
                    }
                });
    }

    private synchronized MapLayout layout() {
        if (layout == null) {
            Letters letters = TextWidth.letters();
            layout = new MapLayout(letters, MapModel::words);
        }
        return layout;
    }

    private RigMap map() {
        RigMap all = RigMap.of(studio.levels(), joints.joints());
        Optional<RunLevels> run = studio.reading().filter(reading -> onlyRun.get());
        if (run.isPresent()) {
            List<Checked> ofRun = new RunJoints(run.get().plan()).among(joints.joints());
            return all.only(line -> ofRun.stream().anyMatch(line::isOf));
        }
        return withFree.get()
                ? all.withFree(studio.studio().devices(), studio.setup().wiring()::isFree)
                : all;
    }

    /** "Lead 15, left"; of a lead with adapters the lead, and that there is more: a line has little room. */
    static String words(RigMap.Line line) {
        String[] names = line.row().lead().split(" with ", -1);
        String lead = names[0].isEmpty() ? "straight in" : names[0] + (names.length > 1 ? " + adapter" : "");
        return line.row().side().isEmpty() ? lead : lead + ", " + line.row().side();
    }

    /** Looks at the joint that a line is. */
    void choose(RigMap.Line line) {
        joints.joints().stream().filter(line::isOf).findFirst().ifPresent(joints::choose);
    }

    /** Whether a line is the joint that is looked at, or a part of it. */
    boolean isChosen(RigMap.Line line) {
        return joints.chosen().filter(line::isOf).isPresent();
    }

    /** Looks at a device: at its station of the run that is looked at, else of the first run that passes it. */
    void choose(RigMap.Card card) {
        studio.reading().flatMap(run -> station(run, card)).ifPresent(studio::pointAt);
    }

    private Optional<Integer> station(RunLevels run, RigMap.Card card) {
        return run.plan().trace().stations().stream()
                .filter(station ->
                        station.kind() == Station.Kind.DEVICE && station.name().equals(card.name()))
                .findFirst()
                .map(Station::index);
    }
}
