package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.GainAdviser;
import kalodyne.core.levels.gain.GainSchool;
import kalodyne.core.levels.gain.Hindrance;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.levels.rig.Doubt;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.testing.Plugged;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Whole setups of gear from the catalogue. */
class SetupLevelsTest {
    /** A preamp into a mixer's line input into an interface, as S9 has it. */
    private static final String PREAMP = "mic-dynamic-low.out xlr-xlr preamp-strip.mic; preamp-strip.out-trs trs-trs"
            + " mixer-small.line-1; mixer-small.main-left trs-trs interface-2.line-1;"
            + " mixer-small.main-right trs-trs interface-2.line-2";

    /** Synths into a rack mixer that feeds speakers and an interface, as S3 has it. */
    private static final String RACK = "synth-desktop.out-left ts-ts mixer-rack.in-1-left;"
            + " synth-desktop.out-right ts-ts mixer-rack.in-1-right; synth-semi-modular.out ts-ts mixer-rack.in-2-left;"
            + " mixer-rack.main-left trs-trs interface-2.line-1; mixer-rack.main-right trs-trs interface-2.line-2;"
            + " mixer-rack.monitor-left trs-xlr speakers-powered#1.in-xlr;"
            + " mixer-rack.monitor-right trs-xlr speakers-powered#2.in-xlr";

    /** A piano in stereo and a voice on one interface that is heard directly, as S13 has it. */
    private static final String PIANO = "piano-digital.out-left ts-ts interface-4.line-3;"
            + " piano-digital.out-right ts-ts interface-4.line-4; mic-dynamic-voice.out xlr-xlr interface-4.mic-1;"
            + " headphones-80.plug interface-4.phones; interface-4.direct=on";

    private static Rig rig(Patch patch, Settings settings) {
        return Rig.of(JointRules.check(patch), patch, settings);
    }

    private static SetupLevels levels(String line, Settings settings) {
        return SetupLevels.of(rig(Plugged.of(line), settings), settings.wanted());
    }

    private static FlowLevels advised(SetupLevels levels) {
        return FlowLevels.of(levels.advised().followedOn(levels.rig().flow()));
    }

    /** What is advised stays while knobs are turned, but not where one that must stay now stands elsewhere: the others make up for it. */
    @Test
    void a_locked_knob_that_is_moved_is_set_around_anew() {
        Spot volume = Spot.read("synth-analogue.volume");
        String line = "synth-analogue.out ts-ts interface-2.line-1";
        Settings quiet = Settings.NONE.turned(Map.of(volume, 0.4)).locked(volume, true);
        Settings loud = quiet.turned(Map.of(volume, 0.9));
        SetupLevels before = levels(line, quiet);
        assertThat(before.isTurned(
                        rig(Plugged.of(line), quiet.turned(Map.of(Spot.read("interface-2.gain-1"), 0.3))),
                        quiet.wanted()))
                .isTrue();
        assertThat(before.isTurned(rig(Plugged.of(line), loud), loud.wanted())).isFalse();
    }

    /** With two recorders each has tracks of its own, and their names come from what is plugged into each. */
    @Test
    void each_recorder_knows_what_is_played_on_its_tracks() {
        SetupLevels levels = levels(
                "mic-dynamic-voice.out xlr-xlr interface-2.mic-1; guitar-humbucker.out ts-ts interface-4.inst-1;"
                        + " synth-analogue.out trs-trs interface-4.line-3",
                Settings.NONE);
        assertThat(levels.playedOn("interface-2")).containsExactly("Dynamic voice microphone");
        assertThat(levels.playedOn("interface-4"))
                .containsExactly("Electric guitar, humbuckers", "", "Analogue synth, mono output");
        assertThat(levels.traces())
                .allSatisfy(trace -> assertThat(levels.recorder(trace.key()))
                        .get()
                        .asString()
                        .startsWith("interface-"));
    }

    /**
     * A mixer whose inputs others plug: mixed to +6 dB on a meter whose 0 dB is +4 dBu, +10 dBu at its outputs with the main level at
     * its mark, is −10 dBFS at inputs that take +20 dBu, and far too much for a camera's microphone input. What is plugged counts, once
     * there is something.
     */
    @Test
    void a_mixer_without_its_band_gives_what_its_meter_shows() {
        String out =
                "mixer-small.main-left trs-trs interface-2.line-1; mixer-small.main-right trs-trs interface-2.line-2";
        Settings standing = Settings.NONE.turned(
                Map.of(Spot.read("interface-2.gain-1"), 0.0, Spot.read("interface-2.gain-2"), 0.0));
        SetupLevels levels = levels(out, standing);
        assertThat(levels.traces())
                .extracting(Trace::name)
                .allMatch(name -> name.matches("Small mixer.*, mix, (left → track 1|right → track 2)"));
        assertThat(levels.traces())
                .allSatisfy(trace -> assertThat(levels.plan(trace).endPeak()).isCloseTo(-10, within(0.15)));
        SetupLevels film = levels("mixer-small.phones 635-plug-35-socket mini-mini camera-mic-in.mic", Settings.NONE);
        assertThat(film.traces())
                .allSatisfy(trace -> assertThat(film.run(trace).findings())
                        .filteredOn(finding -> finding.severity() == Severity.WRONG)
                        .extracting(Finding::title)
                        .containsExactly("Line level in a mic socket"));
        assertThat(levels.rig().doubts())
                .extracting(Doubt::words)
                .filteredOn(words -> words.startsWith("Nothing is plugged into Small mixer"))
                .hasSize(1);
        assertThat(rig(Plugged.of(out + "; mic-dynamic-voice.out xlr-xlr mixer-small.mic-1"), standing)
                        .doubts())
                .noneMatch(doubt -> doubt.words().startsWith("Nothing is plugged"));
    }

    /** Followed, the advice has every track in its aim and clips nothing, in every situation and school. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            mic-dynamic-voice.out xlr-xlr interface-1.mic-1
            guitar-humbucker.out ts-ts interface-2.inst-1
            mic-condenser-large.out xlr-xlr interface-2.mic-1; interface-2.phantom=on
            drum-machine.out-left ts-ts interface-4.line-3; drum-machine.out-right ts-ts interface-4.line-4
            turntable-mm.out-left rca-rca-earth#1 phono-preamp.in-left; phono-preamp.out-left rca-ts interface-2.line-1
            mixer-small.phones 635-plug-35-socket mini-mini camera-mic-in.mic; mic-dynamic-voice.out xlr-xlr mixer-small.mic-1
            player-rca.out-left rca-rca dj-mixer.line-1-left
            """)
    void advice_that_is_followed_is_fine(String line) {
        for (GainSchool school : GainSchool.values()) {
            SetupLevels levels = levels(line, Settings.NONE.with(school));
            FlowLevels then = advised(levels);
            assertThat(levels.advised().isProven()).isTrue();
            for (int e = 0; e < then.flow().ends().size(); e++) {
                boolean isHindered = !levels.advised().hindrances().isEmpty();
                assertThat(then.flow().ends().get(e).isTolerated(then.aimed(e)) || isHindered)
                        .as("%s, %s", school, line)
                        .isTrue();
            }
            boolean isDriven = school == GainSchool.DRIVE;
            boolean isOverloaded =
                    levels.advised().hindrances().stream().anyMatch(each -> each.kind() == Hindrance.Kind.OVERLOADED);
            assertThat(then.clips(new Gain(isDriven ? 3.01 : 0.01)) && !isOverloaded)
                    .as("%s, %s", school, line)
                    .isFalse();
        }
    }

    /**
     * The preamp makes all of it. By hand: −41 dBu less 0.5 dB in the leads, 3 dB for the pan in the middle, wants −9 dBFS, +11 dBu at an
     * input that takes +20 dBu at its lowest gain: 55.5 dB, and everything behind it at 0 dB, unity a mark of its own.
     */
    @Test
    void the_preamp_makes_the_gain_and_the_mixer_none() {
        SetupLevels levels = levels(PREAMP, Settings.NONE.with(AimSchool.EVEN));
        double preamp = levels.advised()
                .of(Spot.read("preamp-strip.gain"))
                .orElseThrow()
                .advised()
                .gain()
                .db();
        assertThat(preamp).isCloseTo(55.5, within(0.9));
        assertThat(levels.advised()
                        .of(Spot.read("mixer-small.gain-1"))
                        .orElseThrow()
                        .advised()
                        .gain()
                        .db())
                .isZero();
        SetupLevels unity = levels(PREAMP, Settings.NONE.with(GainSchool.UNITY));
        assertThat(unity.advised()
                        .of(Spot.read("mixer-small.level-1"))
                        .orElseThrow()
                        .advised()
                        .gain()
                        .db())
                .isCloseTo(0, within(0.5));
        assertThat(unity.advised()
                        .of(Spot.read("mixer-small.main"))
                        .orElseThrow()
                        .advised()
                        .gain()
                        .db())
                .isCloseTo(0, within(0.5));
    }

    /** The schools differ as they say: free room is kept, the preamp is driven past its ceiling, and none is cleaner than the usual. */
    @Test
    void schools_do_what_they_say() {
        SetupLevels usual = levels(PREAMP, Settings.NONE);
        int preamp =
                usual.rig().flow().indexOf(PointId.read("preamp-strip.pre")).orElseThrow();
        assertThat(advised(usual).headroom(preamp).orElseThrow().db()).isGreaterThan(6);
        FlowLevels up = advised(levels(PREAMP, Settings.NONE.with(GainSchool.WORK_UP)));
        assertThat(up.headroom(preamp).orElseThrow().db())
                .isGreaterThan(advised(usual).headroom(preamp).orElseThrow().db() + 0.7);
        FlowLevels driven = advised(levels(PREAMP, Settings.NONE.with(GainSchool.DRIVE)));
        assertThat(driven.headroom(preamp).orElseThrow().db()).isBetween(-4.5, -0.5);
        assertThat(up.range(0).db()).isLessThanOrEqualTo(advised(usual).range(0).db() + 0.5);
    }

    @ParameterizedTest
    @EnumSource(AimSchool.class)
    void every_aim_is_met(AimSchool aim) {
        SetupLevels levels = levels(RACK, Settings.NONE.with(aim));
        FlowLevels then = advised(levels);
        assertThat(IntStream.range(0, then.flow().ends().size()).allMatch(then::isMet))
                .as("%s", aim)
                .isTrue();
    }

    /** Two synths on one bus to two outputs: as loud as each other, or as was wished; one knob for each output. */
    @Test
    void a_mix_is_balanced_as_wished() {
        for (double wish : new double[] {0, -7}) {
            SetupLevels levels = levels(RACK, Settings.NONE.balanced("synth-semi-modular", wish));
            FlowLevels then = advised(levels);
            int bus = levels.rig()
                    .flow()
                    .indexOf(PointId.read("mixer-rack.mix-left"))
                    .orElseThrow();
            assertThat(then.peak(bus, "synth-semi-modular")
                            .above(then.peak(bus, "synth-desktop"))
                            .db())
                    .isCloseTo(wish, within(1.0));
            assertThat(levels.traces()).hasSize(8);
            assertThat(levels.advised()
                            .of(Spot.read("mixer-rack.main"))
                            .orElseThrow()
                            .stays())
                    .isFalse();
        }
    }

    /**
     * By hand: a speaker of 104 dB SPL and a subwoofer of 110 dB SPL reach that at the same +14 dBu. The subwoofer gets left and right
     * together, 6 dB more than each speaker; where it takes over both speakers together are 6 dB louder than one. So its level stands 6 dB
     * lower than theirs. From 2 m away all of it is 6 dB less, and the monitor level 6 dB up.
     */
    @Test
    void a_subwoofer_is_as_loud_as_the_speakers_behind_it() {
        String line = "interface-2.out-1 trs-trs subwoofer.in-left; interface-2.out-2 trs-trs subwoofer.in-right;"
                + " subwoofer.out-left xlr-xlr speakers-powered#1.in-xlr; subwoofer.out-right xlr-xlr speakers-powered#2.in-xlr";
        SetupLevels near = levels(line, Settings.NONE);
        double speakers = gain(near, "speakers-powered-1.level");
        assertThat(gain(near, "subwoofer.level") - speakers).isCloseTo(-6, within(0.6));
        SetupLevels far = levels(
                line,
                Settings.NONE
                        .away("speakers-powered-1", 2)
                        .away("speakers-powered-2", 2)
                        .away("subwoofer", 2));
        assertThat(gain(far, "interface-2.monitor")
                        + gain(far, "speakers-powered-1.level")
                        - gain(near, "interface-2.monitor")
                        - speakers)
                .isCloseTo(6, within(1.7));
        assertThat(far.traces())
                .anySatisfy(trace -> assertThat(trace.stations()
                                .get(trace.stations().size() - 1)
                                .detail())
                        .isEqualTo("2.0 m away, all speakers"));
    }

    private static double gain(SetupLevels levels, String knob) {
        return levels.advised()
                .of(Spot.read(knob))
                .orElseThrow()
                .advised()
                .gain()
                .db();
    }

    @Test
    void a_lock_is_kept_or_said_to_be_in_the_way() {
        Spot main = Spot.read("mixer-rack.main");
        Settings locked = Settings.NONE.turned(Map.of(main, 0.6)).locked(main, true);
        SetupLevels levels = levels(RACK, locked);
        assertThat(levels.advised()
                        .of(Spot.read("mixer-rack.main"))
                        .orElseThrow()
                        .stays())
                .isTrue();
        assertThat(advised(levels).isMet(0)).isTrue();
        Settings impossible = Settings.NONE.turned(Map.of(main, 0.0)).locked(main, true);
        SetupLevels shut = levels(RACK, impossible);
        assertThat(shut.advised().hindrances()).anyMatch(Hindrance::isByLock);
        Finding finding = shut.run(shut.traces().get(0)).findings().stream()
                .filter(each -> each.mark().equals("level.no-fit"))
                .findFirst()
                .orElseThrow();
        assertThat(finding.text()).contains("You locked the main level on Rack line mixer");
        List<LeastChange.Change> changes =
                LeastChange.of(shut.rig(), impossible, shut.traces().get(0), () -> false);
        assertThat(changes.get(0).kind()).isEqualTo(LeastChange.Change.Kind.UNLOCK);
    }

    /** What helps where no knob does: each is made and computed anew, and helps; what costs nothing comes first. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            modular-output.out 35-ts-635 interface-2.inst-1 | OTHER_SOCKET | Plug it into Input 1, line
            modular-output.out patch-35 camera-mic-in.mic | PAD | Put a pad of
            mic-ribbon-passive.out xlr-trs interface-4.line-3 | PREAMP | Put a microphone preamp between
            """)
    void names_the_least_change(String line, String kind, String words) {
        SetupLevels levels = levels(line, Settings.NONE);
        Trace trace = levels.traces().get(0);
        assertThat(levels.advised().hindrances()).as("%s", levels.advised()).isNotEmpty();
        List<LeastChange.Change> changes = LeastChange.of(levels.rig(), Settings.NONE, trace, () -> false);
        assertThat(changes).as("%s", levels.advised().hindrances()).isNotEmpty();
        LeastChange.Change change = changes.stream()
                .filter(each -> each.kind().name().equals(kind))
                .findFirst()
                .orElseThrow();
        assertThat(change.words()).startsWith(words);
        assertThat(changes).extracting(LeastChange.Change::kind).isSorted();
        assertThat(levels.plan(trace).end().miss(change.aimed()).db()).isZero();
        assertThat(LeastChange.of(levels.rig(), Settings.NONE, trace, () -> true))
                .isEmpty();
    }

    /** A voice beside a piano: three channels, heard directly, mixed for the ears and apart in the tracks. */
    @Test
    void a_monitor_mix_and_separate_tracks() {
        SetupLevels levels = levels(PIANO, Settings.NONE);
        assertThat(levels.traces().stream().filter(trace -> levels.plan(trace).isRecorded()))
                .hasSize(3);
        int phones = levels.rig()
                .flow()
                .indexOf(PointId.read("interface-4.phones-amp:left"))
                .orElseThrow();
        assertThat(levels.levels().players(phones)).contains("mic-dynamic-voice");
        FlowLevels then = advised(levels);
        for (int e = 0; e < then.flow().ends().size(); e++) {
            assertThat(then.isMet(e))
                    .as("%s %s %s", then.flow().ends().get(e), then.aimed(e), levels.advised())
                    .isTrue();
        }
    }

    /** A send that comes back to where it went: told with its gain, cut, and everything else still computed. */
    @Test
    void a_loop_through_a_return_is_found() {
        String line = "mixer-small.main-left trs-trs effect-line.in; effect-line.out trs-trs mixer-small.line-3;"
                + " mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; mixer-small.main-right trs-trs interface-2.line-2";
        Settings hot = Settings.NONE.turned(Map.of(Spot.read("effect-line.output"), 0.9));
        SetupLevels levels = levels(line, hot);
        assertThat(levels.rig().loops()).hasSize(1);
        assertThat(levels.rig().loops().get(0).gain().db()).isGreaterThan(10);
        assertThat(levels.run(levels.traces().get(0)).findings())
                .filteredOn(finding -> finding.mark().equals("gain.loop"))
                .extracting(Finding::severity)
                .containsExactly(Severity.HARM);
    }

    /** What is missing is taken and said; what contradicts itself is said; nothing is nonsense. */
    @Test
    void missing_and_contradictory_ratings_are_told() {
        Patch patch = Plugged.of("mic-dynamic-instrument.out xlr-xlr interface-2.mic-1");
        assertThat(rig(patch, Settings.NONE).doubts())
                .extracting(Doubt::words)
                .anyMatch(words -> words.contains("not known"));
        Patch odd = with(patch, "interface-2", "socket mic-1", Fact.NOMINAL_LEVEL, new Level(20));
        assertThat(rig(odd, Settings.NONE).doubts()).anyMatch(Doubt::isContradiction);
        Patch zero = with(patch, "mic-dynamic-instrument", "socket out", Fact.SOURCE_IMPEDANCE, new Impedance(0));
        SetupLevels levels = SetupLevels.of(rig(zero, Settings.NONE), Settings.NONE.wanted());
        RunLevels run = levels.run(levels.traces().get(0));
        assertThat(run.plan().endPeak()).isFinite();
        assertThat(run.plan().levels().spread(0).db()).isEqualTo(10);
        assertThat(run.findings()).noneMatch(finding -> (finding.title() + finding.text()).contains("NaN"));
    }

    private static <T> Patch with(Patch patch, String mark, String part, Fact<T> fact, T value) {
        Map<String, Device> devices = new java.util.LinkedHashMap<>(patch.devices());
        Device device = devices.get(mark);
        Facts facts = Parts.find(Parts.of(device), part).orElseThrow().facts();
        Value<T> typical = new Value<>(value, Provenance.typical(Provenance.Ground.ESTIMATE, ""));
        devices.put(mark, Parts.with(device, part, facts.with(fact, typical)));
        return new Patch(devices, patch.leads(), patch.pluggings(), Set.of(), patch.switched());
    }

    @Test
    void open_speakers_and_headphones_are_watched() {
        String live = "mic-dynamic-voice.out xlr-xlr mixer-small.mic-1;"
                + " mixer-small.main-left trs-xlr speakers-powered.in-xlr; headphones-80.plug mixer-small.phones";
        Settings loud = Settings.NONE.turned(Map.of(
                Spot.read("mixer-small.gain-1"), 1.0,
                Spot.read("mixer-small.level-1"), 0.8,
                Spot.read("mixer-small.main"), 0.9));
        SetupLevels levels = levels(live, loud);
        Set<String> codes = levels.traces().stream()
                .flatMap(trace -> levels.run(trace).findings().stream())
                .map(Finding::mark)
                .collect(java.util.stream.Collectors.toSet());
        assertThat(codes).contains("gain.feedback", "ears.exposure", "headphones.damping");
    }

    /** While a knob is turned the advice stays, and what it says is still right. */
    @Test
    void advice_stays_while_knobs_are_turned() {
        Patch patch = Plugged.of(RACK);
        SetupLevels before = SetupLevels.of(rig(patch, Settings.NONE), Settings.NONE.wanted());
        Rig turned = rig(patch, Settings.NONE.turned(Map.of(Spot.read("mixer-rack.level-1"), 0.3)));
        assertThat(before.isTurned(turned, Settings.NONE.wanted())).isTrue();
        SetupLevels after = before.turned(turned);
        assertThat(after.advised().positions().keySet()).contains(Spot.read("mixer-rack.level-1"));
        Flow followed = after.advised().followedOn(turned.flow());
        assertThat(followed)
                .isEqualTo(GainAdviser.advise(turned.flow(), Settings.NONE.wanted())
                        .followedOn(followed));
        Rig another = rig(Plugged.of(PREAMP), Settings.NONE);
        assertThat(before.isTurned(another, Settings.NONE.wanted())).isFalse();
    }
}
