package kalodyne.core.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Remedy;
import kalodyne.core.paper.Pages.Style;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.Section;
import kalodyne.core.runsheet.Step;
import kalodyne.core.units.Print;

/** A run sheet to tick with a pencil. */
public final class RunSheetPaper {
    private static final float NUMBER_AT = 20;
    private static final float WORDS_AT = 42;
    private static final float SIDE = 10;
    private static final float GAP = 7;

    private final Pages pages;

    private RunSheetPaper(Pages pages) {
        this.pages = pages;
    }

    /** The sheet as a PDF document. */
    public static byte[] of(RunSheet sheet, String studio, PaperSize size) {
        String title = studio + ", " + sheet.title();
        try (Pages pages = new Pages(size, title + ": run sheet", title + ". It advises; makers' manuals decide.")) {
            new RunSheetPaper(pages).write(sheet, studio);
            return pages.finished();
        } catch (IOException e) {
            // Nothing is written anywhere but into memory.
            throw new UncheckedIOException(e);
        }
    }

    private void write(RunSheet sheet, String studio) throws IOException {
        pages.paragraph(pages.wrapped(sheet.title(), Style.TITLE, width(0)), Style.TITLE, pages.left());
        int count = sheet.steps().size();
        String about = count == 0
                ? "Nothing is plugged in this setup, so there is nothing to do."
                : studio + " · " + sheet.summary() + " · date ____________";
        pages.paragraph(pages.wrapped(about, Style.TEXT, width(0)), Style.TEXT, pages.left());
        pages.down(GAP);
        for (Finding finding : sheet.findings()) {
            finding(finding);
        }
        for (RunSheet.Lasting lasting : sheet.lasting()) {
            String words = lasting.what() + ": " + lasting.words() + (lasting.isEnough() ? "" : ". Not enough.");
            paragraph(words, Style.SMALL, 0);
        }
        Section section = null;
        for (int i = 0; i < count; i++) {
            Step step = sheet.steps().get(i);
            boolean isFirst = step.section() != section;
            section = step.section();
            step(step, i + 1, isFirst);
        }
    }

    private float width(float indent) {
        return pages.right() - pages.left() - indent;
    }

    private void paragraph(String words, Style style, float indent) throws IOException {
        List<String> lines = pages.wrapped(words, style, width(indent));
        pages.room(lines.size() * style.line());
        pages.paragraph(lines, style, pages.left() + indent);
    }

    private void finding(Finding finding) throws IOException {
        paragraph(Print.startingSentence(finding.severity().word()) + ": " + finding.title(), Style.HEAD, 0);
        paragraph(
                finding.text()
                        + finding.remedy()
                                .map(Remedy::words)
                                .map(words -> " " + words + ".")
                                .orElse(""),
                Style.TEXT,
                0);
        pages.down(GAP / 2);
    }

    /** A step is never split, and a heading never stands alone at the foot. */
    private void step(Step step, int number, boolean isFirst) throws IOException {
        String tell = step.tell();
        float tellWidth = tell.isEmpty() ? 0 : pages.width(tell, Style.SMALL) + 2 * GAP;
        List<String> title = pages.wrapped(step.title(), Style.STEP, width(WORDS_AT) - tellWidth);
        List<String> below = new ArrayList<>();
        if (!step.detail().isEmpty()) {
            below.addAll(pages.wrapped(step.detail(), Style.TEXT, width(WORDS_AT)));
        }
        if (step.caution().isPresent()) {
            String caution =
                    Print.startingSentence(step.caution().get().severity().word()) + ": "
                            + step.caution().get().words();
            below.addAll(pages.wrapped(caution, Style.TEXT, width(WORDS_AT)));
        }
        float height = 2 * GAP + title.size() * Style.STEP.line() + below.size() * Style.TEXT.line();
        pages.room(height + (isFirst ? 3 * GAP + Style.HEAD.line() : 0));
        if (isFirst) {
            pages.down(2 * GAP);
            pages.paragraph(List.of(step.section().word()), Style.HEAD, pages.left());
            pages.down(GAP / 2);
        }
        pages.rule();
        pages.down(GAP);
        pages.box(pages.left(), SIDE + 1, SIDE);
        String digits = String.valueOf(number);
        pages.text(
                digits, Style.TEXT, pages.left() + NUMBER_AT + 14 - pages.width(digits, Style.TEXT), Style.STEP.size());
        if (!tell.isEmpty()) {
            pages.text(tell, Style.SMALL, pages.right() - pages.width(tell, Style.SMALL), Style.STEP.size());
        }
        pages.paragraph(title, Style.STEP, pages.left() + WORDS_AT);
        pages.paragraph(below, Style.TEXT, pages.left() + WORDS_AT);
        pages.down(GAP);
    }
}
