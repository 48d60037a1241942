package kalodyne.desktop.levels;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
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

    private final List<Row> rows = new ArrayList<>();

    NoiseShares() {
        setHgap(6);
        setVgap(2);
        setId("noise-shares");
        ColumnConstraints name = new ColumnConstraints();
        name.setHgrow(Priority.ALWAYS);
        getColumnConstraints().add(name);
    }

    /** A stage and what it makes; kept while others are shown in it: a knob that is turned changes little else. */
    private record Row(Label name, Region bar, Label share) {
        static Row empty() {
            Label name = Styled.of(new Label()).as("small", "second").node();
            name.setMinWidth(0);
            Region bar = Styled.of(new Region()).as("noise-bar").node();
            bar.setMinWidth(USE_PREF_SIZE);
            bar.setMaxWidth(USE_PREF_SIZE);
            return new Row(name, bar, Styled.of(new Label()).as("small").whole().node());
        }

        void show(Made made) {
            double percent = 100 * made.share();
            name.setText(made.words());
            bar.setPrefWidth(
                    Math.max(1, made.share() * WIDEST_EM * share.getFont().getSize()));
            share.setText(Print.decimal(percent, percent < 10 ? 1 : 0) + " %");
        }
    }

    private record Made(String words, double share) {}

    void show(LevelPlan plan) {
        List<Made> all = plan.stages().stream()
                .filter(stage -> stage.noiseShare() >= LEAST)
                .sorted(Comparator.comparingDouble(StageLevel::noiseShare).reversed())
                .limit(MOST)
                .map(stage -> new Made(name(plan, stage), stage.noiseShare()))
                .collect(Collectors.toCollection(ArrayList::new));
        if (plan.noiseOfOthers() >= LEAST) {
            all.add(new Made("other runs that meet this one", plan.noiseOfOthers()));
        }
        while (rows.size() < all.size()) {
            Row row = Row.empty();
            rows.add(row);
            addRow(rows.size() - 1, row.name(), row.bar(), row.share());
        }
        for (int i = 0; i < rows.size(); i++) {
            boolean isUsed = i < all.size();
            Row row = rows.get(i);
            List.of(row.name(), row.bar(), row.share())
                    .forEach(node -> Styled.of(node).shown(isUsed));
            if (isUsed) {
                row.show(all.get(i));
            }
        }
    }

    private static String name(LevelPlan plan, StageLevel stage) {
        String station = plan.station(stage).name();
        String label = stage.stage().label();
        return station.equals(label) ? label : station + ", " + label;
    }
}
