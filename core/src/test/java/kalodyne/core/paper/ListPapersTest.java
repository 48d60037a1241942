package kalodyne.core.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import javax.xml.parsers.DocumentBuilderFactory;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.rigmap.RigMap;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.studio.Studio;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;

class ListPapersTest {
    private static final List<PatchList.Row> ROWS = rows();

    private static List<PatchList.Row> rows() {
        Studio studio = Boathouse.studio();
        Patch patch = studio.patch(studio.setups().get(0));
        return PatchList.of(patch, JointRules.check(patch));
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

    /** A wrong lead is told on every paper: as a word, since paper is black and white. */
    @Test
    void what_is_wrong_is_told_where_the_lead_is() throws IOException {
        String text = text(PatchListPaper.of(ROWS, "The Boathouse", "Sunday trio", PaperSize.A4), new ArrayList<>());
        assertThat(text.replaceAll("\\s+", " ")).contains("wrong: This lead only charges");
    }

    @Test
    void a_label_tells_the_side_at_both_ends() {
        PatchList.Row left = ROWS.stream()
                .filter(row -> row.ends().stream().map(PatchList.End::side).anyMatch("left"::equals))
                .filter(row -> row.ends().stream().anyMatch(end -> end.side().isEmpty()))
                .findFirst()
                .orElseThrow();
        assertThat(left.side()).isEqualTo("left");
    }

    /** Names with what means something in XML come out as they are; nothing plugged is a picture too. */
    @Test
    void the_picture_is_a_whole_document() throws Exception {
        Studio studio = Boathouse.studio();
        RigMap whole = RigMap.of(ROWS, studio.patch(studio.setups().get(0)));
        for (RigMap map : List.of(whole, whole.only(line -> false))) {
            String svg = SetupPicture.of(map, "Bed & <Breakfast>", "Sunday \"trio\"");
            Document document = DocumentBuilderFactory.newInstance()
                    .newDocumentBuilder()
                    .parse(new InputSource(new StringReader(svg)));
            NodeList texts = document.getElementsByTagName("text");
            List<String> words = IntStream.range(0, texts.getLength())
                    .mapToObj(i -> texts.item(i).getTextContent())
                    .toList();
            assertThat(words).contains("Sunday \"trio\"").anyMatch(word -> word.startsWith("Bed & <Breakfast> · "));
            assertThat(words)
                    .filteredOn("5 wrong: This lead only charges"::equals)
                    .hasSize(map.lines().isEmpty() ? 0 : 1);
        }
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
