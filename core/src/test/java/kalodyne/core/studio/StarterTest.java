package kalodyne.core.studio;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.studio.setup.Setup;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What an empty studio can begin with is a rig that works: nothing is wrong with it, and one run comes to one track. */
class StarterTest {
    private static Studio empty() {
        return new Studio("Mine", List.of(), List.of(), List.of(Setup.empty()));
    }

    @ParameterizedTest
    @EnumSource(Starter.class)
    void a_beginning_works(Starter starter) {
        Studio studio = starter.into(empty(), Setup.empty());
        Patch patch = studio.patch(studio.setups().get(0));
        List<JointRules.Checked> joints = JointRules.check(patch);
        assertThat(joints.stream().flatMap(joint -> joint.findings().stream()))
                .allMatch(finding -> finding.severity() == Severity.NOTE);
        Rig rig = Rig.of(joints, patch, Settings.NONE);
        SetupLevels levels = SetupLevels.of(rig, Settings.NONE.wanted());
        assertThat(levels.traces()).hasSize(1);
        assertThat(starter.title()).endsWith("input");
    }

    /** The same beginning twice shares what is there; another one in another setup needs its own source and lead only. */
    @ParameterizedTest
    @CsvSource({"SYNTH, SYNTH, 3, 2", "SYNTH, GUITAR, 4, 2", "GUITAR, VOICE, 4, 3", "VOICE, VOICE, 3, 2"})
    void gear_that_is_there_is_used(Starter first, Starter second, int devices, int leads) {
        Setup other = Setup.bare("setup-2", "Second");
        Studio begun = first.into(empty(), Setup.empty());
        Studio studio = second.into(begun.withSetups(List.of(begun.setups().get(0), other)), other);
        assertThat(studio.devices()).hasSize(devices);
        assertThat(studio.leads()).hasSize(leads);
        assertThat(studio.devices()).extracting(Device::name).doesNotHaveDuplicates();
        assertThat(studio.setups())
                .allSatisfy(setup -> assertThat(setup.wiring().plugged()).hasSize(4));
    }

    /** A name that is taken gets a number. */
    @ParameterizedTest
    @EnumSource(Starter.class)
    void names_stay_their_owners(Starter starter) {
        Studio first = starter.into(empty(), Setup.empty());
        Device own = first.devices().get(0).withProfile(java.util.Optional.empty());
        Studio taken = empty().with(own);
        Studio studio = starter.into(taken, Setup.empty());
        assertThat(studio.devices())
                .extracting(Device::name)
                .doesNotHaveDuplicates()
                .contains(own.name() + " 2");
    }
}
