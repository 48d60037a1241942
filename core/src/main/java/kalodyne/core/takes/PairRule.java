package kalodyne.core.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.sound.measure.Pair;
import kalodyne.core.units.Print;

/** Reports two channels that do not go together: one upside down, both the same, or lost where they are added up. */
final class PairRule implements TakeRule {
    /** What is recorded in stereo on purpose seldom falls below −0.5 (common practice). */
    private static final double UPSIDE_DOWN = -0.85;

    private static final double LOSS_DB = -3;
    private static final double ONE_SIDE_ONLY_DB = 20;

    /** Half a step of 16 bits. */
    private static final double SAME = 1.6e-5;

    private static final double SAME_CORRELATION = 0.9995;
    private static final double SAME_BALANCE_DB = 1;

    @Override
    public List<Finding> check(TakeReport take) {
        return IntStream.range(0, take.pairs().size())
                .mapToObj(pair -> check(take, pair))
                .flatMap(Optional::stream)
                .toList();
    }

    private static Optional<Finding> check(TakeReport take, int number) {
        Pair pair = take.pairs().get(number);
        int left = TakeReport.channelOfPair(number);
        ChannelReport one = take.channels().get(left);
        ChannelReport other = take.channels().get(left + 1);
        if (SilenceRule.isDead(take, left) || SilenceRule.isDead(take, left + 1) || take.isSilent()) {
            return Optional.empty();
        }
        boolean same = pair.difference() <= SAME
                || (pair.heardCorrelation() > SAME_CORRELATION
                        && Math.abs(pair.balance().db()) < SAME_BALANCE_DB);
        if (same) {
            return Optional.of(finding(
                    take,
                    number,
                    FindingCode.CHANNEL_DUAL_MONO,
                    Severity.NOTE,
                    new Figure(pair.heardCorrelation(), "correlation"),
                    "Both sides are the same",
                    "What differs between them is more than 30 dB down: it is mono, twice.",
                    "Record one channel, or plug the other side in",
                    0.99));
        }
        if (pair.heardCorrelation() < UPSIDE_DOWN) {
            return Optional.of(finding(
                    take,
                    number,
                    FindingCode.CHANNEL_INVERTED,
                    Severity.WRONG,
                    new Figure(pair.heardCorrelation(), "correlation"),
                    "One side is inverted",
                    "The two sides move against each other: on one loudspeaker most of it is gone.",
                    "Invert the polarity of one side, or replace a lead whose wires are swapped",
                    Math.min(0.99, -pair.heardCorrelation())));
        }
        double loss = pair.monoLoss().db();
        boolean bothThere = one.heard().loudDb() > other.heard().loudDb() - ONE_SIDE_ONLY_DB
                && other.heard().loudDb() > one.heard().loudDb() - ONE_SIDE_ONLY_DB;
        if (loss < LOSS_DB && bothThere) {
            return Optional.of(finding(
                    take,
                    number,
                    FindingCode.MONO_CANCEL,
                    Severity.WEAK,
                    new Figure(loss, "dB"),
                    "Gets weaker on one loudspeaker",
                    "Added up to mono, " + Print.decimal(-loss, 1)
                            + " dB of it are gone: the two sides work against each other.",
                    "Check the distances of the microphones, or a stereo effect",
                    0.9));
        }
        return Optional.empty();
    }

    private static Finding finding(
            TakeReport take,
            int number,
            FindingCode code,
            Severity severity,
            Figure figure,
            String title,
            String text,
            String remedy,
            double confidence) {
        int left = TakeReport.channelOfPair(number);
        String which = take.channels().size() > 2 ? ", channels " + (left + 1) + " and " + (left + 2) : "";
        return new Finding(
                code,
                severity,
                TakeRules.whole(take, take.channels().size() > 2 ? OptionalInt.of(left) : OptionalInt.empty()),
                figure,
                title + which,
                text,
                Optional.of(Remedy.byHand(remedy)),
                confidence);
    }
}
