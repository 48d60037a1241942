package kalodyne.command;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.TakeSentence;
import kalodyne.core.takes.causes.Inquiry;
import kalodyne.core.takes.causes.Known;
import kalodyne.core.takes.verdict.TakeContext;
import kalodyne.core.takes.verdict.TakeVerdict;

/**
 * A take with what is said of it.
 *
 * @param take what was measured
 * @param sentence what is the case
 * @param findings worst first
 * @param inquiry what is behind the worst of them
 * @param verdict what it says about its run, where that is known
 */
record TakesJudged(
        TakeReport take,
        String sentence,
        List<Finding> findings,
        Optional<Inquiry> inquiry,
        Optional<TakeVerdict> verdict) {

    /** By its run. */
    static TakesJudged of(TakeReport take, TakeContext context) {
        TakeVerdict verdict = TakeVerdict.of(context, take);
        return new TakesJudged(take, verdict.sentence(), verdict.findings(), verdict.inquiry(), Optional.of(verdict));
    }

    /** By itself and, where there is one, another take of the same part. */
    static TakesJudged of(TakeReport take, Optional<TakeReport> reference) {
        TakeReport compared = take.with(TakeVerdict.compared(take, reference));
        return new TakesJudged(
                take,
                TakeSentence.of(compared),
                compared.findings(),
                Inquiry.of(compared, Known.NOTHING, Known.NOTHING),
                Optional.empty());
    }
}
