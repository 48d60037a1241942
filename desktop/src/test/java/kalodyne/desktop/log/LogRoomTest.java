package kalodyne.desktop.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import kalodyne.core.joint.Spot;
import kalodyne.core.studio.log.Entry;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.desktop.model.PaperModel;
import kalodyne.desktop.testing.Desk;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The Log room in a real window. */
class LogRoomTest {
    @TempDir
    private Path folder;

    private Desk desk;

    @BeforeEach
    void open() throws IOException {
        desk = Desk.demo(folder);
        desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
    }

    @AfterEach
    void close() {
        desk.close();
    }

    private List<Entry> shown() {
        return Desk.onScreen(
                () -> List.copyOf(desk.<ListView<Entry>>find("#log-list").getItems()));
    }

    private List<String> words(String query) {
        return Desk.onScreen(() -> desk.find(query).lookupAll(".label").stream()
                .map(node -> ((Labeled) node).getText())
                .toList());
    }

    private Setup setup(int which) {
        return desk.workbench().studio().studio().setups().get(which);
    }

    @Test
    void finds_what_was_and_says_what_keeps_going_wrong() {
        assertThat(desk.text("#log-sentence")).isEqualTo("1 of 2 takes clean. Most often wrong: cut off at full scale");
        desk.click("#log-all");
        assertThat(shown()).hasSize(7);
        assertThat(words("#log-habits")).contains("What keeps going wrong", "Cut off at full scale", "In 2 of 5 takes");
        desk.typeInto("#log-search", "session");
        assertThat(shown()).extracting(Entry::name).containsExactly("Session 2", "Session 1");
        desk.typeInto("#log-search", "no such thing");
        assertThat(shown()).isEmpty();
        assertThat(words("#log-list")).contains("No entry has these words.");
    }

    /** How it sounded, how the knobs stood, how it went from take to take: told to those who do not see it too. */
    @Test
    void a_take_is_seen_at_a_glance() {
        Desk.until(() -> desk.find("#log-wave").getAccessibleText().equals("Shape of the recording"));
        assertThat(Desk.onScreen(() -> desk.find("#log-entry").lookupAll(".clock-face").stream()
                        .map(Node::getAccessibleText)
                        .toList()))
                .containsExactlyInAnyOrder("Bass synth, volume, 0.0 dB · 5:00", "Interface, gain 3, +12.0 dB · 12:00");
        assertThat(desk.find("#log-trend").getAccessibleText())
                .startsWith("Peak and noise from take to take: Take 1 peak −8.8 dBFS, noise −")
                .contains("; Take 2 peak 0.0 dBFS")
                .endsWith("with a fault");
    }

    /** Last month's knobs come back as steps for the hands, and one press tells the program; undo takes that back. */
    @Test
    void what_was_right_last_month_is_brought_back() {
        desk.click("#log-all");
        desk.typeInto("#log-search", "session 2");
        assertThat(words("#log-entry"))
                .contains("To bring it back", "Turn Interface, gain 1 to 7:00", "Turn Interface, headphones to 11:30");
        assertThat(desk.text("#next-step")).startsWith("To bring it back: Turn Interface");
        Setup before = setup(1);
        desk.click("#log-set-as-then");
        assertThat(setup(1).settings().positions()).containsEntry(Spot.read("interface.gain-1"), 0.0);
        assertThat(setup(0)).isEqualTo(desk.workbench().studio().setup());
        assertThat(words("#log-entry")).contains("Everything is plugged and set as it was then.");
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(setup(1)).isEqualTo(before);
    }

    @Test
    void two_takes_stand_side_by_side() {
        List<Entry> takes = shown();
        Desk.onScreen(() -> {
            desk.workbench().log().compareWith(Optional.of(takes.get(1)));
            return null;
        });
        assertThat(words("#log-differences"))
                .containsSubsequence("Take 2", "Take 1")
                .containsSubsequence("Interface, gain 3", "12:00", "10:30");
        desk.click("#log-to-take");
        desk.rest();
        assertThat(desk.text("#takes-sentence")).startsWith("Cut off at 7 places");
    }

    /** A take of which nobody knows what it says is read from here; one that is gone is told, and the others are kept. */
    @Test
    void takes_that_were_not_read_are_read_all_at_once() throws IOException {
        Desk.onScreen(() -> {
            desk.workbench().studio().edit("forget", setup -> {
                List<Take> unread = setup.takes().stream()
                        .map(take -> new Take(take.name(), take.run(), take.file(), take.at(), take.positions()))
                        .toList();
                return setup.withTakes(unread);
            });
            return null;
        });
        assertThat(desk.text("#log-sentence")).isEqualTo("2 entries in the log");
        Files.delete(folder.resolve(setup(0).takes().get(0).file()));
        desk.click("#log-read");
        desk.rest();
        assertThat(desk.text("#log-sentence")).isEqualTo("0 of 1 take clean. Most often wrong: cut off at full scale");
        assertThat(desk.workbench()
                        .studio()
                        .noticeProperty()
                        .get()
                        .orElseThrow()
                        .title())
                .isEqualTo("One take could not be read");
    }

    /** The paper has the clock positions of that day and not of now, on either size. */
    @Test
    void the_recall_sheet_is_of_that_day() throws IOException {
        desk.click("#log-all");
        desk.typeInto("#log-search", "session 1");
        List<PaperModel.Printable> sheets = Desk.onScreen(() -> desk.workbench()
                .paper()
                .recallSheets(desk.workbench().log().state().chosen()));
        assertThat(sheets).hasSize(2);
        for (PaperModel.Printable sheet : sheets) {
            try (PDDocument document = Loader.loadPDF(sheet.pdf().get())) {
                assertThat(new PDFTextStripper().getText(document))
                        .contains("Through the mixer", "15 February 2026", "9:36", "10:30", "48 V", "Lead 2");
            }
        }
        Node print = desk.find("#log-print");
        assertThat(Desk.onScreen(print::isDisabled)).isFalse();
    }
}
