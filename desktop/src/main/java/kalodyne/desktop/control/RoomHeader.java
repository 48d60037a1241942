package kalodyne.desktop.control;

import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;

/**
 * The head of a room: its sentence, which is never cut short, and its tools. They share a line where there is room for
 * both; else the tools go beneath.
 */
public final class RoomHeader extends Pane {
    private static final double GAP = 14;

    private final Label sentence;
    private final HBox tools;

    public RoomHeader(Label sentence, Node... tools) {
        this.sentence = sentence;
        this.tools = new HBox(10, tools);
        this.tools.setAlignment(Pos.CENTER_LEFT);
        sentence.getStyleClass().add("room-sentence");
        sentence.setWrapText(true);
        getChildren().addAll(sentence, this.tools);
        setMinHeight(USE_PREF_SIZE);
    }

    private boolean shares(double width) {
        return sentence.prefWidth(-1) + GAP + tools.prefWidth(-1) <= width;
    }

    @Override
    protected double computePrefHeight(double width) {
        double available = width < 0 ? getWidth() : width;
        return shares(available)
                ? Math.max(sentence.prefHeight(-1), tools.prefHeight(-1))
                : sentence.prefHeight(available) + GAP / 2 + tools.prefHeight(-1);
    }

    @Override
    protected double computeMinWidth(double height) {
        return tools.prefWidth(-1);
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected void layoutChildren() {
        double toolsWidth = tools.prefWidth(-1);
        double toolsHeight = tools.prefHeight(-1);
        if (shares(getWidth())) {
            double height = sentence.prefHeight(-1);
            sentence.resizeRelocate(0, (getHeight() - height) / 2, sentence.prefWidth(-1), height);
            tools.resizeRelocate(getWidth() - toolsWidth, (getHeight() - toolsHeight) / 2, toolsWidth, toolsHeight);
        } else {
            double height = sentence.prefHeight(getWidth());
            sentence.resizeRelocate(0, 0, getWidth(), height);
            tools.resizeRelocate(0, height + GAP / 2, toolsWidth, toolsHeight);
        }
    }
}
