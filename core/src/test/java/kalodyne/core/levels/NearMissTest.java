package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Typed;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rules that few rigs meet: what they must say, with its number, and the rig beside it of which they must be silent. */
class NearMissTest {
    /**
     * A rig with values typed over ("subwoofer stage high-left crossover=150 Hz"; nothing behind the equals sign makes it unknown) or with
     * a lead whose contacts 4 and 5 are crossed; what is said; its number by hand; and the rig of which it must not be said. A
     * dynamic microphone of 1.8 mV/Pa, −52.7 dBu, that gives −37 dBu at its loudest hears 94 + 15.7 dB SPL.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "none", textBlock = """
            turntable-mm.out-left rca-rca rca-coupler rca-rca phono-preamp.in-left | none | weak cartridge.capacitance | 450 | 0.5 | turntable-mm.out-left rca-rca phono-preamp.in-left | none
            mic-dynamic-voice.out xlr-headset phone-ctia.headset | mic-dynamic-voice socket out sourceImpedance=100 kΩ | weak headset.mic-open | 100000 | 1000 | mic-dynamic-voice.out xlr-headset phone-ctia.headset | mic-dynamic-voice socket out sourceImpedance=2 kΩ
            drum-machine.midi-out midi-din midi-usb.midi-in | midi-din lead coreResistancePerMetre=500 Ω/m | wrong midi.no-current | 1.391 | 0.001 | drum-machine.midi-out midi-din midi-usb.midi-in | none
            drum-machine.midi-out midi-din midi-usb.midi-in | crossed midi-din | wrong midi.reversed | none | 0 | drum-machine.midi-out midi-din midi-usb.midi-in | none
            synth-desktop.out-left ts-ts interface-4.line-3 | none | note stereo.mono-output | 1 | 0 | synth-desktop.out-left ts-ts interface-4.line-3; synth-desktop.out-right ts-ts interface-4.line-4 | none
            groovebox.out sum-mini-ts interface-4.line-3 | none | note stereo.summed | 0 | 0.1 | groovebox.out mini-2ts#1.a interface-4.line-3; mini-2ts#1.c interface-4.line-4 | none
            synth-desktop.out-left ts-ts mixer-rack.in-1-left | none | note stereo.to-both | none | 0 | synth-desktop.out-left ts-ts mixer-rack.in-1-left; synth-desktop.out-right ts-ts mixer-rack.in-1-right | none
            synth-analogue.out ts-ts interface-2.line-1 | none | note knob.untold | 2 | 0 | piano-headphone.phones mini-2ts camera-no-in.none | skip
            camera-mic.out mic-trs-trrs phone-ctia.headset | none | note level.automatic | none | 0 | mic-dynamic-voice.out xlr-xlr interface-2.mic-1 | none
            drum-box-headphone.phones mini-trs interface-2.line-1 | none | wrong level.cancels | none | 0 | synth-analogue.out ts-ts interface-2.line-1 | none
            interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr | none | note sub.crossover | 80 | 0 | interface-2.out-1 trs-xlr speakers-powered.in-xlr | none
            interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr | subwoofer stage high-left crossover=150 Hz | weak sub.high | 150 | 0 | interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr | subwoofer stage high-left crossover=120 Hz
            interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr | speakers-powered device lowestFrequency=110 Hz | weak sub.gap | none | 0 | interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr | speakers-powered device lowestFrequency=60 Hz
            mic-dynamic-voice.out xlr-xlr interface-2.mic-1 | none | note level.playing | 109.7 | 0.1 | synth-analogue.out ts-ts interface-2.line-1 | none
            synth-analogue.out ts-ts mixer-small.line-1; mixer-small.phones 635-plug-35-socket mini-mini camera-mic-in.mic | camera-mic-in socket mic maximumLevel=-50 dBu | note knob.coarse | none | 0 | synth-analogue.out ts-ts mixer-small.line-1; mixer-small.phones 635-plug-35-socket mini-mini camera-mic-in.mic | none
            interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr; subwoofer.bypass=60 Hz | none | note sub.crossover | 60 | 0 | interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr; subwoofer.bypass=bypass | none
            interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr; subwoofer.bypass=50 Hz | speakers-powered device lowestFrequency=55 Hz | weak sub.gap | none | 0 | interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr; subwoofer.bypass=60 Hz | speakers-powered device lowestFrequency=55 Hz
            synth-analogue.out ts-ts mixer-small.line-1; mixer-small.phones 635-plug-35-socket mini-mini camera-mic-in.mic | camera-mic-in socket mic maximumLevel=-50 dBu | note knob.coarse | none | 0 | interface-2.out-1 trs-xlr speakers-powered.in-xlr | speakers-powered device loudestSound=110 dB SPL
            synth-analogue.out ts-ts interface-2.line-1 | interface-2 socket line-1 maximumLevel=-10 dBu | weak value.contradiction | none | 0 | synth-analogue.out ts-ts interface-2.line-1 | none
            synth-analogue.out ts-ts interface-2.line-1 | synth-analogue socket out loudestPeak= | note value.unknown | none | 0 | synth-analogue.out ts-ts interface-2.line-1 | none
            """)
    void says_it_where_it_is_so_and_only_there(
            String rig, String change, String said, Double figure, double tolerance, String near, String nearChange) {
        List<Finding> found = findings(Typed.over(Plugged.of(rig), change), Settings.NONE);
        String mark = said.substring(said.indexOf(' ') + 1);
        assertThat(found)
                .extracting(each -> each.severity().word() + " " + each.mark())
                .contains(said);
        if (figure != null) {
            assertThat(found.stream()
                            .filter(each -> each.mark().equals(mark))
                            .findFirst()
                            .orElseThrow()
                            .figure()
                            .value())
                    .isCloseTo(figure, within(tolerance + 1e-9));
        }
        if (!"skip".equals(nearChange)) {
            assertThat(findings(Typed.over(Plugged.of(near), nearChange), Settings.NONE))
                    .extracting(Finding::mark)
                    .doesNotContain(mark);
        }
    }

    /** Somebody who said where every knob stands is not asked again. */
    @Test
    void knobs_of_which_it_was_said_where_they_stand_are_known() {
        Patch patch = Plugged.of("synth-analogue.out ts-ts interface-2.line-1");
        Settings told = Settings.NONE.turned(
                Map.of(new Spot("synth-analogue", "volume"), 1.0, new Spot("interface-2", "gain-1"), 0.2));
        assertThat(findings(patch, told)).extracting(Finding::mark).doesNotContain("knob.untold");
    }

    /**
     * Three players whose loudest moments meet are up to 10·log₁₀(3) = 4.8 dB louder than their powers say: between 0 and 4.8 dB under
     * a ceiling that is told, further below it is not.
     */
    @Test
    void tells_of_a_ceiling_that_only_all_together_reach() {
        Patch patch = Plugged.of(
                "synth-digital.out-left trs-trs mixer-small.line-1; synth-digital#2.out-left trs-trs mixer-small.line-2;"
                        + " synth-digital#3.out-left trs-trs mixer-small.line-3; mixer-small.main-left trs-trs interface-4.line-3");
        List<Checked> joints = JointRules.check(patch);
        boolean isTold = false;
        for (double gain = 0; gain <= 1; gain += 0.01) {
            Settings settings = Settings.NONE.turned(Map.of(new Spot("interface-4", "gain-3"), gain));
            SetupLevels levels = SetupLevels.of(joints, patch, settings);
            Trace trace = levels.traces().get(0);
            LevelPlan plan = levels.plan(trace);
            double room = plan.nearestToClipping().headroom().orElseThrow().db();
            boolean says = levels.run(trace).findings().stream()
                    .anyMatch(each -> each.mark().equals("level.together"));
            isTold |= says;
            if (room > 5.5) {
                assertThat(says).as("%.1f dB of room", room).isFalse();
            } else if (room > 0.1 && room < 4) {
                assertThat(says).as("%.1f dB of room", room).isTrue();
            }
        }
        assertThat(isTold).isTrue();
    }

    /** Half turned down it is fine for the ears, and with every knob full far too loud: that is told, once, as a note. */
    @Test
    void tells_what_headphones_can_get_to() {
        Patch patch = Plugged.of("headphones-32.plug 635-plug-35-socket interface-2.phones");
        List<Checked> joints = JointRules.check(patch);
        Stream<String> quiet = SetupLevels.of(joints, patch, Settings.NONE)
                        .advised()
                        .positions()
                        .isEmpty()
                ? Stream.empty()
                : advised(joints, patch);
        assertThat(quiet).contains("note ears.full").doesNotContain("harm ears.exposure");
    }

    private static Stream<String> advised(List<Checked> joints, Patch patch) {
        SetupLevels levels = SetupLevels.of(joints, patch, Settings.NONE);
        SetupLevels followed = SetupLevels.of(
                joints, patch, Settings.NONE.turned(levels.advised().positions()));
        return followed.traces().stream()
                .flatMap(trace -> followed.run(trace).findings().stream())
                .map(each -> each.severity().word() + " " + each.mark());
    }

    private static List<Finding> findings(Patch patch, Settings settings) {
        List<Checked> joints = JointRules.check(patch);
        SetupLevels levels = SetupLevels.of(joints, patch, settings);
        List<Finding> all = new ArrayList<>();
        joints.forEach(joint -> all.addAll(joint.findings()));
        levels.traces().forEach(trace -> all.addAll(levels.run(trace).findings()));
        return all;
    }
}
