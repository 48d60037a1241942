package kalodyne.core.demo;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kalodyne.core.files.Progress;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.hearing.players.BassSynth;
import kalodyne.core.hearing.players.Player;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.runsheet.Act;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SheetMaker;
import kalodyne.core.runsheet.SheetRig;
import kalodyne.core.runsheet.Step;
import kalodyne.core.runsheet.Symptom;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.log.Judging;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.units.Gain;

/** What the trio did in the weeks before: made-up takes, played into the runs and read like any other, and two sessions. */
final class BoathousePast {
    private static final String CELLO = "cello.out>interface.adc-1";
    private static final Spot CELLO_GAIN = Spot.read("interface.gain-1");
    private static final Spot PHONES = Spot.read("interface.phones-level");
    private static final Spot SYNTH_GAIN = Spot.read("interface.gain-3");

    /** In the second take of the synth the filter was opened: the accents come this much above its description. */
    private static final Gain OPENED_FILTER = new Gain(5);

    private static final double REHEARSAL_POSITION = 0.35;
    private static final Instant FIRST_SUNDAY = Instant.parse("2026-02-15T10:05:00Z");
    private static final Instant SECOND_SUNDAY = Instant.parse("2026-02-22T10:10:00Z");
    private static final int CELLO_SECONDS = 10;
    private static final Duration A_STEP = Duration.ofSeconds(35);

    private final Path folder;
    private final Patch patch;
    private final List<Checked> joints;
    private final SetupLevels levels;
    private Setup setup;

    /** Played once for all takes. */
    private double[] celloPiece = {};

    private BoathousePast(Studio studio, Setup setup, Path folder) {
        this.folder = folder;
        this.setup = setup;
        patch = studio.patch(setup);
        joints = JointRules.check(patch);
        levels = SetupLevels.of(joints, patch, setup.settings());
    }

    /** The studio with its past; the recordings are put into the folder. */
    static Studio of(Studio studio, Path folder) throws IOException {
        BoathousePast now = new BoathousePast(studio, studio.setups().get(0), folder);
        now.synth("Take 1", REHEARSAL_POSITION, Gain.NONE, "2026-03-01T11:33:00Z");
        now.synth("Take 2", 0.5, OPENED_FILTER, "2026-03-01T11:52:00Z");
        BoathousePast before = new BoathousePast(studio, studio.setups().get(1), folder);
        before.cello("Take 1", 0.26, "2026-02-15T10:52:00Z");
        before.cello("Take 2", 0.2, "2026-02-15T11:04:00Z");
        before.cello("Take 3", 0.0, "2026-02-22T11:01:00Z");
        before.sessions();
        return studio.with(now.setup).with(before.setup);
    }

    // --- takes -------------------------------------------------------------------------------------------------

    private void synth(String name, double gain, Gain louder, String at) throws IOException {
        take(
                name,
                Boathouse.BASS_SYNTH,
                SYNTH_GAIN,
                gain,
                "bass",
                at,
                (plan, file) -> MadeTake.record(plan, BassSynth.phrase(rate(plan)), louder, file));
    }

    private void cello(String name, double gain, String at) throws IOException {
        take(name, CELLO, CELLO_GAIN, gain, "cello", at, (plan, file) -> {
            if (celloPiece.length == 0) {
                double[] piece = Player.of(DeviceKind.INSTRUMENT).play(rate(plan), 1);
                celloPiece = Arrays.copyOf(piece, Math.min(piece.length, CELLO_SECONDS * rate(plan)));
            }
            MadeTake.record(plan, celloPiece, Gain.NONE, file);
        });
    }

    private static int rate(LevelPlan plan) {
        return plan.trace().sampleRateHz().orElseThrow();
    }

    @FunctionalInterface
    private interface Recording {
        void record(LevelPlan plan, Path file) throws IOException;
    }

    private void take(String name, String run, Spot knob, double gain, String player, String at, Recording recording)
            throws IOException {
        LevelPlan plan = levels.plan(levels.trace(run).orElseThrow()).turned(Map.of(knob, gain));
        String file = "takes/" + player + "-" + name.toLowerCase(Locale.ROOT).replace(' ', '-') + ".wav";
        recording.record(plan, folder.resolve(file));
        Take take = new Take(name, run, file, Instant.parse(at), plan.positions());
        setup = setup.with(take.with(
                new Judging(levels, joints).judge(take, TakeReader.read(folder.resolve(file), Progress.NONE))));
    }

    // --- sessions ----------------------------------------------------------------------------------------------

    private void sessions() {
        RunSheet sheet = SheetMaker.of(new SheetRig(setup.name(), patch, joints, levels, setup.sessionPlan()));
        session(sheet, "Session 1", FIRST_SUNDAY, Map.of(CELLO_GAIN, 0.26, PHONES, 0.35));
        session(sheet, "Session 2", SECOND_SUNDAY, Map.of(CELLO_GAIN, 0.0, PHONES, 0.45));
    }

    /** All of the sheet, as people do: something is skipped each time, and it hums. */
    private void session(RunSheet sheet, String name, Instant begun, Map<Spot, Double> positions) {
        List<Tick> ticks = new ArrayList<>();
        Instant at = begun;
        for (Step step : sheet.steps()) {
            at = at.plus(A_STEP);
            boolean isSkipped = step.act() == Act.CHARGE;
            Tick tick = new Tick(
                    step.id(), step.title(), isSkipped ? Tick.Outcome.SKIPPED : Tick.Outcome.DONE, at, "", List.of());
            ticks.add(step.act() == Act.TEST_TAKE ? tick.noticing(Symptom.HUM) : tick);
        }
        setup = setup.with(new Session(
                name, begun, true, ticks, setup.wiring(), setup.settings().turned(positions)));
    }
}
