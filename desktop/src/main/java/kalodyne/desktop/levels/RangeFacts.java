package kalodyne.desktop.levels;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Styled;

/** What is left between the loudest peak and the noise at the end of a run, and what is lost of it. */
final class RangeFacts extends GridPane {
    private final Row range = row("Peak above the noise", "dB", "The loudest peak over all noise: more is cleaner.");
    private final Row waste = row("Wasted as it stands", "dB", "This much more is left with the knobs as advised.");
    private final Row spread =
            row("Known only to within", "± ", "dB", "The true peak may be this far above or below. A test take tells.");
    private final Row bits = row("Bits used", "", "The loudest peak above the noise, counted in bits.");
    private final Row sixteen =
            row("Extra noise at 16 bits", "dB", "This much more noise if the recorder keeps 16 bits.");

    /** One of the facts. */
    private record Row(Label name, Label number, String sign, String unit) {
        void show(double value, boolean isShown) {
            boolean isThere = isShown && Double.isFinite(value);
            for (Label each : List.of(name, number)) {
                Styled.of(each).shown(isThere);
            }
            if (isThere) {
                number.setText((sign + Print.decimal(value, 1) + " " + unit).strip());
            }
        }
    }

    RangeFacts() {
        setHgap(8);
        setVgap(2);
        setId("range-facts");
        ColumnConstraints name = new ColumnConstraints();
        name.setHgrow(Priority.ALWAYS);
        getColumnConstraints().add(name);
        for (Row each : List.of(range, waste, spread, bits, sixteen)) {
            addRow(getRowCount(), each.name(), each.number());
        }
    }

    private static Row row(String words, String unit, String help) {
        return row(words, "", unit, help);
    }

    private static Row row(String words, String sign, String unit, String help) {
        Label name = Styled.of(new Label(words)).as("small", "second").tip(help).node();
        Label number = Styled.of(new Label()).as("small").whole().node();
        return new Row(name, number, sign, unit);
    }

    void show(RunLevels run) {
        LevelPlan plan = run.plan();
        int end = plan.trace().path().end();
        double present = plan.levels().range(end).db();
        double best = plan.turned(run.advice().positions()).levels().range(end).db();
        FlowLevels.Kept kept = plan.levels().kept(end);
        range.show(present, true);
        waste.show(best - present, best - present > 0.05);
        spread.show(plan.levels().spread(end).db(), plan.levels().spread(end).db() >= 1);
        bits.show(kept.usedBits(), plan.isRecorded());
        sixteen.show(kept.costOf16().db(), plan.isRecorded());
    }
}
