package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.GainAdviser;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.Shelf;
import kalodyne.core.route.Way;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlannedWaysTest {
    private static Rig plugged(Way way) {
        return Rig.of(JointRules.check(way.patch()), way.patch(), Settings.NONE);
    }

    private static List<LevelPlan> recorded(Rig rig, Flow flow) {
        FlowLevels levels = FlowLevels.of(flow);
        return Trace.all(rig).stream()
                .map(trace -> LevelPlan.of(trace, levels))
                .filter(LevelPlan::isRecorded)
                .toList();
    }

    /** The run of a planned way: the track that the computer counts, and the lead in front of it. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            synth-analogue interface-2 laptop-combo ts-ts usb-c-c | synth-analogue > laptop-combo | track 1 | 6.35 mm two-pole lead
            mic-dynamic-voice interface-2 laptop-combo xlr-xlr usb-c-c | mic-dynamic-voice > laptop-combo | track 1 | XLR lead
            drum-machine interface-4 laptop-combo ts-ts*2 usb-a-c | drum-machine > laptop-combo | track 3 | 6.35 mm two-pole lead
            guitar-humbucker interface-2 laptop-combo ts-ts usb-c-c | guitar-humbucker > laptop-combo | track 1 | 6.35 mm two-pole lead
            turntable-mm phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c | turntable-mm > laptop-combo | track 1 | RCA pair lead
            mic-dynamic-low preamp-strip mixer-small-usb laptop-combo xlr-xlr trs-trs usb-a-c | mic-dynamic-low > laptop-combo | track 1 | XLR lead
            """)
    void a_way_has_its_run(String shelf, String wish, String track, String lead) {
        Way way = Shelf.of(shelf).plan(Shelf.wish(wish, null)).ways().get(0);
        Rig rig = plugged(way);
        Flow advised = GainAdviser.advise(rig.flow(), Wanted.USUAL).followedOn(rig.flow());
        LevelPlan plan = recorded(rig, advised).get(0);
        assertThat(plan.end().name()).isEqualTo(track);
        List<Station> stations = plan.trace().stations();
        assertThat(stations.get(stations.size() - 3).name()).isEqualTo(lead);
    }

    /** What sends data has one too: its capsule, its gain, its converter. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            mic-usb laptop-combo usb-a-c | mic-usb > laptop-combo | 1
            mic-dynamic-voice guitar-humbucker interface-2 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital | 2
            """)
    void each_source_has_its_run(String shelf, String wish, int runs) {
        Rig rig = plugged(Shelf.of(shelf).plan(Shelf.wish(wish, null)).ways().get(0));
        assertThat(recorded(rig, rig.flow())).hasSize(runs);
    }
}
