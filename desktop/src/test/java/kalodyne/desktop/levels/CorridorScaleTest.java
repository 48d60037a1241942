package kalodyne.desktop.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.testing.Runs;
import kalodyne.core.testing.Runs.Run;
import org.junit.jupiter.api.Test;

class CorridorScaleTest {
    /** Whatever the run: every peak, average and ceiling is on the scale, heights and levels are each other's inverse. */
    @Test
    void shows_any_plan_and_knows_its_way_back() {
        Random random = new Random(97);
        for (int i = 0; i < 500; i++) {
            LevelPlan plan = Runs.any(random).plan();
            CorridorScale scale = CorridorScale.of(plan, 400);
            for (StageLevel stage : plan.stages()) {
                assertThat(scale.y(stage.peak().dbu())).isBetween(0.0, 400.0);
                assertThat(scale.dbu(scale.y(stage.peak().dbu())))
                        .isCloseTo(stage.peak().dbu(), within(1e-9));
                stage.stage()
                        .ceiling()
                        .ifPresent(ceiling -> assertThat(scale.y(ceiling.dbu())).isPositive());
            }
            double before = -1;
            for (double dbu = scale.topDbu(); dbu >= scale.bottomDbu(); dbu -= 0.5) {
                assertThat(scale.y(dbu)).isGreaterThan(before);
                before = scale.y(dbu);
            }
        }
    }

    @Test
    void stretches_what_lies_above_its_knee() {
        CorridorScale scale = CorridorScale.of(Runs.plain().plan(), 400);
        double above = scale.y(-10) - scale.y(0);
        double below = scale.y(-90) - scale.y(-80);
        assertThat(above).isGreaterThan(2.5 * below);
        assertThat(scale.y(Double.NEGATIVE_INFINITY)).isEqualTo(400);
    }

    @Test
    void round_levels_keep_their_distance() {
        Random random = new Random(101);
        for (double height : new double[] {120, 300, 700}) {
            Run run = Runs.any(random);
            CorridorScale scale = CorridorScale.of(run.plan(), height);
            double reference = run.fullScale();
            List<Double> ticks = scale.ticks(reference, 14);
            assertThat(ticks).hasSizeGreaterThan(2).allMatch(tick -> tick % 10 == 0);
            for (int i = 1; i < ticks.size(); i++) {
                assertThat(scale.y(reference + ticks.get(i)) - scale.y(reference + ticks.get(i - 1)))
                        .isGreaterThanOrEqualTo(14 - 1e-9);
            }
        }
    }
}
