package kalodyne.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import kalodyne.core.studio.setup.Take;
import kalodyne.desktop.model.Notice;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A setup is handed on from one window and brought into another. */
class ParcelTest {
    @TempDir
    private Path here;

    @TempDir
    private Path there;

    @Test
    void a_setup_goes_to_a_friend_and_undo_takes_it_back() throws IOException {
        Path parcel = there.resolve("Sunday trio.zip");
        try (Desk desk = Desk.demo(here)) {
            Desk.onScreen(() -> {
                desk.workbench().window().handOn(parcel);
                return null;
            });
            desk.rest();
        }
        Path studio = Files.createDirectories(there.resolve("friend"));
        try (Desk desk = Desk.own(studio)) {
            bringIn(desk, parcel);
            assertThat(desk.text("#import-summary")).startsWith("19 new");
            desk.press(KeyCode.ENTER);
            desk.rest();
            List<Take> takes = desk.workbench().studio().setup().takes();
            assertThat(takes)
                    .hasSize(2)
                    .allSatisfy(
                            take -> assertThat(desk.workbench().studio().file().resolveSibling(take.file()))
                                    .isRegularFile());
            desk.press(KeyCode.CONTROL, KeyCode.DIGIT5);
            desk.rest();
            assertThat(desk.text("#takes-sentence")).contains("Cut off");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.workbench().studio().studio().devices()).isEmpty();
        }
    }

    @Test
    void a_damaged_one_says_so_and_changes_nothing() throws IOException {
        Path bad = Files.write(there.resolve("bad.zip"), new byte[] {'P', 'K', 3, 4, 0, 0, 0});
        try (Desk desk = Desk.demo(here)) {
            var before = desk.workbench().studio().studio();
            bringIn(desk, bad);
            assertThat(desk.shows("#import-page")).isFalse();
            assertThat(desk.workbench().studio().noticeProperty().get().map(Notice::text))
                    .hasValueSatisfying(text -> assertThat(text).contains("damaged"));
            assertThat(desk.workbench().studio().studio()).isEqualTo(before);
        }
    }

    private static void bringIn(Desk desk, Path file) {
        Desk.onScreen(() -> {
            desk.workbench().window().bringIn(file);
            return null;
        });
        desk.rest();
    }
}
