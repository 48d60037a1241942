package kalodyne.core.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import kalodyne.core.gear.Control;
import kalodyne.core.paper.Pages.Style;
import kalodyne.core.runsheet.RecallSheet;

/**
 * How every knob and switch stands and what is plugged, to set it so again. What nobody noted is an empty dial for a pencil.
 */
public final class RecallPaper {
    private static final float GAP = 7;
    private static final float RADIUS = 12;
    private static final float CELL = 122;
    private static final float CELL_HEIGHT = 34;
    private static final int HANDS_START = 4;

    private final Pages pages;

    private RecallPaper(Pages pages) {
        this.pages = pages;
    }

    /**
     * The sheet as a PDF document.
     *
     * @param when how it stood then: "as of 1 March 2026, 11:52"
     */
    public static byte[] of(RecallSheet sheet, String studio, String setup, String when, PaperSize size) {
        String title = studio + ", " + setup + ": recall sheet";
        try (Pages pages = new Pages(size, title, title)) {
            new RecallPaper(pages).write(sheet, studio, setup, when);
            return pages.finished();
        } catch (IOException e) {
            // Nothing is written anywhere but into memory.
            throw new UncheckedIOException(e);
        }
    }

    private void write(RecallSheet sheet, String studio, String setup, String when) throws IOException {
        pages.paragraph(pages.wrapped(setup, Style.TITLE, pages.right() - pages.left()), Style.TITLE, pages.left());
        pages.paragraph(List.of(studio + " · " + when), Style.TEXT, pages.left());
        pages.down(GAP);
        for (RecallSheet.Desk desk : sheet.devices()) {
            desk(desk);
        }
        pages.room(CELL_HEIGHT + 4 * GAP);
        pages.down(2 * GAP);
        pages.paragraph(List.of("Leads"), Style.HEAD, pages.left());
        pages.down(GAP / 2);
        new PatchListPaper(pages).table(sheet.rows());
    }

    private void desk(RecallSheet.Desk desk) throws IOException {
        pages.room(CELL_HEIGHT + Style.HEAD.line() + 4 * GAP);
        pages.down(GAP);
        pages.rule();
        pages.down(GAP);
        pages.paragraph(List.of(desk.name()), Style.HEAD, pages.left());
        pages.down(GAP / 2);
        int across = (int) ((pages.right() - pages.left()) / CELL);
        for (int i = 0; i < desk.knobs().size(); i++) {
            if (i % across == 0) {
                pages.room(CELL_HEIGHT);
            }
            knob(desk.knobs().get(i), pages.left() + i % across * CELL);
            if (i % across == across - 1 || i == desk.knobs().size() - 1) {
                pages.down(CELL_HEIGHT);
            }
        }
        for (RecallSheet.Toggle toggle : desk.switches()) {
            String words = toggle.name() + ": "
                    + toggle.at().orElse("____________  (" + String.join(", ", toggle.positions()) + ")");
            List<String> lines = pages.wrapped(words, Style.TEXT, pages.right() - pages.left());
            pages.room(lines.size() * Style.TEXT.line());
            pages.paragraph(lines, Style.TEXT, pages.left());
        }
    }

    private void knob(RecallSheet.Knob knob, float x) throws IOException {
        float middle = x + RADIUS + 1;
        pages.circle(middle, RADIUS + 1, RADIUS);
        for (Control at : knob.at().stream().toList()) {
            double angle = 2 * Math.PI * at.dial().turns(at.position());
            float acrossHand = (float) Math.sin(angle);
            float up = (float) Math.cos(angle);
            pages.stroke(
                    middle + HANDS_START * acrossHand,
                    RADIUS + 1 - HANDS_START * up,
                    middle + RADIUS * acrossHand,
                    RADIUS + 1 - RADIUS * up);
        }
        float words = x + 2 * RADIUS + 2 * GAP;
        float width = CELL - (words - x) - GAP;
        List<String> name = pages.wrapped(knob.name(), Style.SMALL, width);
        pages.text(name.get(0), Style.SMALL, words, Style.SMALL.size() + 2);
        pages.text(knob.at().map(Control::clock).orElse("________"), Style.STEP, words, 2 * RADIUS);
    }
}
