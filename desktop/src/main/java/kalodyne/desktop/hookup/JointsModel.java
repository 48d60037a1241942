package kalodyne.desktop.hookup;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.RunJoints;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.studio.exchange.SetupTables;
import kalodyne.core.units.Print;
import kalodyne.desktop.model.StudioModel;

/** What is plugged in the setup that is looked at: every joint as it was computed, and the one that is chosen. */
public final class JointsModel {
    private final StudioModel studio;
    private final ReadOnlyObjectWrapper<List<Checked>> joints = new ReadOnlyObjectWrapper<>(this, "joints", List.of());
    private final ReadOnlyObjectWrapper<Optional<Checked>> chosen =
            new ReadOnlyObjectWrapper<>(this, "chosen", Optional.empty());

    /** While the run follows the joint, the joint need not follow the run. */
    private boolean isFollowing;

    public JointsModel(StudioModel studio) {
        this.studio = studio;
        studio.revisionProperty().addListener(change -> refresh());
        studio.readingProperty().addListener((property, before, now) -> {
            if (!name(before).equals(name(now))) {
                chooseOfRun();
            }
        });
        studio.pointedProperty().addListener(change -> chooseOfRun());
        refresh();
    }

    private static Optional<String> name(Optional<RunLevels> reading) {
        return reading.map(each -> each.plan().trace().key());
    }

    /** Looks at the joint of the run that is looked at, if it is plugged. */
    private void chooseOfRun() {
        if (!isFollowing) {
            studio.reading()
                    .flatMap(reading -> new RunJoints(reading.plan()).at(studio.focus(), joints()))
                    .ifPresent(joint -> this.chosen.set(Optional.of(joint)));
        }
    }

    /** What is plugged where, as a table. */
    String patchTable() {
        return SetupTables.patch(PatchList.of(studio.levels().rig().patch(), studio.joints()));
    }

    public ReadOnlyObjectProperty<List<Checked>> jointsProperty() {
        return joints.getReadOnlyProperty();
    }

    public List<Checked> joints() {
        return joints.get();
    }

    public ReadOnlyObjectProperty<Optional<Checked>> chosenProperty() {
        return chosen.getReadOnlyProperty();
    }

    public Optional<Checked> chosen() {
        return chosen.get();
    }

    private void refresh() {
        List<Checked> all = studio.joints();
        if (all == joints.get()) {
            return;
        }
        Optional<Checked> before = chosen();
        joints.set(all);
        chosen.set(before.flatMap(this::sameAs).or(() -> worst(all)));
    }

    /** The joint that stands where another one stood: the one with the same first plug. */
    private Optional<Checked> sameAs(Checked before) {
        return joints().stream()
                .filter(joint -> joint.patch().pluggings().stream()
                        .anyMatch(plugging -> before.patch().pluggings().contains(plugging)))
                .findFirst();
    }

    /** The joint in which something is plugged that was just put there. */
    void chooseWith(Collection<Plugging> pluggings) {
        joints().stream()
                .filter(joint -> joint.patch().pluggings().containsAll(pluggings))
                .findFirst()
                .ifPresent(this::choose);
    }

    /** What is looked at before anything was chosen: where most is wrong. */
    private static Optional<Checked> worst(List<Checked> all) {
        return worstFirst(all).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .findFirst()
                .flatMap(finding -> with(finding, all))
                .or(() -> all.stream().findFirst());
    }

    private static Optional<Checked> with(Finding finding, List<Checked> all) {
        return all.stream().filter(joint -> joint.findings().contains(finding)).findFirst();
    }

    /** Looks at a joint, and at the run that goes through it. */
    public void choose(Checked joint) {
        chosen.set(Optional.of(joint));
        isFollowing = true;
        if (!isOfRun()) {
            studio.levels().traces().stream()
                    .filter(trace -> new RunJoints(studio.levels().plan(trace)).has(joint))
                    .map(Trace::key)
                    .findFirst()
                    .ifPresent(studio::showRun);
        }
        studio.reading()
                .ifPresent(
                        reading -> new RunJoints(reading.plan()).station(joint).ifPresent(studio::focusOn));
        isFollowing = false;
    }

    /** Whether the joint that is looked at belongs to the run that is looked at. */
    public boolean isOfRun() {
        return chosen().flatMap(joint -> studio.reading().map(reading -> new RunJoints(reading.plan()).has(joint)))
                .orElse(false);
    }

    /** Looks at the joint in which something was noticed. */
    public void choose(Place.Plugged place) {
        joints().stream()
                .filter(joint -> joint.patch().pluggings().stream()
                        .flatMap(plugging -> plugging.spots().stream())
                        .anyMatch(spot ->
                                spot.item().equals(place.item()) && spot.part().equals(place.part())))
                .findFirst()
                .ifPresent(this::choose);
    }

    /** What was noticed anywhere, worst first. */
    public List<Finding> findings() {
        return worstFirst(joints());
    }

    private static List<Finding> worstFirst(List<Checked> all) {
        return Finding.worstFirst(
                all.stream().flatMap(joint -> joint.findings().stream()).toList());
    }

    /**
     * What to do about the worst that was noticed, notes left out: "Drum box → Interface: take left and right to two inputs".
     *
     * @param best what was found to help the joint that is looked at, if anything
     */
    public Optional<String> next(Optional<String> best) {
        Optional<Finding> first = findings().stream()
                .filter(finding ->
                        finding.severity() != Severity.NOTE && finding.remedy().isPresent())
                .findFirst();
        return first.flatMap(finding -> with(finding, joints())
                .map(joint -> title(joint) + ": "
                        + Print.withinSentence(best.filter(
                                        words -> chosen().filter(joint::equals).isPresent())
                                .orElse(finding.remedy().orElseThrow().words()))));
    }

    /**
     * "Bass synth → Interface"; of several joints between the same devices, with what tells them apart: "Interface → Subwoofer,
     * left", or the socket that it comes from.
     */
    public String title(Checked joint) {
        String title = joint.title();
        boolean isOnly =
                joints().stream().filter(each -> each.title().equals(title)).count() == 1;
        return isOnly ? title : title + apart(joint).map(words -> ", " + words).orElse("");
    }

    private static Optional<String> apart(Checked joint) {
        List<PatchList.Row> rows = PatchList.of(joint.patch(), List.of());
        return rows.stream()
                .map(PatchList.Row::side)
                .filter(side -> !side.isEmpty())
                .findFirst()
                .or(() -> rows.stream().findFirst().map(row -> row.from().socket()));
    }

    /** "Lead 7", "Lead 4, Little adapter", "plugged straight in". */
    public static String through(Checked joint) {
        String leads = joint.patch().leads().values().stream().map(Lead::name).collect(Collectors.joining(", "));
        return leads.isEmpty() ? "plugged straight in" : leads;
    }
}
