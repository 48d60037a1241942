package kalodyne.desktop.hookup;

import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Group;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Polyline;
import kalodyne.core.gear.LeadColour;
import kalodyne.core.rigmap.MapLayout;
import kalodyne.core.rigmap.RigMap;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;

/**
 * A lead on the map: a line in its own colour between two edges in ink, as thick as the signal is loud; data dotted, power
 * dashed. The words on it tell which lead it is, its mark the worst that was noticed.
 */
final class MapLine extends Group {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    /** So that a hand finds it. */
    private static final double REACH = 16;

    private static final double THINNEST = 1.6;
    private static final double THICKEST = 6;

    /** Softer signals are drawn no thinner, louder ones no thicker. */
    private static final double SOFTEST_DBU = -60;

    private static final double LOUDEST_DBU = 20;

    private final MapLayout.Line placed;

    MapLine(MapLayout.Line placed) {
        this.placed = placed;
        RigMap.Line line = placed.line();
        double width = width(line);
        Polyline reach = polyline("map-reach", REACH);
        reach.setStroke(Color.TRANSPARENT);
        Polyline edge = polyline("map-edge", width + 2);
        Polyline core = polyline("map-core", width);
        LeadColour.of(line.row().colour()).ifPresent(colour -> core.setStyle("-fx-stroke: " + colour.hex()));
        core.getStyleClass().add(line.kind().word());
        getChildren().addAll(reach, edge, core, words());
        getStyleClass().add("map-line");
        setId("map-line-" + line.row().number());
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.BUTTON);
        setAccessibleText(line.words());
        Tooltip.install(this, new Tooltip(line.words()));
    }

    RigMap.Line line() {
        return placed.line();
    }

    MapLayout.Line placed() {
        return placed;
    }

    void choose(boolean isChosen) {
        pseudoClassStateChanged(CHOSEN, isChosen);
    }

    private Polyline polyline(String style, double width) {
        Polyline polyline = new Polyline();
        placed.corners().forEach(corner -> polyline.getPoints().addAll(corner.x(), corner.y()));
        polyline.setStrokeWidth(width);
        polyline.getStyleClass().add(style);
        return polyline;
    }

    private HBox words() {
        SeverityMark mark = new SeverityMark();
        mark.show(placed.line().worst());
        Label label = Styled.of(new Label(placed.words())).as("map-words").node();
        HBox box = Styled.of(new HBox(4, mark, label)).as("map-label").node();
        box.setPrefSize(placed.width(), placed.height());
        box.relocate(placed.at().x(), placed.at().y());
        return box;
    }

    private static double width(RigMap.Line line) {
        return line.peak()
                .map(peak -> (peak.dbu() - SOFTEST_DBU) / (LOUDEST_DBU - SOFTEST_DBU))
                .map(share -> THINNEST + Math.max(0, Math.min(1, share)) * (THICKEST - THINNEST))
                .orElse(THINNEST);
    }
}
