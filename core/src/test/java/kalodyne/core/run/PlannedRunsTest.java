package kalodyne.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kalodyne.core.levels.Adviser;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.route.Prediction;
import kalodyne.core.route.Shelf;
import kalodyne.core.route.Way;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlannedRunsTest {
    /** What the plan expects and what the levels compute for its runs are two computations; they agree. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            synth-analogue interface-2 laptop-combo ts-ts usb-c-c | synth-analogue > laptop-combo | track 1 | 6.35 mm two-pole lead
            mic-dynamic-voice interface-2 laptop-combo xlr-xlr usb-c-c | mic-dynamic-voice > laptop-combo | track 1 | XLR lead
            drum-machine interface-4 laptop-combo ts-ts*2 usb-a-c | drum-machine > laptop-combo | tracks 3–4 | 6.35 mm two-pole lead
            guitar-humbucker interface-2 laptop-combo ts-ts usb-c-c | guitar-humbucker > laptop-combo | track 1 | 6.35 mm two-pole lead
            turntable-mm phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c | turntable-mm > laptop-combo | tracks 1–2 | RCA pair lead
            """)
    void a_plan_and_its_runs_agree(String shelf, String wish, String track, String lead) {
        Way way = Shelf.of(shelf).plan(Shelf.wish(wish, null)).ways().get(0);
        List<Run> runs = PlannedRuns.of(way);
        assertThat(runs).hasSize(1);
        Run run = Adviser.advise(runs.get(0)).followedOn(runs.get(0));
        Prediction expected = way.strands().get(0).prediction().orElseThrow();
        LevelPlan plan = LevelPlan.of(run);
        assertThat(plan.trackPeak().dbfs()).as("peak").isCloseTo(expected.peak().dbfs(), within(2.0));
        assertThat(plan.trackFloor().dbfs())
                .as("noise")
                .isCloseTo(expected.noise().dbfs(), within(3.0));
        assertThat(run.lead().name()).isEqualTo(lead);
        assertThat(run.converter().track()).isEqualTo(track);
    }

    /** What sends data has no run: its level is set on itself. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            mic-usb laptop-combo usb-a-c | mic-usb > laptop-combo | 0
            mic-dynamic-voice guitar-humbucker interface-2 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital | 2
            """)
    void each_voltage_has_its_run(String shelf, String wish, int runs) {
        Way way = Shelf.of(shelf).plan(Shelf.wish(wish, null)).ways().get(0);
        assertThat(PlannedRuns.of(way)).hasSize(runs);
    }
}
