package kalodyne.desktop.control;

import javafx.geometry.Orientation;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/**
 * A list and what it is a list of: beside each other where there is room for both, else the list above. All sizes are in the size
 * of the text around.
 */
public final class BesideOrBelow extends Pane {
    private static final double GAP = 1;

    private final Region list;
    private final Region detail;
    private final double listWidth;
    private final double listHeight;
    private final double detailWidth;

    /** Not shown; knows the size of the text. */
    private final Label measure = new Label();

    /**
     * A pair.
     *
     * @param listWidth of the list, where it stands beside
     * @param listHeight of the list, where it stands above
     * @param detailWidth the least of the detail beside a list
     */
    public BesideOrBelow(Region list, Region detail, double listWidth, double listHeight, double detailWidth) {
        this.list = list;
        this.detail = detail;
        this.listWidth = listWidth;
        this.listHeight = listHeight;
        this.detailWidth = detailWidth;
        measure.setVisible(false);
        measure.setManaged(false);
        getChildren().addAll(list, detail, measure);
    }

    private double em() {
        return measure.getFont().getSize();
    }

    private boolean isBeside(double width) {
        return width >= (listWidth + GAP + detailWidth) * em();
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected double computeMinHeight(double width) {
        double shown = width < 0 ? getWidth() : width;
        return isBeside(shown)
                ? detail.minHeight(detailWidth(shown))
                : (listHeight + GAP) * em() + detail.minHeight(shown);
    }

    @Override
    protected double computePrefHeight(double width) {
        double shown = width < 0 ? getWidth() : width;
        return isBeside(shown)
                ? detail.prefHeight(detailWidth(shown))
                : (listHeight + GAP) * em() + detail.prefHeight(shown);
    }

    private double detailWidth(double width) {
        return width - (listWidth + GAP) * em();
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double height = getHeight();
        double gap = snapSpaceX(GAP * em());
        if (isBeside(width)) {
            double left = snapSizeX(listWidth * em());
            list.resizeRelocate(0, 0, left, height);
            detail.resizeRelocate(left + gap, 0, width - left - gap, height);
        } else {
            double top = snapSizeY(listHeight * em());
            list.resizeRelocate(0, 0, width, top);
            detail.resizeRelocate(0, top + gap, width, height - top - gap);
        }
    }
}
