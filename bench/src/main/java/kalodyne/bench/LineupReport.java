package kalodyne.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import kalodyne.core.lineup.Alignment;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.lineup.LineUp;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.SoundTags;
import kalodyne.core.sound.WavRecorder;
import kalodyne.core.testing.pairs.Pair;
import kalodyne.core.testing.pairs.Pairs;
import kalodyne.core.testing.pairs.Song;

/** Prints how exactly pairs are lined up whose offset and drift are known; makes two recordings of an hour. */
public final class LineupReport {
    private static final int RATE = 48_000;
    private static final double MICRO = 1e6;

    private LineupReport() {}

    /** "pairs SECONDS EACH" prints the errors; "hour REFERENCE OTHER" writes two recordings of an hour. */
    public static void main(String[] arguments) throws IOException {
        if (arguments[0].equals("hour")) {
            hour(Path.of(arguments[1]), Path.of(arguments[2]));
        } else {
            pairs(Double.parseDouble(arguments[1]), Integer.parseInt(arguments[2]));
        }
    }

    private static void pairs(double seconds, int each) throws IOException {
        Path folder = Files.createTempDirectory("pairs");
        List<Double> offsets = new ArrayList<>();
        List<Double> drifts = new ArrayList<>();
        int within = 0;
        int wrong = 0;
        for (Pairs.Kind kind : Pairs.Kind.values()) {
            for (int seed = 1; seed <= each; seed++) {
                Pair pair = Pairs.make(kind, seconds, seed, folder);
                LineUp.Result result = LineUp.of(pair.reference(), pair.other(), done -> true);
                Files.delete(pair.reference());
                Files.delete(pair.other());
                wrong += result.belongTogether() == pair.belong() ? 0 : 1;
                if (pair.belong() && result.alignment().isPresent()) {
                    Alignment found = result.alignment().get();
                    double offset =
                            Math.abs(found.offsetSeconds() - pair.truth().offsetSeconds());
                    double drift =
                            Math.abs(found.driftPpm() - MICRO * pair.truth().drift());
                    offsets.add(MICRO * offset);
                    drifts.add(drift);
                    within +=
                            offset <= found.offsetUncertaintySeconds() && drift <= found.driftUncertaintyPpm() ? 1 : 0;
                }
            }
        }
        Files.delete(folder);
        System.out.println("  offset, µs: " + distribution(offsets));
        System.out.println("  drift, ppm: " + distribution(drifts));
        System.out.println("  within the uncertainty that was told: " + within + " of " + offsets.size()
                + "; judged wrongly whether they belong together: " + wrong + " of "
                + each * Pairs.Kind.values().length);
    }

    private static String distribution(List<Double> errors) {
        Collections.sort(errors);
        StringBuilder words = new StringBuilder();
        for (int percent : new int[] {50, 90, 95, 100}) {
            int at = Math.max(0, (int) Math.ceil(percent / 100.0 * errors.size()) - 1);
            words.append(String.format(
                    Locale.ROOT, "%s%d %% below %.3f", words.isEmpty() ? "" : ", ", percent, errors.get(at)));
        }
        return words.toString();
    }

    private static void hour(Path reference, Path other) throws IOException {
        Song song = Song.of(Song.Style.BAND, 3700, 1, 1);
        write(song, new ClockLine(-10, 0), reference);
        write(song, new ClockLine(-3.25, 35e-6), other);
    }

    private static void write(Song song, ClockLine clock, Path file) throws IOException {
        try (WavRecorder recorder = new WavRecorder(file, 2, RATE, CopyFormat.WAV_24, SoundTags.NONE)) {
            for (int minute = 0; minute < 60; minute++) {
                ClockLine from = new ClockLine(clock.offsetSeconds() - 60 * minute, clock.drift());
                float[] left = song.heard(from, 60, RATE);
                float[] right = new float[left.length];
                for (int i = 0; i < left.length; i++) {
                    left[i] *= 0.06f;
                    right[i] = 0.8f * left[i];
                }
                recorder.write(new float[][] {left, right}, left.length);
            }
        }
    }
}
