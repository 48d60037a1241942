package kalodyne.desktop.takes;

import javafx.geometry.Orientation;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/** Two things beside each other, the second as wide as it wants; where there is too little room, one beneath the other. */
final class SideBySide extends Pane {
    private static final double GAP_EMS = 1.2;
    private static final double LEAST_FIRST_EMS = 20;
    private static final double FIRST_HEIGHT_EMS = 13;

    private final Region first;
    private final Region second;

    /** Not shown; knows the size of the text. */
    private final Label measure = new Label();

    SideBySide(Region first, Region second) {
        this.first = first;
        this.second = second;
        measure.setVisible(false);
        measure.setManaged(false);
        getChildren().addAll(first, second, measure);
        setMinHeight(USE_PREF_SIZE);
    }

    private double em() {
        return measure.getFont().getSize();
    }

    private boolean isBeside(double width) {
        return width >= (LEAST_FIRST_EMS + GAP_EMS) * em() + second.prefWidth(-1);
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected double computePrefHeight(double width) {
        double shown = width < 0 ? getWidth() : width;
        double least = FIRST_HEIGHT_EMS * em();
        return isBeside(shown)
                ? Math.max(least, second.prefHeight(-1))
                : least + GAP_EMS * em() + second.prefHeight(shown);
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double gap = snapSpaceX(GAP_EMS * em());
        if (isBeside(width)) {
            double wide = snapSizeX(second.prefWidth(-1));
            first.resizeRelocate(0, 0, width - wide - gap, getHeight());
            second.resizeRelocate(width - wide, 0, wide, getHeight());
        } else {
            double high = snapSizeY(FIRST_HEIGHT_EMS * em());
            first.resizeRelocate(0, 0, width, high);
            second.resizeRelocate(0, high + gap, width, second.prefHeight(width));
        }
    }
}
