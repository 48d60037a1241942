package kalodyne.core.studio.setup;

import java.util.List;
import java.util.OptionalDouble;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.verdict.TakeVerdict;
import kalodyne.core.units.DigitalLevel;

/**
 * What was said of a take when it was made. The log keeps it, since the recording may be gone and the rig another one.
 *
 * @param peakDbfs its loudest sample; empty where nothing was recorded
 * @param noiseDbfs what was left in its pauses; empty where it had none, or an older version read it
 * @param sentence what was the case
 * @param faults what was wrong with it, worst first; notes are none
 */
public record FirstVerdict(OptionalDouble peakDbfs, OptionalDouble noiseDbfs, String sentence, List<Fault> faults) {
    public FirstVerdict {
        faults = List.copyOf(faults);
    }

    /**
     * Something that was wrong.
     *
     * @param code stable name of the rule that noticed it
     * @param severity how bad it was
     * @param title a few words
     */
    public record Fault(String code, Severity severity, String title) {}

    public static FirstVerdict of(TakeReport take, TakeVerdict verdict) {
        return of(take, verdict.sentence(), verdict.findings());
    }

    /**
     * Of a take that is judged otherwise.
     *
     * @param findings worst first
     */
    public static FirstVerdict of(TakeReport take, String sentence, List<Finding> findings) {
        return new FirstVerdict(
                take.isSilent()
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(take.loudest().peakLevel().dbfs()),
                noise(take),
                sentence,
                findings.stream()
                        .filter(finding -> finding.severity() != Severity.NOTE)
                        .map(FirstVerdict::fault)
                        .toList());
    }

    private static OptionalDouble noise(TakeReport take) {
        OptionalDouble power = take.isSilent()
                ? OptionalDouble.empty()
                : take.loudest().heard().noisePower();
        return power.isPresent() && power.getAsDouble() > 0
                ? OptionalDouble.of(
                        DigitalLevel.ofRms(Math.sqrt(power.getAsDouble())).dbfs())
                : OptionalDouble.empty();
    }

    private static Fault fault(Finding finding) {
        return new Fault(finding.mark(), finding.severity(), finding.title());
    }

    /** Whether it could be kept: nothing in it was harmful or wrong. */
    public boolean isClean() {
        return faults.stream().noneMatch(fault -> fault.severity().compareTo(Severity.WRONG) <= 0);
    }
}
