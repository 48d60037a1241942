package kalodyne.core.levels.gain;

import static kalodyne.core.testing.Flows.NONE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.joint.Spot;
import kalodyne.core.testing.Flows;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;

class GainAdviserTest {
    /** What is asked of an answer: little noise re the signal at all ends, and each near the middle of its aim, rather below. */
    private static double cost(FlowLevels levels) {
        int count = levels.flow().ends().size();
        double cost = 0;
        for (int e = 0; e < count; e++) {
            double off = levels.aimed(e) - levels.flow().ends().get(e).middle();
            cost += -levels.range(e).db()
                    + 100 * Math.abs(levels.miss(e).db())
                    + (off > 0 ? 3 * count * off : -2 * off);
        }
        return cost;
    }

    private static boolean clips(FlowLevels levels) {
        for (int i = 0; i < levels.flow().points().size(); i++) {
            if (levels.headroom(i).filter(room -> room.db() < -2e-3).isPresent()) {
                return true;
            }
        }
        return false;
    }

    private static boolean isAnyAbove(FlowLevels levels) {
        return IntStream.range(0, levels.flow().ends().size())
                .anyMatch(e -> levels.aimed(e) > levels.flow().ends().get(e).middle() + 1e-9);
    }

    private static Flow set(Flow flow, Map<Spot, Double> db) {
        return flow.withKnobs(knob ->
                knob.isLocked() ? knob : knob.at(knob.control().taper().positionFor(new Gain(db.get(knob.id())))));
    }

    /** A second way: every setting on a grid. None of them clips nothing and costs less. */
    @Test
    void nothing_on_a_grid_is_better() {
        Random random = new Random(5);
        int possible = 0;
        for (int i = 0; i < 70; i++) {
            Flow flow = any(random);
            Flow solved = set(flow, GainAdviser.exact(flow, Wanted.USUAL));
            FlowLevels levels = FlowLevels.of(solved);
            // Nobody is driven past the middle for the sake of another.
            double below = best(flow, 0, new HashMap<>(), true);
            double best = below < Double.POSITIVE_INFINITY ? below : best(flow, 0, new HashMap<>(), false);
            if (best < Double.POSITIVE_INFINITY) {
                possible++;
                assertThat(clips(levels)).as("%s", flow).isFalse();
                assertThat(cost(levels)).as("%s", solved.knobs()).isLessThan(best + 0.03);
            } else {
                assertThat(GainAdviser.advise(flow, Wanted.USUAL).hindrances())
                        .as("%s", flow)
                        .isNotEmpty();
            }
        }
        assertThat(possible).isGreaterThan(35);
    }

    private static double best(Flow flow, int knob, Map<Spot, Double> positions, boolean isBelow) {
        if (knob == flow.knobs().size()) {
            FlowLevels levels = FlowLevels.of(flow.turned(positions));
            return clips(levels) || (isBelow && isAnyAbove(levels)) ? Double.POSITIVE_INFINITY : cost(levels);
        }
        Knob each = flow.knobs().get(knob);
        int points = each.isLocked()
                ? 0
                : each.control().taper() instanceof SteppedTaper clicks
                        ? clicks.steps().size() - 1
                        : 36;
        double best = Double.POSITIVE_INFINITY;
        for (int p = 0; p <= points; p++) {
            positions.put(each.id(), points == 0 ? each.control().position() : (double) p / points);
            best = Math.min(best, best(flow, knob + 1, positions, isBelow));
        }
        return best;
    }

    /** One or two chains of stages with knobs and clicks, some linked, some locked, some feeding two ends. */
    private static Flow any(Random random) {
        Flows flows = new Flows();
        boolean isPair = random.nextInt(3) == 0;
        int volume = random.nextBoolean() ? flows.gain(-40, 0) : -1;
        int gain = random.nextInt(4) == 0
                ? flows.clicks(0, 10, 20, 30, 40)
                : flows.gain(random.nextInt(10) - 10, 30 + random.nextInt(30));
        int last = random.nextBoolean() ? flows.clicks(-20, 0) : -1;
        for (int chain = 0; chain < (isPair ? 2 : 1); chain++) {
            double peak = random.nextInt(50) - 40;
            int at = flows.sound("player " + chain, peak, peak - 12, peak - 80, peak + random.nextInt(12) - 2, volume);
            at = flows.stage(
                    "Preamp",
                    0,
                    10 + random.nextInt(14),
                    -128 + random.nextInt(20),
                    -95,
                    gain,
                    Feed.of(at, -random.nextInt(8)));
            at = flows.stage("Pad", 0, NONE, NONE, -100, last, Feed.of(at, -random.nextInt(3)));
            flows.track(random.nextInt(20), -90 - random.nextInt(20), Feed.of(at, 0));
            if (!isPair && random.nextBoolean()) {
                int level = flows.gain(-30, 6);
                int out = flows.stage("Output", 0, 18, NONE, -90, level, Feed.of(at, 0));
                flows.track(4 + random.nextInt(12), -95, Feed.of(out, -1));
            }
        }
        Flow flow = flows.flow();
        return random.nextInt(4) > 0
                ? flow
                : flow.withKnobs(knob -> knob.id().equals(Flows.knob(1))
                        ? knob.at(random.nextDouble()).locked(true)
                        : knob);
    }

    /** Two players, each with a preamp and a fader, on one bus: all ways to set both preamps and the bus, faders as they must be. */
    @Test
    void nothing_on_a_grid_is_better_in_a_mix() {
        Random random = new Random(8);
        int possible = 0;
        for (int i = 0; i < 30; i++) {
            double[] peaks = {-random.nextInt(45), -random.nextInt(45)};
            Flows flows = new Flows();
            List<Feed> feeds = new ArrayList<>();
            for (int p = 0; p < 2; p++) {
                int source = flows.sound("player " + p, peaks[p], peaks[p] - 12, peaks[p] - 70, NONE, -1);
                int pre = flows.stage("Mixer", 0, 20, -124, -93, flows.gain(0, 50), Feed.of(source, -0.5));
                feeds.add(Feed.of(flows.stage("Mixer", 0, NONE, NONE, -100, flows.gain(-60, 10), Feed.of(pre, 0)), 0));
            }
            int bus = flows.stage("Mixer", 0, 22, NONE, -87, flows.gain(-60, 10), feeds.toArray(Feed[]::new));
            flows.track(8 + random.nextInt(14), -100, Feed.of(bus, -0.3));
            Flow flow = flows.flow();
            Map<Spot, Double> exact = GainAdviser.exact(flow, Wanted.USUAL);
            FlowLevels solved = FlowLevels.of(set(flow, exact));
            double best = Double.POSITIVE_INFINITY;
            double each = solved.flow().ends().get(0).middle()
                    + solved.flow().ends().get(0).zero().dbu()
                    - 10 * Math.log10(2);
            for (double one = 0; one <= 50; one += 2) {
                for (double other = 0; other <= 50; other += 2) {
                    for (double main = -40; main <= 10; main += 2) {
                        double onBus = each + 0.3 - main;
                        double[] faders = {onBus - peaks[0] + 0.5 - one, onBus - peaks[1] + 0.5 - other};
                        if (Math.min(faders[0], faders[1]) >= -60 && Math.max(faders[0], faders[1]) <= 10) {
                            FlowLevels trial = FlowLevels.of(set(
                                    flow,
                                    Map.of(
                                            Flows.knob(0),
                                            one,
                                            Flows.knob(1),
                                            faders[0],
                                            Flows.knob(2),
                                            other,
                                            Flows.knob(3),
                                            faders[1],
                                            Flows.knob(4),
                                            main)));
                            best = clips(trial) ? best : Math.min(best, cost(trial));
                        }
                    }
                }
            }
            if (best < Double.POSITIVE_INFINITY) {
                possible++;
                assertThat(clips(solved)).isFalse();
                assertThat(cost(solved)).as("%s %s", peaks[0], peaks[1]).isLessThan(best + 0.03);
                int onBus = flow.ends().get(0).point() - 1;
                assertThat(solved.peak(onBus, "player 0").dbu())
                        .isCloseTo(solved.peak(onBus, "player 1").dbu(), within(0.01));
            }
        }
        assertThat(possible).isGreaterThan(20);
    }
}
