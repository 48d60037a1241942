package kalodyne.core.lineup.tidy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.Broadcast;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.SoundTags;
import kalodyne.core.sound.TagChunks;
import kalodyne.core.sound.copies.Copy;
import kalodyne.core.sound.copies.CopyWriter;
import kalodyne.core.testing.Tool;
import kalodyne.core.testing.WavBytes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Recordings that are written down by formula: where their sounds begin and die, and how loud they are, is known. */
class TidyTest {
    private static final int RATE = 48_000;

    @TempDir
    Path folder;

    // --- making ------------------------------------------------------------------------------------------------

    private static double[] made(double seconds, DoubleUnaryOperator sound) {
        double[] samples = new double[(int) (seconds * RATE)];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = sound.applyAsDouble((double) i / RATE);
        }
        return samples;
    }

    /** A struck string that dies away: it falls by 8.7 dB in each time constant. */
    private static double struck(double t, double at, double size, double constant) {
        return t < at ? 0 : size * Math.exp(-(t - at) / constant) * Math.sin(2 * Math.PI * 440 * (t - at));
    }

    private static DoubleUnaryOperator room(double dbfs) {
        Random random = new Random(4);
        double size = Math.pow(10, dbfs / 20);
        return t -> size * random.nextGaussian();
    }

    private Path file(String name, int bits, double[]... channels) throws IOException {
        Path file = folder.resolve(name);
        Files.write(file, WavBytes.integers(bits, channels).bytes());
        return file;
    }

    private TidyPlan plan(String fields) throws IOException {
        Path file = folder.resolve("plan.json");
        Files.writeString(
                file, "{\"format\": \"kalodyne-tidy\", \"version\": 1" + (fields.isEmpty() ? "" : ", " + fields) + "}");
        return TidyPlanReader.read(file);
    }

    private static Proposal only(Tidy.Preview preview) {
        assertThat(preview.refused()).isEmpty();
        assertThat(preview.proposals()).hasSize(1);
        return preview.proposals().get(0);
    }

    private static float[][] read(Path file) throws IOException {
        try (SoundStream stream = SoundFiles.open(file)) {
            float[][] all =
                    new float[stream.header().channels()][(int) stream.header().frames()];
            int at = 0;
            for (int count = stream.next(); count > 0; count = stream.next()) {
                for (int c = 0; c < all.length; c++) {
                    System.arraycopy(stream.samples()[c], 0, all[c], at, count);
                }
                at += count;
            }
            return all;
        }
    }

    private static double lufs(Path file) throws IOException, InterruptedException {
        String told = Tool.run(
                "ffmpeg", "-hide_banner", "-nostats", "-i", file.toString(), "-filter:a", "ebur128", "-f", "null", "-");
        return Tool.numbers(told.substring(told.lastIndexOf("Summary")).replaceAll(" +", " "), "I")
                .get(0);
    }

    // --- cutting -----------------------------------------------------------------------------------------------

    /**
     * A string struck at 2 s and at 4 s in a room at −70 dBFS. The last one falls from −6 dBFS (its RMS −9) with 8.7 dB each 0.8 s, so that it
     * drowns in the room at 4 + 0.8·61/8.7 = 9.6 s.
     */
    @Test
    void what_comes_before_and_behind_is_cut_but_no_decay() throws IOException {
        DoubleUnaryOperator room = room(-70);
        double[] take = made(20, t -> struck(t, 2, 0.5, 0.8) + struck(t, 4, 0.5, 0.8) + room.applyAsDouble(t));
        Path file = file("take.wav", 24, take, take);
        Proposal proposal = only(new Tidy(plan("\"cut\": {\"topAndTail\": {\"leaveSeconds\": 0.25}}"))
                .preview(List.of(file), Progress.NONE));
        assertThat(proposal.fromSeconds()).isCloseTo(1.75, within(0.02));
        assertThat(proposal.toSeconds()).isBetween(9.5, 11.0);
        assertThat(proposal.notes().get(0)).matches("Cut: 0:01\\.[78] at the beginning, 0:\\d\\d\\.\\d at the end\\.");
    }

    /** Three songs; a chair creaks in the second pause. */
    @Test
    void a_long_recording_becomes_songs_with_names() throws IOException {
        DoubleUnaryOperator room = room(-72);
        double[] evening = made(40, t -> {
            double song = 0;
            for (double beat = 0; beat < 6; beat += 0.5) {
                song += struck(t, 1 + beat, 0.4, 0.2) + struck(t, 13 + beat, 0.3, 0.2) + struck(t, 28 + beat, 0.4, 0.2);
            }
            return song + struck(t, 23, 0.006, 0.03) + room.applyAsDouble(t);
        });
        Path file = file("evening.wav", 16, evening);
        String songs =
                "\"cut\": {\"songs\": {\"pauseSeconds\": 2, \"leaveSeconds\": 0.5, \"names\": [\"Low tide\", \"Oars: two\"]";
        Tidy tidy = new Tidy(plan(songs + "}}"));
        Tidy.Preview preview = tidy.preview(List.of(file), Progress.NONE);
        assertThat(preview.proposals())
                .extracting(each -> each.target().getFileName().toString())
                .containsExactly("evening Low tide.wav", "evening Oars- two.wav", "evening song 3.wav");
        assertThat(preview.proposals().get(1).fromSeconds()).isCloseTo(12.5, within(0.02));
        assertThat(preview.proposals().get(1).toSeconds()).isBetween(19.5, 21.0);
        assertThat(preview.proposals().get(0).notes())
                .containsExactly("The plan names 2 songs; 3 stretches between pauses were found.");
        tidy.write(preview.proposals().get(1), Progress.NONE);
        float[] song = read(folder.resolve("evening Oars- two.wav"))[0];
        int from = (int) Math.round(preview.proposals().get(1).fromSeconds() * RATE);
        // Sixteen bits that only moved are the same sixteen bits, but for the fade of 5 ms at the ends.
        float[] whole = read(file)[0];
        assertThat(song[0]).isZero();
        for (int i = 300; i < song.length - 300; i++) {
            assertThat(song[i]).isEqualTo(whole[from + i]);
        }
        Proposal marked = only(new Tidy(plan(songs + ", \"asMarks\": true}}")).preview(List.of(file), Progress.NONE));
        new Tidy(plan("")).write(marked, Progress.NONE);
        assertThat(TagChunks.read(marked.target()).marks())
                .extracting(SoundTags.Mark::name)
                .containsExactly("Low tide", "Oars: two", "song 3");
    }

    /** Hits of a machine at 120 beats a minute whose clock is 800 ppm slow: in the copy they stand on the beat to a third of a millisecond. */
    @ParameterizedTest
    @CsvSource({"3.21, -800, 0", "0.4, 350, 2"})
    void passes_of_a_machine_begin_on_the_bar_and_keep_the_tempo(double first, double ppm, int before)
            throws IOException {
        double beat = 0.5 / (1 + ppm * 1e-6);
        double[] pass = made(40, t -> {
            double sum = 0;
            int near = (int) ((t - first) / beat);
            for (int n = Math.max(0, near - 1); n <= Math.min(63, near); n++) {
                sum += struck(t, first + n * beat, 0.5, 0.02);
            }
            return sum;
        });
        Path file = file("bass.wav", 24, pass);
        Tidy tidy = new Tidy(plan("\"cut\": {\"bars\": {\"beatsPerMinute\": 120, \"beforeBars\": " + before + "}}"));
        Proposal proposal = only(tidy.preview(List.of(file), Progress.NONE));
        assertThat(proposal.seconds()).isCloseTo(2.0 * (16 + before), within(1e-9));
        assertThat(1e6 * proposal.clock().drift()).isCloseTo(-ppm, within(15.0));
        assertThat(proposal.notes().get(0)).contains("16 bars");
        tidy.write(proposal, Progress.NONE);
        float[] copy = read(proposal.target())[0];
        for (int n = 0; n < 64; n++) {
            int expected = (int) ((2.0 * before + 0.5 * n) * RATE);
            int at = Math.max(0, expected - 480);
            while (Math.abs(copy[at]) < 0.02) {
                at++;
            }
            assertThat((double) (at - expected) / RATE).as("hit " + n).isBetween(-0.0025, 0.0015);
        }
    }

    // --- levels ------------------------------------------------------------------------------------------------

    private static double[] music(double size, long seed) {
        Random random = new Random(seed);
        double[] pitches = random.doubles(40, 100, 1500).toArray();
        return made(16, t -> {
            int note = (int) (t / 0.4);
            double inNote = t - 0.4 * note;
            return size * Math.exp(-3 * inNote) * Math.sin(2 * Math.PI * pitches[note] * t);
        });
    }

    /** As measured by ffmpeg's EBU R 128 filter, which knows nothing of this program. */
    @Test
    void copies_have_the_loudness_that_was_asked_for() throws IOException, InterruptedException {
        Path with = file("with voice.wav", 16, music(0.3, 1), music(0.25, 2));
        Path without = file("without voice.wav", 16, music(0.08, 3), music(0.07, 4));
        Tidy tidy = new Tidy(plan("\"level\": {\"match\": \"with voice\"}, \"as\": \"wav24\""));
        Tidy.Preview preview = tidy.preview(List.of(with, without), Progress.NONE);
        assertThat(preview.isWhole()).isTrue();
        for (Proposal each : preview.proposals()) {
            tidy.write(each, Progress.NONE);
        }
        assertThat(lufs(preview.proposals().get(1).target())).isCloseTo(lufs(with), within(0.1));
        assertThat(preview.proposals().get(1).notes())
                .singleElement()
                .asString()
                .matches("The steps of its 16 bits come up to −8\\d dBFS, \\d\\d dB below its average\\.");
        Tidy louder = new Tidy(plan("\"level\": {\"loudnessLufs\": -23}, \"folder\": \"louder\", \"as\": \"flac24\""));
        Proposal proposal =
                louder.preview(List.of(without), Progress.NONE).proposals().get(0);
        louder.write(proposal, Progress.NONE);
        assertThat(proposal.target()).isEqualTo(folder.resolve("louder").resolve("without voice tidy.flac"));
        assertThat(lufs(proposal.target())).isCloseTo(-23, within(0.1));
    }

    /** The piano 7 LU below the voice, in stems of one recording with three channels. */
    @Test
    void parts_are_balanced_against_each_other() throws IOException, InterruptedException {
        Path file = file("sitting.wav", 24, music(0.3, 1), music(0.3, 2), music(0.2, 3));
        Tidy tidy = new Tidy(plan(
                "\"parts\": [{\"name\": \"piano\", \"channels\": [1, 2]}, {\"name\": \"voice\", \"channels\": [3]}],"
                        + "\"level\": {\"match\": \"voice\", \"differenceDb\": -7}"));
        Tidy.Preview preview = tidy.preview(List.of(file), Progress.NONE);
        for (Proposal each : preview.proposals()) {
            tidy.write(each, Progress.NONE);
        }
        assertThat(lufs(folder.resolve("sitting piano.wav")))
                .isCloseTo(lufs(folder.resolve("sitting voice.wav")) - 7, within(0.1));
        assertThat(preview.proposals().get(1).gain().db()).isZero();
    }

    /** A sine with its peak at −6.02 dBFS. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"peakDbfs\": -3        | 3.02 |",
                "\"gainDb\": -10         | -10  |",
                "\"gainDb\": 12          | 5.02 | Only +5.0 of +12.0 dB fit below −1.0 dBTP.",
                "\"loudnessLufs\": -3    | 5.02 | Only +5.0 of +6.0 dB fit below −1.0 dBTP."
            })
    void no_copy_is_driven_into_clipping(String level, double gain, String note) throws IOException {
        double[] sine = made(5, t -> 0.5 * Math.sin(2 * Math.PI * 997 * t));
        Path file = file("sine.wav", 24, sine);
        Proposal proposal = only(new Tidy(plan("\"level\": {" + level + "}")).preview(List.of(file), Progress.NONE));
        assertThat(proposal.gain().db()).isCloseTo(gain, within(0.03));
        assertThat(proposal.notes()).isEqualTo(note == null ? List.of() : List.of(note));
    }

    // --- channels ----------------------------------------------------------------------------------------------

    /** Eight channels of which each holds its number: pairs, swapped, upside down, added up. */
    @Test
    void channels_are_picked_swapped_turned_and_added() throws IOException {
        double[][] numbered = new double[8][];
        for (int c = 0; c < 8; c++) {
            double value = (c + 1) / 16.0;
            numbered[c] = made(0.5, t -> value);
        }
        Path file = file("eight.wav", 24, numbered);
        Tidy tidy = new Tidy(plan("\"parts\": [{\"name\": \"swapped\", \"channels\": [4, 3]},"
                + "{\"name\": \"turned\", \"channels\": [7, 8], \"invert\": [8]},"
                + "{\"name\": \"mono\", \"channels\": [1, 5], \"mono\": true}]"));
        for (Proposal each : tidy.preview(List.of(file), Progress.NONE).proposals()) {
            tidy.write(each, Progress.NONE);
        }
        assertThat(read(folder.resolve("eight swapped.wav")))
                .satisfies(
                        all -> assertThat(all[0][9]).isEqualTo(4 / 16f),
                        all -> assertThat(all[1][9]).isEqualTo(3 / 16f));
        assertThat(read(folder.resolve("eight turned.wav")))
                .satisfies(
                        all -> assertThat(all[0][9]).isEqualTo(7 / 16f),
                        all -> assertThat(all[1][9]).isEqualTo(-8 / 16f));
        assertThat(read(folder.resolve("eight mono.wav")))
                .hasDimensions(1, RATE / 2)
                .satisfies(all -> assertThat(all[0][9]).isEqualTo(3 / 16f));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1    |",
                "0    |",
                "-0.8 | Its channels cancel each other: 7.0 dB is lost where they are added up. Invert one of them.",
                "-1   | Its channels cancel each other: all is lost where they are added up. Invert one of them."
            })
    void cancelling_in_mono_is_told(double common, String note) throws IOException {
        double[] one = made(3, t -> 0.3 * Math.sin(2 * Math.PI * 500 * t));
        double[] two = made(
                3,
                t -> 0.3 * common * Math.sin(2 * Math.PI * 500 * t)
                        + 0.3 * Math.sqrt(1 - common * common) * Math.cos(2 * Math.PI * 500 * t));
        Path file = file("pair.wav", 24, one, two);
        Proposal proposal = only(new Tidy(plan("\"parts\": [{\"channels\": [1, 2], \"mono\": true}]"))
                .preview(List.of(file), Progress.NONE));
        List<String> told = proposal.notes().stream()
                .filter(each -> each.contains("cancel"))
                .toList();
        assertThat(told).isEqualTo(note == null ? List.of() : List.of(note));
    }

    // --- what is written beside, and what goes wrong -----------------------------------------------------------

    /** A copy that begins 1.75 s later began 1.75 s later in the day; at another rate there are more samples since midnight. */
    @Test
    void what_was_done_stands_beside_the_copy_and_the_time_of_day_moves_with_it() throws IOException {
        double[] take = made(8, t -> struck(t, 2, 0.5, 0.1));
        Path file = folder.resolve("dated.wav");
        SoundTags tags = new SoundTags(
                Optional.of(Broadcast.of("cello", LocalDateTime.of(2026, 2, 22, 10, 0), 36_000L * RATE)), List.of());
        try (SoundStream plain = SoundFiles.open(file("plain.wav", 24, take))) {
            CopyWriter.write(plain, file, Copy.as(CopyFormat.WAV_24).with(tags), Progress.NONE);
        }
        Tidy tidy = new Tidy(
                plan(
                        "\"cut\": {\"topAndTail\": {\"leaveSeconds\": 0.25}}, \"sampleRateHz\": 96000, \"level\": {\"gainDb\": 2}"));
        Proposal proposal = only(tidy.preview(List.of(file), Progress.NONE));
        tidy.write(proposal, Progress.NONE);
        long reference =
                TagChunks.read(proposal.target()).broadcast().orElseThrow().timeReference();
        assertThat(reference / 96_000.0).isCloseTo(36_000 + proposal.fromSeconds(), within(1e-4));
        JsonNode told = new JsonMapper()
                .readTree(Files.readString(folder.resolve("dated tidy.wav.json"), StandardCharsets.UTF_8));
        assertThat(told.path("source").asText()).isEqualTo(file.toString());
        assertThat(told.path("gainDb").asDouble()).isEqualTo(2);
        assertThat(told.path("fromSeconds").asDouble()).isCloseTo(1.75, within(0.02));
        assertThat(told.path("frames").asLong()).isEqualTo(Math.round(proposal.seconds() * 96_000));
        TidyPlan set = plan("\"timeReference\": 480000, \"as\": \"wav16\", \"folder\": \"set\"");
        Proposal other = only(new Tidy(set).preview(List.of(folder.resolve("plain.wav")), Progress.NONE));
        new Tidy(set).write(other, Progress.NONE);
        assertThat(TagChunks.read(other.target()).broadcast().orElseThrow().timeReference())
                .isEqualTo(480_000);
    }

    /** A program that divided by nothing left what is no number: there is silence, and the rest is as loud as it was. */
    @Test
    void what_is_no_number_becomes_silence() throws IOException {
        double[] sine = made(3, t -> t > 1 && t < 1.01 ? Double.NaN : 0.25 * Math.sin(2 * Math.PI * 500 * t));
        Path file = Files.write(folder.resolve("odd.wav"), WavBytes.floats(sine).bytes());
        Tidy tidy = new Tidy(plan("\"level\": {\"peakDbfs\": -6}, \"as\": \"wav24\", \"sampleRateHz\": 44100"));
        Proposal proposal = only(tidy.preview(List.of(file), Progress.NONE));
        assertThat(proposal.gain().db()).isCloseTo(6.04, within(0.05));
        tidy.write(proposal, Progress.NONE);
        float[] copy = read(proposal.target())[0];
        assertThat(copy[(int) (1.005 * 44_100)]).isZero();
        assertThat(copy).hasSize(3 * 44_100).doesNotContain(Float.NaN);
    }

    @Test
    void what_cannot_be_done_is_told_and_the_rest_is_done() throws IOException {
        Path good = file("good.wav", 16, made(1, t -> 0.1));
        Path gone = folder.resolve("gone.wav");
        Path text = Files.writeString(folder.resolve("text.wav"), "no sound");
        Files.writeString(folder.resolve("good tidy.wav"), "mine");
        Tidy.Preview preview = new Tidy(plan("")).preview(List.of(gone, good, text, good), Progress.NONE);
        assertThat(preview.refused()).extracting(Tidy.Refused::file).containsExactly(gone, text);
        assertThat(preview.proposals())
                .extracting(Proposal::problem)
                .containsExactly(
                        "There is a file of this name already. It stays as it is. Choose another folder.",
                        "Another copy would have the same name. Give parts and songs different names.");
        assertThat(new Tidy(plan("\"parts\": [{\"name\": \"voice\", \"channels\": [3]}]"))
                        .preview(List.of(good), Progress.NONE)
                        .refused()
                        .get(0)
                        .problem())
                .isEqualTo("It has 1 channel, and \"voice\" wants channel 3.");
        assertThat(new Tidy(plan("\"level\": {\"match\": \"nobody\"}"))
                        .preview(List.of(good), Progress.NONE)
                        .proposals()
                        .get(0)
                        .problem())
                .isEqualTo("There is no part and no file called \"nobody\" to match.");
        assertThat(new Tidy(plan("\"cut\": {\"bars\": {\"beatsPerMinute\": 120}}"))
                        .preview(List.of(good), Progress.NONE)
                        .refused()
                        .get(0)
                        .problem())
                .startsWith("It has too few beats that begin clearly");
    }
}
