package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Collectors;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What home musicians plug, right and in the ways they get it wrong: what is noticed, and what is not. */
class SituationsTest {
    private static List<Finding> findings(String rig) {
        List<JointRules.Checked> checked = JointRules.check(Plugged.of(rig));
        assertThat(checked).allMatch(joint -> joint.reading().isPresent());
        return checked.stream().flatMap(joint -> joint.findings().stream()).toList();
    }

    /** Nothing harmful, nothing wrong, nothing weak; notes may be. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            S1  | recorder as USB interface                | recorder-handheld.usb usb-a-c laptop-combo.usb-1
            S2  | DJ mixer into a line input               | dj-mixer.rec-left rca-ts interface-2.line-1
            S2  | DJ player, both sides at once            | dj-mixer.rec-left rca-rca#1.a; dj-mixer.rec-right rca-rca#1.c; rca-rca#1.b interface-rca.in-left; rca-rca#1.d interface-rca.in-right
            S3  | modular into a line input                | modular-output.out 35-ts-635 interface-4.line-3
            S3  | synth into a rack mixer, both sides      | synth-desktop.out-left ts-ts mixer-rack.in-1-left; synth-desktop.out-right ts-ts mixer-rack.in-1-right
            S3  | one plug on the left: mono to both       | synth-desktop.out-left ts-ts mixer-rack.in-1-left
            S3  | an effect in an insert                   | mixer-multitrack-usb.insert-1 trs-2ts#1.a; trs-2ts#1.b effect-line.in; trs-2ts#1.c effect-line.out
            S4  | headset's microphone into a phone        | headset-two-plugs.mic headset-splitter-ctia phone-ctia.headset
            S4  | headset of the phone's own order         | headset-ctia.out phone-ctia.headset
            S4  | headset of the other order, adapted      | headset-ctia.out ctia-omtp phone-omtp.headset
            S4  | headset by a home-made lead, ring open   | headset-two-plugs.mic home-made-mic-trrs-open phone-ctia.headset
            S5  | mixer's headphones into a phone, pad     | mixer-small.phones 635-plug-35-socket attenuator-phone phone-ctia.headset
            S6  | guitar adapter into a phone              | guitar-phone-adapter.phone phone-ctia.headset
            S6  | active guitar, adapter, earphones        | guitar-active.out ts-ts guitar-phone-adapter.in; guitar-phone-adapter.phone phone-ctia.headset; earphones-16.plug guitar-phone-adapter.phones
            S7  | USB microphone into a laptop             | mic-usb.usb usb-c-c laptop-combo.usb-2
            S7  | USB microphone into a phone that charges | phone-digital.port usb-c-c host-adapter-charging.phone; host-adapter-charging.device usb-a-c mic-usb.usb
            S8  | interface on a powered hub               | hub-charging.device-1 usb-a-c interface-2.usb
            S8  | condenser for singing along              | mic-condenser-large.out xlr-xlr interface-1.mic-1; interface-1.phantom=on
            S9  | preamp into a line input                 | preamp-xlr.out-trs trs-trs mixer-small.line-1
            S9  | dynamic into a preamp                    | mic-dynamic-low.out xlr-xlr preamp-xlr.mic
            S10 | guitar into an instrument input          | guitar-single-coil.out ts-ts interface-2.inst-1
            S10 | guitar through a DI box                  | guitar-humbucker.out ts-ts di-active.in; di-active.out xlr-xlr interface-2.mic-2
            S11 | three-pole lead at a two-pole socket     | synth-analogue.out trs-trs interface-4.line-3
            S11 | balanced synth into a balanced input     | synth-digital.out-left trs-trs interface-4.line-3
            S12 | interface to a speaker, balanced         | interface-2.out-1 trs-xlr speakers-powered.in-xlr
            S12 | amplifier to its loudspeaker             | amplifier-hifi.speaker-left speaker-wire speaker-passive.in
            S12 | speakers through a subwoofer             | interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr
            S13 | piano into a line input                  | piano-digital.out-left ts-ts interface-2.line-1
            S13 | piano to two inputs, voice to a third    | piano-digital.out-left ts-ts interface-4.line-3; piano-digital.out-right ts-ts interface-4.line-4; mic-dynamic-voice.out xlr-xlr interface-4.mic-1
            S14 | drum machine into a line input           | drum-machine.out-left ts-ts interface-2.line-1
            S14 | MIDI from out to in                      | drum-machine.midi-out midi-din midi-usb.midi-in
            S15 | condenser into an interface              | mic-condenser-large.out xlr-xlr interface-1.mic-1
            S15 | voice microphone, dynamic                | mic-dynamic-voice.out xlr-xlr interface-2.mic-1
            S15 | ribbon, balanced all the way             | mic-ribbon-passive.out xlr-xlr interface-2.mic-1
            S15 | one microphone for two                   | mic-dynamic-voice.out xlr-xlr splitter-mic.in; splitter-mic.direct xlr-xlr interface-2.mic-1; splitter-mic.isolated xlr-xlr mixer-small.mic-1
            S16 | camera's lavalier into a phone           | lavalier-camera.out mic-trs-trrs phone-ctia.headset
            S16 | phone's lavalier into a camera           | lavalier-phone.out mic-trrs-trs camera-mic-in.mic
            S17 | groovebox into a phone, with a pad       | groovebox.out attenuator-phone phone-ctia.headset
            S18 | headphones on an interface               | headphones-80.plug interface-2.phones
            S18 | interface on a laptop                    | interface-2.usb usb-c-c laptop-combo.usb-2
            S19 | mixer's headphones into a camera, padded | mixer-small.phones 635-plug-35-socket attenuator-mini camera-mic-in.mic
            S20 | magnetic cartridge into its preamp       | turntable-mm.out-left rca-rca phono-preamp.in-left; turntable-mm.earth earth-lead phono-preamp.earth
            S20 | turntable with preamp into a line in     | turntable-preamp.out-left rca-rca interface-rca.in-left
            """)
    void what_is_right_is_left_alone(String situation, String what, String rig) {
        assertThat(findings(rig)).as(what).allMatch(finding -> finding.severity() == Severity.NOTE);
    }

    /** The findings that are not notes, worst first, and the number of the first one. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            S1  | a lead that only charges                 | recorder-handheld.usb usb-a-c-charge laptop-combo.usb-1 | wrong usb.charge-only | 0 | 0
            S2  | DJ mixer into a mic input                | dj-mixer.master-left xlr-xlr interface-2.mic-1 | harm phantom.into-output, harm caution.line-into-mic | 13.96 | 0.05
            S3  | modular into an instrument input         | modular-output.out 35-ts-635 interface-4.inst-1 | wrong level.overload | 2.0 | 0.1
            S3  | only the right side of a pair            | synth-desktop.out-right ts-ts mixer-rack.in-1-left | weak stereo.half-output | 1 | 0
            S3  | a two-pole plug in an insert             | mixer-multitrack-usb.insert-1 ts-ts effect-line.in | wrong insert.open | -113 | 2
            S4  | splitter of the other order              | headset-two-plugs.mic headset-splitter-omtp phone-ctia.headset | wrong power.reversed | -0.25 | 0.02
            S4  | headset of the other order               | headset-ctia.out phone-omtp.headset | wrong power.reversed, wrong stereo.cancels, wrong headset.mic-shorted | -0.99 | 0.05
            S4  | three poles in a two-pole socket         | headset-two-plugs.mic home-made-mic-trrs phone-ctia.headset | wrong power.missing, wrong signal.lost, wrong headset.mic-shorted | 0 | 0.01
            S5  | main output into a phone                 | mixer-small.main-left 35-ts-635 phone-ctia.headset | wrong output.shorted, wrong outputs.tied, wrong outputs.tied, wrong signal.lost, wrong headset.mic-shorted | -50.5 | 2
            S6  | guitar straight into a phone             | guitar-single-coil.out 35-ts-635 phone-ctia.headset | wrong output.shorted, wrong outputs.tied, wrong signal.lost, wrong headset.mic-shorted | -50 | 2
            S6  | passive guitar, cheapest way             | guitar-humbucker.out ts-ts guitar-phone-adapter.in; guitar-phone-adapter.phone phone-ctia.headset | weak response.dull | 2343 | 60
            S7  | a hub that the phone must feed           | hub-bus.device-1 usb-a-c mic-usb.usb | wrong power.bus-short | 200 | 0
            S8  | a phone does not feed the interface      | phone-ctia.port usb-c-c interface-2.usb | wrong power.bus-short | 480 | 0
            S8  | phantom left off                         | mic-condenser-large.out xlr-xlr interface-1.mic-1; interface-1.phantom=off | wrong power.missing | 0 | 0.01
            S9  | preamp into a mic input                  | preamp-xlr.out-xlr xlr-xlr mixer-small.mic-1 | harm phantom.into-output, harm caution.line-into-mic | 13.96 | 0.05
            S9  | condenser through a booster, dead        | mic-condenser-large.out xlr-xlr inline-booster.in | wrong power.missing | 0 | 0.01
            S9  | synth into a mic input                   | synth-analogue.out ts-xlr interface-2.mic-1 | harm phantom.into-output, harm caution.line-into-mic, weak joint.loading | 0 | 0.01
            S9  | preamp into a mic input, phantom off     | preamp-xlr.out-xlr xlr-xlr mixer-small.mic-1; mixer-small.phantom=off | wrong caution.line-into-mic | 21.6 | 0.1
            S9  | phantom backwards through a pad          | preamp-xlr.out-xlr xlr-xlr pad-xlr.in; pad-xlr.out xlr-xlr interface-2.mic-1 | harm phantom.into-output, harm caution.line-into-mic | 12.9 | 0.1
            S10 | guitar into a line input                 | guitar-humbucker.out ts-ts interface-2.line-2 | wrong joint.loading, wrong response.dull | 11.3 | 0.3
            S10 | piezo into an instrument input           | piezo-under-saddle.out ts-ts interface-2.inst-1 | wrong response.thin, weak joint.loading | 153.8 | 10
            S10 | passive guitar, passive DI box           | guitar-humbucker.out ts-ts di-passive.in; di-passive.out xlr-xlr interface-2.mic-2 | weak response.dull | 3960 | 100
            S11 | balanced output, two-pole lead           | synth-digital.out-left trs-ts interface-4.line-3 | weak balanced.half | -6.1 | 0.2
            S11 | two mixers on the mains, two-pole        | mixer-rack.main-left ts-ts mixer-multitrack-usb.line-1 | weak balanced.half, weak hum.ground-loop | -6.1 | 0.2
            S12 | amplifier into a line input              | guitar-amp.speaker speaker-ts interface-2.line-1 | harm caution.speaker-into-input | 28.0 | 0.5
            S12 | subwoofer, out for in                    | subwoofer.out-left xlr-trs interface-2.out-1 | wrong outputs.tied, wrong outputs.tied | -6.01 | 0.02
            S13 | headphones into one balanced input       | drum-box-headphone.phones mini-trs interface-2.line-1 | wrong stereo.cancels | -120 | 60
            S13 | half of a Y-lead in use                  | piano-headphone.phones trs-2ts interface-2.line-1 | wrong stereo.one-side | -150 | 50
            S14 | MIDI from out to out                     | drum-machine.midi-out midi-din midi-usb.midi-out | wrong midi.alike | 2 | 0
            S14 | both outs joined in one input            | drum-machine.out-left ts-y#1.b; drum-machine.out-right ts-y#1.c; ts-y#1.a ts-ts interface-2.line-1 | wrong outputs.tied, wrong outputs.tied | -6.5 | 0.2
            S15 | condenser without phantom power          | mic-condenser-large.out xlr-trs interface-1.line-1 | wrong power.missing | 0 | 0.01
            S15 | ribbon on an unbalanced lead             | mic-ribbon-passive.out xlr-ts trs-socket-xlr-plug interface-2.mic-1 | harm phantom.through-coil | 6.76 | 0.05
            S15 | a plug that does not go in               | headset-two-plugs.phones interface-2.phones | wrong plug.does-not-fit, wrong signal.lost | 0 | 0
            S16 | wireless receiver, three-pole lead       | wireless-receiver.out mini-mini phone-ctia.headset | wrong outputs.tied, wrong outputs.tied, wrong signal.lost, wrong headset.mic-shorted | -40 | 10
            S17 | groovebox, plain lead into a phone       | groovebox.out mini-mini phone-ctia.headset | wrong outputs.tied, wrong signal.lost, wrong headset.mic-shorted | -20.6 | 1
            S18 | interface on a charge-only lead          | interface-2.usb usb-a-c-charge laptop-combo.usb-1 | wrong usb.charge-only | 0 | 0
            S19 | mixer's headphones into a camera         | mixer-small.phones 635-plug-35-socket mini-mini camera-mic-in.mic | wrong caution.line-into-mic | 13.9 | 0.2
            S20 | cartridge into a line input              | turntable-mm.out-left rca-rca interface-rca.in-left | wrong riaa.missing, weak response.dull, weak hum.earth-wire | 19.3 | 0.1
            S20 | equalised twice                          | turntable-preamp.out-left rca-rca phono-preamp.in-left | wrong riaa.double | -19.6 | 0.1
            S20 | cartridge, one side only                 | turntable-mm.out-left rca-ts interface-2.line-1 | wrong riaa.missing, wrong response.dull, weak hum.earth-wire | 19.3 | 0.1
            """)
    void what_is_wrong_is_named_with_its_number(
            String situation, String what, String rig, String expected, double figure, double tolerance) {
        List<Finding> found = findings(rig).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .toList();
        assertThat(found.stream()
                        .map(finding -> finding.severity().word() + " " + finding.mark())
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
