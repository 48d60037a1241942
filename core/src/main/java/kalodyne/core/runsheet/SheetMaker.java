package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;

/** Makes the run sheet of a setup: every part adds its steps and reasons, and the order follows from these. */
public final class SheetMaker {
    private static final List<SheetPart> PARTS = List.of(
            new Preparing(),
            new ReachSteps(),
            new MuteSteps(),
            new SwitchSteps(),
            new PlugSteps(),
            new PowerSteps(),
            new PhantomSteps(),
            new ChoiceSteps(),
            new ClockSteps(),
            new PanSteps(),
            new CrossoverSteps(),
            new LevelSteps(),
            new TogetherSteps(),
            new TakeSteps(),
            new DownSteps());

    private SheetMaker() {}

    /** The sheet of a setup; empty of steps where nothing is plugged. */
    public static RunSheet of(SheetRig rig) {
        SheetDraft draft = new SheetDraft();
        PARTS.forEach(part -> part.add(rig, draft));
        List<Step> steps = draft.steps();
        Ordering ordering = Ordering.of(steps, draft.orders());
        List<Finding> findings = new ArrayList<>(draft.findings());
        ordering.circles().forEach(circle -> findings.add(contradiction(circle)));
        return new RunSheet(
                rig.title(), ordering.steps(), ordering.kept(), Finding.worstFirst(findings), RunTimes.all(rig));
    }

    private static Finding contradiction(List<Step> circle) {
        return new Finding(
                FindingCode.SHEET_CONTRADICTION,
                Severity.HARM,
                new Place.Shelf(circle.get(0).gear().stream().findFirst().orElse("")),
                new Figure(circle.size(), "steps"),
                "No order of these steps is safe",
                "Each of them must come before another: "
                        + circle.stream().map(step -> "“" + step.title() + "”").collect(Collectors.joining(", ")) + ".",
                Optional.of(Remedy.byHand("Plug this rig another way")));
    }
}
