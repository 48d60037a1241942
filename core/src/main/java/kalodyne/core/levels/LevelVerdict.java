package kalodyne.core.levels;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.levels.gain.End;
import kalodyne.core.units.Computed;
import kalodyne.core.units.Print;

/** The levels of a run in one sentence, and the one next thing to do. */
public record LevelVerdict(String sentence, String nextStep) {
    private static final int MOST_NAMED = 2;

    /**
     * Of a run.
     *
     * @param first what has to be mended before any level means something
     */
    public static LevelVerdict of(LevelPlan plan, Advice advice, Optional<Finding> first) {
        boolean harms =
                first.filter(finding -> finding.severity() == Severity.HARM).isPresent();
        return new LevelVerdict(
                harms
                        ? "First the joint: " + first.orElseThrow().title()
                        : plan.isRecorded() ? sentence(plan) : heard(plan, advice),
                first.map(finding -> finding.remedy().map(Remedy::words).orElse(finding.text()))
                        .orElseGet(() -> nextStep(plan, advice)));
    }

    private static String sentence(LevelPlan plan) {
        String start = plan.missed().isEmpty() ? "Loudest peaks reach " : "Set as advised, loudest peaks reach ";
        start += plan.onScale(plan.endPeak()) + together(plan) + ": ";
        if (plan.firstToClip().isPresent()) {
            StageLevel clipping = plan.firstToClip().get();
            double over = -clipping.headroom().orElseThrow().db();
            return plan.station(clipping).isEnd() && plan.isRecorded()
                    ? "Loudest peaks would reach " + Print.signed(plan.endPeak(), 1) + " dBFS: cut off"
                    : LevelRules.words(plan, clipping) + " distorts: " + Print.decimal(over, 1) + " dB too loud for it";
        }
        double miss = Computed.isSome(plan.miss().db()) ? plan.miss().db() : 0;
        if (miss != 0 && plan.isTolerated()) {
            return start + (miss > 0 ? "a little above the aim, and fine" : "a little below the aim, and fine");
        }
        if (miss > 0) {
            return start + Print.decimal(miss, 1) + " dB too hot";
        }
        return miss < 0 ? start + Print.decimal(-miss, 1) + " dB too quiet" : start + "right in the aim";
    }

    /** On a track with others it is set alone and judged together. */
    private static String together(LevelPlan plan) {
        List<String> others = plan.trace().with();
        if (others.isEmpty()) {
            return "";
        }
        String with = others.size() > MOST_NAMED ? others.size() + " others" : String.join(" and ", others);
        return " together with " + with + " (" + Print.decimal(plan.endPeakAlone(), 1) + " alone)";
    }

    /** What is listened to goes by its average, and by who stands too much of it. */
    private static String heard(LevelPlan plan, Advice advice) {
        if (plan.firstToClip().isPresent()) {
            return sentence(plan);
        }
        if (plan.last().average().isSilence()) {
            return "Nothing is heard at " + plan.end().name() + ": something on the way is turned off";
        }
        if (plan.end().kind() == End.Kind.SUBWOOFER) {
            return plan.end().name()
                    + (advice.isFollowed() && plan.missed().isEmpty()
                            ? ": as loud as the speakers where it takes over"
                            : ": not yet as loud as the speakers where it takes over");
        }
        String start = plan.end().name() + (plan.missed().isEmpty() ? ": " : ", set as advised: ")
                + Print.decimal(plan.endAverage(), 0) + " dB SPL on average, ";
        double miss = plan.miss().db();
        if (miss == 0) {
            return start + "right for a long session";
        }
        return start + (miss > 0 ? "louder than is good for a long session" : "quieter than one works with");
    }

    private static String nextStep(LevelPlan plan, Advice advice) {
        if (!plan.isRecorded()) {
            return advice.remedy()
                    .map(remedy -> remedy.words() + ", then listen")
                    .orElse("Start with the volume down, then turn it up to where it stands now");
        }
        if (advice.obstacle().isPresent() && advice.isFollowed()) {
            return "No knob position fits: see the findings";
        }
        return advice.remedy()
                .map(remedy -> remedy.words() + ", then play the loudest part")
                .orElse("Record a test take of the loudest part");
    }
}
