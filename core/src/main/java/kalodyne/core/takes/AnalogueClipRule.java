package kalodyne.core.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/** Reports flat tops below full scale: something before the converter could not go higher. */
final class AnalogueClipRule implements TakeRule {
    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachFound(
                take, c -> take.channels().get(c).ceiling().map(ceiling -> finding(take, c, ceiling)));
    }

    private static Finding finding(TakeReport take, int c, Ceiling ceiling) {
        String side = ceiling.isOneSided() ? " on one side" : "";
        return new Finding(
                FindingCode.CLIP_ANALOGUE,
                Severity.WRONG,
                new Place.Stretch(
                        OptionalInt.of(c), take.seconds(ceiling.fromFrame()), take.seconds(ceiling.toFrame())),
                new Figure(ceiling.dbfs(), "dBFS"),
                "Cut off before the recorder" + side + TakeRules.inChannel(take, c),
                Print.count(ceiling.flatTops()) + " tops are flat at " + Print.decimal(ceiling.dbfs(), 1) + " dBFS"
                        + side + ": a stage before the converter, not the converter.",
                Optional.of(Remedy.byHand("Turn down what comes before it, turn up behind it, and record again")),
                ceiling.confidence());
    }
}
