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
import kalodyne.core.lineup.tidy.Channels;
import kalodyne.core.lineup.tidy.Proposal;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.model.TakesModel;
import kalodyne.desktop.testing.Models;
import kalodyne.desktop.testing.Tones;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The last clean-up without a window, of tones whose levels and lengths are known by formula. */
class TidyModelTest {
    private static final String BASS = "bass-synth.out>interface.adc-3";

    @TempDir
    Path folder;

    private Models models;
    private TakesModel takes;
    private TidyModel tidy;

    @BeforeEach
    void open() throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        models.studio().showRun(BASS);
        takes = new TakesModel(models.studio(), models.jobs(), Models.CLOCK);
        tidy = new TidyModel(models.studio(), takes, models.jobs());
    }

    @AfterEach
    void close() {
        models.close();
    }

    private CopiesWanted wanted() {
        return tidy.state().wanted();
    }

    private Path tone(String name, double dbfs) throws IOException {
        return Tones.sine(folder.resolve("takes").resolve(name), 3, 440, dbfs);
    }

    /** One second of silence, two of a tone, one of silence. */
    private Path framed(String name, double dbfs) throws IOException {
        double amplitude = Math.pow(10, dbfs / 20);
        return Tones.write(
                folder.resolve("takes").resolve(name),
                4,
                at -> at < 1 || at > 3 ? 0 : amplitude * Math.sin(2 * Math.PI * 440 * at));
    }

    private List<Proposal> measured() {
        tidy.measure();
        assertThat(tidy.state().isWorking()).isTrue();
        models.tell();
        assertThat(tidy.state().isWorking()).isFalse();
        return tidy.state().preview().orElseThrow().proposals();
    }

    /** A tone at −20 dBFS: what each way of setting its level comes to, by hand. */
    @ParameterizedTest
    @CsvSource({
        "AS_IT_IS, 0,   0",
        "GAIN,     6,   6",
        "GAIN,     -12, -12",
        "PEAK,     -1,  19",
        "PEAK,     -6,  14",
    })
    void the_level_is_as_wanted(TidyModel.Level level, String typed, double gain) throws IOException {
        tidy.add(List.of(tone("tone.wav", -20)));
        tidy.want(wanted().with(level));
        if (level.hasValue()) {
            tidy.want(wanted().level(typed));
        }
        Proposal proposal = measured().get(0);
        assertThat(proposal.gain().db()).isCloseTo(gain, within(0.02));
        assertThat(proposal.peakAfter().dbfs()).isCloseTo(-20 + gain, within(0.02));
        assertThat(tidy.state().writable()).isEqualTo(1);
    }

    /** Two tones 9 dB apart: the second becomes as loud as the first, and 3 dB more where that is wanted. */
    @ParameterizedTest
    @CsvSource({"0, 9", "3, 12", "-2.5, 6.5"})
    void the_second_is_as_loud_as_the_first(String typed, double gain) throws IOException {
        tidy.add(List.of(tone("first.wav", -20), tone("second.wav", -29)));
        tidy.want(wanted().with(TidyModel.Level.MATCH).level(typed));
        List<Proposal> proposals = measured();
        assertThat(proposals.get(1).gain().db()).isCloseTo(gain, within(0.05));
    }

    /** The tone lies from 1 to 3 s; 0.3 s are left before and behind it. */
    @Test
    void top_and_tail_are_cut() throws IOException {
        tidy.add(List.of(framed("framed.wav", -12)));
        tidy.want(wanted().with(TidyModel.Keep.SOUNDING));
        Proposal proposal = measured().get(0);
        assertThat(proposal.fromSeconds()).isCloseTo(0.7, within(0.1));
        assertThat(proposal.toSeconds()).isCloseTo(3.3, within(0.1));
        tidy.want(wanted().with(TidyModel.Keep.ALL));
        assertThat(measured().get(0).toSeconds()).isCloseTo(4, within(1e-6));
    }

    /** Two songs with three seconds between: two files with names, or one with two marks. */
    @Test
    void songs_become_files_or_marks() throws IOException {
        Path concert = Tones.write(
                folder.resolve("takes/concert.wav"),
                11,
                at -> at < 4 || at > 7 ? 0.2 * Math.sin(2 * Math.PI * 330 * at) : 0);
        tidy.add(List.of(concert));
        tidy.want(wanted().with(TidyModel.Keep.SONGS).keep("2 s").named(List.of("Harbour", "Lantern")));
        List<Proposal> songs = measured();
        assertThat(songs).hasSize(2);
        assertThat(songs.get(0).target().getFileName().toString()).contains("Harbour");
        assertThat(songs.get(1).fromSeconds()).isCloseTo(6.7, within(0.15));
        tidy.want(wanted().with(TidyModel.Keep.MARKS).keep("2").named(List.of("Harbour", "Lantern")));
        List<Proposal> marked = measured();
        assertThat(marked).hasSize(1);
        assertThat(marked.get(0).marks()).hasSize(2);
    }

    @Test
    void what_is_written_is_told_and_noted_on_its_take() throws IOException {
        Path bass = tone("bass.wav", -20);
        takes.add(bass);
        models.tell();
        tidy.add(List.of(bass));
        tidy.want(wanted().with(TidyModel.Level.PEAK)
                .as(Optional.of(CopyFormat.FLAC_24))
                .into(Optional.of(folder.resolve("out"))));
        Files.createDirectories(folder.resolve("out"));
        measured();
        tidy.write();
        models.tell();
        assertThat(folder.resolve("out/bass tidy.flac")).exists();
        assertThat(folder.resolve("out/bass tidy.flac.json")).exists();
        assertThat(models.studio().noticeProperty().get().orElseThrow().title()).isEqualTo("1 of 1 file written");
        assertThat(takes.selection().take().orElseThrow().note())
                .isEqualTo("Copy bass tidy.flac: 0:00.0 to 0:03.0, gain +19.0 dB.");
        // What was measured before is not offered once more: the file is there now.
        assertThat(tidy.state().preview()).isEmpty();
        measured();
        assertThat(tidy.state().writable()).isZero();
    }

    /** A name of each channel is that of what is played on it: tracks of the device that made the take. */
    @Test
    void channels_are_named_by_what_is_played_on_them() throws IOException {
        Path several = Tones.write(
                folder.resolve("takes/several.wav"),
                2,
                at -> 0.1 * Math.sin(2 * Math.PI * 200 * at),
                at -> 0.1 * Math.sin(2 * Math.PI * 300 * at),
                at -> 0.1 * Math.sin(2 * Math.PI * 400 * at));
        takes.add(several);
        models.tell();
        tidy.add(List.of(several));
        tidy.want(wanted().with(Channels.Usual.SINGLE));
        List<Proposal> proposals = measured();
        assertThat(proposals).hasSize(3);
        assertThat(proposals.get(2).target().getFileName().toString()).contains("Bass synth");
    }

    /** The same file is there once; another wish, or a file taken out, asks for measuring anew. */
    @Test
    void what_was_measured_is_forgotten_with_the_wish() throws IOException {
        Path one = tone("one.wav", -20);
        Path two = tone("two.wav", -20);
        tidy.add(List.of(one, two, one));
        tidy.add(List.of(one));
        assertThat(tidy.state().files()).containsExactly(one, two);
        measured();
        tidy.remove(two);
        assertThat(tidy.state().preview()).isEmpty();
        measured();
        tidy.want(wanted());
        assertThat(tidy.state().preview()).isPresent();
        tidy.want(wanted().with(TidyModel.Level.GAIN));
        assertThat(tidy.state().preview()).isEmpty();
        tidy.write();
        assertThat(tidy.state().isWorking()).isFalse();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            GAIN     | 61       | Write -60 to 60 dB.
            GAIN     | loud     | Write -60 to 60 dB.
            PEAK     | 1        | Write -60 to 0 dBFS.
            LOUDNESS | ''       | Write -60 to 0 LUFS.
            MATCH    | 6..5     | Write -40 to 40 LU louder.
            """)
    void what_does_not_fit_is_refused_with_what_would(TidyModel.Level level, String typed, String remedy) {
        CopiesWanted with = wanted().with(level);
        assertThatThrownBy(() -> with.level(typed))
                .isInstanceOfSatisfying(
                        UnreadableQuantity.class,
                        refused ->
                                assertThat(refused.remedy().replace('−', '-')).isEqualTo(remedy));
        assertThat(with.level("−0,5").levelValue()).isEqualTo(-0.5);
    }
}
