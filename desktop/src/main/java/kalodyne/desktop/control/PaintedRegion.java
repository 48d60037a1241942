package kalodyne.desktop.control;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import javafx.css.CssMetaData;
import javafx.css.SimpleStyleableObjectProperty;
import javafx.css.StyleConverter;
import javafx.css.Styleable;
import javafx.css.StyleableObjectProperty;
import javafx.css.StyleableProperty;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/**
 * A region that is painted on a canvas as large as itself, with the colours and the text size of the style sheets. It is
 * painted again, once a pulse at the most, when its size, a colour, the text size or what it shows changes.
 */
public abstract class PaintedRegion extends Region {
    /** The colours that can be painted with; each is a property in the style sheet. */
    @SuppressWarnings("ImmutableEnumChecker") // what a style sheet knows of a property never changes
    public enum Ink {
        CARD("-k-paint-card"),
        SUNK("-k-paint-sunk"),
        TEXT("-k-paint-ink"),
        SECOND("-k-paint-ink2"),
        RULE("-k-paint-rule"),
        ACT("-k-paint-act"),
        PEAK("-k-paint-peak"),
        AVERAGE("-k-paint-average"),
        FLOOR("-k-paint-floor"),
        WALL("-k-paint-wall"),
        BED("-k-paint-bed"),
        AIM("-k-paint-aim"),
        AIM_EDGE("-k-paint-aim-edge"),
        WRONG("-k-paint-wrong"),
        WEAK("-k-paint-weak");

        private final CssMetaData<PaintedRegion, Paint> meta;

        Ink(String property) {
            Ink self = this;
            meta = new CssMetaData<>(property, StyleConverter.getPaintConverter(), Color.GRAY) {
                @Override
                public boolean isSettable(PaintedRegion region) {
                    return true;
                }

                @Override
                public StyleableProperty<Paint> getStyleableProperty(PaintedRegion region) {
                    return region.paints.get(self);
                }
            };
        }
    }

    private static final CssMetaData<PaintedRegion, Font> FONT =
            new CssMetaData<>("-fx-font", StyleConverter.getFontConverter(), Font.getDefault(), true) {
                @Override
                public boolean isSettable(PaintedRegion region) {
                    return true;
                }

                @Override
                public StyleableProperty<Font> getStyleableProperty(PaintedRegion region) {
                    return region.font;
                }
            };

    private static final List<CssMetaData<? extends Styleable, ?>> META = metaData();

    /** For the screen's thread. */
    private static final Map<Place, String> FITTING = new HashMap<>();

    private static final int MOST_FITTING = 2000;

    private final Map<Ink, StyleableObjectProperty<Paint>> paints = new EnumMap<>(Ink.class);
    private final StyleableObjectProperty<Font> font =
            new SimpleStyleableObjectProperty<>(FONT, this, "font", Font.getDefault());
    private final Canvas canvas = new Canvas();
    private boolean isWhole;
    private Font labelFont;
    private Font strongFont;

    protected PaintedRegion() {
        getStyleClass().add("painted");
        for (Ink ink : Ink.values()) {
            var property = new SimpleStyleableObjectProperty<Paint>(ink.meta, this, ink.name(), Color.GRAY);
            property.addListener(change -> repaint());
            paints.put(ink, property);
        }
        font.addListener(change -> {
            labelFont = null;
            strongFont = null;
            repaint();
        });
        canvas.setManaged(false);
        getChildren().add(canvas);
    }

    private static List<CssMetaData<? extends Styleable, ?>> metaData() {
        List<CssMetaData<? extends Styleable, ?>> all = new ArrayList<>(Region.getClassCssMetaData());
        for (Ink ink : Ink.values()) {
            all.add(ink.meta);
        }
        all.add(FONT);
        return List.copyOf(all);
    }

    @Override
    public List<CssMetaData<? extends Styleable, ?>> getCssMetaData() {
        return META;
    }

    /** Asks to be painted again before the next frame is shown. */
    protected final void repaint() {
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        double width = Math.max(1, getWidth());
        double height = Math.max(1, getHeight());
        canvas.setWidth(width);
        canvas.setHeight(height);
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.clearRect(0, 0, width, height);
        graphics.save();
        paint(graphics, width, height);
        graphics.restore();
    }

    /** Does something while all of it is painted, as if nothing of it were out of sight: a picture is taken. */
    public final <T> T whole(Supplier<T> task) {
        isWhole = true;
        try {
            layoutChildren();
            return task.get();
        } finally {
            isWhole = false;
            repaint();
        }
    }

    /** Whether what is out of sight has to be painted as well. */
    protected final boolean isWhole() {
        return isWhole;
    }

    /** Paints everything. Called on a clear canvas. */
    protected abstract void paint(GraphicsContext graphics, double width, double height);

    /** An empty card with a thin edge. */
    protected final void paintCard(GraphicsContext graphics, double width, double height) {
        graphics.setFill(color(Ink.CARD));
        graphics.fillRect(0, 0, width, height);
        graphics.setStroke(color(Ink.RULE));
        graphics.strokeRect(0.5, 0.5, width - 1, height - 1);
    }

    protected final Color color(Ink ink) {
        return (Color) paints.get(ink).get();
    }

    /** The size of the text around, in pixels: the em of all sizes that are painted. */
    protected final double em() {
        return font.get().getSize();
    }

    /** The font of labels in a picture. */
    protected final Font labelFont() {
        if (labelFont == null) {
            labelFont = Font.font("IBM Plex Sans", 0.857 * em());
        }
        return labelFont;
    }

    /** The font of what matters in a picture. */
    protected final Font strongFont() {
        if (strongFont == null) {
            strongFont = Font.font("IBM Plex Sans SmBld", 0.857 * em());
        }
        return strongFont;
    }

    /** A text for a place. */
    private record Place(String text, Font font, double width) {}

    /** As much of a text as fits, with an ellipsis where it was cut. Measured once: a picture is painted many times a second. */
    protected static String fitting(String text, Font font, double width) {
        if (FITTING.size() > MOST_FITTING) {
            FITTING.clear();
        }
        return FITTING.computeIfAbsent(new Place(text, font, width), PaintedRegion::cut);
    }

    private static String cut(Place place) {
        String text = place.text();
        double width = place.width();
        Text measure = new Text(text);
        measure.setFont(place.font());
        String shown = text;
        while (measure.getLayoutBounds().getWidth() > width && shown.length() > 1) {
            shown = shown.substring(0, shown.length() - 1).strip();
            measure.setText(shown + "…");
        }
        return measure.getText();
    }
}
