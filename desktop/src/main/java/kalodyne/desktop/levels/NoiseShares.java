package kalodyne.desktop.levels;

import java.util.Comparator;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.units.Print;

/** Which stages make the noise in the track: the three that make most of it. */
final class NoiseShares extends GridPane {
    private static final int MOST = 3;
    private static final double WIDEST_EM = 4;

    NoiseShares() {
        setHgap(6);
        setVgap(3);
        setId("noise-shares");
    }

    void show(LevelPlan plan) {
        getChildren().clear();
        Label title = new Label("Noise in the track");
        title.getStyleClass().add("section");
        add(title, 0, 0, 3, 1);
        List<StageLevel> noisiest = plan.stages().stream()
                .filter(stage -> !stage.stage().noise().isSilence())
                .sorted(Comparator.comparingDouble(StageLevel::noiseShare).reversed())
                .limit(MOST)
                .toList();
        for (int row = 0; row < noisiest.size(); row++) {
            StageLevel stage = noisiest.get(row);
            Label name = new Label(stage.stage().label());
            name.getStyleClass().addAll("small", "second");
            name.setMinWidth(0);
            Region bar = new Region();
            bar.getStyleClass().add("noise-bar");
            double width = Math.max(1, stage.noiseShare() * WIDEST_EM * 14);
            bar.setMinWidth(width);
            bar.setPrefWidth(width);
            bar.setMaxWidth(width);
            double percent = 100 * stage.noiseShare();
            Label share = new Label(Print.decimal(percent, percent < 10 ? 1 : 0) + " %");
            share.getStyleClass().add("small");
            share.setMinWidth(Region.USE_PREF_SIZE);
            addRow(row + 1, name, bar, share);
        }
    }
}
