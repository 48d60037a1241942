package kalodyne.desktop.start;

import java.util.Map;
import java.util.stream.Collectors;
import javafx.scene.layout.Region;
import javafx.scene.shape.SVGPath;
import kalodyne.core.files.Table;

/** A little line drawing of what people play or record with, forty units wide and high. */
final class Picture extends Region {
    private static final double UNITS = 40;

    private final SVGPath lines = new SVGPath();

    private static final class Shipped {
        static final Map<String, String> PATHS = Table.rows(Picture.class, "pictures.csv").stream()
                .collect(Collectors.toMap(row -> row.get("name"), row -> row.get("path")));
    }

    Picture(String name) {
        getStyleClass().add("picture");
        lines.getStyleClass().add("picture-lines");
        lines.setContent(Shipped.PATHS.getOrDefault(name, ""));
        getChildren().add(lines);
    }

    @Override
    protected void layoutChildren() {
        double scale = Math.min(getWidth(), getHeight()) / UNITS;
        lines.setScaleX(scale);
        lines.setScaleY(scale);
        // A shape is scaled about the middle of what is drawn.
        double middleX = lines.getLayoutBounds().getCenterX();
        double middleY = lines.getLayoutBounds().getCenterY();
        lines.setLayoutX(getWidth() / 2 - middleX);
        lines.setLayoutY(getHeight() / 2 - middleY);
    }
}
