package kalodyne.core.takes.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunJoints;
import kalodyne.core.levels.gain.End;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;

/** What a run predicts and a take measures, row by row. */
final class Comparisons {
    private Comparisons() {}

    static List<Comparison> of(TakeContext context, TakeReport take) {
        LevelPlan predicted = context.predicted();
        DigitalLevel peak = take.loudest().peakLevel();
        boolean isPeakAimed = predicted.end().line() == End.Line.PEAK;
        boolean outside = take.isClipped() || TakeVerdict.missed(predicted, peak, take) != 0;
        String edges = Print.plain(predicted.end().low()) + "…"
                + Print.plain(predicted.end().high());
        List<Comparison> rows = new ArrayList<>();
        rows.add(new Comparison(
                "loudest peak, dBFS",
                Print.decimal(predicted.endPeak(), 1),
                number(peak),
                isPeakAimed ? edges : "–",
                (outside && isPeakAimed) || take.isClipped()));
        rows.add(new Comparison(
                "average, dBFS re a sine",
                Print.decimal(predicted.endAverage(), 1),
                number(take.loudest().averageLevel()),
                isPeakAimed ? "–" : edges,
                outside && !isPeakAimed));
        rows.add(noise(predicted, take));
        rows.add(hum(predicted, context, take));
        rows.add(new Comparison(
                "places cut off",
                predicted.endPeak() > 0 ? "some" : "none",
                take.isClipped() ? Print.count(take.clipPlaces()) : "none",
                "none",
                take.isClipped()));
        rows.add(new Comparison(
                "DC offset, %",
                "none", Print.decimal(100 * take.loudest().dcOffset(), 2), "under 0.5", has(take, FindingCode.DC)));
        return List.copyOf(rows);
    }

    private static Comparison noise(LevelPlan predicted, TakeReport take) {
        OptionalDouble power = take.loudest().heard().noisePower();
        return new Comparison(
                "noise in the pauses, dBFS",
                Print.decimal(predicted.endFloor(), 0),
                power.isPresent()
                        ? Print.decimal(
                                DigitalLevel.ofRms(Math.sqrt(power.getAsDouble()))
                                        .dbfs(),
                                0)
                        : "no pause",
                "–",
                has(take, FindingCode.HISS));
    }

    private static Comparison hum(LevelPlan predicted, TakeContext context, TakeReport take) {
        double dbfs = predicted.end().onScale(new RunJoints(predicted).hum(context.joints()));
        return new Comparison(
                "hum, dBFS",
                dbfs < predicted.endFloor() ? "none" : Print.decimal(dbfs, 0),
                take.hum()
                        .map(hum -> Print.decimal(
                                        DigitalLevel.ofRms(Math.sqrt(hum.power()))
                                                .dbfs(),
                                        0) + ", " + Print.decimal(hum.fundamentalHz(), 0) + " Hz")
                        .orElse("none"),
                "none",
                has(take, FindingCode.HUM_MAINS) || has(take, FindingCode.HUM_RECTIFIER));
    }

    private static boolean has(TakeReport take, FindingCode code) {
        return take.findings().stream().anyMatch(finding -> finding.code().equals(code));
    }

    private static String number(DigitalLevel level) {
        return Print.decimal(level.dbfs(), 1);
    }
}
