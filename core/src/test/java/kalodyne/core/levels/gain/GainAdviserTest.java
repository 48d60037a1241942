package kalodyne.core.levels.gain;

import static kalodyne.core.testing.Flows.NONE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.joint.Spot;
import kalodyne.core.testing.Flows;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;

/**
 * What practice gives up first, told once more for controls that are even in dB, and every setting on a grid tried: none gives up
 * less, and none that gives up no more has less noise.
 */
class GainAdviserTest {
    private static final double INSIDE_DB = 1.5;
    private static final double NEVER = Double.POSITIVE_INFINITY;

    /** What all controls, ceilings and aims have given up, one by one; NEVER where something clips or an aim is out of reach. */
    private static double[] givenUp(Flow flow, FlowLevels levels) {
        DoubleStream knobs = levels.flow().knobs().stream()
                .filter(knob -> !knob.isLocked())
                .mapToDouble(knob ->
                        knob.duty() == Duty.TRIM ? trim(knob.gain().db(), isLine(levels.flow(), knob)) : givenUp(knob));
        DoubleStream rooms = IntStream.range(0, flow.points().size())
                .filter(i -> flow.points().get(i).ceiling().isPresent()
                        && flow.points().get(i).sound().isEmpty()
                        && flow.ends().stream().noneMatch(end -> end.point() == i))
                .mapToDouble(i -> room(levels.headroom(i).orElseThrow().db()));
        DoubleStream aims = IntStream.range(0, flow.ends().size())
                .mapToDouble(e -> aim(flow.ends().get(e), levels.aimed(e)));
        DoubleStream own = DoubleStream.of(levels.clips(new Gain(2e-3)) ? NEVER : 0);
        return Stream.of(knobs, rooms, aims, own).flatMapToDouble(each -> each).toArray();
    }

    private static double givenUp(Knob knob) {
        double lowest = knob.control().taper().lowest().db();
        double highest = knob.control().taper().highest().db();
        double db = knob.gain().db();
        return switch (knob.duty()) {
            case MAIN -> unity(db, lowest, highest, 1);
            case CHANNEL -> unity(db, lowest, highest, 2);
            case SOURCE -> db > highest - 1e-4 ? 0 : 3 + (highest - db) / (highest - lowest);
            case SWITCH -> Math.abs(db) < 1e-4 ? 0 : 3;
            default -> 0;
        };
    }

    /** Of a line it adds nothing; of a microphone it goes up to 3 o'clock, four fifths of 50 dB. */
    private static double trim(double db, boolean isLine) {
        if (isLine) {
            return db < 1e-4 ? 0 : db / 50;
        }
        return db <= 40 + 1e-4 ? 0 : 2 + (db - 40) / 10;
    }

    private static boolean isLine(Flow flow, Knob knob) {
        return flow.points().stream()
                .filter(point -> point.knob().isPresent()
                        && flow.knobs().get(point.knob().getAsInt()).equals(knob))
                .flatMap(point -> point.feeds().stream())
                .flatMap(feed -> flow.points().get(feed.from()).sound().stream())
                .anyMatch(sound -> sound.levels().peak().dbu() > -12);
    }

    /** Down to −10 dB first; up only when all that moves finely goes. */
    private static double unity(double db, double lowest, double highest, double from) {
        if (Math.abs(db) < 1e-4) {
            return 0;
        }
        if (db > 0) {
            return 3 + db / highest;
        }
        double limit = Math.max(-10, lowest);
        return db >= limit ? from + db / limit : 3 + (db - limit) / (lowest - limit);
    }

    private static double room(double db) {
        if (db < -2e-3) {
            return NEVER;
        }
        return db >= 6 - 1e-6 ? 0 : db >= 3 - 1e-6 ? 2 + (6 - db) / 3 : 6 + (3 - db) / 3;
    }

    private static double aim(End end, double at) {
        double off = Math.abs(at - end.middle());
        double most = at > end.middle() ? end.high() - end.middle() : end.middle() - end.low() + 3;
        if (off <= INSIDE_DB + 2e-3) {
            return 0;
        }
        return off <= most + 2e-3 ? 4 + (off - INSIDE_DB) / (most - INSIDE_DB) : NEVER;
    }

    private static double greatest(double[] some) {
        return Arrays.stream(some).max().orElse(0);
    }

    private static boolean givesNoMore(double[] one, double[] than, double slack) {
        return IntStream.range(0, one.length).allMatch(i -> one[i] <= than[i] + slack);
    }

    /** Little noise, and near the middle of the aims, rather below. */
    private static double cost(FlowLevels levels) {
        int count = levels.flow().ends().size();
        return IntStream.range(0, count)
                .mapToDouble(e -> {
                    double off = levels.aimed(e) - levels.flow().ends().get(e).middle();
                    return -levels.range(e).db() + (off > 0 ? 3 * count * off : -2 * off);
                })
                .sum();
    }

    /** Compares an answer with any other setting. */
    private static final class Rival {
        private final Flow flow;
        private final FlowLevels answer;
        private final double[] given;

        Rival(Flow flow) {
            this.flow = flow;
            this.answer = FlowLevels.of(GainAdviser.exact(flow, Wanted.USUAL));
            this.given = givenUp(flow, answer);
        }

        boolean isPossible() {
            return greatest(given) < NEVER;
        }

        void against(Flow setting) {
            FlowLevels levels = FlowLevels.of(setting);
            double[] other = givenUp(flow, levels);
            if (greatest(other) == NEVER) {
                return;
            }
            assertThat(greatest(given))
                    .as("%s against %s", answer.flow().knobs(), setting.knobs())
                    .isLessThan(greatest(other) + 0.01);
            if (givesNoMore(other, given, 1e-6)) {
                assertThat(givesNoMore(given, other, 0.02))
                        .as("%s gives up more than %s", answer.flow().knobs(), setting.knobs())
                        .isTrue();
                assertThat(cost(answer))
                        .as("%s against %s", answer.flow().knobs(), setting.knobs())
                        .isLessThan(cost(levels) + 0.03);
            }
        }
    }

    @Test
    void nothing_on_a_grid_is_better() {
        Random random = new Random(5);
        int possible = 0;
        for (int i = 0; i < 70; i++) {
            Flow flow = any(random);
            Rival rival = new Rival(flow);
            possible += rival.isPossible() ? 1 : 0;
            Advised advised = GainAdviser.advise(flow, Wanted.USUAL);
            FlowLevels followed = FlowLevels.of(advised.followedOn(flow));
            boolean isTolerated = !followed.clips(Gain.NONE)
                    && IntStream.range(0, flow.ends().size())
                            .allMatch(e -> flow.ends().get(e).isTolerated(followed.aimed(e)));
            assertThat(isTolerated)
                    .as("%s", flow)
                    .isEqualTo(advised.hindrances().isEmpty());
            tryAll(flow, 0, new HashMap<>(), rival);
        }
        assertThat(possible).isGreaterThan(35);
    }

    private static void tryAll(Flow flow, int knob, Map<Spot, Double> positions, Rival rival) {
        if (knob == flow.knobs().size()) {
            rival.against(flow.turned(positions));
            return;
        }
        Knob each = flow.knobs().get(knob);
        double[] places = each.isLocked()
                ? new double[] {each.control().position()}
                : each.control().taper() instanceof SteppedTaper clicks
                        ? clicks.steps().stream()
                                .mapToDouble(clicks::positionFor)
                                .toArray()
                        : DoubleStream.concat(
                                        IntStream.rangeClosed(0, 30).mapToDouble(p -> p / 30.0),
                                        DoubleStream.of(each.control().taper().positionFor(Gain.NONE)))
                                .toArray();
        for (double place : places) {
            positions.put(each.id(), place);
            tryAll(flow, knob + 1, positions, rival);
        }
    }

    /** One chain of stages with knobs and clicks or two sides of one, some locked, some feeding two ends. */
    private static Flow any(Random random) {
        Flows flows = new Flows();
        boolean isPair = random.nextInt(3) == 0;
        int volume = random.nextBoolean() ? flows.knob(ControlKind.VOLUME, Flows.linear(-40, 0), 0) : -1;
        int gain = random.nextInt(4) == 0
                ? flows.knob(ControlKind.GAIN, Flows.stepped(0, 10, 20, 30, 40), 0)
                : flows.gain(random.nextInt(10) - 10, 30 + random.nextInt(30));
        int last = random.nextBoolean() ? flows.clicks(-20, 0) : -1;
        double peak = random.nextInt(50) - 40;
        double most = peak + random.nextInt(12);
        double[] losses = {random.nextInt(8), random.nextInt(3)};
        double ceiling = 10 + random.nextInt(14);
        double noise = -128 + random.nextInt(20);
        double full = random.nextInt(20);
        boolean isSplit = !isPair && random.nextBoolean();
        for (int side = 0; side < (isPair ? 2 : 1); side++) {
            int at = flows.sound("player " + side, peak, peak - 12, peak - 80, most, volume);
            at = flows.stage("Preamp", 0, ceiling, noise, -95, gain, Feed.of(at, -losses[0]));
            at = flows.stage("Pad", 0, NONE, NONE, -100, last, Feed.of(at, -losses[1]));
            flows.track(full, -90 - random.nextInt(20), Feed.of(at, 0));
            if (isSplit) {
                int level = flows.knob(ControlKind.LEVEL, Flows.linear(-30, 6), 0);
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

    /** Two players, each with a preamp and a fader, on one bus: all ways to set both faders and the bus, preamps as they must be. */
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
                int trim = flows.knob(ControlKind.TRIM, Flows.linear(0, 50), 0);
                int pre = flows.stage("Mixer", 0, 20, -124, -93, trim, Feed.of(source, -0.5));
                int fader = flows.knob(ControlKind.FADER, Flows.linear(-60, 10), 0);
                feeds.add(Feed.of(flows.stage("Mixer", 0, NONE, NONE, -100, fader, Feed.of(pre, 0)), 0));
            }
            int main = flows.knob(ControlKind.LEVEL, Flows.linear(-60, 10), 0);
            int bus = flows.stage("Mixer", 0, 22, NONE, -87, main, feeds.toArray(Feed[]::new));
            flows.track(8 + random.nextInt(14), -100, Feed.of(bus, -0.3));
            Flow flow = flows.flow();
            Rival rival = new Rival(flow);
            possible += rival.isPossible() ? 1 : 0;
            double each =
                    flow.ends().get(0).middle() + flow.ends().get(0).zero().dbu() - 10 * Math.log10(2) + 0.3;
            for (double one = -14; one <= 10; one += 2) {
                for (double other = -14; other <= 10; other += 2) {
                    for (double all = -16; all <= 10; all += 2) {
                        double[] gains = {each - all - one - peaks[0] + 0.5, each - all - other - peaks[1] + 0.5};
                        if (Math.min(gains[0], gains[1]) >= 0 && Math.max(gains[0], gains[1]) <= 50) {
                            Map<Spot, Double> db = Map.of(
                                    Flows.knob(0),
                                    gains[0],
                                    Flows.knob(1),
                                    one,
                                    Flows.knob(2),
                                    gains[1],
                                    Flows.knob(3),
                                    other,
                                    Flows.knob(4),
                                    all);
                            rival.against(flow.withKnobs(
                                    knob -> knob.at(knob.control().taper().positionFor(new Gain(db.get(knob.id()))))));
                        }
                    }
                }
            }
            if (rival.isPossible()) {
                int onBus = flow.ends().get(0).point() - 1;
                assertThat(rival.answer.peak(onBus, "player 0").dbu())
                        .isCloseTo(rival.answer.peak(onBus, "player 1").dbu(), within(0.01));
            }
        }
        assertThat(possible).isGreaterThan(20);
    }
}
