package kalodyne.core.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.IntConsumer;
import kalodyne.core.hearing.Auralisation;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.Material;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.recording.LiveHearing.Heard;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A rig that is heard while it changes: what comes to the ears, frame by frame. */
class LiveHearingTest {
    private static final int RATE = 48_000;
    private static final double VOLUME = 0.1;
    private static final int SECONDS = 4;

    /** Keeps what it is given, and tells how many seconds it has. */
    private static final class Keeping implements Speakers, Speakers.Ear {
        private final List<Float> heard = new ArrayList<>();
        private final IntConsumer told;

        Keeping(IntConsumer told) {
            this.told = told;
        }

        @Override
        public boolean isHeard() {
            return true;
        }

        @Override
        public Ear open(int sampleRateHz, double seconds) {
            assertThat(seconds + (double) Auralisation.BLOCK / RATE).isLessThan(0.05);
            return this;
        }

        @Override
        public void give(float[] left, float[] right, int count) {
            int before = heard.size() / RATE;
            for (int i = 0; i < count; i++) {
                heard.add(left[i]);
            }
            if (heard.size() / RATE > before) {
                told.accept(heard.size() / RATE);
            }
        }

        @Override
        public long heard() {
            return heard.size();
        }

        @Override
        public void close() {
            // Nothing to give back.
        }

        double loudest(double fromSeconds, double toSeconds) {
            return heard.subList((int) (fromSeconds * RATE), (int) (toSeconds * RATE)).stream()
                    .mapToDouble(Math::abs)
                    .max()
                    .orElseThrow();
        }

        double steepest(double fromSeconds) {
            double steepest = 0;
            for (int i = (int) (fromSeconds * RATE); i < heard.size(); i++) {
                steepest = Math.max(steepest, Math.abs(heard.get(i) - heard.get(i - 1)));
            }
            return steepest;
        }
    }

    private static Listening listening(String plugged, double volume) {
        Patch patch = Plugged.of(plugged);
        SetupLevels levels = SetupLevels.of(JointRules.check(patch), patch, Settings.NONE);
        LevelPlan plan = LevelPlan.of(levels.traces().get(0), levels.onceAdvised())
                .turned(Map.of(Spot.read("synth-analogue.volume"), volume));
        return Listening.to(levels.rig(), plan);
    }

    private static Keeping heard(Listening first, Listening then) throws IOException, InterruptedException {
        LiveHearing[] hearing = new LiveHearing[1];
        Keeping ear = new Keeping(second -> {
            if (second == 2) {
                hearing[0].hear(Heard.as(then));
            } else if (second == SECONDS) {
                hearing[0].stop();
            }
        });
        hearing[0] = new LiveHearing(
                () -> Material.played(i -> Math.sin(2 * Math.PI * 100 * i / RATE), RATE, 1), Heard.as(first), VOLUME);
        hearing[0].run(ear);
        return ear;
    }

    /** A knob is turned down, another lead is taken: it is heard within 50 ms, as loud as predicted, and nothing clicks. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            synth-analogue.out ts-ts interface-2.line-1  | 0.4
            synth-analogue.out trs-trs interface-2.line-1 | 0.4
            synth-analogue.out ts-ts interface-2.inst-1  | 0.3
            """)
    void what_changes_is_heard_at_once_and_without_a_click(String plugged, double volume) throws Exception {
        Listening first = listening("synth-analogue.out ts-ts interface-2.line-1", 0.7);
        Listening then = listening(plugged, volume);
        Keeping ear = heard(first, then);
        double before = VOLUME * first.loudest();
        double after = VOLUME * Math.min(first.loudest(), then.loudest());
        assertThat(ear.loudest(0, 0.02)).as("begins softly").isLessThan(0.1 * before);
        assertThat(ear.loudest(1, 2)).isCloseTo(before, within(0.01 * before));
        assertThat(ear.loudest(2.05, 4)).isCloseTo(after, within(0.01 * after));
        assertThat(ear.steepest(0.5)).isLessThan(1.1 * 2 * Math.PI * 100 / RATE * before);
    }

    /** What would be ten times as loud stays as loud as it began. */
    @Test
    void nothing_gets_louder_without_a_hand_on_the_volume() throws Exception {
        Listening first = listening("synth-analogue.out ts-ts interface-2.line-1", 0.3);
        Keeping ear = heard(first, listening("synth-analogue.out ts-ts interface-2.line-1", 1));
        assertThat(ear.loudest(0, 4)).isLessThanOrEqualTo(1.001 * VOLUME * first.loudest());
    }
}
