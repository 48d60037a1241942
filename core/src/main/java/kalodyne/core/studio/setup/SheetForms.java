package kalodyne.core.studio.setup;

import java.util.Optional;
import java.util.TreeMap;
import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.ObjectForm;
import kalodyne.core.files.json.Words;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.file.GearForms;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.runsheet.Standing;
import kalodyne.core.runsheet.Tick;

/** What is planned with a setup and how its run sheets went. */
public final class SheetForms {
    private static final ObjectForm<SessionPlan.Pass> PASS = ObjectForm.of(f ->
            new SessionPlan.Pass(f.text("source", SessionPlan.Pass::source), f.text("part", SessionPlan.Pass::part)));

    private static final ObjectForm<Standing> STANDING = ObjectForm.of(f -> new Standing(
            f.value("along", JsonForm.NUMBER, Standing::along),
            f.value("across", JsonForm.NUMBER, Standing::across),
            f.value("height", JsonForm.NUMBER, Standing::height)));

    public static final ObjectForm<SessionPlan> PLAN = ObjectForm.of(f -> new SessionPlan(
            f.maybe("minutes", JsonForm.WHOLE, it -> Optional.of(it.minutes())).orElse(SessionPlan.USUAL.minutes()),
            f.maybeWhole("sampleRateHz", SessionPlan::sampleRateHz),
            f.maybeWhole("bits", SessionPlan::bits),
            f.maybeNumber("beatsPerMinute", SessionPlan::beatsPerMinute),
            f.mapIfAny("freeBytes", RigForms.MARK, JsonForm.LONG, it -> new TreeMap<>(it.freeBytes())),
            f.mapIfAny(
                    "powering", RigForms.MARK, GearForms.choice(PowerSource.class), it -> new TreeMap<>(it.powering())),
            f.listIfAny("passes", PASS, SessionPlan::passes),
            f.maybeNumber("roundTripMilliseconds", SessionPlan::roundTripMilliseconds),
            f.mapIfAny("standings", RigForms.MARK, STANDING, it -> new TreeMap<>(it.standings())),
            f.maybe("film", JsonForm.TEXT, SessionPlan::film)));

    private static final ObjectForm<Tick> TICK = ObjectForm.of(f -> new Tick(
            f.text("step", Tick::step),
            f.text("title", Tick::title),
            f.value("outcome", Words.of(Tick.Outcome.class, Tick.Outcome.OPEN), Tick::outcome),
            f.value("at", Words.MOMENT, Tick::at),
            f.textIfAny("note", Tick::note),
            f.listIfAny("photos", JsonForm.TEXT, Tick::photos)));

    public static final ObjectForm<Session> SESSION = ObjectForm.of(f -> new Session(
            f.text("name", Session::name),
            f.value("begun", Words.MOMENT, Session::begun),
            f.value("over", JsonForm.FLAG, Session::isOver),
            f.list("ticks", TICK, Session::ticks),
            f.among(RigForms.WIRING, Session::wiring),
            f.valueOr("levels", RigForms.SETTINGS, Settings.NONE, Session::settings)));

    private SheetForms() {}
}
