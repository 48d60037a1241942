package kalodyne.core.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.studio.Studio;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ListPapersTest {
    private static final List<PatchList.Row> ROWS = rows();

    private static List<PatchList.Row> rows() {
        Studio studio = Boathouse.studio();
        return PatchList.of(studio.patch(studio.setups().get(0)));
    }

    @Test
    void every_lead_is_a_row_with_both_ends() {
        assertThat(ROWS).extracting(PatchList.Row::number).first().isEqualTo(1);
        PatchList.Row synth = ROWS.stream()
                .filter(row -> row.lead().equals("Lead 7"))
                .findFirst()
                .orElseThrow();
        assertThat(synth.colour()).isEqualTo("blue");
        assertThat(synth.from().words()).isEqualTo("Bass synth, Output");
        assertThat(synth.to()).extracting(PatchList.End::words).containsExactly("Interface, Line in 3");
        assertThat(ROWS.stream().flatMap(row -> row.to().stream()).map(PatchList.End::side))
                .contains("left", "right", "");
    }

    @ParameterizedTest
    @EnumSource(PaperSize.class)
    void the_patch_list_is_on_the_paper(PaperSize size) throws IOException {
        String text = text(PatchListPaper.of(ROWS, "The Boathouse", "Sunday trio", size), new ArrayList<>());
        for (PatchList.Row row : ROWS) {
            assertThat(text).contains(row.from().device(), row.to().get(0).device(), row.colour());
        }
    }

    /** Every label's text stays on that label: within its edges, wherever on the sheet one begins. */
    @ParameterizedTest
    @EnumSource(LabelSheet.class)
    void each_end_has_a_label_and_stays_on_it(LabelSheet sheet) throws IOException {
        int first = sheet.count() - 3;
        List<TextPosition> letters = new ArrayList<>();
        String text = text(LeadLabels.of(ROWS, sheet, first), letters);
        long ends = ROWS.stream()
                .filter(row -> !row.lead().isEmpty())
                .mapToLong(row -> row.ends().size())
                .sum();
        assertThat(text.split("\\bto ", -1).length - 1L).isEqualTo(ends);
        assertThat(letters).isNotEmpty().allSatisfy(letter -> {
            float x = letter.getXDirAdj();
            float y = sheet.size().height() - letter.getYDirAdj();
            boolean isOnOne = false;
            for (int i = 0; i < sheet.count(); i++) {
                isOnOne |= x >= sheet.x(i)
                        && x + letter.getWidthDirAdj() <= sheet.x(i) + sheet.width()
                        && y <= sheet.y(i)
                        && y - 2 >= sheet.y(i) - sheet.height();
            }
            assertThat(isOnOne).as(letter + " at " + x + ", " + y).isTrue();
        });
    }

    private static String text(byte[] pdf, List<TextPosition> letters) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper() {
                @Override
                protected void processTextPosition(TextPosition letter) {
                    letters.add(letter);
                    super.processTextPosition(letter);
                }
            }.getText(document);
        }
    }
}
