package kalodyne.core.paper;

import kalodyne.core.gear.Coded;

/** Common sheets of labels, by what is printed on their boxes; sizes in millimetres. */
public enum LabelSheet implements Coded {
    A4_24("A4, 24 labels of 70 × 37 mm", PaperSize.A4, 3, 8, 70, 37, 0, 0.5f),
    A4_21("A4, 21 labels of 63.5 × 38.1 mm", PaperSize.A4, 3, 7, 63.5f, 38.1f, 7.2f, 15.15f),
    LETTER_30("Letter, 30 labels of 66.7 × 25.4 mm", PaperSize.LETTER, 3, 10, 66.7f, 25.4f, 4.8f, 12.7f);

    private static final float POINTS_OF_MILLIMETRE = 72 / 25.4f;

    private final String word;
    private final PaperSize size;
    private final int columns;
    private final int rows;
    private final float width;
    private final float height;
    private final float left;
    private final float top;

    LabelSheet(String word, PaperSize size, int columns, int rows, float width, float height, float left, float top) {
        this.word = word;
        this.size = size;
        this.columns = columns;
        this.rows = rows;
        this.width = width * POINTS_OF_MILLIMETRE;
        this.height = height * POINTS_OF_MILLIMETRE;
        this.left = left * POINTS_OF_MILLIMETRE;
        this.top = top * POINTS_OF_MILLIMETRE;
    }

    @Override
    public String word() {
        return word;
    }

    PaperSize size() {
        return size;
    }

    int count() {
        return columns * rows;
    }

    float width() {
        return width;
    }

    float height() {
        return height;
    }

    /** The left edge of a label of a sheet, in points; what lies between the columns is shared out evenly. */
    float x(int index) {
        float pitch = columns == 1 ? 0 : (size.width() - 2 * left - width) / (columns - 1);
        return left + index % columns * pitch;
    }

    /** The upper edge of a label, in points from the foot of the sheet. */
    float y(int index) {
        return size.height() - top - index / columns % rows * height;
    }
}
