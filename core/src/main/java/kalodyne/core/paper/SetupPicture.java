package kalodyne.core.paper;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import kalodyne.core.rigmap.Letters;
import kalodyne.core.rigmap.MapLayout;
import kalodyne.core.rigmap.MapLayout.Box;
import kalodyne.core.rigmap.MapLayout.Corner;
import kalodyne.core.rigmap.MapLayout.Line;
import kalodyne.core.rigmap.MapLayout.Placed;
import kalodyne.core.rigmap.RigMap;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.units.Print;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TTFSubsetter;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** What is plugged into what as one drawing (SVG 1.1, W3C Recommendation), with its typeface inside. */
public final class SetupPicture {
    private static final String INK = "#18221D";
    private static final String SECOND = "#4F5C55";
    private static final String PAPER = "#FFFFFF";
    private static final String CAUTION = "#A30F2D";
    private static final double TITLE_ROOM = 64;
    private static final double CAUTION_ROOM = 18;
    private static final double MARGIN = 24;
    private static final double TITLE_SIZE = 20;
    private static final double TEXT_SIZE = 12;
    private static final double LEAST_WIDTH = 480;

    /** Programs that do not take the typeface from the drawing put a wider one in its place. */
    private static final double SLACK = 1.15;

    private final XMLStreamWriter xml;

    private SetupPicture(XMLStreamWriter xml) {
        this.xml = xml;
    }

    /** The drawing as a text in UTF-8. */
    public static String of(RigMap map, String studio, String setup) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newInstance().createXMLStreamWriter(text);
            new SetupPicture(xml).write(map, studio, setup);
            xml.close();
        } catch (XMLStreamException e) {
            // Nothing is written anywhere but into memory.
            throw new IllegalStateException(e);
        }
        return text + "\n";
    }

    private void write(RigMap map, String studio, String setup) throws XMLStreamException {
        Placed placed = new MapLayout(letters(), SetupPicture::words).place(map);
        List<PatchList.Row> rows = map.lines().stream().map(RigMap.Line::row).toList();
        List<PatchList.Row> noticed =
                rows.stream().filter(row -> row.caution().isPresent()).toList();
        double width = Math.max(LEAST_WIDTH, placed.width());
        double height = TITLE_ROOM + placed.height() + (noticed.isEmpty() ? 0 : noticed.size() * CAUTION_ROOM + MARGIN);
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement("svg");
        xml.writeDefaultNamespace("http://www.w3.org/2000/svg");
        xml.writeAttribute("width", number(width));
        xml.writeAttribute("height", number(height));
        xml.writeAttribute("viewBox", "0 0 " + number(width) + " " + number(height));
        xml.writeStartElement("title");
        xml.writeCharacters(studio + ", " + setup);
        xml.writeEndElement();
        style();
        empty("rect", "width", number(width), "height", number(height), "fill", PAPER);
        text(setup, "title", MARGIN, MARGIN + TITLE_SIZE, "start");
        text(
                studio + " · " + Print.counted(rows.size(), "lead") + " plugged",
                "second",
                MARGIN,
                MARGIN + TITLE_SIZE + 20,
                "start");
        xml.writeStartElement("g");
        xml.writeAttribute("transform", "translate(0 " + number(TITLE_ROOM) + ")");
        for (Line line : placed.lines()) {
            line(line);
        }
        for (Box box : placed.boxes()) {
            box(box);
        }
        for (Line line : placed.lines()) {
            words(line);
        }
        xml.writeEndElement();
        double y = TITLE_ROOM + placed.height() + MARGIN / 2;
        for (PatchList.Row row : noticed) {
            text(row.number() + " " + row.caution().get().inOneLine(), "caution", MARGIN, y, "start");
            y += CAUTION_ROOM;
        }
        xml.writeEndElement();
        xml.writeEndDocument();
    }

    private static Letters letters() {
        Letters shipped = TextWidth.letters();
        return (words, size, isStrong) -> SLACK * shipped.width(words, size, isStrong);
    }

    /** "7 blue", and how bad the worst is that was noticed, as a word: a line has no room for more. */
    private static String words(RigMap.Line line) {
        PatchList.Row row = line.row();
        return row.number()
                + (row.colour().isEmpty() ? "" : " " + row.colour())
                + row.caution().map(worst -> " · " + worst.severity().word()).orElse("");
    }

    private void style() throws XMLStreamException {
        xml.writeStartElement("style");
        xml.writeCharacters(font(Pages.Weight.REGULAR, 400) + font(Pages.Weight.STRONG, 600)
                + "text{font-family:'IBM Plex Sans',sans-serif;fill:" + INK + ";font-size:" + TEXT_SIZE + "px}"
                + ".title{font-size:" + TITLE_SIZE + "px;font-weight:600}.second{fill:" + SECOND + "}"
                + ".name{font-size:" + MapLayout.NAME_SIZE + "px;font-weight:600}"
                + ".socket{font-size:" + MapLayout.SOCKET_SIZE + "px}"
                + ".lead{font-size:" + MapLayout.LABEL_SIZE + "px}"
                + ".caution{fill:" + CAUTION + ";font-weight:600}");
        xml.writeEndElement();
    }

    private static String font(Pages.Weight weight, int number) {
        return "@font-face{font-family:'IBM Plex Sans';font-weight:" + number + ";src:url(data:font/ttf;base64,"
                + Base64.getEncoder().encodeToString(latin(weight)) + ") format('truetype')}";
    }

    /** What European names and units are written with, so that a picture stays small. */
    private static byte[] latin(Pages.Weight weight) {
        try {
            TTFSubsetter subset = new TTFSubsetter(new TTFParser().parse(new RandomAccessReadBuffer(weight.font())));
            subset.addAll(IntStream.concat(IntStream.range(' ', 0x250), " –—‘’“”…−×÷≈Ωμ←→↔".codePoints())
                    .boxed()
                    .collect(Collectors.toSet()));
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            subset.writeToStream(bytes);
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void box(Box box) throws XMLStreamException {
        empty(
                "rect",
                "x",
                number(box.x()),
                "y",
                number(box.y()),
                "width",
                number(box.width()),
                "height",
                number(box.height()),
                "rx",
                "5",
                "fill",
                PAPER,
                "stroke",
                INK);
        text(box.card().name(), "name", box.x() + box.width() / 2, box.y() + 20, "middle");
        for (MapLayout.Port port : box.ports()) {
            boolean isGiving = port.port().isGiving();
            double x = isGiving ? box.x() + box.width() : box.x();
            double y = box.y() + port.y();
            empty("circle", "cx", number(x), "cy", number(y), "r", "3.5", "fill", PAPER, "stroke", INK);
            text(port.port().name(), "socket", x + (isGiving ? -10 : 10), y + 4, isGiving ? "end" : "start");
        }
    }

    private void line(Line line) throws XMLStreamException {
        empty(
                "polyline",
                "points",
                line.corners().stream()
                        .map(corner -> number(corner.x()) + "," + number(corner.y()))
                        .collect(Collectors.joining(" ")),
                "fill",
                "none",
                "stroke",
                line.line().row().caution().isPresent() ? CAUTION : INK,
                "stroke-width",
                "1.5");
    }

    private void words(Line line) throws XMLStreamException {
        Corner at = line.at();
        empty(
                "rect",
                "x",
                number(at.x()),
                "y",
                number(at.y()),
                "width",
                number(line.width()),
                "height",
                number(line.height()),
                "fill",
                PAPER);
        text(
                line.words(),
                line.line().row().caution().isPresent() ? "lead caution" : "lead",
                at.x() + line.width() / 2,
                at.y() + MapLayout.LABEL_SIZE,
                "middle");
    }

    // --- elements ----------------------------------------------------------------------------------------------

    private void text(String words, String style, double x, double y, String anchor) throws XMLStreamException {
        xml.writeStartElement("text");
        xml.writeAttribute("class", style);
        xml.writeAttribute("x", number(x));
        xml.writeAttribute("y", number(y));
        xml.writeAttribute("text-anchor", anchor);
        xml.writeCharacters(words);
        xml.writeEndElement();
    }

    private void empty(String name, String... attributes) throws XMLStreamException {
        xml.writeEmptyElement(name);
        for (int i = 0; i < attributes.length; i += 2) {
            xml.writeAttribute(attributes[i], attributes[i + 1]);
        }
    }

    /** With a point and no more digits than a drawing needs. */
    private static String number(double value) {
        return String.valueOf(Math.round(10 * value) / 10.0);
    }
}
