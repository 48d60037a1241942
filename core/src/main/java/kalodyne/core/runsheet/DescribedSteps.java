package kalodyne.core.runsheet;

import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.run.Run;

/** Runs that were described by their numbers, without gear: what can be said of them without knowing what they are plugged with. */
final class DescribedSteps implements SheetPart {
    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        rig.described().forEach(run -> add(run, draft));
    }

    private static void add(Run run, SheetDraft draft) {
        RunLevels levels = SetupLevels.of(run);
        String key = LevelPlan.of(run).trace().key();
        String down = "down:" + run.name();
        String plug = "plug:" + run.name();
        String level = "level:" + run.name();
        draft.add(Step.of(
                down,
                Section.QUIET,
                Act.TURN_DOWN,
                run.input().device() + ": " + run.input().gain().name() + " of "
                        + run.input().socket() + " fully down",
                "What stands up from last time would be a surprise."));
        draft.add(Step.of(
                        plug,
                        Section.PLUG,
                        Act.PLUG,
                        run.lead().name() + ": " + run.source().name() + ", "
                                + run.source().socket() + " → " + run.input().device() + ", "
                                + run.input().socket(),
                        "The sound of " + run.source().name() + " goes this way.")
                .noticing(Symptom.DOES_NOT_FIT));
        String turns = levels.advice().settings().stream()
                .map(setting -> setting.advised().name() + " on " + setting.owner() + " to "
                        + setting.advised().reading())
                .collect(java.util.stream.Collectors.joining(", "));
        LevelPlan plan = LevelPlan.of(run)
                .turned(levels.advice().remedy().map(remedy -> remedy.turns()).orElse(java.util.Map.of()));
        draft.add(Step.of(
                        level,
                        Section.LEVELS,
                        Act.SET_LEVEL,
                        run.source().name() + ": play the loudest part, " + turns,
                        "Here the loudest part lands where it should, with the least noise.")
                .telling("meter " + plan.onScale(plan.endPeak()))
                .noticing(Symptom.NO_SIGNAL, Symptom.TOO_LOUD, Symptom.TOO_QUIET)
                .ofRun(key));
        draft.order(down, plug, Order.Strength.HABIT, "A plug that goes in crackles.");
        draft.order(plug, level, Order.Strength.NEED, "Only what is plugged can be heard.");
    }
}
