package kalodyne.core.takes.verdict;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Transfer;
import kalodyne.core.levels.RunJoints;
import kalodyne.core.sound.measure.Colour;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.units.Print;

/**
 * Reports treble that was lost on the way: against another take of the same player by the shape of what is missing, which falls as a
 * lead's capacitance or a loaded coil makes it fall; else where the run's joints lose it and the take indeed has little.
 */
final class DullRule implements ContextRule {
    /** Less is not to be heard for sure (common practice). */
    private static final double LOSS_DB = -6;

    private static final double MIDDLE_FROM_HZ = 500;
    private static final double MIDDLE_TO_HZ = 1_250;
    private static final double TREBLE_FROM_HZ = 4_000;
    private static final double TREBLE_TO_HZ = 6_300;
    private static final double BY_PREDICTION = 0.6;

    @Override
    public Optional<Finding> against(TakeReport take, TakeReport reference, List<Device> devices) {
        return Coloration.of(take, reference, devices)
                .filter(found -> found.kind() == Coloration.Kind.DULL
                        && found.trebleLoss().db() <= LOSS_DB)
                .map(found -> finding(
                        take,
                        found.trebleLoss().db(),
                        "From about " + Print.decimal(found.cornerHz() / 1000, 1)
                                + " kHz the treble falls away against "
                                + reference.file().getFileName() + ": "
                                + Print.decimal(-found.trebleLoss().db(), 0) + " dB are gone at 5 kHz.",
                        found.explained()));
    }

    @Override
    public Optional<Finding> byRun(TakeReport take, TakeContext context) {
        List<Transfer> ways = new RunJoints(context.now()).ways(context.joints());
        double loss = ways.stream()
                .mapToDouble(way ->
                        way.gain(Coloration.TREBLE_HZ).db() - way.atMiddle().db())
                .sum();
        double measured =
                Colour.of(take.loudest().heard()).rise(TREBLE_FROM_HZ, TREBLE_TO_HZ, MIDDLE_FROM_HZ, MIDDLE_TO_HZ);
        // NaN where nothing is left of the treble: that fits as well.
        boolean isThere = measured > loss;
        return loss > LOSS_DB || isThere
                ? Optional.empty()
                : Optional.of(finding(
                        take,
                        loss,
                        "The joints of this run take " + Print.decimal(-loss, 0)
                                + " dB away at 5 kHz, and the take has no more treble than that leaves.",
                        BY_PREDICTION));
    }

    private static Finding finding(TakeReport take, double loss, String text, double confidence) {
        return new Finding(
                FindingCode.DULL,
                Severity.WEAK,
                take.whole(),
                new Figure(loss, "dB"),
                "The treble is lost",
                text,
                Optional.of(Remedy.byHand("Use an instrument socket or a box with a high input, and a short lead")),
                confidence);
    }
}
