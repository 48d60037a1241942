package kalodyne.core.studio.setup;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import kalodyne.core.files.json.Fields;
import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.ObjectForm;
import kalodyne.core.files.json.Words;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.takes.causes.Inquiry;

/** Setups and their takes. */
public final class SetupForms {
    private static final String OWN_NAME = "Give it a name of its own.";

    private static final ObjectForm<FirstVerdict.Fault> FAULT = ObjectForm.of(f -> new FirstVerdict.Fault(
            f.text("code", FirstVerdict.Fault::code),
            f.value("severity", new Words<>(Severity::of, Severity::word), FirstVerdict.Fault::severity),
            f.text("title", FirstVerdict.Fault::title)));

    private static final ObjectForm<FirstVerdict> JUDGED = ObjectForm.of(f -> new FirstVerdict(
            f.maybeNumber("peakDbfs", FirstVerdict::peakDbfs),
            f.maybeNumber("noiseDbfs", FirstVerdict::noiseDbfs),
            f.text("sentence", FirstVerdict::sentence),
            f.list("faults", FAULT, FirstVerdict::faults)));

    private static final ObjectForm<Inquiry.Tried> TRIED = ObjectForm.of(f -> new Inquiry.Tried(
            f.text("test", Inquiry.Tried::test), f.value("answer", JsonForm.WHOLE, Inquiry.Tried::answer)));

    /** A take of a run that was described by numbers once has controls of no gear: their names are kept. */
    private static final Words<Spot> KNOB = new Words<>(
            text -> Spot.known(text).orElseGet(() -> new Spot("", text)),
            spot -> spot.item().isEmpty() ? spot.part() : spot.write());

    public static final ObjectForm<Take> TAKE = ObjectForm.of(f -> new Take(
            f.text("name", Take::name),
            f.text("run", Take::run),
            f.text("file", Take::file),
            f.value("at", Words.MOMENT, Take::at),
            f.map("positions", KNOB, JsonForm.NUMBER, it -> new TreeMap<>(it.positions())),
            f.textIfAny("note", Take::note),
            f.listIfAny("tried", TRIED, Take::tried),
            f.maybe("judged", JUDGED, Take::judged)));

    public static final ObjectForm<Setup> SETUP = ObjectForm.of(SetupForms::setup);

    private SetupForms() {}

    private static Setup setup(Fields<Setup> f) {
        // Older programs want the list of described runs; what is plugged stands beside it.
        f.list("runs", JsonForm.ANY, it -> List.of());
        Setup setup = new Setup(
                f.maybe("id", JsonForm.TEXT, it -> Optional.of(it.id()))
                        .orElse(Setup.empty().id()),
                f.text("name", Setup::name),
                f.among(RigForms.WIRING, Setup::wiring),
                f.valueOr("levels", RigForms.SETTINGS, Settings.NONE, Setup::settings),
                f.maybe("wish", WishForms.WISH, Setup::wish),
                f.list("takes", TAKE, Setup::takes),
                f.valueOr("intention", SheetForms.PLAN, SessionPlan.USUAL, Setup::sessionPlan),
                f.listIfAny("sittings", SheetForms.SESSION, Setup::sessions));
        if (f.isWhole()) {
            requireTheirRuns(f, setup.takes());
            requireOwnNames(f, setup.sessions());
        }
        return setup;
    }

    private static void requireTheirRuns(Fields<Setup> f, List<Take> takes) {
        Set<List<String>> seen = new HashSet<>();
        for (int i = 0; i < takes.size(); i++) {
            Take take = takes.get(i);
            // A run is known by its ends, whether or not it is plugged now.
            if (!take.isOfPlugged()) {
                f.problem("There is no run of this name.", "Name one of the runs above.", "takes", i, "run");
            } else if (!seen.add(List.of(take.run(), take.name()))) {
                f.problem("Another take of this run has this name.", OWN_NAME, "takes", i, "name");
            }
        }
    }

    private static void requireOwnNames(Fields<Setup> f, List<Session> sessions) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < sessions.size(); i++) {
            if (!seen.add(sessions.get(i).name())) {
                f.problem("Another session has this name.", OWN_NAME, "sittings", i, "name");
            }
        }
    }
}
