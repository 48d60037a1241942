package kalodyne.core.levels;

import java.util.List;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Turn;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.units.Print;

/** What there is to say about the knobs of a run, and how the hand comes to terms with them. */
final class KnobRules extends RunFindings {
    private KnobRules(Rig rig, LevelPlan plan) {
        super(rig, plan);
    }

    static List<Finding> check(Rig rig, LevelPlan plan, Advice advice) {
        KnobRules rules = new KnobRules(rig, plan);
        rules.untold();
        advice.turns().forEach(rules::coarse);
        return rules.findings();
    }

    private void untold() {
        List<String> names = plan.missed().stream().map(Knob::words).toList();
        if (!names.isEmpty()) {
            add(
                    FindingCode.KNOB_UNTOLD,
                    Severity.NOTE,
                    0,
                    new Figure(names.size(), "knobs"),
                    "Knob positions unknown",
                    "Nobody said how "
                            + (names.size() > Advice.MOST_NAMED
                                    ? names.size() + " knobs of this run"
                                    : String.join(" and ", names))
                            + (names.size() == 1 ? " stands" : " stand")
                            + ". What you see is how it will be once set as advised.",
                    "Set them as advised, or turn them here to where they are");
        }
    }

    /** Advised where it moves coarsely, as there is no other way. */
    private void coarse(Turn turn) {
        Knob at = turn.advised();
        double perQuarterHour = at.perQuarterHour().db();
        boolean isAdvised =
                at.duty() != Duty.PAN && !at.isLocked() && at.control().position() > 0;
        if (isAdvised && at.isCoarse()) {
            add(
                    FindingCode.KNOB_COARSE,
                    Severity.NOTE,
                    station(turn.id().item()).orElse(0),
                    LevelRules.decibels(perQuarterHour),
                    "A touch changes much here",
                    Print.startingSentence(at.words()) + " has to stand at "
                            + at.control().clock()
                            + ", where a quarter of an hour is " + Print.decimal(perQuarterHour, 1)
                            + " dB: there is no other way for this level.",
                    "Turn it by hairs and watch the meter; an attenuating lead behind it would bring the knob up");
        }
    }
}
