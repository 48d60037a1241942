package kalodyne.desktop.control;

import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Pane;

/**
 * The head of a room: its sentence, which is never cut short, and its tools. They share a line where there is room for
 * both; else the tools go beneath, in as many lines as they need.
 */
public final class RoomHeader extends Pane {
    private static final double GAP = 14;
    private static final double TOOL_GAP = 10;

    private final Label sentence;
    private final FlowPane tools;

    public RoomHeader(Label sentence, Node... tools) {
        this.sentence = sentence;
        this.tools = new FlowPane(TOOL_GAP, TOOL_GAP / 2, tools);
        this.tools.setAlignment(Pos.CENTER_LEFT);
        Styled.of(sentence).as("room-sentence").wrap();
        getChildren().addAll(sentence, this.tools);
        setMinHeight(USE_PREF_SIZE);
    }

    /** How wide the tools are in one line. */
    private double toolsWidth() {
        double width = -TOOL_GAP;
        for (Node tool : tools.getChildren()) {
            width += tool.isManaged() ? Math.ceil(tool.prefWidth(-1)) + TOOL_GAP : 0;
        }
        return Math.max(0, width + 1);
    }

    private boolean shares(double width) {
        return sentence.prefWidth(-1) + GAP + toolsWidth() <= width;
    }

    @Override
    protected double computePrefHeight(double width) {
        double available = width < 0 ? getWidth() : width;
        return shares(available)
                ? Math.max(sentence.prefHeight(-1), tools.prefHeight(toolsWidth()))
                : sentence.prefHeight(available) + GAP / 2 + tools.prefHeight(Math.min(available, toolsWidth()));
    }

    @Override
    protected double computePrefWidth(double height) {
        return Math.max(toolsWidth(), sentence.prefWidth(-1));
    }

    @Override
    protected double computeMinWidth(double height) {
        return tools.getChildren().stream()
                .filter(Node::isManaged)
                .mapToDouble(tool -> tool.prefWidth(-1))
                .max()
                .orElse(0);
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected void layoutChildren() {
        double toolsWidth = Math.min(getWidth(), toolsWidth());
        double toolsHeight = tools.prefHeight(toolsWidth);
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
