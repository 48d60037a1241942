package kalodyne.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FaultMakerTest {
    private static FaultMaker maker(String plugged) {
        var patch = Plugged.of(plugged);
        SetupLevels levels = SetupLevels.of(JointRules.check(patch), patch, Settings.NONE);
        return new FaultMaker(levels.rig(), LevelPlan.of(levels.traces().get(0), levels.onceAdvised()));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "synth-analogue.out ts-ts interface-2.line-1",
                "mic-dynamic-voice.out xlr-xlr interface-2.mic-1",
                "drum-machine.out-left ts-ts interface-4.line-3",
            })
    void every_fault_can_be_asked(String plugged) {
        NameTheFault naming = new NameTheFault(maker(plugged));
        List<String> got = new ArrayList<>();
        for (Fault fault : Fault.all()) {
            for (int strength : new int[] {1, 3, 5}) {
                for (long number = 1; number <= 2; number++) {
                    got.add(fault + " " + strength + " "
                            + naming.make(fault, strength, number)
                                    .map(e -> e.strength() + "")
                                    .orElse("--"));
                }
            }
        }
        assertThat(got).isEmpty();
    }
}
