package kalodyne.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Rectangle2D;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.units.LevelUnit;
import kalodyne.desktop.model.Preferences;
import kalodyne.desktop.model.StudioModel.Looked;
import kalodyne.desktop.shell.Appearance.Look;
import kalodyne.desktop.shell.Appearance.Theme;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ViewSettingsTest {
    @TempDir
    Path folder;

    /** What an older version wrote counts; what is damaged is as if it were not there. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''                        | SYSTEM | 100",
                "dark=true;text=150        | DARK   | 150",
                "dark=false                | LIGHT  | 100",
                "theme=dark;text=200       | DARK   | 200",
                "theme=mauve;text=12345678 | SYSTEM | 100",
                "text=NaN                  | SYSTEM | 100",
                "theme=\\uZZZZ             | SYSTEM | 100"
            })
    void looks_as_it_was_left(String written, Theme theme, int percent) throws IOException {
        Files.writeString(folder.resolve("view.properties"), written.replace(';', '\n'));
        assertThat(new ViewSettings(folder).look()).isEqualTo(new Look(theme, percent));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "window.x=1;window.y=2;window.width=900;window.height=600  | true",
                "window.x=1;window.y=2;window.width=-900;window.height=600 | false",
                "window.x=1;window.y=2;window.width=Infinity;window.height=600 | false",
                "window.x=1;window.y=2;window.width=900                    | false"
            })
    void a_place_is_one_only_whole(String written, boolean isOne) throws IOException {
        Files.writeString(folder.resolve("view.properties"), written.replace(';', '\n'));
        assertThat(new ViewSettings(folder).place().isPresent()).isEqualTo(isOne);
    }

    /** The last eight that are still there, the last one first; each once. */
    @Test
    void remembers_what_was_open() throws IOException {
        ViewSettings settings = new ViewSettings(folder.resolve("deep/er"));
        List<Path> studios = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            studios.add(Files.writeString(folder.resolve("studio " + i + ".kalodyne"), ""));
            settings.opened(studios.get(i));
        }
        settings.opened(studios.get(5));
        Files.delete(studios.get(8));
        settings.keep(new Rectangle2D(10, 20, 1000, 700), true, "takes");
        ViewSettings again = new ViewSettings(folder.resolve("deep/er"));
        assertThat(again.recent())
                .containsExactly(
                        studios.get(5),
                        studios.get(9),
                        studios.get(7),
                        studios.get(6),
                        studios.get(4),
                        studios.get(3),
                        studios.get(2));
        assertThat(again.place()).contains(new Rectangle2D(10, 20, 1000, 700));
        assertThat(again.isMaximized()).isTrue();
        assertThat(again.room()).isEqualTo("takes");
    }

    /** What was chosen and what was looked at are there again; of another studio nothing was looked at. */
    @Test
    void remembers_what_was_chosen_and_looked_at() {
        Preferences chosen = new Preferences(
                LevelUnit.DBV, AimSchool.UNEVEN, Optional.of(folder), Optional.empty(), Optional.of("Monitor box"));
        Looked looked = new Looked("setup-2", "synth.out>interface.adc-1", 3);
        ViewSettings settings = new ViewSettings(folder);
        assertThat(settings.preferences()).isEqualTo(Preferences.USUAL);
        settings.keep(chosen);
        settings.keep(folder.resolve("one.kalodyne"), looked);
        ViewSettings again = new ViewSettings(folder);
        assertThat(again.preferences()).isEqualTo(chosen);
        assertThat(again.looked(folder.resolve("one.kalodyne"))).contains(looked);
        assertThat(again.looked(folder.resolve("other.kalodyne"))).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"levels=volts", "aim=high", "folder.takes=takes", "folder.papers=a\\u0000b"})
    void what_cannot_be_preferred_is_as_usual(String written) throws IOException {
        Files.writeString(folder.resolve("view.properties"), written);
        assertThat(new ViewSettings(folder).preferences()).isEqualTo(Preferences.USUAL);
    }

    /** The answers as these systems give them. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Windows 11 | AppsUseLightTheme    REG_DWORD    0x0 | true",
                "Windows 11 | AppsUseLightTheme    REG_DWORD    0x1 | false",
                "Mac OS X   | Dark                                  | true",
                "Mac OS X   | The domain/default pair does not exist | false",
                "Linux      | 'prefer-dark'                         | true",
                "Linux      | 'default'                             | false"
            })
    void understands_what_the_system_says(String system, String answer, boolean isDark) {
        assertThat(SystemTheme.Asked.on(system).isDark(answer)).isEqualTo(isDark);
    }
}
