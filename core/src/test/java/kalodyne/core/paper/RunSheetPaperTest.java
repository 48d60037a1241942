package kalodyne.core.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.runsheet.SheetMaker;
import kalodyne.core.runsheet.SheetRig;
import kalodyne.core.runsheet.Step;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class RunSheetPaperTest {
    private static RunSheet sheet(String name) {
        Studio studio = Boathouse.studio();
        Setup setup = studio.setups().get(0);
        Patch patch = studio.patch(setup);
        var joints = JointRules.check(patch);
        Rig rig = Rig.of(joints, patch, setup.settings());
        return SheetMaker.of(new SheetRig(
                name, patch, joints, SetupLevels.of(rig, setup.settings().wanted()), SessionPlan.USUAL));
    }

    /** Every step stands on it, whole and in order, inside the margins, and in greys. */
    @ParameterizedTest
    @EnumSource(PaperSize.class)
    void every_step_is_on_the_paper(PaperSize size) throws IOException {
        RunSheet sheet = sheet("Sunday trio");
        byte[] pdf = RunSheetPaper.of(sheet, "The Boathouse", size);
        assertThat(RunSheetPaper.of(sheet, "The Boathouse", size)).isEqualTo(pdf);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            List<TextPosition> letters = new ArrayList<>();
            String text = new PDFTextStripper() {
                @Override
                protected void processTextPosition(TextPosition letter) {
                    letters.add(letter);
                    super.processTextPosition(letter);
                }
            }.getText(document).replaceAll("\\s+", " ");
            int from = 0;
            for (Step step : sheet.steps()) {
                // What is told at the right may stand between the lines of a long title.
                String begin =
                        step.title().substring(0, Math.min(30, step.title().length()));
                int at = text.indexOf(begin, from);
                assertThat(at).as(begin).isNotNegative();
                from = at + begin.length();
            }
            assertThat(letters).isNotEmpty().allSatisfy(letter -> {
                assertThat(letter.getXDirAdj()).isGreaterThan(Pages.MARGIN - 1);
                assertThat(letter.getXDirAdj() + letter.getWidthDirAdj()).isLessThan(size.width() - Pages.MARGIN + 1);
                assertThat(letter.getYDirAdj()).isBetween(20f, size.height() - 20);
            });
            assertThat(document.getNumberOfPages()).isBetween(2, 6);
            assertThat(document.getPage(0).getMediaBox().getWidth()).isEqualTo(size.width());
            BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, 40);
            for (int y = 0; y < page.getHeight(); y++) {
                for (int x = 0; x < page.getWidth(); x++) {
                    int rgb = page.getRGB(x, y);
                    assertThat(rgb & 0xff).isEqualTo(rgb >> 8 & 0xff).isEqualTo(rgb >> 16 & 0xff);
                }
            }
        }
    }

    /** Names that nobody expected: what the typeface lacks, what is wider than the paper. */
    @ParameterizedTest
    @CsvSource({
        "'Сессия 夜 🎸 ½ Ω', '?'",
        "WWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWW, W"
    })
    void odd_names_are_printed_as_far_as_they_can(String name, String part) throws IOException {
        try (PDDocument document = Loader.loadPDF(RunSheetPaper.of(sheet(name), name, PaperSize.A4))) {
            String text = new PDFTextStripper().getText(document);
            assertThat(text).contains(part, "Lead 7 (blue)");
        }
    }
}
