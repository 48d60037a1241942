package kalodyne.core.testing.pairs;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.testing.pairs.Song.Style;

/** Pairs of many kinds, drawn by a seed. */
public final class Pairs {
    private Pairs() {}

    /** What is special about a pair. Those from {@link #ANOTHER_SONG} on do not belong together. */
    public enum Kind {
        PLAIN,
        NOISE,
        LOUD_NOISE,
        ECHO,
        AUTOMATIC_GAIN,
        INVERTED,
        OTHER_RATE,
        HIGH_RATE,
        TELEPHONE,
        CANCELLING_STEREO,
        EIGHT_CHANNELS,
        CLIPPED,
        NO_NUMBERS,
        MUCH_DRIFT,
        LITTLE_OVERLAP,
        SPEECH,
        FEW_SECONDS,
        ONE_SECOND,
        ALL_AT_ONCE,
        ANOTHER_SONG,
        ANOTHER_PERFORMANCE,
        SILENT,
        ONLY_NOISE,
        LOOP;

        boolean belongs() {
            return compareTo(ANOTHER_SONG) < 0;
        }
    }

    /** Makes a pair of a kind. */
    public static Pair make(Kind kind, double seconds, long seed, Path folder) throws IOException {
        Random random = new Random(31 * seed + kind.name().hashCode());
        double length = switch (kind) {
            case FEW_SECONDS -> 6;
            case ONE_SECOND -> 1.2;
            default -> seconds;
        };
        double offset = (kind == Kind.LITTLE_OVERLAP ? 0.75 : 0.15) * length * (2 * random.nextDouble() - 1);
        double drift = 1e-6 * (kind == Kind.MUCH_DRIFT ? 1000 : 120) * (2 * random.nextDouble() - 1);
        ClockLine truth = new ClockLine(kind == Kind.ONE_SECOND ? 0.2 * offset : offset, drift);
        Style style = kind == Kind.SPEECH ? Style.SPEECH : kind == Kind.LOOP ? Style.LOOP : Style.BAND;
        // It was played before the recorders ran, and after.
        double before = 1.2 * length;
        Song song = Song.of(style, 3.4 * length, seed, seed);
        Song played = switch (kind) {
            case ANOTHER_SONG -> Song.of(style, 3.4 * length, seed + 500, seed + 500);
            case ANOTHER_PERFORMANCE -> Song.of(style, 3.4 * length, seed, seed + 500);
            default -> song;
        };
        int rate = kind == Kind.OTHER_RATE
                ? 44_100
                : kind == Kind.HIGH_RATE ? 96_000 : kind == Kind.TELEPHONE ? 8_000 : 48_000;
        float[] one = song.heard(new ClockLine(-before, 0), length, 48_000);
        float[] two = played.heard(new ClockLine(truth.inOther(-before), drift), length, rate);
        Path reference = folder.resolve(kind + "-" + seed + "-reference.wav");
        Path other = folder.resolve(kind + "-" + seed + "-other.wav");
        boolean isInverted = kind == Kind.INVERTED || kind == Kind.ALL_AT_ONCE;
        Room.gain(one, 0.1);
        Room.gain(two, 0.1 * (isInverted ? -1 : 1));
        List<float[]> channels = new ArrayList<>();
        channels.add(spoil(kind, two, rate, seed));
        if (kind == Kind.CANCELLING_STEREO) {
            float[] upsideDown = two.clone();
            Room.gain(upsideDown, -0.9);
            channels.add(upsideDown);
        }
        if (kind == Kind.EIGHT_CHANNELS) {
            for (int c = 1; c < 8; c++) {
                float[] silence = new float[two.length];
                Room.noise(silence, 0, seed + c);
                channels.add(silence);
            }
        }
        Pair.write(reference, 48_000, List.of(one));
        Pair.write(other, rate, channels);
        return new Pair(kind + " " + seed, reference, other, truth, isInverted, kind.belongs());
    }

    private static float[] spoil(Kind kind, float[] samples, int rate, long seed) {
        switch (kind) {
            case NOISE, ANOTHER_PERFORMANCE, ANOTHER_SONG, SPEECH, MUCH_DRIFT -> {
                Room.colour(samples, rate);
                Room.noise(samples, 10, seed);
            }
            case LOUD_NOISE -> Room.noise(samples, -3, seed);
            case ECHO -> {
                Room.echo(samples, rate, 0.6);
                Room.noise(samples, 20, seed);
            }
            case AUTOMATIC_GAIN -> {
                Room.noise(samples, 25, seed);
                Room.automaticGain(samples, rate);
            }
            case CLIPPED -> {
                Room.gain(samples, 8);
                Room.clip(samples, 0.3);
            }
            case ALL_AT_ONCE -> {
                Room.colour(samples, rate);
                Room.echo(samples, rate, 0.3);
                Room.noise(samples, 12, seed);
                Room.automaticGain(samples, rate);
            }
            case NO_NUMBERS -> {
                Arrays.fill(samples, samples.length / 3, samples.length / 3 + rate / 20, Float.NaN);
                samples[samples.length / 2] = Float.NEGATIVE_INFINITY;
            }
            case SILENT -> Room.gain(samples, 0);
            case ONLY_NOISE -> {
                Room.noise(samples, -60, seed);
                Room.gain(samples, 0.001);
            }
            case TELEPHONE -> Room.noise(samples, 15, seed);
            default -> {
                // As it is.
            }
        }
        return samples;
    }
}
