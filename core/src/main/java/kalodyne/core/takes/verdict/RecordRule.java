package kalodyne.core.takes.verdict;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.sound.measure.Colour;
import kalodyne.core.takes.TakeReport;

/**
 * Reports a record that was played without the equaliser that records need, or through two of them: against another take by the curve of
 * IEC 60098 itself, else by the balance of bass and treble where the run begins at a turntable.
 */
final class RecordRule implements ContextRule {
    private static final double BASS_FROM_HZ = 60;
    private static final double BASS_TO_HZ = 160;
    private static final double TREBLE_FROM_HZ = 4_000;
    private static final double TREBLE_TO_HZ = 10_000;

    /**
     * Treble over bass, in decibels a hertz. Music and speech lie between about −25 and −60 (from memory); the curve moves that by 24 dB
     * either way. Where the run says so too, what is likelier than not is believed; else only what can hardly be otherwise.
     */
    private static final double MISSING_IF_PREDICTED_DB = -32;

    private static final double MISSING_DB = -15;
    private static final double DOUBLE_IF_PREDICTED_DB = -50;
    private static final double DOUBLE_DB = -75;
    private static final double SURE_IF_PREDICTED = 0.85;
    private static final double SURE = 0.6;

    @Override
    public Optional<Finding> against(TakeReport take, TakeReport reference, List<Device> devices) {
        return Coloration.of(take, reference, devices)
                .filter(found -> found.kind() != Coloration.Kind.DULL)
                .map(found ->
                        finding(take, found.kind() == Coloration.Kind.RECORD_PLAIN, found.spread(), found.explained()));
    }

    @Override
    public Optional<Finding> byRun(TakeReport take, TakeContext context) {
        double rise = Colour.of(take.loudest().heard()).rise(TREBLE_FROM_HZ, TREBLE_TO_HZ, BASS_FROM_HZ, BASS_TO_HZ);
        if (!Coloration.isRecord(context.devices()) || Double.isNaN(rise)) {
            return Optional.empty();
        }
        boolean missingPredicted = context.found(FindingCode.RIAA_MISSING);
        boolean doublePredicted = context.found(FindingCode.RIAA_DOUBLE);
        if (rise > (missingPredicted ? MISSING_IF_PREDICTED_DB : MISSING_DB)) {
            return Optional.of(finding(take, true, rise, missingPredicted ? SURE_IF_PREDICTED : SURE));
        }
        if (rise < (doublePredicted ? DOUBLE_IF_PREDICTED_DB : DOUBLE_DB)) {
            return Optional.of(finding(take, false, rise, doublePredicted ? SURE_IF_PREDICTED : SURE));
        }
        return Optional.empty();
    }

    private static Finding finding(TakeReport take, boolean isMissing, double figure, double confidence) {
        return new Finding(
                isMissing ? FindingCode.RIAA_MISSING : FindingCode.RIAA_DOUBLE,
                Severity.WRONG,
                take.whole(),
                new Figure(figure, "dB"),
                isMissing ? "A record without its equaliser" : "A record equalised twice",
                isMissing
                        ? "Bass is missing and treble is far too much, as from a cartridge in a socket that is not for records."
                        : "Bass is far too much and treble is missing, as through two phono preamplifiers.",
                Optional.of(Remedy.byHand(
                        isMissing
                                ? "Use a phono input or a phono preamplifier, or the turntable's own switch"
                                : "Switch one of the two phono preamplifiers off, or use a line input")),
                confidence);
    }
}
