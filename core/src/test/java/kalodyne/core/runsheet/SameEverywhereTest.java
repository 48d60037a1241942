package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.BusLoad;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Turn;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.MonitorPath;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Prediction;
import kalodyne.core.route.RandomShelves;
import kalodyne.core.route.Shelf;
import kalodyne.core.route.SideTask;
import kalodyne.core.route.Way;
import kalodyne.core.route.Wish;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a plan promises, what the levels of the same rig are, and what its run sheet tells to set: the same numbers. */
class SameEverywhereTest {
    private static final double DB = 0.05;
    /** For each seed; 300 in all were run when this was written. */
    private static final int SHELVES = 5;

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            recorder-handheld usb-a-c laptop-combo mic-dynamic-voice xlr-xlr headphones-32 | mic-dynamic-voice > laptop-combo; headphones-32
            dj-player laptop-combo rca-rca interface-rca usb-a-c | dj-player > laptop-combo
            modular-output-module interface-2 laptop-combo trs-trs*2 usb-a-c speakers-powered*2 trs-xlr*2 | modular-output-module > laptop-combo; speakers-powered+speakers-powered-2
            headset-two-plugs phone-ctia headset-splitter-ctia | headset-two-plugs > phone-ctia
            mixer-small phone-ctia attenuator-phone 635-plug-35-socket trs-trs | mixer-small > phone-ctia
            guitar-single-coil phone-digital ts-ts interface-guitar-usb usb-c-c | guitar-single-coil > phone-digital
            mic-condenser-large interface-1 phone-ctia xlr-xlr usb-c-c*2 usb-a-c hub-charging power-bank | mic-condenser-large > phone-ctia
            mic-dynamic-low preamp-strip mixer-small-usb laptop-combo xlr-xlr trs-trs usb-a-c | mic-dynamic-low > laptop-combo
            mic-dynamic-voice guitar-humbucker interface-2 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital
            synth-digital interface-4 laptop-combo ts-ts*2 trs-trs*2 usb-a-c | synth-digital > laptop-combo
            interface-2 subwoofer speakers-powered*2 laptop-combo synth-analogue ts-ts trs-xlr*2 xlr-xlr*2 usb-c-c | synth-analogue > laptop-combo; subwoofer+speakers-powered+speakers-powered-2
            piano-digital mic-dynamic-voice interface-4 laptop-combo ts-ts*2 xlr-xlr usb-c-c | piano-digital,mic-dynamic-voice > laptop-combo
            drum-machine interface-2 laptop-combo ts-ts*2 usb-a-c midi-usb midi-din*2 | drum-machine > laptop-combo; tempo
            mic-condenser-large interface-2 laptop-combo xlr-xlr usb-c-c headphones-80 | mic-condenser-large > laptop-combo; headphones-80; direct
            mic-usb laptop-combo usb-a-c headphones-32 | mic-usb > laptop-combo; headphones-32
            wireless-receiver phone-ctia mini-mini mic-trs-trrs | wireless-receiver > phone-ctia
            groovebox phone-ctia mini-mini headset-splitter-ctia attenuator-phone | groovebox > phone-ctia; LEAD
            guitar-single-coil interface-2 laptop-combo ts-ts usb-c-c | guitar-single-coil > laptop-combo
            mixer-small camera-mic-in mini-mini 635-plug-35-socket attenuator-mini | mixer-small > camera-mic-in
            turntable-mm phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c | turntable-mm > laptop-combo
            """)
    void in_each_situation(String shelf, String wish) {
        Wish wished = Shelf.wish(wish, null);
        Plan plan = Shelf.planned(shelf, wish, null);
        assertThat(plan.ways()).isNotEmpty();
        plan.ways().stream().limit(2).forEach(way -> agree(wished, way));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 4})
    void on_any_shelf(long seed) {
        Random random = new Random(seed);
        int agreed = 0;
        while (agreed < SHELVES) {
            Shelf shelf = RandomShelves.usual(random);
            Optional<Wish> wish = RandomShelves.usualWish(random, shelf.devices());
            List<Way> ways = wish.map(shelf::plan).map(Plan::ways).orElse(List.of());
            if (!ways.isEmpty()) {
                agree(wish.get(), ways.get(0));
                agreed++;
            }
        }
    }

    private static void agree(Wish wish, Way way) {
        List<Checked> joints = JointRules.check(way.patch());
        SetupLevels levels = SetupLevels.of(joints, way.patch(), Settings.NONE);
        SheetRig rig = new SheetRig("Test", way.patch(), joints, levels, SessionPlan.USUAL);
        RunSheet sheet = SheetMaker.of(rig);
        if (way.patch().devices().get(wish.target()).kind() != DeviceKind.MIXER) {
            knobs(way, levels);
            way.strands().forEach(strand -> peaks(wish, strand, levels, sheet));
        }
        currents(way, joints, sheet);
        monitoring(wish, way, rig);
    }

    private static void knobs(Way way, SetupLevels levels) {
        assertThat(positions(way.turns())).isEqualTo(positions(levels.advised().turns()));
    }

    private static Map<Spot, Long> positions(List<Turn> turns) {
        Map<Spot, Long> positions = new LinkedHashMap<>();
        turns.forEach(turn -> positions.put(turn.present().id(), Math.round(turn.position() * 1e6)));
        return positions;
    }

    private static void peaks(Wish wish, Way.Strand strand, SetupLevels levels, RunSheet sheet) {
        String source = strand.stations().get(0);
        Rig rig = levels.rig();
        FlowLevels advised = FlowLevels.of(levels.advised().followedOn(rig.flow()));
        List<LevelPlan> recorded = levels.traces().stream()
                .map(trace -> LevelPlan.of(trace, advised))
                .filter(LevelPlan::isRecorded)
                .filter(plan -> station(rig, plan.trace(), 0).equals(source))
                .filter(plan -> station(
                                rig, plan.trace(), plan.trace().path().points().size() - 1)
                        .equals(strand.track().sender().orElse(wish.target())))
                .toList();
        Optional<Prediction> expected = strand.prediction();
        assertThat(expected.isPresent()).as("a run").isEqualTo(!recorded.isEmpty());
        expected.ifPresent(prediction -> {
            LevelPlan nearest = recorded.stream()
                    .min((one, other) -> Double.compare(
                            Math.abs(one.endPeak() - prediction.peak().dbfs()),
                            Math.abs(other.endPeak() - prediction.peak().dbfs())))
                    .orElseThrow();
            assertThat(prediction.peak().dbfs()).as("peak").isCloseTo(nearest.endPeak(), within(DB));
            assertThat(recorded.stream().map(LevelPlan::endFloor))
                    .as("noise of a run with that peak")
                    .anyMatch(floor -> Math.abs(floor - prediction.noise().dbfs()) < DB);
            recorded.forEach(plan -> meters(sheet, plan)
                    .forEach(tell -> assertThat(tell)
                            .as("the meter on the sheet")
                            .isEqualTo("meter " + plan.onScale(plan.endPeak()))));
        });
    }

    private static Stream<String> meters(RunSheet sheet, LevelPlan plan) {
        return sheet.steps().stream()
                .filter(step -> step.run().filter(plan.trace().key()::equals).isPresent())
                .filter(step -> step.section() == Section.LEVELS)
                .map(Step::tell)
                .filter(tell -> tell.startsWith("meter "));
    }

    private static String station(Rig rig, Trace trace, int at) {
        return rig.flow().points().get(trace.path().points().get(at)).station();
    }

    private static void currents(Way way, List<Checked> joints, RunSheet sheet) {
        String told = String.join(
                "; ",
                way.sideTasks().stream()
                        .filter(sideTask -> sideTask.of() == SideTask.Of.POWER)
                        .map(SideTask::words)
                        .toList());
        for (Checked joint : joints) {
            for (BusLoad load : BusLoad.of(joint.patch())) {
                String amperes = load.drawn();
                if (!load.living().isEmpty()) {
                    assertThat(told).contains(amperes);
                }
                assertThat(sheet.lasting())
                        .anyMatch(lasting -> lasting.words().startsWith(amperes + " drawn of ")
                                && lasting.isEnough() == load.isFed());
            }
        }
    }

    private static void monitoring(Wish wish, Way way, SheetRig rig) {
        Set<String> recorders = new HashSet<>(rig.recording());
        recorders.retainAll(List.of(wish.target()));
        boolean isHeard = !wish.heard().headphones().isEmpty()
                && way.patch().devices().containsKey(wish.heard().headphones().get(0));
        for (String recorder : recorders) {
            if (isHeard && wish.heard().through() != MonitorPath.APP) {
                assertThat(way.monitoring().isDirect())
                        .as(way.monitoring().words())
                        .isEqualTo(rig.recorders().captured(recorder).isDirect());
            }
        }
    }
}
