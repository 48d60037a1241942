package kalodyne.core.runsheet;

import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/** Leads that do not reach from where one device stands to where the other does: one finds out before everything is plugged. */
final class ReachSteps implements SheetPart {
    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        LeadReach.all(rig.patch(), rig.sessionPlan().standings()).stream()
                .filter(LeadReach::isShort)
                .forEach(reach -> draft.add(finding(reach)));
    }

    private static Finding finding(LeadReach reach) {
        return new Finding(
                FindingCode.SHEET_LEAD_SHORT,
                Severity.WRONG,
                new Place.Shelf(reach.marks().get(0)),
                new Figure(reach.needed().metres(), "m"),
                reach.name() + " is too short",
                "From " + reach.from() + " to " + reach.to() + " it takes "
                        + Print.decimal(reach.needed().metres(), 1) + " m along floor and walls; it has "
                        + Print.decimal(reach.has().orElseThrow(), 1) + " m.",
                Optional.of(Remedy.byHand(reach.needed()
                        .usual()
                        .map(length -> "Take one of " + Print.plain(length) + " m, or move them closer")
                        .orElse("Move them closer"))));
    }
}
