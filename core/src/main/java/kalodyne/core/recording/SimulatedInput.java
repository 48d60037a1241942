package kalodyne.core.recording;

import java.util.OptionalDouble;
import java.util.function.Supplier;
import kalodyne.core.hearing.Auralisation;
import kalodyne.core.hearing.HeardRigs;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.MadeUpPlayer;
import kalodyne.core.hearing.players.Round;
import kalodyne.core.levels.LevelPlan;

/**
 * An interface that is not there: it gives what a run is predicted to give, with a made-up player at its source. Turning a control while it
 * runs is heard, as with a real one.
 */
public final class SimulatedInput implements InputDevice {
    /** The player waits before beginning, so that the noise can be heard alone. */
    static final double REST_SECONDS = 3;

    private final Supplier<Playing> playing;
    private final double speed;
    private final OptionalDouble lostAfterSeconds;

    /**
     * What is played where.
     *
     * @param plan the run with its controls where they stand
     * @param listening what is heard of it
     * @param player who plays
     */
    public record Playing(LevelPlan plan, Listening listening, MadeUpPlayer player) {
        /** Which of the ends that are heard is that of the run. */
        private int side() {
            return listening.ends().indexOf(plan.trace().path().end());
        }
    }

    /**
     * An interface.
     *
     * @param speed how many seconds of sound it gives in a second
     * @param lostAfterSeconds when its plug is pulled, in seconds of its sound
     */
    public SimulatedInput(Supplier<Playing> playing, double speed, OptionalDouble lostAfterSeconds) {
        this.playing = playing;
        this.speed = speed;
        this.lostAfterSeconds = lostAfterSeconds;
    }

    @Override
    public String name() {
        return "Simulated interface";
    }

    @Override
    public boolean isSimulated() {
        return true;
    }

    @Override
    public int channels() {
        return 1;
    }

    @Override
    public InputLine open(int sampleRateHz) {
        Playing now = playing.get();
        int bits = now.plan().end().bits().orElse(24) > 16 ? 24 : 16;
        return new Line(new InputFormat(sampleRateHz, 1, bits), now);
    }

    private final class Line implements InputLine {
        private final InputFormat format;
        private final Round round;
        private final long restFrames;
        private final float[][] played = new float[1][Auralisation.BLOCK];
        private final float[][] heard = new float[2][Auralisation.BLOCK];
        private final HeardRigs rigs;
        private long beganNanos = -1;
        private long frame;

        Line(InputFormat format, Playing first) {
            this.format = format;
            round = first.player().round(format.sampleRateHz());
            rigs = new HeardRigs(first.listening(), format.sampleRateHz());
            restFrames = (long) (REST_SECONDS * format.sampleRateHz());
        }

        @Override
        public InputFormat format() {
            return format;
        }

        @Override
        public int read(float[][] samples) throws LostInput, InterruptedException {
            double seconds = (double) frame / format.sampleRateHz();
            if (lostAfterSeconds.isPresent() && seconds >= lostAfterSeconds.getAsDouble()) {
                throw new LostInput("The simulated interface stopped giving sound.", "Check its plug and its power.");
            }
            waitUntil(seconds + (double) Auralisation.BLOCK / format.sampleRateHz());
            for (int i = 0; i < Auralisation.BLOCK; i++) {
                played[0][i] = frame < restFrames ? 0 : round.at(frame - restFrames);
                frame++;
            }
            Playing now = playing.get();
            rigs.next(now.listening(), played, Auralisation.BLOCK, heard);
            System.arraycopy(heard[now.side()], 0, samples[0], 0, Auralisation.BLOCK);
            return Auralisation.BLOCK;
        }

        private void waitUntil(double seconds) throws InterruptedException {
            beganNanos = beganNanos < 0 ? System.nanoTime() : beganNanos;
            long due = beganNanos + (long) (seconds / speed * 1e9);
            long left = (due - System.nanoTime()) / 1_000_000;
            if (left > 0) {
                Thread.sleep(left);
            }
        }

        @Override
        public void close() {
            // There is nothing to give back.
        }
    }
}
