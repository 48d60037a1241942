package kalodyne.core.recording;

import java.io.IOException;
import kalodyne.core.hearing.Auralisation;
import kalodyne.core.hearing.HeardRigs;
import kalodyne.core.hearing.Limiter;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.Material;
import kalodyne.core.units.Gain;

/**
 * Something played into a rig over and over, and heard as it comes out, until it is stopped. What is turned or plugged meanwhile is
 * heard at once. It begins softly, and gets no louder than it began but by its own volume.
 */
public final class LiveHearing {
    /** From turning something to hearing it, with the block that is made beside. */
    private static final double DELAY_SECONDS = 0.03;

    private static final double RISE_SECONDS = 0.4;

    private final Material.Source source;
    private volatile Heard wanted;
    private volatile double loudest;
    private volatile float volume;
    private volatile boolean isStopped;
    private float risen;

    /** The volume and what is turned down, as they move there. */
    private float size;

    private float trim;

    /**
     * What is heard.
     *
     * @param turnedDown by how much it is softer than it would be: to be as loud as what it is compared with
     */
    public record Heard(Listening listening, Gain turnedDown) {
        /** As loud as it is. */
        public static Heard as(Listening listening) {
            return new Heard(listening, Gain.NONE);
        }

        /** The loudest that comes out, full scale 1. */
        double loudest() {
            return listening.loudest() * turnedDown.ratio();
        }
    }

    /**
     * A hearing that has not begun.
     *
     * @param volume what is left of full scale
     */
    public LiveHearing(Material.Source source, Heard first, double volume) {
        this.source = source;
        wanted = first;
        loudest = first.loudest();
        this.volume = (float) volume;
        size = (float) volume;
        trim = (float) first.turnedDown().ratio();
    }

    /** Something else may be as loud as it is too: somebody asked to hear it. */
    public void allow(Heard other) {
        loudest = Math.max(loudest, other.loudest());
    }

    /** Listens to something else from now on. */
    public void hear(Heard now) {
        wanted = now;
    }

    /** A hand on the volume: what is left of full scale. */
    public void volume(double now) {
        volume = (float) now;
    }

    /** Ends it soon. */
    public void stop() {
        isStopped = true;
    }

    /** Plays until it is stopped. */
    public void run(Speakers speakers) throws IOException, InterruptedException {
        Speakers.Ear ear = null;
        HeardRigs rigs = null;
        Limiter limiter = null;
        try {
            boolean isAnything = true;
            while (!isStopped && isAnything) {
                try (Material material = source.open()) {
                    int rate = material.sampleRateHz();
                    ear = ear == null ? speakers.open(rate, DELAY_SECONDS) : ear;
                    rigs = rigs == null ? new HeardRigs(wanted.listening(), rate) : rigs;
                    limiter = limiter == null ? new Limiter(rate) : limiter;
                    isAnything = play(material, rigs, limiter, ear);
                }
            }
        } finally {
            if (ear != null) {
                ear.close();
            }
        }
    }

    /** Tells whether there was anything to play. */
    private boolean play(Material material, HeardRigs rigs, Limiter limiter, Speakers.Ear ear)
            throws IOException, InterruptedException {
        float[][] played = new float[material.channels()][Auralisation.BLOCK];
        float[][] heard = new float[2][Auralisation.BLOCK];
        float rise = (float) (1 / (RISE_SECONDS * material.sampleRateHz()));
        int count = material.next(played);
        boolean isAnything = count > 0;
        while (count > 0 && !isStopped) {
            Heard now = wanted;
            rigs.next(now.listening(), played, count, heard);
            float step = (volume - size) / Auralisation.BLOCK;
            float trimming = ((float) now.turnedDown().ratio() - trim) / Auralisation.BLOCK;
            for (int i = 0; i < count; i++) {
                risen = Math.min(1, risen + rise);
                size += step;
                trim += trimming;
                heard[0][i] *= risen * size * trim;
                heard[1][i] *= risen * size * trim;
            }
            limiter.limit(heard[0], heard[1], count, (float) (loudest * size));
            ear.give(heard[0], heard[1], count);
            count = material.next(played);
        }
        return isAnything;
    }
}
