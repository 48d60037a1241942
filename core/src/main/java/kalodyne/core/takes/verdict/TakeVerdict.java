package kalodyne.core.takes.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.Advice;
import kalodyne.core.levels.Adviser;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.gain.End;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.causes.DiagnosticStep;
import kalodyne.core.takes.causes.Inquiry;
import kalodyne.core.takes.causes.Known;
import kalodyne.core.units.Computed;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/**
 * What a take says about its run.
 *
 * @param sentence what is the case: "Peaks at −3.1 dBFS: 2.9 dB too hot"
 * @param instruction the one next thing: "Turn the gain on Interface from 10:45 to 9:30, then record again"
 * @param end where the run ends, with the aim that it was judged by
 * @param advice where the controls should stand, by what the take measured and not by the prediction
 * @param comparisons measure by measure
 * @param findings of the take and of the comparison, worst first
 * @param inquiry what is behind the worst of them, after all that was tried; empty where nothing has causes to choose from
 */
public record TakeVerdict(
        String sentence,
        String instruction,
        End end,
        Advice advice,
        List<Comparison> comparisons,
        List<Finding> findings,
        Optional<Inquiry> inquiry) {

    /** A source that differs from its description by more than this is described wrongly (common practice). */
    private static final double SAME_SOURCE_DB = 3;

    /** What is far off is told to the search for causes as well. */
    private static final double FAR_OFF_DB = 6;

    private static final List<ContextRule> BY_CONTEXT = List.of(new DullRule(), new RecordRule(), new SwappedRule());

    /** Judges a take. */
    public static TakeVerdict of(TakeContext context, TakeReport take) {
        LevelPlan predicted = context.predicted();
        if (take.isSilent()) {
            return silent(context, take);
        }
        LevelPlan now = context.now();
        DigitalLevel likely = take.loudest().likelyPeak();
        Gain louder = likely.above(new DigitalLevel(predicted.endPeak()));
        Advice advice = louder.db() == Double.POSITIVE_INFINITY
                ? Adviser.advise(now, context.wanted())
                : Adviser.advise(now, context.wanted(), louder);
        List<Finding> findings = new ArrayList<>(leveled(take, now, advice));
        sourceDiffers(take, louder).ifPresent(findings::add);
        otherRate(now, take).ifPresent(findings::add);
        BY_CONTEXT.forEach(rule -> rule.check(take, context).ifPresent(findings::add));
        List<Finding> sorted = Finding.worstFirst(findings);
        Optional<Inquiry> inquiry = inquiry(context, take.with(sorted), louder.db());
        Optional<Finding> worse = worseThanLevel(sorted);
        return new TakeVerdict(
                worse.map(TakeVerdict::sentence).orElseGet(() -> sentence(now, take, likely)),
                worse.map(finding -> search(inquiry, finding))
                        .orElseGet(() -> instruction(now, context.whenRecorded(), advice)),
                now.end(),
                advice,
                Comparisons.of(context, take),
                sorted,
                inquiry);
    }

    /** What no knob mends: it is told, and looked for, before the level is. */
    private static Optional<Finding> worseThanLevel(List<Finding> findings) {
        return findings.stream()
                .findFirst()
                .filter(worst -> worst.severity() == Severity.HARM || worst.severity() == Severity.WRONG)
                .filter(worst -> !isOfLevel(worst));
    }

    private static boolean isOfLevel(Finding finding) {
        return finding.code().topic().equals("level") || finding.code() == FindingCode.CLIP_DIGITAL;
    }

    private static String sentence(Finding worst) {
        boolean isLevel = worst.figure().unit().equals("dBFS")
                && !Double.isInfinite(worst.figure().value());
        return worst.title()
                + (isLevel ? ", at " + new DigitalLevel(worst.figure().value()) : "");
    }

    /** What tells the causes of a fault apart, or mends the one that is left; where nothing is known of causes, what to do about it. */
    private static String search(Optional<Inquiry> inquiry, Finding worst) {
        return inquiry.filter(found -> found.complaint().findings().contains(worst.code()))
                .flatMap(found -> found.nextTest()
                        .map(DiagnosticStep::instruction)
                        .or(() -> found.suspects().stream()
                                .findFirst()
                                .map(likeliest -> likeliest.cause().cure())))
                .or(() -> worst.remedy().map(Remedy::words))
                .orElse(worst.title());
    }

    /** The findings of a take, with what another take of the same part tells besides, where nothing is known of its run. */
    public static List<Finding> compared(TakeReport take, Optional<TakeReport> reference) {
        List<Finding> findings = new ArrayList<>(take.findings());
        reference
                .filter(other -> !take.isSilent())
                .ifPresent(other -> BY_CONTEXT.forEach(
                        rule -> rule.against(take, other, List.of()).ifPresent(findings::add)));
        return Finding.worstFirst(findings);
    }

    private static Optional<Inquiry> inquiry(TakeContext context, TakeReport take, double louderDb) {
        Known levels = Known.NOTHING
                .with("above-predicted", louderDb > FAR_OFF_DB)
                .with("below-predicted", louderDb < -FAR_OFF_DB);
        return Inquiry.of(take, Circumstances.of(context), levels).map(begun -> {
            Inquiry inquiry = begun;
            for (Inquiry.Tried each : context.tried()) {
                inquiry = inquiry.answered(each.test(), each.answer());
            }
            return inquiry;
        });
    }

    private static TakeVerdict silent(TakeContext context, TakeReport take) {
        LevelPlan now = context.now();
        return new TakeVerdict(
                "Nothing was recorded",
                "Check that the lead is plugged at both ends and that the track listens to "
                        + now.trace().socket(),
                now.end(),
                Adviser.advise(now, context.wanted()),
                Comparisons.of(context, take),
                take.findings(),
                inquiry(context, take, Double.NEGATIVE_INFINITY));
    }

    private static String sentence(LevelPlan run, TakeReport take, DigitalLevel likely) {
        if (take.isClipped()) {
            int places = take.clipPlaces();
            return "Cut off at " + (places == 1 ? "one place" : Print.count(places) + " places")
                    + ": it would have reached " + take.loudest().likelyReach();
        }
        double miss = missed(run, likely, take);
        String start = "Peaks at " + likely + ": ";
        if (!Computed.isSome(miss)) {
            return start + "right in the aim";
        }
        return start + Print.decimal(Math.abs(miss), 1) + (miss > 0 ? " dB too hot" : " dB too quiet");
    }

    /** How far a take lies beside the aim, by the line that is aimed. */
    static double missed(LevelPlan run, DigitalLevel peak, TakeReport take) {
        End end = run.end();
        DigitalLevel line = end.line() == End.Line.PEAK ? peak : take.loudest().averageLevel();
        return end.miss(line.dbfs()).db();
    }

    private static String instruction(LevelPlan now, Map<Spot, Double> whenRecorded, Advice advice) {
        if (advice.remedy().isPresent()) {
            return advice.remedy().get().words() + ", then record again";
        }
        if (advice.obstacle().isPresent()) {
            return "No knob position fits: see the findings in Levels";
        }
        boolean moved = !now.turned(whenRecorded).positions().equals(now.positions());
        return moved
                ? "The knobs stand as this take advises: record the next one"
                : "Leave every knob where it is: record the real take";
    }

    /** The findings of the take, with the general words on level replaced by this run's own, which can be applied. */
    private static List<Finding> leveled(TakeReport take, LevelPlan run, Advice advice) {
        Optional<Remedy> turn = advice.remedy();
        List<Finding> findings = new ArrayList<>();
        boolean levelTold = false;
        for (Finding finding : take.findings()) {
            boolean level = isOfLevel(finding);
            levelTold |= level;
            findings.add(level && turn.isPresent() ? finding.with(turn) : finding);
        }
        if (!levelTold) {
            missesAim(take, run, turn).ifPresent(findings::add);
        }
        return findings;
    }

    private static Optional<Finding> missesAim(TakeReport take, LevelPlan run, Optional<Remedy> turn) {
        DigitalLevel peak = take.loudest().peakLevel();
        double miss = missed(run, peak, take);
        if (miss == 0) {
            return Optional.empty();
        }
        boolean hot = miss > 0;
        return Optional.of(new Finding(
                hot ? FindingCode.LEVEL_HOT : FindingCode.LEVEL_LOW,
                Severity.WEAK,
                take.whole(),
                new Figure(peak.dbfs(), "dBFS"),
                hot ? "Above the aim" : "Below the aim",
                "The loudest peak is at " + peak + "; the aim is " + run.aim() + ".",
                turn));
    }

    private static Optional<Finding> sourceDiffers(TakeReport take, Gain louder) {
        double by = louder.db();
        if (Math.abs(by) <= SAME_SOURCE_DB) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                FindingCode.TAKE_SOURCE_DIFFERS,
                Severity.NOTE,
                take.whole(),
                new Figure(by, "dB"),
                by > 0 ? "Louder than described" : "Quieter than described",
                "The loudest peak came " + Print.decimal(Math.abs(by), 1) + " dB " + (by > 0 ? "above" : "below")
                        + " what the run predicts. The advice goes by this take.",
                Optional.of(
                        Remedy.byHand("Check that the knobs stood as noted, then correct the gear from this take"))));
    }

    private static Optional<Finding> otherRate(LevelPlan run, TakeReport take) {
        int found = take.header().sampleRateHz();
        int expected = run.trace().sampleRateHz().orElse(found);
        if (expected == found) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                FindingCode.TAKE_OTHER_RATE,
                Severity.NOTE,
                take.whole(),
                new Figure(found, "Hz"),
                "Another sample rate",
                "The take has " + Print.plain(found / 1000.0) + " kHz, the run " + Print.plain(expected / 1000.0)
                        + " kHz. Is it a take of this run?",
                Optional.empty()));
    }
}
