package kalodyne.desktop.lineup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.lineup.tidy.Proposal;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.studio.setup.Take;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.model.Notice;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Tidying up in a real window, with the takes of the demonstration. */
class TidyPageTest {
    @TempDir
    private Path folder;

    private Desk desk;
    private TidyModel tidy;

    @BeforeEach
    void open() throws IOException {
        desk = Desk.demo(folder);
        tidy = desk.workbench().tidy();
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT6);
        desk.click("#page-tidy");
    }

    @AfterEach
    void close() {
        desk.close();
    }

    private void add(String... names) {
        Desk.onScreen(() -> {
            tidy.add(List.of(names).stream()
                    .map(each -> folder.resolve("takes").resolve(each))
                    .toList());
            return null;
        });
        desk.rest();
    }

    private <C> void choose(String query, C choice) {
        Desk.onScreen(() -> {
            desk.<Chooser<C>>find(query).setValue(choice);
            return null;
        });
        desk.rest();
    }

    private void measure() {
        desk.click("#tidy-measure");
        Desk.until(() -> tidy.state().preview().isPresent());
        desk.rest();
    }

    private List<String> words() {
        return Desk.onScreen(() -> desk.find("#tidy-table").lookupAll(".label").stream()
                .map(node -> ((Labeled) node).getText())
                .toList());
    }

    /** Both takes as loud as the first; what was done stands beside the copies and in the notes of the takes. */
    @Test
    void takes_are_matched_and_the_log_knows() throws IOException {
        assertThat(desk.text("#tidy-sentence")).isEqualTo("Clean up recordings, on copies");
        // The notes go to the takes that have these recordings, whichever run is looked at.
        StudioModel studio = desk.workbench().studio();
        String bass = studio.setup().takes().get(1).run();
        Desk.onScreen(() -> {
            studio.runs().stream()
                    .filter(run -> !run.key().equals(bass))
                    .findFirst()
                    .ifPresent(run -> studio.showRun(run.key()));
            return null;
        });
        add("bass-take-1.wav", "bass-take-2.wav");
        assertThat(desk.text("#tidy-sentence")).isEqualTo("Say what you want of all 2, then measure");
        choose("#tidy-level", TidyModel.Level.MATCH);
        desk.typeInto("#tidy-level-value", "-3");
        measure();
        assertThat(desk.text("#tidy-sentence")).isEqualTo("2 files would be written");
        List<Proposal> proposals = tidy.state().preview().orElseThrow().proposals();
        assertThat(proposals.get(1).lufsAfter().orElseThrow())
                .isCloseTo(proposals.get(0).lufsAfter().orElseThrow() - 3, within(0.01));
        assertThat(words()).contains("bass-take-1 tidy.wav", "bass-take-2 tidy.wav", "0.0 dB");
        desk.click("#tidy-write");
        Desk.until(() -> desk.shows("#notice-title"));
        assertThat(desk.text("#notice-title")).isEqualTo("2 of 2 files written");
        assertThat(studio.noticeProperty().get().map(Notice::severity)).contains(Severity.NOTE);
        assertThat(folder.resolve("takes/bass-take-2 tidy.wav")).exists();
        assertThat(folder.resolve("takes/bass-take-2 tidy.wav.json")).exists();
        Take second = desk.workbench().studio().setup().takes().get(1);
        assertThat(second.note())
                .matches("Copy bass-take-2 tidy\\.wav: 0:00\\.0 to 0:\\d\\d\\.\\d, gain −\\d+\\.\\d dB\\.");
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(desk.workbench().studio().setup().takes().get(1).note()).isEmpty();
        desk.click("#notice-dismiss");
        measure();
        assertThat(desk.text("#tidy-sentence")).isEqualTo("0 of 2 files can be written");
        assertThat(words()).contains("There is a file of this name already. It stays as it is. Choose another folder.");
    }

    @Test
    void what_cannot_be_read_or_typed_is_told_and_the_rest_goes_on() throws IOException {
        Files.writeString(folder.resolve("takes/list.txt"), "Sunday");
        add("trio-film.wav", "list.txt");
        choose("#tidy-keep", TidyModel.Keep.BARS);
        desk.typeInto("#tidy-keep-value", "fast");
        assertThat(desk.text("#tidy-problem")).isEqualTo("That does not fit here. Write 20 to 400 beats a minute.");
        choose("#tidy-keep", TidyModel.Keep.MARKS);
        measure();
        assertThat(desk.text("#tidy-sentence")).isEqualTo("1 of 2 files can be written");
        assertThat(words()).contains("list.txt", "trio-film tidy.wav");
        assertThat(words().stream().filter(each -> each.startsWith("This is not a sound file")))
                .hasSize(1);
        Node write = desk.find("#tidy-write");
        assertThat(write.isVisible()).isTrue();
        desk.click("#tidy-write");
        Desk.until(() -> desk.shows("#notice-title"));
        try (SoundStream copy = SoundFiles.open(folder.resolve("takes/trio-film tidy.wav"))) {
            assertThat(copy.header().seconds()).isCloseTo(50, within(1e-3));
        }
    }
}
