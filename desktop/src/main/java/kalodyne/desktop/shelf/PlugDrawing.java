package kalodyne.desktop.shelf;

import java.util.Map;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.shelf.PlugFace;
import kalodyne.core.gear.shelf.PlugShape;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.ContactWords;
import kalodyne.desktop.control.PaintedRegion;

/**
 * A connector drawn to scale, to be compared with the one in the hand: jacks from the side with their bands, others from
 * the front. Each contact is named, with what it carries where that is known.
 */
final class PlugDrawing extends PaintedRegion {
    private static final double TIP_SHARE = 0.45;
    private static final double SMALLEST_SCALE = 2;

    private Optional<Connector> connector = Optional.empty();
    private Form form = Form.PLUG;
    private Map<Contact, String> carries = Map.of();

    PlugDrawing() {
        setId("plug-drawing");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    }

    /**
     * Shows a connector.
     *
     * @param carried what its contacts carry or where they lead, in a word or two; empty where that is not known
     */
    void show(Connector shown, Form itsForm, Map<Contact, String> carried) {
        connector = Optional.of(shown);
        form = itsForm;
        carries = carried;
        setAccessibleText(shown.word() + " " + itsForm.word());
        repaint();
    }

    @Override
    protected void paint(GraphicsContext graphics, double width, double height) {
        paintCard(graphics, width, height);
        connector.ifPresent(each -> {
            if (each.isJack()) {
                new Side(graphics, width, height, PlugShape.of(each)).paint();
            } else {
                PlugFace.of(each)
                        .ifPresentOrElse(
                                face -> new Front(graphics, width, height, face).paint(),
                                () -> caption(graphics, each.word(), width / 2, height / 2));
            }
        });
    }

    private void caption(GraphicsContext graphics, String text, double x, double y) {
        graphics.setFont(labelFont());
        graphics.setFill(color(Ink.SECOND));
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.setTextBaseline(VPos.CENTER);
        graphics.fillText(text, x, y);
    }

    private static double wholeScale(double scale) {
        return scale < SMALLEST_SCALE ? scale : Math.floor(scale * 2) / 2;
    }

    /** How much larger than life, in millimetres of this screen as it says it is. */
    private String scaleWords(double pixelsPerMillimetre) {
        double onScreen = pixelsPerMillimetre / (96 / 25.4);
        return Print.plain(Math.round(onScreen * 10) / 10.0) + " × its size";
    }

    /** Where the labels of a drawing begin, above or below it. */
    private double line() {
        return 1.35 * em();
    }

    /** A jack from the side: body at the left, tip at the right. */
    private final class Side {
        private final GraphicsContext graphics;
        private final double width;
        private final double height;
        private final PlugShape shape;
        private final double scale;
        private final double tipX;
        private final double middle;

        Side(GraphicsContext graphics, double width, double height, PlugShape shape) {
            this.graphics = graphics;
            this.width = width;
            this.height = height;
            this.shape = shape;
            double body = 0.45 * shape.length();
            double room = width - 2.4 * em();
            scale = wholeScale(
                    Math.min(room / (shape.length() + body), (height - 6.4 * em()) / (shape.diameter() * 1.8)));
            tipX = (width + (shape.length() + body) * scale) / 2;
            middle = height / 2 - 0.2 * em();
        }

        void paint() {
            double radius = shape.diameter() * scale / 2;
            body(radius);
            for (PlugShape.Segment segment : shape.segments()) {
                paint(segment, radius);
            }
            graphics.setFont(labelFont());
            caption(
                    graphics,
                    (form == Form.PLUG ? "drawn " : "the plug that fits, ") + scaleWords(scale) + " · "
                            + Print.plain(shape.diameter()) + " mm thick · "
                            + shape.bands() + (shape.bands() == 1 ? " band" : " bands"),
                    width / 2,
                    height - 0.9 * em());
        }

        private void body(double radius) {
            double left = tipX - shape.length() * scale;
            double bodyWidth = 0.45 * shape.length() * scale;
            graphics.setFill(color(Ink.SUNK));
            graphics.setStroke(color(Ink.SECOND));
            graphics.fillRoundRect(left - bodyWidth, middle - 1.7 * radius, bodyWidth, 3.4 * radius, 8, 8);
            graphics.strokeRoundRect(left - bodyWidth, middle - 1.7 * radius, bodyWidth, 3.4 * radius, 8, 8);
        }

        private void paint(PlugShape.Segment segment, double radius) {
            double right = tipX - segment.from() * scale;
            double left = tipX - segment.to() * scale;
            boolean isTip = segment.from() == 0;
            graphics.setFill(color(segment.isBand() ? Ink.TEXT : Ink.SUNK));
            graphics.setStroke(color(Ink.SECOND));
            if (isTip) {
                tip(left, right, radius);
            } else {
                graphics.fillRect(left, middle - radius, right - left, 2 * radius);
                if (!segment.isBand()) {
                    graphics.strokeRect(left, middle - radius, right - left, 2 * radius);
                }
            }
            if (!segment.isBand()) {
                label(segment, (left + right) / 2, radius);
            }
        }

        private void tip(double left, double right, double radius) {
            double length = right - left;
            graphics.beginPath();
            graphics.moveTo(left, middle - radius);
            graphics.lineTo(left + TIP_SHARE * length, middle - radius);
            graphics.quadraticCurveTo(right - 0.12 * length, middle - 0.75 * radius, right, middle);
            graphics.quadraticCurveTo(
                    right - 0.12 * length, middle + 0.75 * radius, left + TIP_SHARE * length, middle + radius);
            graphics.lineTo(left, middle + radius);
            graphics.closePath();
            graphics.fill();
            graphics.stroke();
        }

        /** Names stand above and below in turn, so that those of narrow rings do not touch. */
        private void label(PlugShape.Segment segment, double x, double radius) {
            int index = connector.orElseThrow().contacts().indexOf(segment.contact());
            boolean isAbove = index % 2 == 0;
            double edge = middle + (isAbove ? -radius : radius);
            double end = edge + (isAbove ? -0.6 : 0.6) * em();
            graphics.setStroke(color(Ink.SECOND));
            graphics.strokeLine(x, edge, x, end);
            double first = isAbove ? end - 1.9 * em() : end + 0.7 * em();
            graphics.setTextAlign(TextAlignment.CENTER);
            graphics.setTextBaseline(VPos.CENTER);
            graphics.setFill(color(Ink.TEXT));
            graphics.setFont(strongFont());
            graphics.fillText(ContactWords.of(connector.orElseThrow(), segment.contact()), x, first);
            graphics.setFont(labelFont());
            graphics.setFill(color(Ink.SECOND));
            graphics.fillText(words(segment.contact()), x, first + line() * 0.95);
        }
    }

    private String words(Contact contact) {
        return carries.getOrDefault(contact, "");
    }

    /** A connector from the front. */
    private final class Front {
        private final GraphicsContext graphics;
        private final double width;
        private final double height;
        private final PlugFace face;
        private final double scale;

        Front(GraphicsContext graphics, double width, double height, PlugFace face) {
            this.graphics = graphics;
            this.width = width;
            this.height = height;
            this.face = face;
            scale = wholeScale(Math.min((height - 4.2 * em()) / face.height(), (width - 15 * em()) / face.width()));
        }

        void paint() {
            double left = width / 2 - face.width() * scale / 2;
            double middle = (height - 1.6 * em()) / 2;
            double top = middle - face.height() * scale / 2;
            double corner = 2 * face.corner() * scale;
            graphics.setFill(color(Ink.SUNK));
            graphics.setStroke(color(Ink.SECOND));
            graphics.fillRoundRect(left, top, face.width() * scale, face.height() * scale, corner, corner);
            graphics.strokeRoundRect(left, top, face.width() * scale, face.height() * scale, corner, corner);
            face.pins().forEach(pin -> paint(pin, middle));
            caption(
                    graphics,
                    (form == Form.PLUG ? "seen from the front, " : "the socket from the front, ") + scaleWords(scale)
                            + " · " + Print.plain(face.width()) + " mm wide",
                    width / 2,
                    height - 0.9 * em());
        }

        private void paint(PlugFace.Pin pin, double middle) {
            // The pins of a plug are the mirror image of the holes.
            double side = form == Form.PLUG ? -1 : 1;
            double x = width / 2 + side * pin.x() * scale;
            double y = middle + pin.y() * scale;
            double w = pin.width() * scale;
            double h = pin.height() * scale;
            graphics.setFill(color(form == Form.PLUG ? Ink.CARD : Ink.TEXT));
            graphics.setStroke(color(Ink.TEXT));
            double round = pin.isRound() ? w : 2;
            graphics.fillRoundRect(x - w / 2, y - h / 2, w, h, round, round);
            graphics.strokeRoundRect(x - w / 2, y - h / 2, w, h, round, round);
            pin.contact().filter(each -> face.pins().size() > 1).ifPresent(contact -> {
                boolean isLeft = x < width / 2 - 1;
                boolean isMiddle = Math.abs(x - width / 2) <= 1;
                double edge = face.width() * scale / 2 + 0.8 * em();
                double labelX = isLeft ? width / 2 - edge : width / 2 + edge;
                graphics.setTextBaseline(VPos.CENTER);
                graphics.setFill(color(Ink.TEXT));
                graphics.setFont(strongFont());
                graphics.setTextAlign(isLeft ? TextAlignment.RIGHT : TextAlignment.LEFT);
                String text = contact.word() + (words(contact).isEmpty() ? "" : "  " + words(contact));
                graphics.fillText(text, labelX, isMiddle ? y + h / 2 : y);
            });
        }
    }
}
