package kalodyne.core.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import javax.xml.parsers.DocumentBuilderFactory;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.studio.Studio;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
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

    /** Each device once and apart from all others, each lead from an edge of one to an edge of another. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1})
    void the_picture_shows_every_device_and_lead(int which) throws Exception {
        Studio studio = Boathouse.studio();
        Patch patch = studio.patch(studio.setups().get(which));
        List<PatchList.Row> rows = PatchList.of(patch, JointRules.check(patch));
        SetupLayout.Placed placed = new SetupLayout().place(rows);
        assertThat(placed.boxes())
                .extracting(SetupLayout.Box::name)
                .containsExactlyInAnyOrderElementsOf(
                        patch.devices().values().stream().map(Device::name).toList());
        for (SetupLayout.Box one : placed.boxes()) {
            assertThat(one.x() + one.width()).isLessThan(placed.width());
            assertThat(one.y() + one.height()).isLessThan(placed.height());
            assertThat(placed.boxes())
                    .filteredOn(other -> !other.equals(one))
                    .noneMatch(other -> one.x() < other.x() + other.width()
                            && other.x() < one.x() + one.width()
                            && one.y() < other.y() + other.height()
                            && other.y() < one.y() + one.height());
        }
        for (SetupLayout.Line line : placed.lines()) {
            SetupLayout.Corner from = line.corners().get(0);
            SetupLayout.Corner to = line.corners().get(line.corners().size() - 1);
            assertThat(placed.boxes())
                    .anyMatch(box -> box.name().equals(line.row().from().device())
                            && Math.abs(box.x() + box.width() - from.x()) < 0.1
                            && box.ports().stream().anyMatch(port -> Math.abs(box.y() + port.y() - from.y()) < 0.1));
            assertThat(placed.boxes())
                    .anyMatch(box -> line.row().to().stream()
                                    .anyMatch(end -> end.device().equals(box.name()))
                            && Math.abs(box.x() - to.x()) < 0.1);
        }
        assertThat(placed.lines())
                .hasSize(rows.stream().mapToInt(row -> row.to().size()).sum());
    }

    /** Names with what means something in XML come out as they are; nothing plugged is a picture too. */
    @Test
    void the_picture_is_a_whole_document() throws Exception {
        for (List<PatchList.Row> rows : List.of(ROWS, List.<PatchList.Row>of())) {
            String svg = SetupPicture.of(rows, "Bed & <Breakfast>", "Sunday \"trio\"");
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
                    .hasSize(rows.isEmpty() ? 0 : 1);
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
