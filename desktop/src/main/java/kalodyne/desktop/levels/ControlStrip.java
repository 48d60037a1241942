package kalodyne.desktop.levels;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.Setting;
import kalodyne.desktop.model.StudioModel;

/** The controls of the run, each under the column of the corridor that it acts in. */
final class ControlStrip extends Pane {
    private final Corridor corridor;
    private final StudioModel studio;
    private final Map<String, ControlPanel> panels = new LinkedHashMap<>();
    private List<String> order = List.of();

    ControlStrip(Corridor corridor, StudioModel studio) {
        this.corridor = corridor;
        this.studio = studio;
        setMinHeight(Region.USE_PREF_SIZE);
        corridor.widthProperty().addListener(change -> requestLayout());
    }

    void show(RunLevels run) {
        List<Setting> settings = run.advice().settings();
        List<String> names = settings.stream().map(Setting::name).toList();
        for (Setting setting : settings) {
            panels.computeIfAbsent(setting.name(), name -> new ControlPanel(name, studio))
                    .show(setting);
        }
        if (!names.equals(order)) {
            order = names;
            // In the order of the signal, so that Tab goes along it.
            getChildren().setAll(names.stream().map(panels::get).toList());
            panels.keySet().retainAll(names);
        }
        requestLayout();
    }

    @Override
    protected double computePrefHeight(double width) {
        return panels.values().stream()
                .mapToDouble(panel -> panel.prefHeight(-1))
                .max()
                .orElse(0);
    }

    @Override
    protected void layoutChildren() {
        if (corridor.plan() == null) {
            return;
        }
        corridor.measure(corridor.getWidth(), corridor.getHeight());
        double free = 0;
        for (String name : order) {
            ControlPanel panel = panels.get(name);
            int stage = stage(corridor.plan(), name);
            double width = Math.max(panel.prefWidth(-1), corridor.columns().width(stage));
            double x = Math.max(free, corridor.centre(stage) - width / 2);
            panel.resizeRelocate(x, 0, width, panel.prefHeight(width));
            free = x + width;
        }
    }

    /** The first stage that a control acts in. */
    private static int stage(LevelPlan plan, String knob) {
        return IntStream.range(0, plan.stages().size())
                .filter(i -> {
                    var acting = plan.stages().get(i).stage().knob();
                    return acting.isPresent()
                            && plan.flow().knobs().get(acting.getAsInt()).id().equals(knob);
                })
                .findFirst()
                .orElse(0);
    }
}
