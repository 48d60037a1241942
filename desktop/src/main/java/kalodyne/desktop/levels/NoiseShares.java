package kalodyne.desktop.levels;

import java.util.Comparator;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Styled;

/** Which stages make the noise at the end: those that make most of it, with their shares. */
final class NoiseShares extends GridPane {
    private static final int MOST = 5;
    private static final double LEAST = 0.005;
    private static final double WIDEST_EM = 3.6;

    NoiseShares() {
        setHgap(6);
        setVgap(2);
        setId("noise-shares");
        ColumnConstraints name = new ColumnConstraints();
        name.setHgrow(Priority.ALWAYS);
        getColumnConstraints().add(name);
    }

    void show(LevelPlan plan) {
        getChildren().clear();
        List<StageLevel> noisiest = plan.stages().stream()
                .filter(stage -> stage.noiseShare() >= LEAST)
                .sorted(Comparator.comparingDouble(StageLevel::noiseShare).reversed())
                .limit(MOST)
                .toList();
        for (StageLevel stage : noisiest) {
            row(name(plan, stage), stage.noiseShare());
        }
        if (plan.noiseOfOthers() >= LEAST) {
            row("other runs that meet this one", plan.noiseOfOthers());
        }
    }

    private void row(String words, double part) {
        Label name = Styled.of(new Label(words)).as("small", "second").node();
        name.setMinWidth(0);
        Region bar = new Region();
        bar.getStyleClass().add("noise-bar");
        double width = Math.max(1, part * WIDEST_EM * 14);
        bar.setMinWidth(width);
        bar.setPrefWidth(width);
        bar.setMaxWidth(width);
        double percent = 100 * part;
        Label share = new Label(Print.decimal(percent, percent < 10 ? 1 : 0) + " %");
        Styled.of(share).as("small").whole();
        addRow(getRowCount(), name, bar, share);
    }

    private static String name(LevelPlan plan, StageLevel stage) {
        String station = plan.station(stage).name();
        String label = stage.stage().label();
        return station.equals(label) ? label : station + ", " + label;
    }
}
