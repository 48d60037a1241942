package kalodyne.core.runsheet;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.testing.Wordings;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The steps of a sheet as somebody reads them, each kind once: by its id what is to be done, how, why, and what tells that it is right.
 * Levels stand in {@link LevelStepsTest}.
 */
class StepWordsTest {
    /** A shelf, a wish and what becomes of stereo; or what is plugged. Then steps of its sheet. */
    private static final String BOOK = """
            recorder-handheld usb-a-c laptop-combo mic-dynamic-voice xlr-xlr headphones-32 | mic-dynamic-voice > laptop-combo; headphones-32 |
            ready:leads: Lay ready: XLR lead, USB lead, A to C
                Look at each for bent pins, cracked shells and thin spots. A plug goes in all the way; never force one.
                because Every lead is named in its step. Look at each: bent pins, cracked shells and thin spots go to the bench.
                tells 2 leads
            room:laptop-combo: Laptop with one combined headset socket: 259 MB free for 30 min
                48 kHz, 24 bits, 1 channel.
                because A full card or disk ends a take early.
                tells look how much is free
            ears-off: Headphones, 32 Ω: not on the ears
                because Plugging and switching make pops that hurt ears.
            down:recorder-handheld: Hand-held recorder with two XLR inputs: input level 1, volume fully down
                because Anything left up from last time would be a surprise.
            phantom-off:recorder-handheld.phantom: 48 V of Hand-held recorder with two XLR inputs (Input 1, mic): off
                because It stands as it was left. A plug that goes in with it on sends up to 48 V where it should not.
            plug:mic-dynamic-voice.out+recorder-handheld.mic-1: XLR lead: Dynamic voice microphone, Output → Hand-held recorder with two XLR inputs, Input 1, mic
                because The sound of Dynamic voice microphone goes this way.
            plug:headphones-32.plug+recorder-handheld.phones: Plug of Headphones, 32 Ω: Hand-held recorder with two XLR inputs, Headphones / line out → Headphones, 32 Ω, Plug
                Push it in all the way; not on the ears yet.
                because The sound of Hand-held recorder with two XLR inputs goes this way.
            plug:laptop-combo.usb-1+recorder-handheld.usb: USB lead, A to C: Hand-held recorder with two XLR inputs, USB → Laptop with one combined headset socket, USB 1
                Into Hand-held recorder with two XLR inputs first, then the other end. Wait until its lamp stays lit.
                because This lead feeds Hand-held recorder with two XLR inputs: plugging it is switching it on.
            choose:laptop-combo:mode: Hand-held recorder with two XLR inputs: stereo mode does
                Multitrack mode gives each input its own channel.
                because What comes as one channel cannot be taken apart later.
            choose:laptop-combo:input: Laptop with one combined headset socket: system input: “Hand-held recorder with two XLR inputs”
                Not the built-in microphone; choose it before the app is opened.
                because Else the built-in microphone is recorded: it is in there, but the app does not see it.
            choose:laptop-combo:output: Laptop with one combined headset socket: system output: “Hand-held recorder with two XLR inputs” too
                Some systems choose it for themselves, look at both.
                because Input and output are chosen apart; the one does not follow the other.
            choose:laptop-combo:monitoring: Laptop with one combined headset socket: monitoring in the app: off, one hears it directly
                Both together sound like an echo.
                because What is heard twice sounds like an echo.
            choose:laptop-combo:automatic: Laptop with one combined headset socket: automatic level, noise reduction and voice enhancement: off
                Else they change the level while you play.
                because It turns the level while you play.
            choose:laptop-combo:format: Laptop with one combined headset socket: format: 24 bits, 48 kHz, the same in the system and in the app
                because Two different rates play at the wrong speed, or not at all.
            choose:laptop-combo:track: Laptop with one combined headset socket: one track, armed
                Dynamic voice microphone, mono, from channel 1.
                because Each source on its own track can be mixed later.
            after:back-up: Copy the takes to two other places, and open one of the copies
                because One copy is no backup. A copy that was never opened is none either.
            after:clear:recorder-handheld: Clear the card of Hand-held recorder with two XLR inputs
                because Next time begins with an empty card.
            after:trim: Cut top and tail, on a copy
                because Talk before and chairs after are not music. Never cut into the last sound as it fades.
            down:ears: Headphones off the ears
                because Switches and plugs make pops that hurt ears.
            down:off:laptop-combo: Close the app on Laptop with one combined headset socket
                because In reverse: what receives the sound before what makes it.
            down:unplug: Unplug the leads
                Plug of Headphones, 32 Ω: Hand-held recorder with two XLR inputs, Headphones / line out → Headphones, 32 Ω, Plug; XLR lead: Dynamic voice microphone, Output → Hand-held recorder with two XLR inputs, Input 1, mic. Pull at the plug, never at the lead.
                because Only now: nothing is on that a plug could harm.
                tells 2 leads
            down:away: Charge Laptop with one combined headset socket; coil the leads loosely
                because Next time begins with full batteries and leads that are whole. Knob positions are in the log.

            dj-player laptop-combo usb-a-b rca-rca interface-rca usb-a-c | dj-player > laptop-combo; mixes | KEEP
            room:laptop-combo: Laptop with one combined headset socket: 953 MB free for 30 min
                44.1 kHz, 24 bits, 4 channels.
                because A full card or disk ends a take early.
                tells look how much is free
            plug:dj-player.usb+laptop-combo.usb-1: USB lead, A to B: DJ player and mixer in one, with USB, USB → Laptop with one combined headset socket, USB 1
                Into DJ player and mixer in one, with USB first, then the other end. Wait until its lamp stays lit.
                because This lead feeds DJ player and mixer in one, with USB: plugging it is switching it on.
            choose:laptop-combo:output: Laptop with one combined headset socket: system output: stays as it is, DJ player and mixer in one, with USB plays nothing back
                because Input and output are chosen apart; the one does not follow the other.
            choose:laptop-combo:mode: Laptop with one combined headset socket: channels of DJ player and mixer in one, with USB: 1–2 the mix with the talk microphone
                3–4 the mix without the talk microphone, 10 to 15 dB lower.
                because What comes as one channel cannot be taken apart later.
            choose:laptop-combo:track: Laptop with one combined headset socket: 2 tracks, armed
                DJ player and mixer in one, with USB, stereo, from channels 1 and 2 (the mix with the talk microphone); DJ player and mixer in one, with USB, stereo, from channels 3 and 4 (the mix without the talk microphone).
                because Each source on its own track can be mixed later.
            down:unplug:dj-player.usb+laptop-combo.usb-1: Pull USB lead, A to B: DJ player and mixer in one, with USB goes off
                because It is fed through this lead.

            modular-output-module interface-2 laptop-combo trs-trs*2 usb-a-c speakers-powered*2 trs-xlr*2 | modular-output-module > laptop-combo; speakers-powered+speakers-powered-2 | KEEP
            off:speakers: Speakers off, their level down: Powered studio speaker, Powered studio speaker
                because Plugs that go in and gear that is switched on thump. Speakers that are on play it, and can break by it.
            on:speakers-powered+speakers-powered-2: Switch Powered studio speaker and Powered studio speaker on, level down
                because Last up, first down: every switch before them makes a thump that they would play.
                tells last up, first down
            down:speakers: Speakers down and off: Powered studio speaker, Powered studio speaker
                because Last up, first down: they would play every thump that comes now.

            headset-two-plugs phone-ctia headset-splitter-ctia | headset-two-plugs > phone-ctia |
            choose:phone-ctia:quiet: Phone with a four-pole headset socket: voice assistant, calls and notifications: off
                Flight mode keeps the radio's buzz out too.
                because A call or a message would be in the take.

            mixer-small phone-ctia attenuator-phone 635-plug-35-socket trs-trs | mixer-small > phone-ctia |
            plug:mixer-small.main-left+phone-ctia.headset: Adapter, 3.5 mm three-pole socket to 6.35 mm three-pole plug with Attenuating lead, line to a phone's headset socket (CTIA): Small mixer, two mic and two stereo channels, Main out L → Phone with a four-pole headset socket, Headset socket
                Put lead and adapter together first, then into the gear: adapters strain sockets.
                because The sound of Small mixer, two mic and two stereo channels goes this way.

            guitar-single-coil phone-digital ts-ts interface-guitar-usb usb-c-c | guitar-single-coil > phone-digital |
            choose:phone-digital:permission: Phone with a digital port only: allow the app the microphone, and “use this accessory” if it is asked
                To “is this a headphone?” answer no.
                because Without it the app records silence.

            mic-usb phone-digital usb-c-c*2 host-adapter-charging usb-a-c charger-usb | mic-usb > phone-digital; charging |
            plug:host-adapter-charging.plug+phone-digital.port: Plug of Host adapter with a charging socket: Host adapter with a charging socket, Own plug → Phone with a digital port only, Port
                because Host adapter with a charging socket and Phone with a digital port only talk over it.

            mic-condenser-large interface-1 phone-ctia xlr-xlr usb-c-c*2 usb-a-c hub-charging power-bank | mic-condenser-large > phone-ctia |
            plug:hub-charging.plug+phone-ctia.port: Plug of USB-C hub with a charging socket: USB-C hub with a charging socket, Own plug → Phone with a four-pole headset socket, Port
                because USB-C hub with a charging socket and Phone with a four-pole headset socket talk over it.
            phantom-on:interface-1.phantom: 48 V of One-input interface, bus powered (Input 1, mic): on
                It pops once, and the microphone needs some seconds.
                because Condenser microphone, large diaphragm works only with it.
                tells for Condenser microphone, large diaphragm
            down:phantom-off:interface-1.phantom: 48 V of One-input interface, bus powered (Input 1, mic): off
                because A plug that is pulled with phantom power on gets up to 48 V on one leg.
            down:wait: Wait 30 s: phantom power fades
                because Capacitors in the input hold it for a while after the switch (common practice).

            mic-dynamic-voice guitar-humbucker interface-2 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital |
            choose:tablet-digital:mode: Tablet with a digital port only: some apps merge all inputs into one channel: choose multitrack in its settings, and look in the test take whether there are 2 tracks
                because What comes as one channel cannot be taken apart later.
            choose:tablet-digital:track: Tablet with a digital port only: 2 tracks, armed
                Dynamic voice microphone, mono, from channel 1; Electric guitar, humbuckers, mono, from channel 2.
                because Each source on its own track can be mixed later.

            piano-digital mic-dynamic-voice interface-4 laptop-combo ts-ts*2 xlr-xlr usb-c-c | piano-digital,mic-dynamic-voice > laptop-combo | KEEP
            own-speakers:piano-digital: Digital piano with line outputs: its own speakers off
                because A microphone hears them too, and both together sound hollow.

            drum-machine interface-2 laptop-combo ts-ts*2 usb-a-c midi-usb midi-din*2 | drum-machine > laptop-combo; tempo | KEEP
            plug:drum-machine.midi-in+midi-usb.midi-out: MIDI lead, five-pin DIN: USB MIDI interface, MIDI out → Drum machine, stereo outputs and MIDI, MIDI in
                because It carries notes and the clock, no sound.
            clock:laptop-combo>drum-machine: Laptop with one combined headset socket sets the tempo, Drum machine, stereo outputs and MIDI follows its clock
                In its app send clock, start and stop to “USB MIDI interface”; choose external clock on Drum machine, stereo outputs and MIDI. MIDI has 24 pulses a quarter. The lead back carries notes: as the MIDI input of an instrument track “USB MIDI interface” lets Drum machine, stereo outputs and MIDI play the sounds of the app.
                because Two that keep their own time drift apart; two that follow wait for each other.

            mic-condenser-large interface-2 laptop-combo xlr-xlr usb-c-c headphones-80 | mic-condenser-large > laptop-combo; headphones-80; direct |
            direct:interface-2: Two-input interface, bus powered: direct monitoring on
                because So you hear yourself at once, not after the computer's delay.

            wireless-receiver phone-ctia mini-mini mic-trs-trrs | wireless-receiver > phone-ctia |
            choose:phone-ctia:track: Phone with a four-pole headset socket: one track, armed
                Wireless microphone receiver, 3.5 mm, mono, from Headset socket.
                because Each source on its own track can be mixed later.

            groovebox phone-ctia mini-mini headset-splitter-ctia attenuator-phone | groovebox > phone-ctia; LEAD | MONO_ENOUGH
            choose:phone-ctia:track: Phone with a four-pole headset socket: one track, armed
                Groovebox, line out on 3.5 mm, mono, from Headset socket.
                because Each source on its own track can be mixed later.

            mixer-small camera-mic-in mini-mini 635-plug-35-socket attenuator-mini | mixer-small > camera-mic-in | KEEP
            choose:camera-mic-in:input: Camera with a 3.5 mm microphone socket: “Microphone in” as its sound
                Set its level by hand, at its lowest step above zero first; switch automatic level off.
                because Else the built-in microphone is recorded: it is in there, but the app does not see it.

            mic-dynamic-voice.out xlr-xlr recorder-handheld.mic-1; lavalier-phone.out phone-ctia.headset
            after:line-up: Line up what was recorded twice
                because Two clocks drift apart: 35 ppm are 126 ms an hour.

            earphones-16.plug phone-ctia.headset
            choose:phone-ctia:own: System input: the built-in microphone of Phone with a four-pole headset socket
                because What was plugged last may still be chosen.

            headphones-32.plug recorder-capsules.phones
            choose:recorder-capsules:own: Hand-held recorder with its own microphones, XLR inputs and USB modes: choose its own microphones as the input
                Set its level by hand; switch automatic level off.
                because What was plugged last may still be chosen.

            turntable-mm phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c | turntable-mm > laptop-combo | KEEP
            plug:phono-preamp.earth+phono-preamp.in-left+phono-preamp.in-right+turntable-mm.earth+turntable-mm.out-left+turntable-mm.out-right: RCA pair lead with an earth wire, for turntables: Turntable with a moving-magnet cartridge, Cartridge L and Cartridge R and Earth wire → Phono preamp, moving magnet and moving coil, Phono in L and Phono in R and Earth post
                Red is right, white or black is left.
                because The ground wire takes the hum of the arm and motor away.

            mic-condenser-large.out xlr-xlr interface-2.mic-1; mic-ribbon-passive.out xlr-xlr interface-2.mic-2
            phantom-off:interface-2.phantom: 48 V of Two-input interface, bus powered (Input 1, mic, Input 2, mic): off
                because It stands as it was left. A plug that goes in with it on sends up to 48 V where it should not.
            phantom-on:interface-2.phantom: Stop: record them one after the other, or use another preamp for one of them
                Until then 48 V of Two-input interface, bus powered (Input 1, mic, Input 2, mic) stays off and Condenser microphone, large diaphragm gives nothing.
                because Condenser microphone, large diaphragm needs phantom power, Ribbon microphone, passive must not get it; one switch feeds both.

            mic-condenser-large.out xlr-xlr interface-2.mic-1; mic-dynamic-voice.out xlr-xlr interface-2.mic-2; interface-2.usb usb-c-c laptop-combo.usb-2
            phantom-off:interface-2.phantom: 48 V of Two-input interface, bus powered (Input 1, mic, Input 2, mic): off
                because It stands as it was left. A plug that goes in with it on sends up to 48 V where it should not.
            phantom-on:interface-2.phantom: 48 V of Two-input interface, bus powered (Input 1, mic, Input 2, mic): on
                It pops once, and the microphone needs some seconds.
                because Condenser microphone, large diaphragm works only with it.
                tells for Condenser microphone, large diaphragm
            down:phantom-off:interface-2.phantom: 48 V of Two-input interface, bus powered (Input 1, mic, Input 2, mic): off
                because A plug that is pulled with phantom power on gets up to 48 V on one leg.
            down:wait: Wait 30 s: phantom power fades
                because Capacitors in the input hold it for a while after the switch (common practice).

            mic-ribbon-passive.out xlr-xlr interface-2.mic-1; interface-2.phantom=off; interface-2.usb usb-c-c laptop-combo.usb-2
            phantom-off:interface-2.phantom: 48 V of Two-input interface, bus powered (Input 1, mic): off
                because It stands as it was left. A plug that goes in with it on sends up to 48 V where it should not.
            phantom-on:interface-2.phantom: Leave 48 V of Two-input interface, bus powered (Input 1, mic) off
                Nothing on it needs it.
                because The input can give 48 V, which can damage Ribbon microphone, passive while a plug goes in or comes out halfway.
                tells Ribbon microphone, passive

            mic-condenser-large.out xlr-xlr preamp-xlr.mic; preamp-xlr.out-trs trs-trs interface-2.line-1; interface-2.usb usb-c-c laptop-combo.usb-2
            phantom-off:preamp-xlr.phantom: 48 V of External microphone preamp (Mic in): off
                because It stands as it was left. A plug that goes in with it on sends up to 48 V where it should not.
            phantom-on:preamp-xlr.phantom: 48 V of External microphone preamp (Mic in): on
                It pops once, and the microphone needs some seconds.
                because Condenser microphone, large diaphragm works only with it.
                tells for Condenser microphone, large diaphragm
            down:phantom-off:preamp-xlr.phantom: 48 V of External microphone preamp (Mic in): off
                because A plug that is pulled with phantom power on gets up to 48 V on one leg.
            down:wait: Wait 30 s: phantom power fades
                because Capacitors in the input hold it for a while after the switch (common practice).

            mic-condenser-large.out xlr-xlr recorder-handheld.mic-1; mic-condenser-small.out xlr-xlr recorder-handheld.mic-2
            phantom-off:recorder-handheld.phantom: 48 V of Hand-held recorder with two XLR inputs (Input 1, mic, Input 2, mic): off
                because It stands as it was left. A plug that goes in with it on sends up to 48 V where it should not.
            phantom-on:recorder-handheld.phantom: 48 V of Hand-held recorder with two XLR inputs (Input 1, mic, Input 2, mic): on
                It pops once, and the microphone needs some seconds.
                because Condenser microphone, large diaphragm, Condenser microphone, small diaphragm work only with it.
                tells for Condenser microphone, large diaphragm, Condenser microphone, small diaphragm
            down:phantom-off:recorder-handheld.phantom: 48 V of Hand-held recorder with two XLR inputs (Input 1, mic, Input 2, mic): off
                because A plug that is pulled with phantom power on gets up to 48 V on one leg.
            down:wait: Wait 30 s: phantom power fades
                because Capacitors in the input hold it for a while after the switch (common practice).

            mic-dynamic-low.out xlr-xlr inline-booster.in; inline-booster.out xlr-xlr interface-2.mic-1; interface-2.usb usb-c-c laptop-combo.usb-2
            phantom-off:interface-2.phantom: 48 V of Two-input interface, bus powered (Input 1, mic): off
                because It stands as it was left. A plug that goes in with it on sends up to 48 V where it should not.
            phantom-on:interface-2.phantom: 48 V of Two-input interface, bus powered (Input 1, mic): on
                It pops once, and the microphone needs some seconds.
                because In-line booster for dynamic and ribbon microphones works only with it.
                tells for In-line booster for dynamic and ribbon microphones
            down:phantom-off:interface-2.phantom: 48 V of Two-input interface, bus powered (Input 1, mic): off
                because A plug that is pulled with phantom power on gets up to 48 V on one leg.
            down:wait: Wait 30 s: phantom power fades
                because Capacitors in the input hold it for a while after the switch (common practice).

            preamp-xlr.out-xlr xlr-xlr mixer-small.mic-1; mic-condenser-large.out xlr-xlr mixer-small.mic-2; mixer-small.main-left trs-trs interface-2.line-1
            phantom-off:mixer-small.phantom: 48 V of Small mixer, two mic and two stereo channels (Mic 1, Mic 2): off
                because It stands as it was left. A plug that goes in with it on sends up to 48 V where it should not.
            phantom-on:mixer-small.phantom: Stop: record them one after the other, or use another preamp for one of them
                Until then 48 V of Small mixer, two mic and two stereo channels (Mic 1, Mic 2) stays off and Condenser microphone, large diaphragm gives nothing.
                because Condenser microphone, large diaphragm needs phantom power, External microphone preamp must not get it; one switch feeds both.
            """;

    static Stream<List<String>> rigs() {
        return Wordings.read(BOOK);
    }

    @ParameterizedTest
    @MethodSource("rigs")
    void says(List<String> rig) {
        StepBook.check(rig);
    }
}
