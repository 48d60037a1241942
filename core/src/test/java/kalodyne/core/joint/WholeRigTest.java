package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Driver;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.circuit.Network;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Typed;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What only all that is plugged tells together, and what switches make of it: right rigs, near misses and faults as practice knows them.
 * What is expected is common practice, USB 2.0, IEC 60098 and IEC 61938, from memory, or worked out by hand.
 */
class WholeRigTest {
    private static final List<Device> SHELF =
            List.of(Catalogue.shipped().device("laptop-combo").orElseThrow().gear());

    private static final String TURNTABLE =
            "turntable-mm.out-left rca-rca#1.a; turntable-mm.out-right rca-rca#1.c; rca-rca#1.b phono-preamp.in-left; rca-rca#1.d phono-preamp.in-right";
    private static final String INTERFACE = "interface-2.usb usb-a-c laptop-combo.usb-1";

    private static List<Finding> findings(String rig) {
        String[] parts = rig.replace("TURNTABLE", TURNTABLE)
                .replace("INTERFACE", INTERFACE)
                .split(" \\| ", -1);
        Patch patch = Plugged.of(parts[0]);
        return JointRules.check(parts.length > 1 ? Typed.over(patch, parts[1]) : patch, SHELF).stream()
                .flatMap(joint -> joint.findings().stream())
                .toList();
    }

    /** Phones and tablets load no drivers, also behind a hub; a computer does; of what nobody knows nothing is said. */
    @ParameterizedTest
    @CsvSource(delimiter = '!', nullValues = "none", textBlock = """
            phone-digital.port usb-c-c interface-2.usb ! NEEDED ! usb.driver
            tablet-digital.port usb-c-c interface-2.usb ! NEEDED ! usb.driver
            phone-digital.port hub-charging.plug; hub-charging.device-1 usb-a-c interface-2.usb; charger-usb.out usb-c-c hub-charging.charge ! NEEDED ! usb.driver
            laptop-combo.usb-1 usb-a-c interface-2.usb ! NEEDED ! none
            phone-digital.port usb-c-c interface-2.usb ! NOT_NEEDED ! none
            phone-digital.port usb-c-c interface-2.usb ! none ! none
            """)
    void what_needs_a_driver_is_not_for_phones(String plugged, Driver driver, String code) {
        Patch patch = Plugged.of(plugged);
        Map<String, Device> devices = new HashMap<>(patch.devices());
        devices.computeIfPresent("interface-2", (id, device) -> device.withDriver(Optional.ofNullable(driver)));
        List<String> worst = JointRules.check(new Patch(devices, patch.leads(), patch.pluggings()), SHELF).stream()
                .flatMap(joint -> joint.findings().stream())
                .filter(finding -> finding.severity() == Severity.WRONG)
                .map(Finding::mark)
                .toList();
        assertThat(worst).isEqualTo(code == null ? List.of() : List.of(code));
    }

    /** All that is found and is no note, apart from what the last column leaves out. */
    @ParameterizedTest
    @CsvSource(delimiter = '!', nullValues = "none", textBlock = """
            power: laptop feeds the interface            ! INTERFACE ! none
            power: lead missing                          ! mic-dynamic-voice.out xlr-xlr interface-2.mic-1 ! wrong power.not-fed
            power: own supply, lead missing              ! mic-dynamic-voice.out xlr-xlr interface-8.mic-1 ! wrong usb.not-seen
            power: a mixer needs no computer             ! mic-dynamic-voice.out xlr-xlr mixer-small-usb.mic-1 ! none
            power: phone too weak                        ! phone-ctia.port usb-c-c interface-2.usb ! wrong power.bus-short
            power: phone strong enough                   ! phone-digital.port usb-c-c interface-2.usb ! none
            power: charging adapter without a charger    ! phone-ctia.port host-adapter-charging.plug; host-adapter-charging.device usb-a-c interface-2.usb ! wrong power.bus-short
            power: charging adapter with its charger     ! phone-ctia.port host-adapter-charging.plug; host-adapter-charging.device usb-a-c interface-2.usb; charger-usb.out usb-c-c#1 host-adapter-charging.charge ! none
            power: passive adapter passes on what it gets ! phone-ctia.port host-adapter.plug; host-adapter.device usb-a-c interface-2.usb ! wrong power.bus-short
            power: passive adapter, small guitar interface ! phone-ctia.port host-adapter.plug; host-adapter.device usb-a-c interface-guitar-usb.usb ! none
            power: hub with a charger                    ! phone-digital.port hub-charging.plug; hub-charging.device-1 usb-a-c interface-2.usb; charger-usb.out usb-c-c#1 hub-charging.charge ! none
            power: hub on a laptop, one interface        ! laptop-combo.usb-2 hub-charging.plug; hub-charging.device-1 usb-a-c interface-2.usb ! none
            power: in the socket for the charger         ! phone-digital.port hub-charging.plug; hub-charging.charge usb-c-c#1 interface-2.usb ! wrong usb.charge-socket
            power: 540 mA on 500 mA                      ! computer-desktop.usb-2 usb-a-c interface-2.usb | interface-2 socket usb power 1 current=540 mA ! wrong power.bus-short
            power: 480 mA over three metres, thin        ! laptop-combo.usb-1 usb-a-c interface-2.usb | usb-a-c lead length=3 m ! weak power.bus-drop
            power: fed by a power bank, seen by nobody   ! power-bank.out usb-a-c interface-2.usb ! wrong usb.not-seen
            power: recorder on a power bank              ! power-bank.out usb-a-c recorder-handheld.usb ! none
            data: charge-only lead                       ! laptop-combo.usb-1 usb-a-c-charge interface-2.usb ! wrong usb.charge-only
            earth: wire joined                           ! TURNTABLE; turntable-mm.earth earth-lead phono-preamp.earth ! none
            earth: wire left off                         ! TURNTABLE ! weak hum.earth-wire
            earth: preamp built in, no wire              ! turntable-preamp.out-left rca-rca#1.a; rca-rca#1.b interface-rca.in-left; interface-rca.usb laptop-combo.usb-1 ! none
            loop: laptop, interface, earthed speaker, two-pole lead ! INTERFACE; interface-2.out-1 ts-ts speakers-powered.in-trs ! weak balanced.half, weak hum.ground-loop, weak hum.usb
            loop: the same by three-pole leads           ! INTERFACE; interface-2.out-1 trs-trs speakers-powered.in-trs ! none
            loop: speaker without an earth               ! INTERFACE; interface-2.out-1 rca-ts speakers-multimedia.in-left ! none
            loop: groovebox on the same laptop's USB     ! INTERFACE; groovebox.usb usb-c-c laptop-combo.usb-2; groovebox.out mini-2ts#1.a; mini-2ts#1.b interface-2.line-1; mini-2ts#1.c interface-2.line-2 ! weak hum.usb
            loop: groovebox on its battery               ! INTERFACE; groovebox.out mini-2ts#1.a; mini-2ts#1.b interface-2.line-1; mini-2ts#1.c interface-2.line-2 ! none
            loop: drum machine on an adapter             ! INTERFACE; drum-machine.out-left ts-ts interface-2.line-1 ! none
            one channel, two sources                     ! mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; synth-analogue.out ts-ts mixer-small.line-1 ! wrong input.shared
            two channels                                 ! mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; synth-analogue.out ts-ts mixer-small.line-2 ! none
            switch at line, guitar in it                 ! INTERFACE; guitar-single-coil.out ts-ts interface-2.inst-1; interface-2.inst-switch-1=line ! wrong joint.loading, wrong response.dull
            switch at instrument                         ! INTERFACE; guitar-single-coil.out ts-ts interface-2.inst-1; interface-2.inst-switch-1=instrument ! none
            switch not told                              ! INTERFACE; guitar-single-coil.out ts-ts interface-2.inst-1 ! none
            turntable at phono in a line input           ! INTERFACE; turntable-preamp.out-left rca-2ts#1.a; rca-2ts#1.b interface-2.line-1; turntable-preamp.preamp=phono ! wrong riaa.missing
            turntable at line in a line input            ! INTERFACE; turntable-preamp.out-left rca-2ts#1.a; rca-2ts#1.b interface-2.line-1; turntable-preamp.preamp=line ! none
            turntable at line in a phono input           ! turntable-preamp.out-left rca-rca phono-preamp.in-left; turntable-preamp.preamp=line ! wrong riaa.double
            turntable at phono in a phono input          ! turntable-preamp.out-left rca-rca phono-preamp.in-left; turntable-preamp.preamp=phono ! none
            moving coil at MM                            ! turntable-mc.out-left rca-rca phono-preamp.in-left; turntable-mc.earth earth-lead phono-preamp.earth; phono-preamp.cartridge=MM ! weak cartridge.kind
            moving coil at MC                            ! turntable-mc.out-left rca-rca phono-preamp.in-left; turntable-mc.earth earth-lead phono-preamp.earth; phono-preamp.cartridge=MC ! none
            moving magnet at MC                          ! turntable-mm.out-left rca-rca phono-preamp.in-left; turntable-mm.earth earth-lead phono-preamp.earth; phono-preamp.cartridge=MC ! wrong response.dull, wrong cartridge.kind
            phono input, switch at line                  ! turntable-mm.out-left rca-rca dj-mixer.phono-1-left; turntable-mm.earth earth-lead dj-mixer.earth; dj-mixer.select-1=line ! wrong input.not-selected
            phono input, switch at phono                 ! turntable-mm.out-left rca-rca dj-mixer.phono-1-left; turntable-mm.earth earth-lead dj-mixer.earth; dj-mixer.select-1=phono ! none
            sides straight                               ! player-rca.out-left rca-rca#1.a; player-rca.out-right rca-rca#1.c; rca-rca#1.b dj-mixer.line-1-left; rca-rca#1.d dj-mixer.line-1-right ! none
            sides crossed                                ! player-rca.out-left rca-rca#1.a; player-rca.out-right rca-rca#1.c; rca-rca#1.b dj-mixer.line-1-right; rca-rca#1.d dj-mixer.line-1-left ! weak stereo.crossed
            voice panned left, only the right output     ! mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; mixer-small.pan-1=left; mixer-small.main-right trs-trs interface-2.line-1; INTERFACE ! wrong stereo.panned-away
            voice panned left, the left output           ! mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; mixer-small.pan-1=left; mixer-small.main-left trs-trs interface-2.line-1; INTERFACE ! none
            voice in the middle, one output              ! mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; mixer-small.pan-1=middle; mixer-small.main-right trs-trs interface-2.line-1; INTERFACE ! none
            guitar amplifier by its line output alone    ! guitar-single-coil.out ts-ts guitar-amp.in; guitar-amp.line-out ts-ts mixer-small.line-1 ! weak amplifier.no-load
            guitar amplifier with its loudspeaker        ! guitar-single-coil.out ts-ts guitar-amp.in; guitar-amp.line-out ts-ts mixer-small.line-1; guitar-amp.speaker speaker-ts speaker-cabinet.in ! none
            hi-fi amplifier with nothing to drive        ! player-rca.out-left rca-rca amplifier-hifi.in-left ! none
            microphone in a line input                   ! mic-dynamic-voice.out xlr-trs mixer-small.line-1 ! wrong level.mic-into-line
            microphone's preamp in a line input          ! preamp-xlr.out-xlr xlr-trs mixer-small.line-1 ! none
            ribbon, plug-in power                        ! mic-ribbon-passive.out xlr-mini camera-mic-in.mic ! wrong power.through-coil
            dynamic, plug-in power: told, no fault       ! mic-dynamic-voice.out xlr-mini camera-mic-in.mic ! none
            ribbon, phantom off                          ! INTERFACE; mic-ribbon-passive.out xlr-xlr interface-2.mic-1; interface-2.phantom=off ! none
            ribbon, phantom on, XLR all the way          ! INTERFACE; mic-ribbon-passive.out xlr-xlr interface-2.mic-1; interface-2.phantom=on ! wrong caution.phantom
            ribbon, phantom on, by jacks                 ! INTERFACE; mic-ribbon-passive.out xlr-trs trs-socket-xlr-plug interface-2.mic-1; interface-2.phantom=on ! harm caution.phantom
            condenser through a pad, phantom on          ! INTERFACE; mic-condenser-large.out xlr-xlr pad-xlr.in; pad-xlr.out xlr-xlr interface-2.mic-1; interface-2.phantom=on ! none
            condenser through a Y, phantom from one      ! INTERFACE; mic-condenser-large.out xlr-y#1.a; xlr-y#1.b interface-2.mic-1; xlr-y#1.c mixer-small.mic-1; interface-2.phantom=on; mixer-small.phantom=off ! none
            earphones in a phone                         ! earphones-16.plug phone-ctia.headset ! none
            a phone into a line input                    ! phone-ctia.headset mini-2ts#1.a; mini-2ts#1.b mixer-small.line-3; mini-2ts#1.c mixer-small.line-4 ! none
            four-pole headset to listen: in some sockets ! laptop-combo.usb-2 usb-c-c interface-guitar-usb.usb; headset-ctia.out interface-guitar-usb.phones ! weak stereo.cancels
            on-camera microphone in a camera             ! camera-mic.out camera-mic-in.mic ! none
            """)
    void says_what_practice_says(String what, String rig, String expected) {
        String found = findings(rig).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .map(finding -> finding.severity().word() + " " + finding.mark())
                .distinct()
                .collect(Collectors.joining(", "));
        assertThat(found.isEmpty() ? null : found).as(what).isEqualTo(expected);
    }

    /**
     * The classic loop by hand. Two earths 10 mV apart drive a current through 0.3 Ω on either side, the USB lead (1 m of 140 mΩ and
     * contacts of 10 mΩ) and the shield of 3 m at 30 mΩ with its contacts: what falls along the shield comes in with the signal.
     */
    @Test
    void hum_of_the_classic_loop_is_what_the_shield_drops() {
        Patch patch = Plugged.of(INTERFACE + "; interface-2.out-1 ts-ts speakers-powered.in-trs");
        double shield = 3 * 0.03 + 2 * 0.01;
        double usb = 0.14 + 2 * 0.01;
        double contacts = 4 * 0.01;
        double volts = 10e-3 * shield / (0.6 + usb + shield + contacts);
        Hum hum = hum(patch, "speakers-powered");
        assertThat(hum.isLoop()).isTrue();
        assertThat(hum.likely().dbu()).isCloseTo(20 * Math.log10(volts / 0.7746), within(1.5));
        assertThat(hum.most().dbu() - hum.likely().dbu()).isCloseTo(9.54, within(0.1));
    }

    /** On one strip the loop is silent, over outlets far apart ten times as loud; a balanced lead has it 40 dB lower at least. */
    @Test
    void hum_follows_the_outlets_and_the_lead() {
        Wiring wiring = new Wiring(
                Plugged.of(INTERFACE + "; interface-2.out-1 ts-ts speakers-powered.in-trs")
                        .pluggings(),
                List.of());
        Patch patch = Plugged.of(INTERFACE + "; interface-2.out-1 ts-ts speakers-powered.in-trs");
        Map<Mains, Double> dbu = Arrays.stream(Mains.values())
                .collect(Collectors.toMap(
                        mains -> mains,
                        mains -> hum(
                                        wiring.with(mains)
                                                .patch(
                                                        id -> Optional.ofNullable(
                                                                patch.devices().get(id)),
                                                        id -> Optional.ofNullable(
                                                                patch.leads().get(id))),
                                        "speakers-powered")
                                .likely()
                                .dbu()));
        assertThat(dbu.get(Mains.ONE_STRIP)).isLessThan(-120);
        assertThat(dbu.get(Mains.SEVERAL) - dbu.get(Mains.ONE_CIRCUIT)).isCloseTo(20, within(0.1));
        Patch balanced = Plugged.of(INTERFACE + "; interface-2.out-1 trs-trs speakers-powered.in-trs");
        assertThat(dbu.get(Mains.UNKNOWN)
                        - hum(balanced, "speakers-powered").likely().dbu())
                .isGreaterThan(40);
    }

    /** Every joint by itself and the earth of all together give what the one circuit of the whole rig gives. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            INTERFACE; interface-2.out-1 ts-ts speakers-powered.in-trs; interface-2.out-2 trs-trs speakers-powered#2.in-trs
            INTERFACE; modular-output-module.out-left ts-ts mixer-rack.in-1-left; mixer-rack.main-left ts-ts interface-2.line-1; mixer-rack.monitor-left trs-xlr speakers-powered.in-xlr
            TURNTABLE; turntable-mm.earth earth-lead phono-preamp.earth; phono-preamp.out-left rca-2ts#1.a; phono-preamp.out-right rca-2ts#1.c; rca-2ts#1.b interface-2.line-1; rca-2ts#1.d interface-2.line-2; INTERFACE
            """)
    void agrees_with_the_circuit_of_the_whole_rig(String rig) throws Exception {
        Patch patch = Plugged.of(rig.replace("TURNTABLE", TURNTABLE).replace("INTERFACE", INTERFACE));
        JointCircuit whole = JointCircuit.of(patch);
        Network network = new Network(whole.audio());
        for (JointRules.Checked joint : JointRules.check(patch)) {
            for (Map.Entry<InputSignal, Hum> each : joint.hum().entrySet()) {
                InputSignal there = whole.hearings().stream()
                        .filter(hearing -> hearing.socket().equals(each.getKey().socket())
                                && hearing.channel() == each.getKey().channel())
                        .findFirst()
                        .orElseThrow();
                double square = 0;
                for (JointCircuit.Earth earth : whole.earths()) {
                    double volts = switch (earth.earthing().kind()) {
                        case EARTHED -> 10e-3 / Math.sqrt(2);
                        case LEAKING -> 115;
                        case ALONE -> 0;
                    };
                    double heard = network.at(List.of(50.0), earth.source())
                            .get(0)
                            .voltage(there.plus(), there.minus())
                            .magnitude();
                    square += volts * volts * heard * heard;
                }
                double expected = 20 * Math.log10(Math.sqrt(square) / 0.7746);
                if (expected > -120) {
                    assertThat(each.getValue().likely().dbu()).isCloseTo(expected, within(0.05));
                }
            }
        }
    }

    private static Hum hum(Patch patch, String device) {
        return JointRules.check(patch).stream()
                .flatMap(joint -> joint.hum().entrySet().stream())
                .filter(entry -> entry.getKey().socket().item().equals(device))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElseThrow();
    }
}
