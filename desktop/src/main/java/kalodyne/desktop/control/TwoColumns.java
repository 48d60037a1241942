package kalodyne.desktop.control;

import javafx.geometry.Orientation;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/** Two parts, each as high as it wants: in columns where there is room for both, else the second beneath. */
public final class TwoColumns extends Pane {
    /** All in the size of the text around. */
    private static final double GAP = 1.3;

    private static final double WIDEST_FIRST = 25;
    private static final double SHARE_OF_FIRST = 0.42;

    private final Region first;
    private final Region second;
    private final double least;
    private final Label measure = new Label();

    /**
     * A pair.
     *
     * @param least width of both beside each other
     */
    public TwoColumns(Region first, Region second, double least) {
        this.first = first;
        this.second = second;
        this.least = least;
        measure.setVisible(false);
        measure.setManaged(false);
        getChildren().addAll(first, second, measure);
    }

    private double em() {
        return measure.getFont().getSize();
    }

    private boolean isBeside(double width) {
        return width >= least * em();
    }

    private double firstWidth(double width) {
        return isBeside(width) ? snapSizeX(Math.min(WIDEST_FIRST * em(), SHARE_OF_FIRST * width)) : width;
    }

    private double secondWidth(double width) {
        return isBeside(width) ? width - firstWidth(width) - gap() : width;
    }

    private double gap() {
        return snapSpaceX(GAP * em());
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    @Override
    protected double computePrefHeight(double width) {
        double shown = width < 0 ? getWidth() : width;
        double one = first.prefHeight(firstWidth(shown));
        double other = second.prefHeight(secondWidth(shown));
        return isBeside(shown) ? Math.max(one, other) : one + gap() + other;
    }

    @Override
    protected double computeMinWidth(double height) {
        return Math.max(first.minWidth(-1), second.minWidth(-1));
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double one = first.prefHeight(firstWidth(width));
        first.resizeRelocate(0, 0, firstWidth(width), one);
        double other = second.prefHeight(secondWidth(width));
        if (isBeside(width)) {
            second.resizeRelocate(firstWidth(width) + gap(), 0, secondWidth(width), other);
        } else {
            second.resizeRelocate(0, one + gap(), width, other);
        }
    }
}
