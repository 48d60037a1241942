package kalodyne.desktop.hookup;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.joint.JointMap;
import kalodyne.core.joint.JointReading.Direct;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.units.Computed;
import kalodyne.desktop.control.ContactWords;
import kalodyne.desktop.control.PaintedRegion;

/**
 * A joint contact by contact: which touches which, which wire leads where, and the direct volts where there are any. A socket or
 * plug is a box with a line for each contact.
 */
final class JointDrawing extends PaintedRegion {
    /** Less than this is nothing to look at. */
    private static final double NOTICEABLE_VOLTS = 0.3;

    private static final double NOTICEABLE_AMPERES = 0.1e-3;

    /** In the size of its text. */
    private static final double DEVICE_WIDTH = 12;

    private static final double LEAST_DEVICE_WIDTH = 9.5;
    private static final double END_WIDTH = 4.6;
    private static final double LEAST_GAP = 1.4;

    /** Of the usual size, so that it can still be read. */
    private static final double SMALLEST = 0.62;

    private Optional<Checked> joint = Optional.empty();

    JointDrawing() {
        setId("joint-drawing");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    }

    void show(Optional<Checked> shown) {
        joint = shown;
        setAccessibleText(shown.map(JointDrawing::words).orElse(""));
        repaint();
    }

    /** What the picture shows, for those who do not see it. */
    private static String words(Checked joint) {
        StringBuilder words = new StringBuilder();
        for (JointMap.Line line : JointMap.of(joint.patch(), joint.circuit()).lines()) {
            words.append(joint.patch().words(line.from()))
                    .append(' ')
                    .append(line.fromContact().word())
                    .append(line.isTouch() ? " touches " : " leads to ")
                    .append(joint.patch().words(line.to()))
                    .append(' ')
                    .append(line.toContact().word())
                    .append(". ");
        }
        return words.toString();
    }

    @Override
    protected void paint(GraphicsContext graphics, double width, double height) {
        paintCard(graphics, width, height);
        joint.ifPresent(each -> {
            JointMap map = JointMap.of(each.patch(), each.circuit());
            // What does not fit is drawn smaller, within reason.
            double scale = Math.max(SMALLEST, Math.min(1, width / wanted(each.patch(), map)));
            graphics.scale(scale, scale);
            new Painter(graphics, width / scale, height / scale, each, map).paint();
        });
    }

    private double wanted(Patch patch, JointMap map) {
        double boxes = map.columns().stream()
                .mapToDouble(column ->
                        column.stream().anyMatch(spot -> patch.socket(spot).isPresent())
                                ? LEAST_DEVICE_WIDTH
                                : END_WIDTH)
                .sum();
        return (boxes + LEAST_GAP * (map.columns().size() - 1) + 2) * em();
    }

    /** Where a box stands. */
    private record Box(double x, double y, double width) {}

    private final class Painter {
        private final GraphicsContext graphics;
        private final double width;
        private final double height;
        private final Checked joint;
        private final Patch patch;
        private final JointMap map;
        private final Map<Spot, Box> boxes = new HashMap<>();
        private final double row = 1.45 * em();

        Painter(GraphicsContext graphics, double width, double height, Checked joint, JointMap map) {
            this.graphics = graphics;
            this.width = width;
            this.height = height;
            this.joint = joint;
            this.patch = joint.patch();
            this.map = map;
        }

        void paint() {
            place();
            map.lines().forEach(this::line);
            boxes.forEach(this::box);
        }

        private void place() {
            int columns = map.columns().size();
            double margin = 0.8 * em();
            double wanted = 0;
            for (List<Spot> column : map.columns()) {
                wanted += columnWidth(column);
            }
            double room = width - 2 * margin;
            double gap = columns > 1 ? Math.max(LEAST_GAP * em(), (room - wanted) / (columns - 1)) : 0;
            gap = Math.min(gap, 6 * em());
            double shrink = Math.min(1, (room - gap * (columns - 1)) / wanted);
            double x = margin + Math.max(0, (room - shrink * wanted - gap * (columns - 1)) / 2);
            for (List<Spot> spots : map.columns()) {
                double columnWidth = shrink * columnWidth(spots);
                double total = spots.stream().mapToDouble(this::fullHeight).sum() + em() * (spots.size() - 1);
                double y = Math.max(0.4 * em(), (height - total) / 2);
                for (Spot spot : spots) {
                    boxes.put(spot, new Box(x, y + headHeight(spot), columnWidth));
                    y += fullHeight(spot) + em();
                }
                x += columnWidth + gap;
            }
        }

        private double columnWidth(List<Spot> spots) {
            return spots.stream().anyMatch(this::isDevice) ? DEVICE_WIDTH * em() : END_WIDTH * em();
        }

        private boolean isDevice(Spot spot) {
            return patch.socket(spot).isPresent();
        }

        /** The names above a box: of a device within it, of a lead's end above. */
        private double headHeight(Spot spot) {
            return isDevice(spot) ? 0 : 1.6 * em();
        }

        private double fullHeight(Spot spot) {
            return headHeight(spot) + boxHeight(spot);
        }

        private double boxHeight(Spot spot) {
            return top(spot) + row * connector(spot).contacts().size() + 0.25 * em();
        }

        private double top(Spot spot) {
            return (isDevice(spot) ? 2.9 : 0.35) * em();
        }

        private Connector connector(Spot spot) {
            return patch.socket(spot)
                    .map(socket -> socket.connector())
                    .orElseGet(() -> patch.end(spot).orElseThrow().connector());
        }

        private double contactY(Spot spot, Contact contact) {
            int line = connector(spot).contacts().indexOf(contact);
            return boxes.get(spot).y() + top(spot) + row * (line + 0.45);
        }

        private void line(JointMap.Line line) {
            Box from = boxes.get(line.from());
            Box to = boxes.get(line.to());
            boolean isForward = from.x() <= to.x();
            boolean isSameColumn = Math.abs(from.x() - to.x()) < 1;
            double fromX = isForward && !isSameColumn ? from.x() + from.width() : from.x();
            double toX = isForward || isSameColumn ? to.x() : to.x() + to.width();
            toX = isSameColumn ? fromX : toX;
            graphics.setStroke(color(line.isTouch() ? Ink.ACT : Ink.SECOND));
            graphics.setLineWidth(line.isTouch() ? 3 : 1.4);
            double fromY = contactY(line.from(), line.fromContact());
            double toY = contactY(line.to(), line.toContact());
            double bend = isSameColumn ? -1.5 * em() : (toX - fromX) / 2;
            graphics.beginPath();
            graphics.moveTo(fromX, fromY);
            graphics.bezierCurveTo(fromX + bend, fromY, isSameColumn ? toX + bend : toX - bend, toY, toX, toY);
            graphics.stroke();
            graphics.setLineWidth(1);
        }

        private void box(Spot spot, Box box) {
            double boxHeight = boxHeight(spot);
            boolean isDevice = patch.socket(spot).isPresent();
            Optional<Severity> worst = Finding.worst(joint.findings().stream()
                    .filter(finding -> finding.place().equals(new Place.Plugged(spot.item(), spot.part())))
                    .toList());
            graphics.setFill(color(isDevice ? Ink.SUNK : Ink.CARD));
            graphics.fillRoundRect(box.x(), box.y(), box.width(), boxHeight, 10, 10);
            graphics.setStroke(color(worst.isPresent() ? Ink.WRONG : Ink.RULE));
            graphics.setLineWidth(worst.isPresent() ? 2 : 1);
            graphics.strokeRoundRect(box.x(), box.y(), box.width(), boxHeight, 10, 10);
            graphics.setLineWidth(1);
            if (isDevice) {
                text(title(spot), box, 0.85, true, TextAlignment.LEFT, Ink.TEXT);
                text(detail(spot), box, 2.0, false, TextAlignment.LEFT, Ink.SECOND);
            } else {
                around(spot, box);
            }
            for (Contact contact : connector(spot).contacts()) {
                contact(spot, box, contact);
            }
        }

        /** A lead is named above its first end; what each end is stands beneath it. */
        private void around(Spot spot, Box box) {
            boolean isFirst = map.columns().stream()
                    .flatMap(List::stream)
                    .filter(other -> other.item().equals(spot.item()))
                    .findFirst()
                    .filter(spot::equals)
                    .isPresent();
            if (isFirst) {
                Box wide = new Box(box.x() - 0.6 * em(), box.y(), box.width() + 7 * em());
                text(title(spot), wide, -0.8, true, TextAlignment.LEFT, Ink.TEXT);
            }
            below(patch.end(spot).orElseThrow().connector().word(), spot, box);
        }

        /** A line for each word, or for a measure with its unit. */
        private void below(String words, Spot spot, Box box) {
            double line = boxHeight(spot) / em() + 0.8;
            for (String each : words.replace(" mm", "\u00a0mm").split(" ", -1)) {
                text(
                        each,
                        new Box(box.x() - 0.6 * em(), box.y(), box.width() + 2 * em()),
                        line,
                        false,
                        TextAlignment.LEFT,
                        Ink.SECOND);
                line += 1.1;
            }
        }

        private String title(Spot spot) {
            return patch.socket(spot).isPresent()
                    ? patch.devices().get(spot.item()).name()
                    : patch.leads().get(spot.item()).name();
        }

        private String detail(Spot spot) {
            return patch.socket(spot)
                    .map(socket -> socket.name())
                    .orElseGet(() -> patch.end(spot).orElseThrow().words());
        }

        private void contact(Spot spot, Box box, Contact contact) {
            double line = (contactY(spot, contact) - box.y()) / em();
            String carried = patch.socket(spot)
                    .map(socket -> socket.contacts().get(contact))
                    .filter(carries ->
                            carries != Carries.NOTHING && !carries.word().equals(contact.word()))
                    .map(carries -> " · " + carries.word())
                    .orElse("");
            Optional<Direct> direct = joint.reading()
                    .map(reading -> reading.atRest().get(spot))
                    .map(contacts -> contacts.get(contact))
                    .filter(at ->
                            Math.abs(at.volts()) > NOTICEABLE_VOLTS || Math.abs(at.amperes()) > NOTICEABLE_AMPERES);
            text(ContactWords.of(connector(spot), contact) + carried, box, line, false, TextAlignment.LEFT, Ink.TEXT);
            direct.ifPresent(at -> text(words(at), box, line, true, TextAlignment.RIGHT, Ink.ACT));
        }

        private static String words(Direct at) {
            Stream<String> volts =
                    Math.abs(at.volts()) > NOTICEABLE_VOLTS ? Stream.of(Computed.voltage(at.volts())) : Stream.empty();
            Stream<String> amperes = Math.abs(at.amperes()) > NOTICEABLE_AMPERES
                    ? Stream.of(Computed.current(Math.abs(at.amperes())))
                    : Stream.empty();
            return Stream.concat(volts, amperes).collect(Collectors.joining(", "));
        }

        private void text(String words, Box box, double line, boolean isStrong, TextAlignment alignment, Ink ink) {
            double inset = 0.6 * em();
            graphics.setFont(isStrong ? strongFont() : labelFont());
            graphics.setFill(color(ink));
            graphics.setTextAlign(alignment);
            graphics.setTextBaseline(VPos.CENTER);
            graphics.fillText(
                    fitting(words, graphics.getFont(), box.width() - 2 * inset),
                    alignment == TextAlignment.LEFT ? box.x() + inset : box.x() + box.width() - inset,
                    box.y() + line * em());
        }
    }
}
