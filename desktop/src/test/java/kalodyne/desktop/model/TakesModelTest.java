package kalodyne.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.joint.Spot;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.causes.Inquiry;
import kalodyne.desktop.testing.Models;
import kalodyne.desktop.testing.Tones;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Takes without a window: reading is done at once, what it brings is told when a test says so. */
class TakesModelTest {
    private static final String BASS = "bass-synth.out>interface.adc-3";

    @TempDir
    Path folder;

    private Models models;
    private TakesModel takes;

    @BeforeEach
    void open() throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        models.studio().showRun(BASS);
        takes = new TakesModel(models.studio(), models.jobs(), Models.CLOCK);
    }

    @AfterEach
    void close() {
        models.close();
    }

    private Path tone(String name, double dbfs) throws IOException {
        return Tones.sine(folder.resolve("takes").resolve(name), 3, 110, dbfs);
    }

    private Take add(Path file) {
        takes.add(file);
        models.tell();
        return takes.selection().take().orElseThrow();
    }

    @Test
    void a_recording_becomes_a_take_with_the_knobs_as_they_stand() throws IOException {
        assertThat(takes.selection().sentence()).isEqualTo("No take of this run yet");
        takes.add(tone("bass.wav", -12));
        assertThat(takes.selection().sentence()).isEqualTo("bass.wav is being read");
        models.tell();
        Take take = takes.selection().take().orElseThrow();
        assertThat(take.name()).isEqualTo("Take 1");
        assertThat(take.file()).isEqualTo("takes/bass.wav");
        assertThat(take.run()).isEqualTo(BASS);
        assertThat(take.at()).isEqualTo(Models.CLOCK.instant());
        assertThat(take.positions()).containsKeys(Spot.read("bass-synth.volume"), Spot.read("interface.gain-3"));
        // A sine at −12 dBFS has its peak there.
        assertThat(take.judged().orElseThrow().peakDbfs().orElseThrow()).isBetween(-12.02, -11.98);
        assertThat(takes.selection().sentence()).contains("−12.0 dBFS");
        models.studio().undo();
        assertThat(models.studio().setup().takes()).isEmpty();
    }

    /** Names count on from the highest in use; what is taken out leaves its recording. */
    @Test
    void a_name_never_means_two_takes() throws IOException {
        Take first = add(tone("one.wav", -12));
        add(tone("two.wav", -12));
        assertThat(takes.selection().takes()).extracting(Take::name).containsExactly("Take 2", "Take 1");
        takes.select(first);
        takes.remove();
        assertThat(folder.resolve("takes/one.wav")).exists();
        assertThat(add(tone("three.wav", -12)).name()).isEqualTo("Take 3");
        // The same recording can be a take twice.
        assertThat(add(folder.resolve("takes/three.wav")).name()).isEqualTo("Take 4");
    }

    @Test
    void what_is_no_recording_is_told_and_nothing_is_added() throws IOException {
        Path list = Files.writeString(folder.resolve("list.wav"), "one, two, three");
        takes.add(list);
        models.tell();
        assertThat(models.studio().setup().takes()).isEmpty();
        assertThat(models.studio().noticeProperty().get().orElseThrow().title())
                .isEqualTo("This take could not be read");
        takes.add(folder.resolve("gone.wav"));
        models.tell();
        assertThat(models.studio().noticeProperty().get()).isPresent();
        assertThat(models.studio().setup().takes()).isEmpty();
    }

    /** A recording that is gone leaves its take in the log, with what was said of it; it is read again when it is back. */
    @Test
    void a_take_outlives_its_recording() throws IOException {
        Path file = tone("bass.wav", -3);
        Take take = add(file);
        byte[] kept = Files.readAllBytes(file);
        Files.delete(file);
        // What was measured is still worth showing; whoever starts anew has only what was said.
        takes.select(take);
        assertThat(takes.selection().shown()).isPresent();
        TakesModel anew = new TakesModel(models.studio(), models.jobs(), Models.CLOCK);
        models.tell();
        assertThat(anew.selection().sentence()).isEqualTo("Take 1 cannot be read");
        assertThat(anew.sentenceOf(take)).contains(take.judged().orElseThrow().sentence());
        Files.write(file, kept);
        anew.select(take);
        models.tell();
        assertThat(anew.selection().shown()).isPresent();
    }

    @Test
    void a_take_is_compared_with_another_one() throws IOException {
        Take quiet = add(tone("quiet.wav", -18));
        Take loud = add(tone("loud.wav", -12));
        takes.compareWith(Optional.of(quiet));
        models.tell();
        TakesModel.Compared compared =
                takes.selection().shown().orElseThrow().other().orElseThrow();
        assertThat(compared.take()).isEqualTo(quiet);
        assertThat(compared.report().loudest().peakLevel().dbfs()).isBetween(-18.02, -17.98);
        takes.compareWith(Optional.of(loud));
        assertThat(takes.selection().shown().orElseThrow().other()).isEmpty();
    }

    @Test
    void notes_and_answers_are_steps_that_can_be_taken_back() throws IOException {
        Take take = add(tone("bass.wav", -12));
        takes.note(take, "  loud truck ");
        take = takes.selection().take().orElseThrow();
        assertThat(take.note()).isEqualTo("loud truck");
        takes.answer(take, new Inquiry.Tried("batteries", 1));
        take = takes.selection().take().orElseThrow();
        takes.answer(take, new Inquiry.Tried("batteries", 0));
        take = takes.selection().take().orElseThrow();
        assertThat(take.tried()).containsExactly(new Inquiry.Tried("batteries", 0));
        takes.beginSearchAnew(take);
        assertThat(takes.selection().take().orElseThrow().tried()).isEmpty();
        models.studio().undo();
        assertThat(takes.selection().take().orElseThrow().tried()).hasSize(1);
    }

    /** A copy is noted on every take that has this recording, in whatever setup; and no more where the note is full. */
    @Test
    void copies_are_noted_on_all_takes_of_the_recording() throws IOException {
        Path file = tone("bass.wav", -12);
        Take take = add(file);
        takes.noteCopy(file, "Copy bass tidy.wav.");
        takes.noteCopy(file, "Copy bass loud.wav.");
        assertThat(takes.selection().take().orElseThrow().note()).isEqualTo("Copy bass tidy.wav.\nCopy bass loud.wav.");
        assertThat(takes.runOf(file)).contains(take.run());
        assertThat(takes.runOf(folder.resolve("takes/no.wav"))).isEmpty();
        takes.noteCopy(file, "x".repeat(100_000));
        assertThat(models.studio().noticeProperty().get().orElseThrow().title())
                .isEqualTo("The note of Take 1 is full");
        assertThat(takes.selection().take().orElseThrow().note()).doesNotContain("xxx");
    }

    /** What is recorded is in the log from its first moment, and out of it again where nothing came. */
    @Test
    void a_recording_that_brings_nothing_leaves_no_take() throws IOException {
        Path file = takes.fileFor(models.studio().reading().orElseThrow().plan());
        assertThat(file.getFileName().toString()).matches("bass-synth-.*take-1\\.wav");
        takes.begin(models.studio().reading().orElseThrow().plan(), file);
        assertThat(takes.selection().sentence()).isEqualTo("Take 1 is being recorded");
        takes.finish(file, false);
        assertThat(models.studio().setup().takes()).isEmpty();
        takes.begin(models.studio().reading().orElseThrow().plan(), file);
        Tones.sine(file, 2, 110, -9);
        takes.finish(file, true);
        models.tell();
        assertThat(takes.selection().take().orElseThrow().judged()).isPresent();
        // The next one goes beside it.
        assertThat(takes.fileFor(models.studio().reading().orElseThrow().plan()))
                .isNotEqualTo(file);
        models.studio().undo();
        assertThat(models.studio().setup().takes()).isEmpty();
    }

    /** What clips is found, with the places where it is. */
    @Test
    void what_is_wrong_has_its_places() throws IOException {
        Path file = Tones.write(
                folder.resolve("takes/hot.wav"),
                3,
                at -> Math.max(-1, Math.min(1, 1.6 * Math.sin(2 * Math.PI * 220 * at))));
        add(file);
        ShownTake shown = takes.selection().shown().orElseThrow();
        assertThat(shown.finding(FindingCode.CLIP_DIGITAL)).isPresent();
        assertThat(shown.finding(FindingCode.DROPOUT)).isEmpty();
        assertThat(shown.evidence()).isNotEmpty().allMatch(each -> each.code() == FindingCode.CLIP_DIGITAL);
    }

    /** Takes at known knobs say how loud the source is; the studio's gear is described so in one step. */
    @Test
    void takes_describe_the_gear() throws IOException {
        add(tone("one.wav", -20));
        add(tone("two.wav", -20));
        takes.readAll(() -> {});
        models.tell();
        Calibrating calibrating = takes.calibrating().orElseThrow();
        Studio before = models.studio().studio();
        takes.correct(calibrating);
        assertThat(models.studio().studio()).isNotEqualTo(before);
        models.studio().undo();
        assertThat(models.studio().studio().devices()).isEqualTo(before.devices());
        assertThat(List.of(takes.isReadOnly())).containsExactly(false);
    }

    @Test
    void without_a_run_there_is_no_take() throws IOException {
        models.close();
        models = Models.on(
                folder.resolve("empty.kalodyne"),
                new Studio("Mine", List.of(), List.of(), List.of(kalodyne.core.studio.setup.Setup.empty())));
        takes = new TakesModel(models.studio(), models.jobs(), Models.CLOCK);
        takes.add(tone("bass.wav", -12));
        assertThat(models.studio().noticeProperty().get().orElseThrow().title()).isEqualTo("There is no run yet");
        assertThat(takes.calibrating()).isEmpty();
    }
}
