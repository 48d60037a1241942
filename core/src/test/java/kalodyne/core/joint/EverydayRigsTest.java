package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Typed;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Rigs that home musicians plug every day, and what somebody with long practice says of them; written down before the program was
 * asked. Most are right: a false alarm on one of those is as bad as a missed fault.
 */
class EverydayRigsTest {
    private static final List<Device> SHELF =
            List.of(Catalogue.shipped().device("laptop-combo").orElseThrow().gear());

    private static List<Finding> findings(String rig) {
        String[] parts = rig.replace("INTERFACE", "laptop-combo.usb-1 usb-a-c interface-2.usb")
                .replace(
                        "MOVING-MAGNET",
                        "turntable-mm.out-left rca-rca-earth#1.a; phono-preamp.in-left rca-rca-earth#1.b; turntable-mm.out-right rca-rca-earth#1.c; phono-preamp.in-right rca-rca-earth#1.d; turntable-mm.earth rca-rca-earth#1.e; phono-preamp.earth rca-rca-earth#1.f")
                .replace(
                        "FROM-PREAMP",
                        "phono-preamp.out-left rca-2ts#1.a; interface-2.line-1 rca-2ts#1.b; phono-preamp.out-right rca-2ts#1.c; interface-2.line-2 rca-2ts#1.d")
                .split(" \\| ", -1);
        Patch patch = Plugged.of(parts[0]);
        return JointRules.check(parts.length > 1 ? Typed.over(patch, parts[1]) : patch, SHELF).stream()
                .flatMap(joint -> joint.findings().stream())
                .toList();
    }

    private static String words(Finding finding) {
        return finding.severity().word() + " " + finding.mark();
    }

    /** Nothing worse is said than the third column; the last one begins what is not said at all. */
    @ParameterizedTest
    @CsvSource(delimiter = '!', nullValues = "none", textBlock = """
            dynamic interface 48 V on ! mic-dynamic-voice.out xlr-xlr interface-1.mic-1; laptop-combo.usb-1 usb-a-c interface-1.usb; interface-1.phantom=on ! NOTE ! none
            guitar instrument unsaid ! INTERFACE; guitar-humbucker.out ts-ts interface-2.inst-1 | ts-ts lead length=6 m ! NOTE ! none
            synth stereo ! INTERFACE; synth-desktop.out-left ts-ts interface-2.line-1; synth-desktop.out-right ts-ts interface-2.line-2 ! WEAK ! none
            synth balanced ! synth-digital.out-left trs-trs interface-4.line-1; synth-digital.out-right trs-trs interface-4.line-2; laptop-combo.usb-1 usb-a-c interface-4.usb ! WEAK ! hum
            synth mono left ! INTERFACE; synth-desktop.out-left ts-ts interface-2.line-1 ! WEAK ! none
            groovebox interface ! INTERFACE; groovebox.out mini-2ts#1.a; interface-2.line-1 mini-2ts#1.b; interface-2.line-2 mini-2ts#1.c ! NOTE ! none
            DJ mixer master line ! INTERFACE; dj-mixer.master-left xlr-trs interface-2.line-1; dj-mixer.master-right xlr-trs interface-2.line-2 ! WEAK ! none
            turntable preamp ! INTERFACE; MOVING-MAGNET; FROM-PREAMP; phono-preamp.cartridge=MM ! WEAK ! none
            turntable with preamp line into line ! turntable-preamp.out-left rca-rca#1.a; dj-mixer.line-1-left rca-rca#1.b; turntable-preamp.out-right rca-rca#1.c; dj-mixer.line-1-right rca-rca#1.d; turntable-preamp.preamp=line; dj-mixer.select-1=line ! WEAK ! none
            laptop monitors multimedia ! laptop-combo.headset mini-mini speakers-multimedia.in ! WEAK ! none
            laptop hifi ! laptop-combo.headset mini-2rca#1.a; amplifier-hifi.in-left mini-2rca#1.b; amplifier-hifi.in-right mini-2rca#1.c ! WEAK ! none
            interface monitors ! INTERFACE; interface-2.out-1 trs-xlr speakers-powered.in-xlr; interface-2.out-2 trs-xlr speakers-powered#2.in-xlr ! NOTE ! none
            phones adapter ! INTERFACE; interface-2.phones 635-plug-35-socket#1.b; 635-plug-35-socket#1.a headphones-32.plug ! NOTE ! none
            lavalier phone laptop ! laptop-combo.headset lavalier-phone.out ! NOTE ! none
            lavalier camera phone adapter ! phone-ctia.headset mic-trs-trrs#1.b; mic-trs-trrs#1.a lavalier-camera.out ! NOTE ! none
            lavalier phone camera adapter ! camera-mic-in.mic mic-trrs-trs#1.b; mic-trrs-trs#1.a lavalier-phone.out ! NOTE ! none
            ribbon booster ! mic-ribbon-passive.out xlr-xlr inline-booster.in; inline-booster.out xlr-xlr interface-1.mic-1; laptop-combo.usb-1 usb-a-c interface-1.usb; interface-1.phantom=on ! NOTE ! none
            bass DI box ! bass-passive.out ts-ts di-passive.in; di-passive.out xlr-xlr mixer-small.mic-1 ! WEAK ! none
            bass DI box 48on ! bass-active.out ts-ts di-active.in; di-active.out xlr-xlr mixer-small.mic-1; mixer-small.phantom=on ! NOTE ! none
            synth DI box ! synth-analogue.out ts-ts di-passive.in; di-passive.out xlr-xlr mixer-small.mic-1 ! WEAK ! none
            USB microphone phone ! phone-digital.port usb-c-c mic-usb.usb ! NOTE ! none
            interface tablet ! tablet-digital.port usb-c-c interface-2.usb ! NOTE ! none
            interface tablet hub ! tablet-digital.port hub-charging.plug; hub-charging.device-1 usb-a-c interface-2.usb; charger-usb.out usb-c-c hub-charging.charge ! NOTE ! none
            MIDI ok ! synth-digital.midi-out midi-din drum-machine.midi-in ! NOTE ! none
            hifi speaker ! amplifier-hifi.speaker-left speaker-wire speaker-passive.in; amplifier-hifi.speaker-right speaker-wire speaker-passive#2.in ! NOTE ! none
            amplifier line out ! INTERFACE; guitar-amp.line-out ts-ts interface-2.line-1 ! WEAK ! none
            mixer recorder ! mixer-small.main-left trs-trs recorder-handheld.line-1; mixer-small.main-right trs-trs recorder-handheld.line-2 ! WEAK ! none
            mixer camera attenuator ! mixer-small.phones 635-plug-35-socket#1.b; 635-plug-35-socket#1.a attenuator-mini#1.a; camera-mic-in.mic attenuator-mini#1.b ! WEAK ! none
            receiver camera ! wireless-receiver.out mini-mini camera-mic-in.mic ! NOTE ! none
            receiver phone ! wireless-receiver.out mini-trrs-mic phone-ctia.headset ! WEAK ! none
            insert comp ! mixer-multitrack-usb.insert-1 trs-2ts#1.a; effect-line.in trs-2ts#1.b; effect-line.out trs-2ts#1.c ! NOTE ! none
            two condenser bus ! INTERFACE; mic-condenser-large.out xlr-xlr interface-2.mic-1; mic-condenser-small.out xlr-xlr interface-2.mic-2; interface-2.phantom=on ! NOTE ! none
            condenser dynamic mixed ! INTERFACE; mic-condenser-large.out xlr-xlr interface-2.mic-1; mic-dynamic-voice.out xlr-xlr interface-2.mic-2; interface-2.phantom=on ! NOTE ! none
            condenser and synth three-pole ! INTERFACE; mic-condenser-large.out xlr-xlr interface-2.mic-1; synth-digital.out-left trs-trs interface-2.line-2; interface-2.phantom=on ! WEAK ! none
            karaoke interface ! INTERFACE; interface-2.inst-1 mic-dynamic-jack.out ! WEAK ! none
            piano phones interface ! INTERFACE; piano-headphone.phones trs-2ts#1.a; interface-2.line-1 trs-2ts#1.b; interface-2.line-2 trs-2ts#1.c ! WEAK ! none
            piezo DI box active ! INTERFACE; piezo-bridge.out ts-ts di-active.in; di-active.out xlr-xlr interface-2.mic-1; interface-2.phantom=on ! WEAK ! none
            subwoofer chain ! INTERFACE; interface-2.out-1 trs-trs subwoofer.in-left; interface-2.out-2 trs-trs subwoofer.in-right; subwoofer.out-left xlr-xlr speakers-powered.in-xlr; subwoofer.out-right xlr-xlr speakers-powered#2.in-xlr ! NOTE ! none
            preamp strip line ! INTERFACE; mic-dynamic-low.out xlr-xlr preamp-strip.mic; preamp-strip.out-trs trs-trs interface-2.line-1 ! NOTE ! none
            headphones Y ! INTERFACE; interface-2.phones 635-plug-35-socket#1.b; 635-plug-35-socket#1.a headphone-y#1.a; headphone-y#1.b headphones-32.plug; headphone-y#1.c headphones-32#2.plug ! NOTE ! none
            modular module interface ! INTERFACE; modular-output-module.out-left trs-trs interface-2.line-1; modular-output-module.out-right trs-trs interface-2.line-2 ! NOTE ! none
            CD player interface RCA ! player-rca.out-left rca-rca#1.a; interface-rca.in-left rca-rca#1.b; player-rca.out-right rca-rca#1.c; interface-rca.in-right rca-rca#1.d; laptop-combo.usb-1 interface-rca.usb ! WEAK ! none
            headset laptop ! laptop-combo.headset headset-ctia.out ! NOTE ! none
            guitar phone ! guitar-single-coil.out ts-ts guitar-phone-adapter.in; phone-ctia.headset guitar-phone-adapter.phone; guitar-phone-adapter.phones earphones-16.plug ! WEAK ! none
            loop balanced fine ! interface-2.out-1 trs-xlr speakers-powered.in-xlr; interface-2.out-2 trs-xlr speakers-powered#2.in-xlr; computer-desktop.usb-1 usb-a-c interface-2.usb ! WRONG ! hum
            loop battery fine ! INTERFACE; groovebox.out mini-2ts#1.a; interface-2.line-1 mini-2ts#1.b; interface-2.line-2 mini-2ts#1.c ! WRONG ! hum
            XLR 30m fine ! INTERFACE; mic-dynamic-voice.out xlr-xlr interface-2.mic-1 | xlr-xlr lead length=30 m ! NOTE ! none
            XLR Y fine ! INTERFACE; mic-dynamic-voice.out xlr-y#1.a; xlr-y#1.b xlr-xlr#1.a; interface-2.mic-1 xlr-xlr#1.b; xlr-y#1.c xlr-xlr#2.a; mixer-small.mic-1 xlr-xlr#2.b ! WEAK ! none
            laptop DI box stereo ! laptop-combo.headset mini-mini di-stereo.in; di-stereo.out-left xlr-xlr mixer-small.mic-1; di-stereo.out-right xlr-xlr mixer-small.mic-2 ! WEAK ! none
            laptop DI box stereo 48 V ! laptop-combo.headset mini-mini di-stereo.in; di-stereo.out-left xlr-xlr mixer-small.mic-1; di-stereo.out-right xlr-xlr mixer-small.mic-2; mixer-small.phantom=on ! WEAK ! none
            receiver recorder ! wireless-receiver.out mini-mini recorder-handheld.ext ! NOTE ! none
            receiver XLR interface ! INTERFACE; wireless-xlr.out-xlr xlr-xlr interface-2.mic-1 ! NOTE ! none
            receiver XLR interface 48 V ! INTERFACE; wireless-xlr.out-xlr xlr-xlr interface-2.mic-1; interface-2.phantom=on ! NOTE ! none
            turntable leads earth on ! phono-preamp.in-left turntable-mm-leads.out-left; phono-preamp.in-right turntable-mm-leads.out-right; phono-preamp.earth turntable-mm-leads.earth; phono-preamp.cartridge=MM ! NOTE ! none
            DJ mixer record output recorder ! dj-mixer.rec-left rca-2ts#1.a; recorder-handheld.line-1 rca-2ts#1.b; dj-mixer.rec-right rca-2ts#1.c; recorder-handheld.line-2 rca-2ts#1.d ! NOTE ! none
            groovebox camera attenuator ! groovebox.out attenuator-mini camera-mic-in.mic ! NOTE ! none
            drum rack mixer ! drum-machine.out-left ts-ts mixer-rack.in-1-left ! NOTE ! none
            condenser splitter ! INTERFACE; mic-condenser-large.out xlr-xlr splitter-mic.in; splitter-mic.direct xlr-xlr mixer-small.mic-1; splitter-mic.isolated xlr-xlr interface-2.mic-1; mixer-small.phantom=on; interface-2.phantom=off ! NOTE ! none
            DI box active battery ! synth-analogue.out ts-ts di-active.in; di-active.out xlr-xlr recorder-handheld.mic-1; recorder-handheld.phantom=off ! WEAK ! none
            portable preamp phone ! mic-condenser-large.out xlr-xlr preamp-portable.mic; phone-ctia.headset preamp-portable.phone; preamp-portable.phones earphones-16.plug; preamp-portable.phantom=on ! NOTE ! none
            lavalier splitter ! phone-ctia.headset headset-splitter-ctia#1.a; headset-splitter-ctia#1.b lavalier-camera.out; headset-splitter-ctia#1.c earphones-16.plug ! NOTE ! none
            karaoke microphone DJ player ! dj-player.mic mic-dynamic-jack.out ! NOTE ! none
            interface card bank ! power-bank.out usb-a-c interface-card.usb; mic-dynamic-voice.out xlr-xlr interface-card.mic-1 ! NOTE ! none
            interface card battery ! mic-dynamic-voice.out xlr-xlr interface-card.mic-1 ! NOTE ! none
            mic instrument ! mic-condenser-large.out xlr-xlr interface-mic-inst.mic-1; guitar-single-coil.out ts-ts interface-mic-inst.inst-2; interface-mic-inst.phones headphones-80.plug; laptop-combo.usb-1 usb-a-c interface-mic-inst.usb; interface-mic-inst.phantom=on ! NOTE ! none
            tablet port ! tablet-ctia.port headset-adapter-separate.usb; headset-adapter-separate.mic lavalier-camera.out; headset-adapter-separate.phones earphones-16.plug ! NOTE ! none
            modular in ! modular-output.out patch-35 interface-modular.in-1; laptop-combo.usb-1 usb-a-c interface-modular.usb ! NOTE ! none
            two synths rack mixer ! INTERFACE; synth-desktop.out-left ts-ts mixer-rack.in-1-left; synth-desktop.out-right ts-ts mixer-rack.in-1-right; synth-digital.out-left trs-trs mixer-rack.in-2-left; synth-digital.out-right trs-trs mixer-rack.in-2-right; mixer-rack.main-left trs-trs interface-2.line-1; mixer-rack.main-right trs-trs interface-2.line-2 ! WEAK ! none
            headphones amplifier ! INTERFACE; interface-2.phones trs-trs headphone-amp.in; headphone-amp.phones-1 headphones-80.plug; headphone-amp.phones-2 635-plug-35-socket#1.b; 635-plug-35-socket#1.a headphones-32.plug ! WEAK ! none
            effect loop synth ! INTERFACE; synth-digital.out-left trs-trs effect-line.in; effect-line.out trs-trs interface-2.line-1 ! WEAK ! none
            USB isolator ! laptop-combo.usb-1 usb-a-b usb-isolator.host; usb-isolator.device usb-a-c interface-1.usb; interface-1.out-1 ts-ts speakers-powered.in-trs ! WRONG ! hum
            isolator speakers ! laptop-combo.headset mini-2rca#1.a; isolator-rca.in-left mini-2rca#1.b; isolator-rca.in-right mini-2rca#1.c; isolator-rca.out-left rca-rca#1.a; speakers-multimedia.in-left rca-rca#1.b; isolator-rca.out-right rca-rca#1.c; speakers-multimedia.in-right rca-rca#1.d ! NOTE ! none
            desktop earthed hifi ! computer-desktop.line-out mini-2rca#1.a; amplifier-hifi.in-left mini-2rca#1.b; amplifier-hifi.in-right mini-2rca#1.c ! WEAK ! none
            XLR headset dynamic ! mic-dynamic-voice.out xlr-headset phone-ctia.headset ! WEAK ! none
            XLR mini camera ! mic-dynamic-voice.out xlr-mini camera-mic-in.mic ! WEAK ! none
            hub powered two ! laptop-combo.usb-1 usb-a-b hub-powered.host; hub-powered.device-1 usb-a-c interface-2.usb; hub-powered.device-2 usb-a-c mic-usb.usb ! NOTE ! none
            no lead mixer USB ! mic-dynamic-voice.out xlr-xlr mixer-small-usb.mic-1 ! WEAK ! none
            RCA Y mono ! player-rca.out-left rca-y#1.a; rca-y#1.b rca-rca#1.a; dj-mixer.line-1-left rca-rca#1.b; rca-y#1.c rca-rca#1.c; dj-mixer.line-1-right rca-rca#1.d ! WEAK ! none
            sum lead ! INTERFACE; groovebox.out sum-mini-ts interface-2.line-1 ! NOTE ! none
            passive speaker in interface ! amplifier-hifi.speaker-left speaker-wire speaker-passive.in ! NOTE ! none
            groovebox phones ! groovebox.out earphones-16.plug ! WEAK ! none
            """)
    void what_is_right_is_left_in_peace(String what, String rig, Severity most, String never) {
        assertThat(findings(rig).stream()
                        .filter(finding -> finding.severity().compareTo(most) < 0
                                || (never != null && finding.mark().startsWith(never)))
                        .map(EverydayRigsTest::words))
                .as(what)
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '!', textBlock = """
            condenser 48 V off ! mic-condenser-large.out xlr-xlr interface-1.mic-1; laptop-combo.usb-1 usb-a-c interface-1.usb; interface-1.phantom=off ! wrong power.missing
            guitar into line socket ! INTERFACE; guitar-humbucker.out ts-ts interface-2.line-1 ! wrong joint.loading
            guitar long lead ! INTERFACE; guitar-humbucker.out ts-ts interface-2.inst-1 | ts-ts lead length=12 m ! weak response.dull
            groovebox one mono plug ! INTERFACE; groovebox.out mini-trs interface-2.line-1 ! wrong stereo.cancels
            DJ mixer master mic 48 V ! INTERFACE; dj-mixer.master-left xlr-xlr interface-2.mic-1; dj-mixer.master-right xlr-xlr interface-2.mic-2; interface-2.phantom=on ! harm phantom.into-output
            turntable preamp moving coil at moving magnet ! INTERFACE; turntable-mc.out-left rca-rca-earth#1.a; phono-preamp.in-left rca-rca-earth#1.b; turntable-mc.out-right rca-rca-earth#1.c; phono-preamp.in-right rca-rca-earth#1.d; turntable-mc.earth rca-rca-earth#1.e; phono-preamp.earth rca-rca-earth#1.f; FROM-PREAMP; phono-preamp.cartridge=MM ! weak cartridge.kind
            turntable preamp moving magnet at moving coil ! INTERFACE; MOVING-MAGNET; FROM-PREAMP; phono-preamp.cartridge=MC ! wrong cartridge.kind
            lavalier camera in laptop ! laptop-combo.headset lavalier-camera.out ! wrong power.missing
            USB microphone weak phone ! phone-ctia.port usb-c-c mic-usb.usb ! wrong power.bus-short
            MIDI out into out ! synth-digital.midi-out midi-din drum-machine.midi-out ! wrong midi.alike
            amplifier speaker interface ! INTERFACE; guitar-amp.speaker ts-ts interface-2.line-1 ! harm caution.speaker-into-input
            mixer camera direct ! mixer-small.phones 635-plug-35-socket#1.b; 635-plug-35-socket#1.a mini-mini#1.a; camera-mic-in.mic mini-mini#1.b ! wrong caution.line-into-mic
            receiver phone straight ! wireless-receiver.out mini-mini phone-ctia.headset ! wrong headset.mic-shorted
            karaoke line ! mixer-small.line-1 mic-dynamic-jack.out ! wrong level.mic-into-line
            pickup piezo line ! piezo-under-saddle.out ts-ts mixer-small.line-1 ! wrong response.thin
            preamp XLR into mic ! INTERFACE; mic-dynamic-low.out xlr-xlr preamp-xlr.mic; preamp-xlr.out-xlr xlr-xlr interface-2.mic-1 ! harm phantom.into-output
            hot synth RCA ! interface-rca.in-left rca-ts synth-semi-modular.out; laptop-combo.usb-1 interface-rca.usb ! weak level.overload
            OMTP headset CTIA phone ! phone-ctia.headset headset-omtp.out ! wrong power.reversed
            loop earthed ! interface-2.out-1 trs-ts speakers-powered.in-trs; interface-2.out-2 trs-ts speakers-powered#2.in-trs; computer-desktop.usb-1 usb-a-c interface-2.usb ! weak hum.ground-loop
            condenser jack 48 V ! INTERFACE; mic-condenser-large.out xlr-trs interface-2.line-1; interface-2.phantom=on ! wrong power.missing
            two-pole XLR synth mic ! INTERFACE; synth-analogue.out ts-xlr interface-2.mic-1 ! harm caution.line-into-mic
            two-pole XLR synth mic 48 V ! INTERFACE; synth-analogue.out ts-xlr interface-2.mic-1; interface-2.phantom=on ! harm phantom.into-output
            mic 30m unbalanced line ! INTERFACE; mic-dynamic-voice.out xlr-ts interface-2.line-1 | xlr-ts lead length=30 m ! wrong level.mic-into-line
            turntable leads earth off ! phono-preamp.in-left turntable-mm-leads.out-left; phono-preamp.in-right turntable-mm-leads.out-right; phono-preamp.cartridge=MM ! weak hum.earth-wire
            groovebox camera ! groovebox.out mini-mini camera-mic-in.mic ! wrong caution.line-into-mic
            output into output ! INTERFACE; synth-analogue.out ts-ts interface-2.out-1 ! wrong outputs.tied
            synth into phones out ! INTERFACE; synth-analogue.out ts-ts interface-2.phones ! wrong outputs.tied
            condenser splitter wrong side ! INTERFACE; mic-condenser-large.out xlr-xlr splitter-mic.in; splitter-mic.direct xlr-xlr mixer-small.mic-1; splitter-mic.isolated xlr-xlr interface-2.mic-1; mixer-small.phantom=off; interface-2.phantom=on ! wrong power.missing
            separate adapter ! headset-adapter-separate.mic lavalier-camera.out; headset-adapter-separate.phones earphones-16.plug ! wrong power.not-fed
            mixer XLR mic in ! INTERFACE; mixer-small.main-left trs-xlr interface-2.mic-1; mixer-small.main-right trs-xlr interface-2.mic-2; interface-2.phantom=off ! wrong caution.line-into-mic
            phones to line three-pole ! INTERFACE; mixer-small.phones trs-trs interface-2.line-1 ! wrong stereo.cancels
            guitar effect line ! guitar-single-coil.out ts-ts effect-line.in ! wrong joint.loading
            condenser in phone ! mic-condenser-large.out xlr-headset phone-ctia.headset ! wrong power.missing
            RCA joined ! player-rca.out-left rca-rca#1.a; player-rca.out-right rca-rca#1.c; rca-y#1.b rca-rca#1.b; rca-y#1.c rca-rca#1.d; interface-rca.in-left rca-y#1.a ! wrong outputs.tied
            balanced into stereo amplifier ! synth-digital.out-left trs-trs headphone-amp.in ! wrong stereo.opposed
            balanced into recorder ext ! synth-digital.out-left trs-trs#1.a; 35-plug-635-socket#1.a trs-trs#1.b; recorder-handheld.ext 35-plug-635-socket#1.b ! wrong stereo.opposed
            headphones in line ! INTERFACE; interface-2.out-1 headphones-80.plug ! wrong stereo.opposed
            impedance-balanced output into a stereo input ! mixer-small.main-left trs-trs headphone-amp.in ! note stereo.one-input
            """)
    void what_is_wrong_is_told(String what, String rig, String said) {
        assertThat(findings(rig).stream().map(EverydayRigsTest::words).collect(Collectors.toSet()))
                .as(what)
                .contains(said);
    }
}
