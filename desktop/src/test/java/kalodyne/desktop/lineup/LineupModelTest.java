package kalodyne.desktop.lineup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.recording.Speakers;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.testing.pairs.Pair;
import kalodyne.core.testing.pairs.Pairs;
import kalodyne.core.testing.pairs.Pairs.Kind;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.model.Notice;
import kalodyne.desktop.model.TakesModel;
import kalodyne.desktop.testing.Models;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Lining up without a window: pairs that are written down by formula, so that offset and drift are known. */
class LineupModelTest {
    private static final double SECONDS = 7;
    private static final String BASS = "bass-synth.out>interface.adc-3";

    @TempDir
    Path folder;

    private Models models;
    private TakesModel takes;
    private LineupModel lineup;

    @BeforeEach
    void open() throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        models.studio().showRun(BASS);
        takes = new TakesModel(models.studio(), models.jobs(), Models.CLOCK);
        lineup = new LineupModel(models.studio(), takes, models.jobs(), Speakers.system(Optional::empty));
    }

    @AfterEach
    void close() {
        lineup.close();
        models.close();
    }

    private Pair pair(Kind kind) throws IOException {
        Path beside = Files.createDirectories(folder.resolve("takes"));
        return Pairs.make(kind, SECONDS, 1, beside);
    }

    private Pair linedUp(Kind kind) throws Exception {
        Pair pair = pair(kind);
        lineup.drop(List.of(pair.reference(), pair.other()));
        assertThat(lineup.state().isSearching()).isTrue();
        assertThat(lineup.sentence()).isEqualTo("Looking for where they fit together…");
        models.until(
                () -> lineup.start().seen().isPresent() && lineup.end().seen().isPresent());
        return pair;
    }

    private ClockLine clock() {
        return lineup.state().clock().orElseThrow();
    }

    /** A film and one recording that belongs to no run: that is the pair. Of three nobody knows. */
    @ParameterizedTest
    @CsvSource({
        "trio film.wav; sound.wav, trio film.wav, sound.wav",
        "a.wav; VIDEO_0001.wav, VIDEO_0001.wav, a.wav",
        "a.wav; b.wav, , ",
        "film.wav; a.wav; b.wav, , ",
        "film 1.wav; film 2.wav, , "
    })
    void begins_with_what_plainly_belongs_together(String files, String reference, String other) throws IOException {
        Path beside = Files.createDirectories(folder.resolve("takes"));
        for (String file : files.split("; ", -1)) {
            Files.writeString(beside.resolve(file), "no sound, which only reading it would tell");
        }
        lineup.begin();
        assertThat(lineup.state().reference().map(file -> file.getFileName().toString()))
                .isEqualTo(Optional.ofNullable(reference));
        assertThat(lineup.state().other().map(file -> file.getFileName().toString()))
                .isEqualTo(Optional.ofNullable(other));
    }

    @Test
    void what_is_dropped_is_lined_up_and_seen_at_both_ends() throws Exception {
        Pair pair = linedUp(Kind.NOISE);
        assertThat(clock().offsetSeconds()).isCloseTo(pair.truth().offsetSeconds(), within(1e-4));
        assertThat(clock().drift()).isCloseTo(pair.truth().drift(), within(60e-6));
        assertThat(lineup.state().isMoved()).isFalse();
        double begins = Math.max(0, pair.truth().inReference(0));
        assertThat(lineup.start().place().orElseThrow().fromSeconds()).isCloseTo(begins, within(0.01));
        assertThat(lineup.start().seen().orElseThrow().referencePeak()).isBetween(0.001f, 1.5f);
        assertThat(lineup.start().seen().orElseThrow().otherPeak()).isBetween(0.001f, 1.5f);
    }

    /** Each the other's place: the offset changes its sign, and so does the drift. */
    @Test
    void each_becomes_what_the_other_was() throws Exception {
        Pair pair = linedUp(Kind.NOISE);
        ClockLine before = clock();
        lineup.swap();
        assertThat(lineup.start().seen())
                .as("of another pair nothing is seen yet")
                .isEmpty();
        models.until(() -> lineup.state().clock().isPresent());
        assertThat(lineup.state().reference()).contains(pair.other());
        assertThat(clock().offsetSeconds()).isCloseTo(before.inReference(0), within(1e-4));
        assertThat(clock().drift()).isCloseTo(-before.drift(), within(2e-5));
    }

    /** Later is to the right: the beginning of the reference comes earlier in the other one. */
    @Test
    void it_is_moved_by_hand_and_goes_back() throws Exception {
        linedUp(Kind.NOISE);
        ClockLine found = clock();
        lineup.nudge(0.5);
        assertThat(clock().offsetSeconds()).isCloseTo(found.offsetSeconds() - 0.5, within(1e-9));
        assertThat(lineup.state().isMoved()).isTrue();
        lineup.asFound();
        assertThat(clock()).isEqualTo(found);
        double rate = lineup.start().place().orElseThrow().sampleRateHz();
        lineup.nudgeSamples(-3);
        assertThat(clock().offsetSeconds()).isCloseTo(found.offsetSeconds() + 3 / rate, within(1e-9));
        lineup.setOffset("1:02.5");
        assertThat(clock().offsetSeconds()).isEqualTo(62.5);
        assertThatThrownBy(() -> lineup.setOffset("soon")).isInstanceOf(UnreadableQuantity.class);
        lineup.asFound();
        double middle = lineup.start().middle().orElseThrow();
        lineup.setDrift("50 ppm");
        assertThat(clock().drift()).isEqualTo(50e-6);
        assertThat(clock().inOther(middle)).as("where both begin stays").isCloseTo(found.inOther(middle), within(1e-9));
        lineup.correctDrift(false);
        assertThat(lineup.state().isDriftCorrected()).isFalse();
    }

    @Test
    void a_copy_is_as_long_as_the_reference_and_noted_on_its_take() throws Exception {
        Pair pair = pair(Kind.NOISE);
        takes.add(pair.other());
        models.tell();
        lineup.drop(List.of(pair.reference(), pair.other()));
        models.until(() -> lineup.state().clock().isPresent());
        Path copy = lineup.proposedCopy(CopyFormat.WAV_24).orElseThrow();
        assertThat(copy.getParent()).isEqualTo(pair.other().getParent());
        assertThat(copy.getFileName().toString()).endsWith(" lined up.wav");
        lineup.write(copy, CopyFormat.WAV_24, false);
        models.tell();
        assertThat(models.studio().noticeProperty().get().map(Notice::title))
                .contains(copy.getFileName() + " is written");
        try (SoundStream stream = SoundFiles.open(copy);
                SoundStream reference = SoundFiles.open(pair.reference())) {
            assertThat(stream.header().seconds()).isCloseTo(reference.header().seconds(), within(1e-3));
        }
        Take noted = models.studio().setup().takes().get(0);
        assertThat(noted.note()).startsWith("Copy " + copy.getFileName() + ", lined up with ");
    }

    /** Takes of the setup by their names, then what else lies beside them; nothing twice, and no other files. */
    @Test
    void takes_and_what_lies_beside_them_can_be_chosen() throws Exception {
        Pair pair = pair(Kind.NOISE);
        Files.writeString(folder.resolve("takes/notes.txt"), "Sunday");
        takes.add(pair.other());
        models.tell();
        assertThat(lineup.offered())
                .extracting(LineupModel.Offered::name)
                .containsExactly("Take 1", pair.reference().getFileName().toString());
    }

    @Test
    void what_has_nothing_in_common_or_is_no_sound_is_told() throws Exception {
        Pair strangers = pair(Kind.ANOTHER_SONG);
        lineup.drop(List.of(strangers.reference(), strangers.other()));
        models.until(() -> !lineup.state().isSearching());
        assertThat(lineup.sentence()).isEqualTo("These two do not belong together");
        lineup.nudge(1);
        lineup.write(folder.resolve("no.wav"), CopyFormat.WAV_24, false);
        assertThat(lineup.state().clock())
                .as("there is nothing to move or write")
                .isEmpty();
        lineup.chooseOther(Files.writeString(folder.resolve("takes/notes.txt"), "Sunday"));
        models.until(() -> !lineup.state().isSearching());
        assertThat(lineup.sentence()).isEqualTo("They could not be lined up");
        assertThat(lineup.state().problem()).contains("notes.txt");
    }

    /** A loop fits at several places, a whole number of bars apart: one of them is chosen. */
    @Test
    void of_several_places_one_is_chosen() throws Exception {
        Path beside = Files.createDirectories(folder.resolve("takes"));
        Pair loop = Pairs.make(Kind.LOOP, 30, 1, beside);
        lineup.drop(List.of(loop.reference(), loop.other()));
        models.until(() -> !lineup.state().isSearching());
        List<Double> places = lineup.state().result().orElseThrow().places();
        assertThat(places).hasSizeGreaterThan(1);
        lineup.choosePlace(1);
        assertThat(clock().offsetSeconds()).isEqualTo(places.get(1));
        double bars = (places.get(1) - loop.truth().offsetSeconds())
                / (2 * (1 + loop.truth().drift()));
        assertThat(bars).isCloseTo(Math.rint(bars), within(1e-3));
        assertThat(lineup.sentence()).matches("The other recording begins [0-9.]+ s (before|after) the reference\\..*");
        models.until(() -> lineup.start().seen().isPresent());
        lineup.choosePlace(places.size());
        assertThat(clock().offsetSeconds()).as("there is no such place").isEqualTo(places.get(1));
    }
}
