package kalodyne.core.demo;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.hearing.players.Player;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.lineup.ClockedStream;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.SoundTags;
import kalodyne.core.sound.WavRecorder;

/**
 * A song of the trio, recorded by the interface and, from across the room, by the camera, whose clock is another one. Rounds of different
 * lengths lie over each other, so that no two moments are alike.
 */
final class BoathouseFilm {
    private static final int RATE = 48_000;
    private static final double SONG_SECONDS = 64;
    private static final double FILM_SECONDS = 50;
    /** The camera was switched on later, and counts slower. */
    private static final ClockLine CAMERA = new ClockLine(9.284, 35e-6);

    private static final double CAMERA_GAIN = 0.3;
    private static final double ROOM = 0.004;

    private BoathouseFilm() {}

    /** Puts both into a folder. */
    static void record(Path folder) throws IOException {
        Path song = folder.resolve("trio-interface.wav");
        Path film = folder.resolve("trio-film.wav");
        // When the demonstration is begun afresh they are there.
        Files.deleteIfExists(song);
        Files.deleteIfExists(film);
        writeSong(song);
        // The camera's moments, in the interface's time: exactly what lining up has to find.
        try (SoundStream heard = new ClockedStream(SoundFiles.open(song), CAMERA, RATE, FILM_SECONDS)) {
            writeFilm(heard, film);
        }
    }

    private static void writeSong(Path file) throws IOException {
        List<double[]> rounds = List.of(
                Player.of(DeviceKind.INSTRUMENT).play(RATE, 1),
                Player.of(DeviceKind.DRUM_MACHINE).play(RATE, 1),
                Player.of(DeviceKind.MICROPHONE).play(RATE, 1));
        double[] sizes = {0.3, 0.12, 0.16};
        int frames = (int) (SONG_SECONDS * RATE);
        float[][] both = new float[2][frames];
        for (int player = 0; player < sizes.length; player++) {
            double[] round = rounds.get(player);
            double scale = sizes[player] / peak(round);
            for (int i = 0; i < frames; i++) {
                double sample = scale * round[i % round.length];
                both[0][i] += (float) (sample * (player == 1 ? 0.7 : 1));
                both[1][i] += (float) (sample * (player == 1 ? 1 : 0.7));
            }
        }
        try (WavRecorder recorder = new WavRecorder(file, 2, RATE, CopyFormat.WAV_24, SoundTags.NONE)) {
            recorder.write(both, frames);
        }
    }

    private static double peak(double[] samples) {
        double most = 0;
        for (double sample : samples) {
            most = Math.max(most, Math.abs(sample));
        }
        return most;
    }

    private static void writeFilm(SoundStream heard, Path file) throws IOException {
        Random random = new Random(23);
        try (WavRecorder recorder = new WavRecorder(file, 1, RATE, CopyFormat.WAV_16, SoundTags.NONE)) {
            double low = 0;
            for (int count = heard.next(); count > 0; count = heard.next()) {
                float[] mono = new float[count];
                for (int i = 0; i < count; i++) {
                    double sum = CAMERA_GAIN * (heard.samples()[0][i] + heard.samples()[1][i]);
                    low += 0.03 * (sum - low);
                    mono[i] = (float) (sum - 0.7 * low + ROOM * random.nextGaussian());
                }
                recorder.write(new float[][] {mono}, count);
            }
        }
    }
}
