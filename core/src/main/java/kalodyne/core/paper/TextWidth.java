package kalodyne.core.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import kalodyne.core.rigmap.Letters;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** How wide a text is in the shipped typeface. */
public final class TextWidth {
    private final TrueTypeFont font;
    private final CmapLookup glyphs;
    private final int unitsPerEm;

    private TextWidth(TrueTypeFont font) throws IOException {
        this.font = font;
        glyphs = font.getUnicodeCmapLookup();
        unitsPerEm = font.getUnitsPerEm();
    }

    static TextWidth of(Pages.Weight weight) {
        try {
            return new TextWidth(new TTFParser().parse(new RandomAccessReadBuffer(weight.font())));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Both weights of it. */
    public static Letters letters() {
        TextWidth regular = of(Pages.Weight.REGULAR);
        TextWidth strong = of(Pages.Weight.STRONG);
        return (words, size, isStrong) -> (isStrong ? strong : regular).of(words, size);
    }

    /** In the unit of the size. */
    double of(String text, double size) {
        return size * text.codePoints().map(this::advance).sum() / unitsPerEm;
    }

    private int advance(int point) {
        try {
            return font.getAdvanceWidth(glyphs.getGlyphId(point));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
