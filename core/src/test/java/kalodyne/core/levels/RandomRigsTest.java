package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.GainSchool;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.testing.RandomRigs;
import kalodyne.core.units.Gain;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever is plugged into whatever, however its knobs stand: no nonsense, and what is advised keeps what it says. */
class RandomRigsTest {
    /** Gear that was plugged by chance. */
    private record Drawn(Patch patch, List<Checked> joints) {
        static Drawn any(Random random) {
            Patch patch = RandomRigs.any(random, 4, 6);
            return new Drawn(patch, JointRules.check(patch));
        }

        Rig with(Settings settings) {
            return Rig.of(joints, patch, settings);
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {3, 14, 15, 92})
    void every_rig_is_told_without_nonsense(long seed) {
        Random random = new Random(seed);
        int runs = 0;
        for (int i = 0; i < 10; i++) {
            Drawn drawn = Drawn.any(random);
            Settings settings = settings(random, drawn.with(Settings.NONE));
            Rig rig = drawn.with(settings);
            SetupLevels levels = SetupLevels.of(rig, settings.wanted());
            for (Trace trace : levels.traces()) {
                runs++;
                check(levels.run(trace));
            }
            followed(levels, settings);
        }
        assertThat(runs).isGreaterThan(10);
    }

    /** Turning a knob of a rig that is known comes to the same as reading all of it anew; or is not done, where it would not. */
    @ParameterizedTest
    @ValueSource(longs = {6, 53, 58, 97})
    void a_rig_whose_knobs_are_turned_is_the_rig_with_its_knobs_there(long seed) {
        Random random = new Random(seed);
        int turned = 0;
        for (int i = 0; i < 20; i++) {
            Drawn drawn = Drawn.any(random);
            Settings before = settings(random, drawn.with(Settings.NONE));
            Rig rig = drawn.with(before);
            Map<Spot, Double> some = new HashMap<>();
            rig.flow().knobs().stream()
                    .filter(knob -> random.nextInt(3) == 0)
                    .forEach(knob -> some.put(knob.id(), random.nextInt(4) == 0 ? 0 : random.nextDouble()));
            Settings after = before.turned(some);
            Rig anew = drawn.with(after);
            Optional<Rig> quick = after.turnedSince(before).flatMap(rig::turned);
            if (quick.isPresent()) {
                turned++;
                assertThat(quick.get()).isEqualTo(anew);
            }
        }
        assertThat(turned).isGreaterThan(5);
    }

    private static void check(RunLevels run) {
        assertThat(run.plan().endFloor()).isNotNaN();
        assertThat(run.plan().stages()).allSatisfy(stage -> {
            assertThat(stage.peak().dbu()).isNotNaN().isLessThan(400);
            assertThat(stage.noiseShare()).isBetween(0.0, 1.0 + 1e-9);
        });
        Stream.concat(
                        run.findings().stream().map(finding -> finding.title() + finding.text()),
                        Stream.of(run.verdict().sentence(), run.verdict().nextStep()))
                .forEach(words -> assertThat(words).doesNotContain("NaN", "Optional", "Infinity"));
    }

    private static void followed(SetupLevels levels, Settings settings) {
        FlowLevels then = FlowLevels.of(levels.advised().followedOn(levels.rig().flow()));
        boolean isHindered = !levels.advised().hindrances().isEmpty();
        double driven = settings.school() == GainSchool.DRIVE ? 3.1 : 0.1;
        assertThat(isHindered || !then.clips(new Gain(driven)))
                .as("%s", levels.rig().flow())
                .isTrue();
        for (int e = 0; e < then.flow().ends().size(); e++) {
            End end = then.flow().ends().get(e);
            assertThat(isHindered || end.isTolerated(then.aimed(e)))
                    .as("%s at %s of %s", end, then.aimed(e), levels.rig().flow())
                    .isTrue();
        }
        levels.advised().turns().stream()
                .filter(turn -> turn.present().isLocked())
                .forEach(turn -> assertThat(turn.stays()).isTrue());
    }

    private static Settings settings(Random random, Rig rig) {
        Map<Spot, Double> positions = new HashMap<>();
        Settings settings = Settings.NONE;
        for (Knob knob : rig.flow().knobs()) {
            Spot spot = knob.id();
            if (random.nextInt(3) > 0) {
                positions.put(spot, random.nextInt(4) == 0 ? random.nextInt(2) : random.nextDouble());
            }
            settings = settings.locked(spot, random.nextInt(8) == 0);
        }
        return settings.turned(positions)
                .with(oneOf(random, GainSchool.values()))
                .with(oneOf(random, AimSchool.values()));
    }

    private static <T> T oneOf(Random random, T[] all) {
        return all[random.nextInt(all.length)];
    }
}
