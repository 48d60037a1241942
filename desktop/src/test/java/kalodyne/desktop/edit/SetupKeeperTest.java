package kalodyne.desktop.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import kalodyne.core.setup.Setup;
import kalodyne.core.setup.SetupReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SetupKeeperTest {
    @TempDir
    Path folder;

    private final List<SetupKeeper.Outcome> told = new CopyOnWriteArrayList<>();

    private static Setup named(int number) {
        return Setup.empty().named("Studio", "Setup " + number);
    }

    /** Edits come faster than the disk: some are passed over, never the last, and closing waits for it. */
    @Test
    void the_last_edit_is_always_kept() throws IOException {
        Path file = folder.resolve("studio.json");
        try (SetupKeeper keeper = new SetupKeeper(told::add)) {
            for (int i = 0; i <= 2000; i++) {
                keeper.keep(named(i), file);
            }
        }
        assertThat(SetupReader.read(file)).isEqualTo(named(2000));
        assertThat(told).isNotEmpty().allMatch(SetupKeeper.Outcome::isKept);
    }

    @Test
    void tells_what_could_not_be_kept_and_tries_again_with_the_next_edit() throws IOException {
        Path blocked = Files.writeString(folder.resolve("blocked"), "a file where a folder should be");
        Path file = blocked.resolve("studio.json");
        try (SetupKeeper keeper = new SetupKeeper(told::add)) {
            keeper.keep(named(1), file);
            while (told.isEmpty()) {
                Thread.onSpinWait();
            }
            Files.delete(blocked);
            keeper.keep(named(2), file);
        }
        assertThat(told).extracting(SetupKeeper.Outcome::isKept).containsExactly(false, true);
        assertThat(SetupReader.read(file)).isEqualTo(named(2));
    }
}
