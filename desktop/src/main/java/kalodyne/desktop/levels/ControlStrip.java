package kalodyne.desktop.levels;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import kalodyne.core.levels.Setting;
import kalodyne.core.run.Run;
import kalodyne.desktop.model.RunReading;

/** The controls of the run, each under the column of the corridor that it acts in; under the track, the noise. */
final class ControlStrip extends Pane {
    private static final double GAP = 12;

    private final Corridor corridor;
    private final PeakDrag.Turn turn;
    private final Map<String, ControlPanel> panels = new LinkedHashMap<>();
    private final NoiseShares noise = new NoiseShares();

    ControlStrip(Corridor corridor, PeakDrag.Turn turn) {
        this.corridor = corridor;
        this.turn = turn;
        getChildren().add(noise);
        setMinHeight(Region.USE_PREF_SIZE);
        corridor.widthProperty().addListener(change -> requestLayout());
    }

    void show(RunReading reading) {
        for (Setting setting : reading.advice().settings()) {
            panels.computeIfAbsent(setting.name(), this::newPanel).show(setting);
        }
        panels.forEach(
                (name, panel) -> panel.setVisible(reading.run().controls().containsKey(name)));
        noise.show(reading.plan());
        requestLayout();
    }

    private ControlPanel newPanel(String control) {
        ControlPanel panel = new ControlPanel(control, turn);
        // In the order of the signal, so that Tab goes along it.
        getChildren().add(control.equals(Run.VOLUME) ? 0 : getChildren().size() - 1, panel);
        return panel;
    }

    @Override
    protected double computePrefHeight(double width) {
        double highest = noise.prefHeight(-1);
        for (ControlPanel panel : panels.values()) {
            highest = Math.max(highest, panel.prefHeight(-1));
        }
        return highest;
    }

    @Override
    protected void layoutChildren() {
        if (corridor.plan() == null) {
            return;
        }
        corridor.measure(corridor.getWidth(), corridor.getHeight());
        int last = corridor.plan().stages().size() - 1;
        panels.forEach((name, panel) -> place(panel, name.equals(Run.VOLUME) ? 0 : last - 1));
        placeNoise(last);
    }

    /** Under the track where that is free, else between the controls; where neither is, the findings tell it. */
    private void placeNoise(int last) {
        double width = noise.prefWidth(-1);
        double right = getWidth() - width;
        ControlPanel gain = panels.get(Run.GAIN);
        double besideGain = gain.getLayoutX() + (gain.getWidth() + gain.prefWidth(-1)) / 2 + GAP;
        double between = corridor.centre(1) - corridor.columnWidth() / 2;
        double gainStart = gain.getLayoutX() + (gain.getWidth() - gain.prefWidth(-1)) / 2;
        double x = Math.min(right, corridor.centre(last) - width / 2);
        boolean fitsBeside = right >= besideGain;
        boolean fitsBetween = between + width + GAP <= gainStart;
        noise.setVisible(fitsBeside || fitsBetween);
        noise.resizeRelocate(fitsBeside ? Math.max(x, besideGain) : between, 0, width, noise.prefHeight(-1));
    }

    private void place(ControlPanel panel, int stage) {
        double width = Math.max(panel.prefWidth(-1), corridor.columnWidth());
        double x = Math.max(0, corridor.centre(stage) - width / 2);
        panel.resizeRelocate(x, 0, width, panel.prefHeight(width));
    }
}
