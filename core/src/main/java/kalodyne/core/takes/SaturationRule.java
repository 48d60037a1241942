package kalodyne.core.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.sound.measure.WaveShapes;
import kalodyne.core.units.Print;

/**
 * Reports a stage that gives way softly: the highest half-waves are fuller than those a little lower. A steady tone shows nothing of
 * it, and a sound that was driven on purpose and then filtered shows little.
 */
final class SaturationRule implements TakeRule {
    /** Steps of a quarter decibel below the highest half-waves. */
    private static final int HIGHEST_TO = 8;

    private static final int LOWER_TO = 24;
    private static final double RARE = 0.002;
    private static final int FEWEST = 40;

    /** As a share of the box round a half-wave, of which a sine fills 64 % and a square all. */
    private static final double FULLER = 0.03;

    private static final double FULLER_ON_EACH_SIDE = 0.012;

    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachChannel(take, SaturationRule::isSaturated, c -> finding(take, c));
    }

    private static boolean isSaturated(ChannelReport channel) {
        if (channel.isClipped() || channel.ceiling().isPresent()) {
            return false;
        }
        WaveShapes shapes = channel.heard().shapes();
        double up = fuller(shapes.up());
        double down = fuller(shapes.down());
        return (up + down) / 2 > FULLER && Math.min(up, down) > FULLER_ON_EACH_SIDE;
    }

    /** How much fuller the highest half-waves are; 0 where there are too few to tell. */
    private static double fuller(WaveShapes.Side side) {
        int top = top(side);
        long highest = side.count(top, top + HIGHEST_TO);
        long lower = side.count(top + HIGHEST_TO, top + LOWER_TO);
        return highest < FEWEST || lower < FEWEST
                ? 0
                : side.fullness(top, top + HIGHEST_TO) - side.fullness(top + HIGHEST_TO, top + LOWER_TO);
    }

    /** The step that all but a few half-waves stay below. */
    private static int top(WaveShapes.Side side) {
        long all = side.count(0, side.steps());
        long passed = 0;
        int step = 0;
        while (step < side.steps() && passed <= Math.max(2, RARE * all)) {
            passed += side.count(step++);
        }
        return Math.max(0, step - 1);
    }

    private static Finding finding(TakeReport take, int c) {
        WaveShapes shapes = take.channels().get(c).heard().shapes();
        double fuller = 100 * (fuller(shapes.up()) + fuller(shapes.down())) / 2;
        return new Finding(
                FindingCode.SATURATION,
                Severity.WEAK,
                TakeRules.whole(take, OptionalInt.of(c)),
                new Figure(fuller, "%"),
                "Loud notes are squeezed" + TakeRules.inChannel(take, c),
                "The highest waves are " + Print.decimal(fuller, 0)
                        + " % fuller than those below: a stage saturates, unless the sound is meant that way.",
                Optional.of(Remedy.byHand("Turn down what comes before the stage that gives way")),
                0.7);
    }
}
