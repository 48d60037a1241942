package kalodyne.core.recording;

import java.util.OptionalDouble;
import java.util.function.Supplier;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.hearing.Auralisation;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.players.Player;
import kalodyne.core.hearing.players.Round;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.gain.Sound;

/**
 * An interface that is not there: it gives what a run is predicted to give, with a made-up player at its source. Turning a control while it
 * runs is heard, as with a real one.
 */
public final class SimulatedInput implements InputDevice {
    /** The player waits before beginning, so that the noise can be heard alone. */
    static final double REST_SECONDS = 3;

    private static final long SEED = 5;

    private final Supplier<Playing> playing;
    private final double speed;
    private final OptionalDouble lostAfterSeconds;

    /**
     * What is played where.
     *
     * @param plan the run with its controls where they stand
     * @param listening what is heard of it
     * @param source what kind of device is played
     */
    public record Playing(LevelPlan plan, Listening listening, DeviceKind source) {
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
        return new Line(new InputFormat(sampleRateHz, 1, bits), round(now, sampleRateHz));
    }

    private static Round round(Playing now, int sampleRateHz) {
        LevelPlan plan = now.plan();
        Sound sound =
                plan.flow().points().get(plan.trace().path().source()).sound().orElseThrow();
        return Round.of(Player.of(now.source()), sampleRateHz, sound.levels().crest());
    }

    private final class Line implements InputLine {
        private final InputFormat format;
        private final Round round;
        private final long restFrames;
        private final float[][] played = new float[1][Auralisation.BLOCK];
        private float[][] heard;
        private long beganNanos = -1;
        private long frame;
        private Playing present;
        private Auralisation rig;

        Line(InputFormat format, Round round) {
            this.format = format;
            this.round = round;
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
            follow();
            for (int i = 0; i < Auralisation.BLOCK; i++) {
                played[0][i] = frame < restFrames ? 0 : round.at(frame - restFrames);
                frame++;
            }
            rig.next(played, Auralisation.BLOCK, heard);
            System.arraycopy(heard[present.side()], 0, samples[0], 0, Auralisation.BLOCK);
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

        /** A control may have been turned, or something plugged. */
        private void follow() {
            Playing now = playing.get();
            if (!now.equals(present)) {
                boolean isTurned = rig != null
                        && now.listening().ends().equals(present.listening().ends())
                        && rig.turn(now.listening().flow());
                if (!isTurned) {
                    rig = new Auralisation(now.listening(), format.sampleRateHz(), SEED);
                    heard = new float[now.listening().channels()][Auralisation.BLOCK];
                }
                present = now;
            }
        }

        @Override
        public void close() {
            // There is nothing to give back.
        }
    }
}
