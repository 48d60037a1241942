package kalodyne.core.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import kalodyne.core.paper.Pages.Style;
import kalodyne.core.paper.Pages.Weight;
import kalodyne.core.runsheet.PatchList;

/** Labels for leads: one for each end, with its number, where it goes, where the other end goes, colour word, left or right. */
public final class LeadLabels {
    private static final Style NUMBER = new Style(Weight.STRONG, 22, false);
    private static final Style HERE = new Style(Weight.STRONG, 9.5f, false);
    private static final Style OTHER = new Style(Weight.REGULAR, 8, false);
    private static final float PAD = 11;
    private static final float WORDS_AT = 34;
    private static final int MOST_LINES = 2;

    private LeadLabels() {}

    /** Something to be written on one label. */
    private record Label(int number, String side, PatchList.End here, String there, String lead) {}

    /**
     * The labels as a PDF document.
     *
     * @param first of the sheet to begin with, from 0: what is left of a sheet that was begun can be used up
     */
    public static byte[] of(List<PatchList.Row> rows, LabelSheet sheet, int first) {
        try (Pages pages = Pages.bare(sheet.size(), "Lead labels")) {
            int place = Math.floorMod(first, sheet.count());
            boolean isFirst = true;
            for (Label label : labels(rows)) {
                if (place == 0 && !isFirst) {
                    pages.turn();
                }
                write(pages, sheet, label, place);
                place = (place + 1) % sheet.count();
                isFirst = false;
            }
            return pages.finished();
        } catch (IOException e) {
            // Nothing is written anywhere but into memory.
            throw new UncheckedIOException(e);
        }
    }

    private static List<Label> labels(List<PatchList.Row> rows) {
        List<Label> labels = new ArrayList<>();
        for (PatchList.Row row : rows) {
            if (!row.lead().isEmpty()) {
                for (PatchList.End end : row.ends()) {
                    String there = row.ends().stream()
                            .filter(other -> !other.equals(end))
                            .map(PatchList.End::words)
                            .reduce((one, other) -> one + "; " + other)
                            .orElse("");
                    labels.add(new Label(
                            row.number(),
                            row.side(),
                            end,
                            there,
                            row.lead() + (row.colour().isEmpty() ? "" : ", " + row.colour())));
                }
            }
        }
        return labels;
    }

    private static void write(Pages pages, LabelSheet sheet, Label label, int place) throws IOException {
        float x = sheet.x(place) + PAD;
        float top = sheet.y(place) - PAD / 2;
        pages.at(top);
        pages.text(String.valueOf(label.number()), NUMBER, x, NUMBER.size());
        String side = label.side();
        if (!side.isEmpty()) {
            pages.text(side, HERE, x, NUMBER.size() + HERE.line());
        }
        float width = sheet.width() - 2 * PAD - WORDS_AT;
        pages.at(top - 3);
        pages.paragraph(cut(pages, label.here().words(), HERE, width), HERE, x + WORDS_AT);
        pages.paragraph(cut(pages, "to " + label.there(), OTHER, width), OTHER, x + WORDS_AT);
        pages.paragraph(cut(pages, label.lead(), OTHER, width).subList(0, 1), OTHER, x + WORDS_AT);
    }

    /** As many lines as a label has room for. */
    private static List<String> cut(Pages pages, String words, Style style, float width) throws IOException {
        List<String> lines = pages.wrapped(words, style, width);
        if (lines.size() <= MOST_LINES) {
            return lines;
        }
        List<String> some = new ArrayList<>(lines.subList(0, MOST_LINES));
        some.set(MOST_LINES - 1, some.get(MOST_LINES - 1) + "…");
        return some;
    }
}
