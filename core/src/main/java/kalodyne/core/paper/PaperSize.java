package kalodyne.core.paper;

import kalodyne.core.gear.Coded;

/** Sizes of paper, ISO 216 and ANSI Y14.1, in points. */
public enum PaperSize implements Coded {
    A4("A4", 595.28f, 841.89f),
    LETTER("Letter", 612, 792);

    private final String word;
    private final float width;
    private final float height;

    PaperSize(String word, float width, float height) {
        this.word = word;
        this.width = width;
        this.height = height;
    }

    @Override
    public String word() {
        return word;
    }

    float width() {
        return width;
    }

    float height() {
        return height;
    }
}
