package kalodyne.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.setup.Setup;
import kalodyne.desktop.testing.Models;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The open setup without a window. */
class StudioModelTest {
    private static final String BASS = "bass-synth.out>interface.adc-3";
    private static final Spot GAIN = Spot.read("interface.gain-3");

    @TempDir
    Path folder;

    private Models models;

    @AfterEach
    void close() {
        models.close();
    }

    private StudioModel on(Studio begun) throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), begun);
        return models.studio();
    }

    private static double position(StudioModel studio) {
        return studio.setup().settings().positions().get(GAIN);
    }

    /** Steps of one drag are one edit; two drags are two. */
    @Test
    void a_drag_is_undone_as_one() throws IOException {
        StudioModel studio = on(Boathouse.studio());
        studio.showRun(BASS);
        double before = position(studio);
        Object drag = new Object();
        for (int step = 1; step <= 10; step++) {
            studio.turn(drag, GAIN, step / 25.0);
        }
        studio.turn(new Object(), GAIN, 0.9);
        assertThat(position(studio)).isEqualTo(0.9);
        assertThat(studio.undoable())
                .hasValueSatisfying(words -> assertThat(words).startsWith("turn gain 3 on Interface"));
        studio.undo();
        assertThat(position(studio)).isEqualTo(0.4);
        studio.undo();
        assertThat(position(studio)).isEqualTo(before);
        assertThat(studio.redoable()).isPresent();
        studio.redo();
        assertThat(position(studio)).isEqualTo(0.4);
    }

    /** Set as advised, the peak of the run that is looked at lies in its aim, and there is nothing more to set. */
    @Test
    void all_knobs_are_set_as_advised() throws IOException {
        StudioModel studio = on(Boathouse.studio());
        studio.showRun(BASS);
        assertThat(studio.levels().advised().isFollowed()).isFalse();
        studio.setAllAsAdvised();
        assertThat(studio.levels().advised().isFollowed()).isTrue();
        assertThat(studio.reading().orElseThrow().plan().miss().db()).isCloseTo(0, within(1e-9));
        studio.undo();
        assertThat(studio.levels().advised().isFollowed()).isFalse();
    }

    @Test
    void what_is_recorded_is_listed_before_what_is_heard() throws IOException {
        StudioModel studio = on(Boathouse.studio());
        List<RunChoice> runs = studio.runs();
        assertThat(runs).hasSizeGreaterThan(3).extracting(RunChoice::key).doesNotHaveDuplicates();
        assertThat(runs.stream().map(RunChoice::isRecorded).toList())
                .isSortedAccordingTo((a, b) -> Boolean.compare(b, a));
        RunChoice last = runs.get(runs.size() - 1);
        studio.showRun(last.key());
        assertThat(studio.reading().orElseThrow().plan().trace().key()).isEqualTo(last.key());
        studio.showRun("gone.out>nowhere.adc-1");
        assertThat(studio.reading()).as("a run that is not there any more").isPresent();
    }

    @Test
    void setups_are_added_copied_and_removed_but_for_the_last() throws IOException {
        StudioModel studio = on(Boathouse.studio());
        int before = studio.studio().setups().size();
        String first = studio.setup().name();
        studio.setups().duplicate();
        assertThat(studio.setup().name()).isEqualTo(first + " 2");
        assertThat(studio.setup().takes()).isEmpty();
        assertThat(studio.setup().wiring())
                .isEqualTo(studio.studio().setups().get(0).wiring());
        studio.setups().add();
        assertThat(studio.setup().wiring().plugged()).isEmpty();
        assertThat(studio.reading()).isEmpty();
        assertThat(studio.studio().setups()).hasSize(before + 2);
        for (int i = 0; i < before + 4; i++) {
            studio.setups().remove();
        }
        assertThat(studio.studio().setups()).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            '   ' | A name has 1 to 120 letters
            ''    | A name has 1 to 120 letters
            """)
    void a_name_that_is_none_is_refused_with_a_sentence(String typed, String why) throws IOException {
        StudioModel studio = on(Boathouse.studio());
        String before = studio.studio().name();
        assertThat(studio.setups().renameStudio(typed))
                .hasValueSatisfying(told -> assertThat(told).startsWith(why));
        assertThat(studio.setups().rename("x".repeat(121))).contains("A name has 1 to 120 letters, this has 121.");
        assertThat(studio.studio().name()).isEqualTo(before);
        assertThat(studio.setups().renameStudio(" The Attic ")).isEmpty();
        assertThat(studio.studio().name()).isEqualTo("The Attic");
        assertThat(studio.setups().rename("Evening")).isEmpty();
        assertThat(studio.setup().name()).isEqualTo("Evening");
    }

    @Test
    void the_aim_moves_what_is_advised() throws IOException {
        StudioModel studio = on(Boathouse.studio());
        studio.showRun(BASS);
        studio.editSettings("change the aim", settings -> settings.with(AimSchool.UNEVEN));
        studio.setAllAsAdvised();
        assertThat(studio.reading().orElseThrow().plan().endPeak()).isBetween(-18.0, -12.0);
        studio.editSettings("change the aim", settings -> settings.with(AimSchool.EVEN));
        studio.setAllAsAdvised();
        assertThat(studio.reading().orElseThrow().plan().endPeak()).isBetween(-12.0, -6.0);
    }

    /** A second window on the same file looks and does not touch; it says why. */
    @Test
    void where_it_is_only_read_nothing_changes() throws IOException {
        StudioFile.write(folder.resolve("mine.kalodyne"), Boathouse.studio());
        StudioModel studio = on(Boathouse.studio());
        studio.setups().renameStudio("Mine");
        try (Models second = Models.on(folder.resolve("mine.kalodyne"), Studio.empty())) {
            StudioModel other = second.studio();
            assertThat(other.isReadOnly()).isTrue();
            Studio before = other.studio();
            other.setups().add();
            other.setAllAsAdvised();
            other.turn(null, GAIN, 0.1);
            assertThat(other.studio()).isEqualTo(before);
            assertThat(other.noticeProperty().get()).hasValueSatisfying(notice -> {
                assertThat(notice.title()).isEqualTo("You can look, but not change anything");
                assertThat(notice.text()).contains("It is already open");
            });
        }
    }

    @Test
    void what_was_kept_is_told_once_it_is() throws IOException {
        StudioModel studio = on(Studio.empty());
        assertThat(studio.keptProperty().get()).isEqualTo("All changes kept");
        studio.setups().renameStudio("Mine");
        models.close();
        models.tell();
        assertThat(studio.keptProperty().get()).isEqualTo("All changes kept · 12:04");
        models = Models.on(folder.resolve("mine.kalodyne"), Studio.empty());
        assertThat(models.studio().studio().name()).isEqualTo("Mine");
    }

    @Test
    void another_studio_takes_its_place() throws IOException {
        StudioModel studio = on(Boathouse.studio());
        studio.showRun(BASS);
        Setup setup = studio.setup();
        try (Models other = Models.on(folder.resolve("other.kalodyne"), Studio.empty())) {
            assertThat(other.studio().reading()).isEmpty();
            assertThat(other.studio().setup()).isNotEqualTo(setup);
            assertThat(other.studio().studio().devices())
                    .extracting(Device::name)
                    .isEmpty();
        }
        assertThat(studio.setup()).isEqualTo(setup);
    }

    @Test
    void long_messages_are_cut_to_what_a_notice_has_room_for() throws IOException {
        on(Studio.empty());
        assertThat(Notice.firstLines("one")).isEqualTo("one");
        assertThat(Notice.firstLines("1\n2\n3")).isEqualTo("1\n2\n3");
        assertThat(Notice.firstLines("1\n2\n3\n4\n5")).isEqualTo("1\n2\n3\n… and 2 more.");
    }
}
