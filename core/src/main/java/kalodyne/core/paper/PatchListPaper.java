package kalodyne.core.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import kalodyne.core.paper.Pages.Style;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.units.Print;

/** What is plugged into what, as a table to hang on the wall. */
public final class PatchListPaper {
    private static final float GAP = 5;

    /** Parts of the width: number, lead, colour, from, to. */
    private static final float[] COLUMNS = {0.05f, 0.24f, 0.11f, 0.28f, 0.32f};

    private static final List<String> HEADS = List.of("", "Lead", "Colour", "From", "To");

    private final Pages pages;

    PatchListPaper(Pages pages) {
        this.pages = pages;
    }

    /** The list as a PDF document. */
    public static byte[] of(List<PatchList.Row> rows, String studio, String setup, PaperSize size) {
        String title = studio + ", " + setup;
        try (Pages pages = new Pages(size, title + ": patch list", title + ": patch list")) {
            new PatchListPaper(pages).write(rows, studio, setup);
            return pages.finished();
        } catch (IOException e) {
            // Nothing is written anywhere but into memory.
            throw new UncheckedIOException(e);
        }
    }

    private void write(List<PatchList.Row> rows, String studio, String setup) throws IOException {
        pages.paragraph(pages.wrapped(setup, Style.TITLE, pages.right() - pages.left()), Style.TITLE, pages.left());
        pages.paragraph(
                List.of(studio + " · " + Print.counted(rows.size(), "lead") + " plugged"), Style.TEXT, pages.left());
        pages.down(2 * GAP);
        table(rows);
    }

    /** All leads, from the present height down. */
    void table(List<PatchList.Row> rows) throws IOException {
        row(HEADS, Style.HEAD);
        for (PatchList.Row each : rows) {
            row(
                    List.of(
                            String.valueOf(each.number()),
                            (each.lead().isEmpty() ? "its own plug" : each.lead())
                                    + each.caution()
                                            .map(worst -> ". " + worst.inOneLine())
                                            .orElse(""),
                            each.colour(),
                            words(each.from()),
                            each.to().stream().map(PatchListPaper::words).collect(Collectors.joining("; "))),
                    Style.TEXT);
        }
    }

    private static String words(PatchList.End end) {
        return end.words() + (end.side().isEmpty() ? "" : " (" + end.side() + ")");
    }

    private void row(List<String> cells, Style style) throws IOException {
        float width = pages.right() - pages.left();
        List<List<String>> wrapped = new ArrayList<>();
        int most = 1;
        for (int i = 0; i < cells.size(); i++) {
            List<String> lines = pages.wrapped(cells.get(i), style, COLUMNS[i] * width - GAP);
            wrapped.add(lines);
            most = Math.max(most, lines.size());
        }
        pages.room(most * style.line() + 2 * GAP);
        pages.rule();
        pages.down(GAP);
        float x = pages.left();
        for (int i = 0; i < wrapped.size(); i++) {
            for (int line = 0; line < wrapped.get(i).size(); line++) {
                pages.text(wrapped.get(i).get(line), style, x, style.size() + line * style.line());
            }
            x += COLUMNS[i] * width;
        }
        pages.down(most * style.line() + GAP);
    }
}
