package kalodyne.desktop.levels;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.gain.Turn;
import kalodyne.desktop.model.StudioModel;

/** The controls of the run, each under the column of the corridor that it acts in. */
final class ControlStrip extends Pane {
    private final Corridor corridor;
    private final StudioModel studio;
    private final Map<Spot, ControlPanel> panels = new LinkedHashMap<>();
    private List<Spot> order = List.of();

    ControlStrip(Corridor corridor, StudioModel studio) {
        this.corridor = corridor;
        this.studio = studio;
        setMinHeight(Region.USE_PREF_SIZE);
        corridor.widthProperty().addListener(change -> requestLayout());
    }

    void show(RunLevels run) {
        List<Turn> turns = run.advice().turns();
        List<Spot> controls = turns.stream().map(Turn::id).toList();
        for (Turn turn : turns) {
            panels.computeIfAbsent(turn.id(), control -> new ControlPanel(control, studio))
                    .show(turn);
        }
        if (!controls.equals(order)) {
            order = controls;
            // In the order of the signal, so that Tab goes along it.
            getChildren().setAll(controls.stream().map(panels::get).toList());
            panels.keySet().retainAll(controls);
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
        for (Spot control : order) {
            ControlPanel panel = panels.get(control);
            int stage = stage(corridor.plan(), control);
            double width = Math.max(panel.prefWidth(-1), corridor.columns().width(stage));
            double x = Math.max(free, corridor.centre(stage) - width / 2);
            panel.resizeRelocate(x, 0, width, panel.prefHeight(width));
            free = x + width;
        }
    }

    /** The first stage that a control acts in. */
    private static int stage(LevelPlan plan, Spot knob) {
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
