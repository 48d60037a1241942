package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.rules.JointRules;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What home musicians plug, right and in the ways they get it wrong: what is noticed, and what is not. */
class SituationsTest {
    private static List<Finding> findings(String joint) {
        String[] words = joint.split(" ", -1);
        List<String> chain = Arrays.asList(words).subList(2, words.length - 2);
        Patch patch = JointTest.plugger(words[0], words[words.length - 2], chain.toArray(String[]::new))
                .join(new Spot("from", words[1]), chain, new Spot("to", words[words.length - 1]))
                .patch();
        List<JointRules.Checked> checked = JointRules.check(patch);
        assertThat(checked).hasSize(1);
        assertThat(checked.get(0).reading()).isPresent();
        return checked.get(0).findings();
    }

    /** Nothing harmful, nothing wrong, nothing weak; notes may be. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            recorder as USB interface             | recorder-handheld usb usb-a-c laptop-combo usb-1
            DJ mixer into a line input            | dj-mixer rec-left rca-ts interface-2 line-1
            modular into a line input             | modular-output out 35-ts-635 interface-4 line-3
            headset's microphone into a phone     | headset-two-plugs mic headset-splitter-ctia phone-ctia headset
            headset of the phone's own order      | headset-ctia out phone-ctia headset
            headset of the other order, adapted   | headset-ctia out ctia-omtp phone-omtp headset
            mixer's headphones into a phone, pad  | mixer-small phones 635-plug-35-socket attenuator-phone phone-ctia headset
            guitar into an instrument input       | guitar-single-coil out ts-ts interface-2 inst-1
            guitar adapter into a phone           | guitar-phone-adapter phone phone-ctia headset
            USB microphone into a laptop          | mic-usb usb usb-c-c laptop-combo usb-2
            condenser into an interface           | mic-condenser-large out xlr-xlr interface-1 mic-1
            preamp into a line input              | preamp-xlr out-trs trs-trs mixer-small line-1
            dynamic into a preamp                 | mic-dynamic-low out xlr-xlr preamp-xlr mic
            balanced synth into a balanced input  | synth-digital out-left trs-trs interface-4 line-3
            interface to a speaker, balanced      | interface-2 out-1 trs-xlr speakers-powered in-xlr
            amplifier to its loudspeaker          | amplifier-hifi speaker-left speaker-wire speaker-passive in
            piano into a line input               | piano-digital out-left ts-ts interface-2 line-1
            drum machine into a line input        | drum-machine out-left ts-ts interface-2 line-1
            MIDI from out to in                   | drum-machine midi-out midi-din midi-usb midi-in
            voice microphone, dynamic             | mic-dynamic-voice out xlr-xlr interface-2 mic-1
            ribbon, balanced all the way          | mic-ribbon-passive out xlr-xlr interface-2 mic-1
            camera's lavalier into a phone        | lavalier-camera out mic-trs-trrs phone-ctia headset
            phone's lavalier into a camera        | lavalier-phone out mic-trrs-trs camera-mic-in mic
            groovebox into a phone, with a pad    | groovebox out attenuator-phone phone-ctia headset
            magnetic cartridge into its preamp    | turntable-mm out-left rca-rca phono-preamp in-left
            turntable with preamp into a line in  | turntable-preamp out-left rca-rca interface-rca in-left
            headphones on an interface            | headphones-80 plug interface-2 phones
            """)
    void what_is_right_is_left_alone(String what, String joint) {
        assertThat(findings(joint)).as(what).allMatch(finding -> finding.severity() == Severity.NOTE);
    }

    /** The findings that are not notes, worst first, and the number of the first one. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            a lead that only charges             | recorder-handheld usb usb-a-c-charge laptop-combo usb-1               | wrong usb.charge-only                                                  | 0      | 0
            DJ mixer into a mic input            | dj-mixer master-left xlr-xlr interface-2 mic-1                        | harm phantom.into-output, harm caution.line-into-mic                   | 13.96  | 0.05
            modular into an instrument input     | modular-output out 35-ts-635 interface-4 inst-1                       | wrong level.overload                                                   | 2.0    | 0.1
            splitter of the other order          | headset-two-plugs mic headset-splitter-omtp phone-ctia headset        | wrong power.reversed                                                   | -0.25  | 0.02
            headset of the other order           | headset-ctia out phone-omtp headset                                   | wrong power.reversed, wrong stereo.cancels, wrong headset.mic-shorted  | -0.99  | 0.05
            guitar straight into a phone         | guitar-single-coil out 35-ts-635 phone-ctia headset                   | wrong output.shorted, wrong outputs.tied, wrong signal.lost, wrong headset.mic-shorted | -50    | 2
            guitar into a line input             | guitar-humbucker out ts-ts interface-2 line-2                         | wrong joint.loading, wrong response.dull                               | 11.9   | 0.5
            condenser without phantom power      | mic-condenser-large out xlr-trs interface-1 line-1                    | wrong power.missing                                                    | 0      | 0.01
            preamp into a mic input              | preamp-xlr out-xlr xlr-xlr mixer-small mic-1                          | harm phantom.into-output, harm caution.line-into-mic                   | 13.96  | 0.05
            condenser through a booster, dead    | mic-condenser-large out xlr-xlr inline-booster in                     | wrong power.missing                                                    | 0      | 0.01
            balanced output, two-pole lead       | synth-digital out-left trs-ts interface-4 line-3                      | weak balanced.half                                                     | -6.1   | 0.2
            two mixers on the mains, two-pole    | mixer-rack main-left ts-ts mixer-multitrack-usb line-1                | wrong hum.ground-loop, weak balanced.half                              | -41.7  | 3
            amplifier into a line input          | guitar-amp speaker speaker-ts interface-2 line-1                      | harm caution.speaker-into-input                                        | 28.0   | 0.5
            headphones into one balanced input   | drum-box-headphone phones mini-trs interface-2 line-1                 | wrong stereo.cancels                                                   | -120   | 60
            half of a Y-lead in use              | piano-headphone phones trs-2ts interface-2 line-1                     | wrong stereo.one-side                                                  | -150   | 50
            ribbon on an unbalanced lead         | mic-ribbon-passive out xlr-ts trs-socket-xlr-plug interface-2 mic-1   | harm phantom.through-coil                                              | 6.76   | 0.05
            wireless receiver, three-pole lead   | wireless-receiver out mini-mini phone-ctia headset | wrong outputs.tied, wrong signal.lost, wrong headset.mic-shorted | -40    | 10
            groovebox, plain lead into a phone   | groovebox out mini-mini phone-ctia headset                            | wrong outputs.tied, wrong signal.lost, wrong headset.mic-shorted       | -20.6  | 1
            mixer's headphones into a camera     | mixer-small phones 635-plug-35-socket mini-mini camera-mic-in mic     | harm caution.line-into-mic                                             | 13.9   | 0.2
            cartridge into a line input          | turntable-mm out-left rca-rca interface-rca in-left                   | wrong riaa.missing, weak response.dull                                 | 19.3   | 0.1
            equalised twice                      | turntable-preamp out-left rca-rca phono-preamp in-left                | wrong level.overload, wrong riaa.double                                | 25.9   | 0.5
            piezo into an instrument input       | piezo-under-saddle out ts-ts interface-2 inst-1                       | wrong response.thin, weak joint.loading                                | 153.8  | 10
            synth into a mic input               | synth-analogue out ts-xlr interface-2 mic-1                           | harm phantom.into-output, harm caution.line-into-mic, weak joint.loading | 6.15 | 0.1
            three-pole lead at a two-pole socket | synth-analogue out trs-trs interface-4 line-3 | weak balanced.leg-open | 14.9 | 2
            a plug that does not go in           | headset-two-plugs phones interface-2 phones                           | wrong plug.does-not-fit, wrong signal.lost                             | 0      | 0
            """)
    void what_is_wrong_is_named_with_its_number(
            String what, String joint, String expected, double figure, double tolerance) {
        List<Finding> found = findings(joint).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .toList();
        assertThat(found.stream()
                        .map(finding -> finding.severity().word() + " " + finding.code())
                        .collect(Collectors.joining(", ")))
                .as(what)
                .isEqualTo(expected);
        assertThat(found.get(0).figure().value()).isCloseTo(figure, within(tolerance + 1e-9));
        assertThat(found).allMatch(finding -> finding.remedy().isPresent());
        assertThat(found)
                .allMatch(finding ->
                        !finding.text().contains("NaN") && !finding.text().contains("Infinity"));
    }
}
