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
import kalodyne.core.runsheet.Task;
import kalodyne.core.units.Print;

/** A run sheet to tick with a pencil. */
public final class RunSheetPaper {
    private static final float NUMBER_AT = 20;
    private static final float WORDS_AT = 42;
    private static final float SIDE = 10;
    private static final float GAP = 7;

    /** How far in the parts of a task stand. */
    private static final float PART = 16;

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
        List<Task> tasks = sheet.tasks();
        int count = tasks.size();
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
            Task task = tasks.get(i);
            boolean isFirst = task.section() != section;
            section = task.section();
            task(task, i + 1, isFirst);
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

    /** A task begins with its title; each of its parts has a box of its own. */
    private void task(Task task, int number, boolean isFirst) throws IOException {
        if (task.isSingle()) {
            step(task.parts().get(0), String.valueOf(number), 0, isFirst);
            return;
        }
        Step first = task.parts().get(0);
        pages.room(Style.STEP.line() + 2 * GAP + height(first, PART) + (isFirst ? heading() : 0));
        heading(first, isFirst);
        pages.rule();
        pages.down(GAP);
        number(String.valueOf(number));
        pages.paragraph(pages.wrapped(task.title(), Style.STEP, width(WORDS_AT)), Style.STEP, pages.left() + WORDS_AT);
        for (Step part : task.parts()) {
            step(part, "", PART, false);
        }
    }

    private void number(String digits) throws IOException {
        pages.text(
                digits, Style.TEXT, pages.left() + NUMBER_AT + 14 - pages.width(digits, Style.TEXT), Style.STEP.size());
    }

    private static float heading() {
        return 3 * GAP + Style.HEAD.line();
    }

    private void heading(Step step, boolean isFirst) throws IOException {
        if (isFirst) {
            pages.down(2 * GAP);
            pages.paragraph(List.of(step.section().word()), Style.HEAD, pages.left());
            pages.down(GAP / 2);
        }
    }

    private List<String> title(Step step, float indent) throws IOException {
        String tell = step.tell();
        float tellWidth = tell.isEmpty() ? 0 : pages.width(tell, Style.SMALL) + 2 * GAP;
        return pages.wrapped(step.title(), style(indent), width(WORDS_AT + indent) - tellWidth);
    }

    private static Style style(float indent) {
        return indent > 0 ? Style.TEXT : Style.STEP;
    }

    private List<String> below(Step step, float indent) throws IOException {
        List<String> below = new ArrayList<>();
        if (!step.detail().isEmpty()) {
            below.addAll(pages.wrapped(step.detail(), Style.TEXT, width(WORDS_AT + indent)));
        }
        if (step.caution().isPresent()) {
            String caution =
                    Print.startingSentence(step.caution().get().severity().word()) + ": "
                            + step.caution().get().words();
            below.addAll(pages.wrapped(caution, Style.TEXT, width(WORDS_AT + indent)));
        }
        return below;
    }

    private float height(Step step, float indent) throws IOException {
        return 2 * GAP
                + title(step, indent).size() * style(indent).line()
                + below(step, indent).size() * Style.TEXT.line();
    }

    /** A step is never split, and a heading never stands alone at the foot. */
    private void step(Step step, String digits, float indent, boolean isFirst) throws IOException {
        pages.room(height(step, indent) + (isFirst ? heading() : 0));
        heading(step, isFirst);
        if (indent == 0) {
            pages.rule();
            pages.down(GAP);
        } else {
            pages.down(GAP / 2);
        }
        pages.box(pages.left() + (indent == 0 ? 0 : WORDS_AT), SIDE + 1, SIDE);
        number(digits);
        if (!step.tell().isEmpty()) {
            pages.text(
                    step.tell(),
                    Style.SMALL,
                    pages.right() - pages.width(step.tell(), Style.SMALL),
                    style(indent).size());
        }
        pages.paragraph(title(step, indent), style(indent), pages.left() + WORDS_AT + indent);
        pages.paragraph(below(step, indent), Style.TEXT, pages.left() + WORDS_AT + indent);
        pages.down(indent == 0 ? GAP : GAP / 2);
    }
}
