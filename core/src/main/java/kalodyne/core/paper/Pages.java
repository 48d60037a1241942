package kalodyne.core.paper;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Pages that fill from the top; whoever writes asks for room first. The same content gives the same bytes. */
final class Pages implements Closeable {
    static final float MARGIN = 51;
    private static final float LINE = 1.3f;
    private static final float FOOT_SIZE = 8;
    private static final float HAIRLINE = 0.5f;

    /** How dark what is second is; 0 is black. Darker than on a screen: printers dither greys. */
    private static final float SECOND = 0.25f;

    private final PDDocument document = new PDDocument();
    private final PaperSize size;
    private final String foot;
    private final Map<Weight, PDType0Font> fonts = new HashMap<>();
    private final Map<Integer, Boolean> known = new HashMap<>();
    private final List<PDPage> pages = new ArrayList<>();
    private PDPageContentStream content;
    private float y;

    /** Of the one typeface. */
    enum Weight {
        REGULAR("fonts/IBMPlexSans-Regular.ttf"),
        STRONG("fonts/IBMPlexSans-SemiBold.ttf");

        private final String resource;

        Weight(String resource) {
            this.resource = resource;
        }

        /** The font as a TrueType file. */
        byte[] font() {
            try (InputStream in = Pages.class.getResourceAsStream(resource)) {
                return in.readAllBytes();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** How a text is set. */
    record Style(Weight weight, float size, boolean isSecond) {
        static final Style TITLE = new Style(Weight.STRONG, 17, false);
        static final Style HEAD = new Style(Weight.STRONG, 10, false);
        static final Style STEP = new Style(Weight.STRONG, 10.5f, false);
        static final Style TEXT = new Style(Weight.REGULAR, 9.5f, false);
        static final Style SMALL = new Style(Weight.REGULAR, 8.5f, true);

        float line() {
            return size * LINE;
        }
    }

    /** Of labels, which have no foot. */
    static Pages bare(PaperSize size, String title) throws IOException {
        return new Pages(size, title, "");
    }

    /**
     * Begins.
     *
     * @param title of the document
     * @param foot at the foot of each page, before its number; nothing stands there where it is empty
     */
    Pages(PaperSize size, String title, String foot) throws IOException {
        this.size = size;
        this.foot = foot;
        document.setDocumentId(1L);
        document.getDocumentInformation().setTitle(title);
        document.getDocumentInformation().setCreator("Kalodyne");
        for (Weight weight : Weight.values()) {
            fonts.put(weight, PDType0Font.load(document, new ByteArrayInputStream(weight.font()), true));
        }
        turn();
    }

    float left() {
        return MARGIN;
    }

    float right() {
        return size.width() - MARGIN;
    }

    float y() {
        return y;
    }

    void down(float points) {
        y -= points;
    }

    /** Turns the page where less is left than that. */
    void room(float points) throws IOException {
        if (y - points < MARGIN) {
            turn();
        }
    }

    /** Goes to a height, in points from the foot of the page. */
    void at(float height) {
        y = height;
    }

    /** Turns the page. */
    void turn() throws IOException {
        if (content != null) {
            content.close();
        }
        PDPage page = new PDPage(new PDRectangle(size.width(), size.height()));
        document.addPage(page);
        pages.add(page);
        content = new PDPageContentStream(document, page);
        y = size.height() - MARGIN;
    }

    // --- text --------------------------------------------------------------------------------------------------

    float width(String text, Style style) throws IOException {
        return fonts.get(style.weight()).getStringWidth(printable(text)) / 1000 * style.size();
    }

    /** A text in lines that are not wider than that. A word that is wider by itself is broken. */
    List<String> wrapped(String text, Style style, float width) throws IOException {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : text.split(" ", -1)) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (width(longer, style) <= width) {
                line = longer;
                continue;
            }
            if (!line.isEmpty()) {
                lines.add(line);
            }
            line = word;
            while (width(line, style) > width && line.length() > 1) {
                int fits = line.length() - 1;
                while (fits > 1 && width(line.substring(0, fits), style) > width) {
                    fits--;
                }
                lines.add(line.substring(0, fits));
                line = line.substring(fits);
            }
        }
        lines.add(line);
        return lines;
    }

    /** One line whose baseline lies so far below the present height. */
    void text(String text, Style style, float x, float below) throws IOException {
        content.beginText();
        content.setFont(fonts.get(style.weight()), style.size());
        content.setNonStrokingColor(style.isSecond() ? SECOND : 0);
        content.newLineAtOffset(x, y - below);
        content.showText(printable(text));
        content.endText();
    }

    /** Lines from the present height down, which comes to lie beneath them. */
    void paragraph(List<String> lines, Style style, float x) throws IOException {
        for (String line : lines) {
            text(line, style, x, style.size());
            down(style.line());
        }
    }

    /** What the typeface does not have is a question mark: a page is better than none. */
    private String printable(String text) {
        StringBuilder printable = new StringBuilder();
        text.codePoints()
                .forEach(point -> printable.appendCodePoint(known.computeIfAbsent(point, this::isThere) ? point : '?'));
        return printable.toString();
    }

    private boolean isThere(int point) {
        try {
            fonts.get(Weight.REGULAR).encode(new String(Character.toChars(point)));
            return true;
        } catch (IllegalArgumentException | IOException e) {
            return false;
        }
    }

    // --- lines -------------------------------------------------------------------------------------------------

    /** A line from margin to margin at the present height. */
    void rule() throws IOException {
        content.setLineWidth(HAIRLINE);
        content.moveTo(left(), y);
        content.lineTo(right(), y);
        content.stroke();
    }

    /** A box to tick. */
    void box(float x, float below, float side) throws IOException {
        content.setLineWidth(2 * HAIRLINE);
        content.addRect(x, y - below, side, side);
        content.stroke();
    }

    /** A circle whose middle lies so far below the present height. */
    void circle(float x, float below, float radius) throws IOException {
        // How far the control points of a quarter of a circle lie out, as a part of its radius.
        float out = radius * 0.5523f;
        float middle = y - below;
        content.setLineWidth(2 * HAIRLINE);
        content.moveTo(x + radius, middle);
        content.curveTo(x + radius, middle + out, x + out, middle + radius, x, middle + radius);
        content.curveTo(x - out, middle + radius, x - radius, middle + out, x - radius, middle);
        content.curveTo(x - radius, middle - out, x - out, middle - radius, x, middle - radius);
        content.curveTo(x + out, middle - radius, x + radius, middle - out, x + radius, middle);
        content.stroke();
    }

    /** A stroke between two points, each so far below the present height. */
    void stroke(float fromX, float fromBelow, float toX, float toBelow) throws IOException {
        content.setLineWidth(4 * HAIRLINE);
        content.moveTo(fromX, y - fromBelow);
        content.lineTo(toX, y - toBelow);
        content.stroke();
    }

    // --- end ---------------------------------------------------------------------------------------------------

    /** The finished document. */
    byte[] finished() throws IOException {
        content.close();
        Style small = new Style(Weight.REGULAR, FOOT_SIZE, true);
        for (int i = 0; i < pages.size() && !foot.isEmpty(); i++) {
            try (PDPageContentStream below =
                    new PDPageContentStream(document, pages.get(i), PDPageContentStream.AppendMode.APPEND, true)) {
                content = below;
                y = MARGIN;
                String number = (i + 1) + " of " + pages.size();
                text(foot, small, left(), 20);
                text(number, small, right() - width(number, small), 20);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        document.save(out);
        return out.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
