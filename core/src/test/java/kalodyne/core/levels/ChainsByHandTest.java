package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Typed;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Everyday chains whose knobs were worked out with pencil and paper: where practice sets them, whatever the program says. */
class ChainsByHandTest {
    /** A quarter hour of a preamp is 1.4 dB, and an aim is met anywhere within 1 dB of its middle. */
    private static final double HAND_DB = 1.8;

    private static SetupLevels levels(Patch patch) {
        return SetupLevels.of(JointRules.check(patch), patch, Settings.NONE);
    }

    /** An input and what it reads as full scale at its lowest gain, as its data sheet has it. */
    private static final List<String> INPUTS = List.of(
            "interface-1 9",
            "interface-mic-inst 9",
            "interface-2 9",
            "interface-card 9",
            "interface-4 9",
            "interface-8 9",
            "recorder-handheld 4",
            "recorder-capsules 4",
            "recorder-multitrack 4");

    static Stream<Arguments> microphones() {
        return INPUTS.stream()
                .map(each -> each.split(" ", -1))
                .flatMap(each -> Stream.of(
                        Arguments.of("mic-dynamic-voice", -37, 200, each[0], Double.parseDouble(each[1])),
                        Arguments.of("mic-dynamic-low", -41, 150, each[0], Double.parseDouble(each[1])),
                        Arguments.of("mic-condenser-large", -18, 150, each[0], Double.parseDouble(each[1]))));
    }

    /**
     * A voice is uneven: its loudest peak belongs at −15 dBFS. Of p dBu from Z Ω the input of 3 kΩ gets p − 20·log₁₀(1 + Z/3000), and with
     * g dB above its lowest gain it reads that less what it takes there: g = −15 − p + Z's loss + what it takes. A dynamic wants 32 dB, the low
     * one 4 dB more, a condenser 12.
     */
    @ParameterizedTest
    @MethodSource("microphones")
    void a_microphone_through_each_input(String microphone, double peak, double ohms, String input, double takes) {
        SetupLevels levels =
                levels(Plugged.of(microphone + ".out xlr-xlr " + input + ".mic-1; " + input + ".phantom=on"));
        double loss = 20 * Math.log10(1 + ohms / 3000);
        double wanted = -15 - peak + loss + takes;
        assertThat(gain(levels, input + ".gain-1")).isBetween(wanted - HAND_DB, wanted + HAND_DB);
    }

    /**
     * A rig with values typed over, knobs with the gains between which practice sets them, and where the tracks then peak. By hand:
     *
     * <ul>
     *   <li>A low-output dynamic at speaking distance gives −60 dBu, 16 dB above its average: with 3 dB for the pan pot and full scale at +18 dBu the preamp has to
     *       make 66 dB, and makes all of its 65; trim, fader and main stay at 0 dB.
     *   <li>A dynamic, a condenser and a piano over a small mixer into a camera: the camera at its lowest step, where −18 dBu is full scale.
     *       Balanced against the piano's +7.6 dBu the trims make 42 and 23 dB; main and headphones bring it down.
     *   <li>Two synths of +12 and +8 dBu in a rack mixer: nothing to make; each fader within 5 dB of 0, the main at 0.
     *   <li>A groovebox of +4 dBu through an attenuating lead into a phone: its own volume sets it.
     * </ul>
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "none", textBlock = """
            mic-dynamic-low.out xlr-xlr preamp-strip.mic; preamp-strip.out-trs trs-trs mixer-small-usb.line-1 | mic-dynamic-low socket out loudestPeak=-60 dBu; mic-dynamic-low socket out averageLevel=-76 dBu | preamp-strip.gain 62 66, mixer-small-usb.gain-1 0 3, mixer-small-usb.level-1 -3 3, mixer-small-usb.main -3 3 | -20 -12
            mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; mic-condenser-large.out xlr-xlr mixer-small.mic-2; piano-digital.out-left ts-ts mixer-small.line-3; piano-digital.out-right ts-ts mixer-small.line-4; mixer-small.phones 635-plug-35-socket mini-mini camera-mic-in.mic; mixer-small.phantom=on; camera-mic-in.auto=manual | none | mixer-small.gain-1 35 45, mixer-small.gain-2 18 28, mixer-small.level-1 -5 5, mixer-small.level-2 -5 5, mixer-small.level-3 -7 5, mixer-small.main -10 1, mixer-small.phones-level -35 -20, camera-mic-in.level 0 0 | -18 -11.9
            synth-desktop.out-left ts-ts mixer-rack.in-1-left; synth-desktop.out-right ts-ts mixer-rack.in-1-right; synth-semi-modular.out ts-ts mixer-rack.in-2-left; mixer-rack.main-left trs-trs interface-2.line-1; mixer-rack.main-right trs-trs interface-2.line-2 | none | mixer-rack.level-1 -6 0, mixer-rack.level-2 -6 0, mixer-rack.main -3 0 | -12 -6
            groovebox.out attenuator-phone phone-ctia.headset; phone-ctia.auto=fixed | none | groovebox.volume -15 0 | -15 -6
            """)
    void a_chain(String rig, String values, String knobs, String tracks) {
        Patch patch = Plugged.of(rig);
        for (String value : values == null ? new String[0] : values.split("; ", -1)) {
            patch = Typed.over(patch, value);
        }
        SetupLevels levels = levels(patch);
        for (String each : knobs.split(", ", -1)) {
            String[] words = each.split(" ", -1);
            assertThat(gain(levels, words[0]))
                    .as(words[0])
                    .isBetween(Double.parseDouble(words[1]) - 0.1, Double.parseDouble(words[2]) + 0.1);
        }
        FlowLevels then = FlowLevels.of(levels.advised().followedOn(levels.rig().flow()));
        String[] between = tracks.split(" ", -1);
        for (int e = 0; e < then.flow().ends().size(); e++) {
            assertThat(then.aimed(e)).isBetween(Double.parseDouble(between[0]), Double.parseDouble(between[1]));
        }
    }

    private static double gain(SetupLevels levels, String knob) {
        return levels.advised()
                .of(Spot.read(knob))
                .map(turn -> turn.advised())
                .map(Knob::gain)
                .orElseThrow()
                .db();
    }
}
