package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Typed;
import kalodyne.core.testing.Wordings;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * All that is said of joints, word by word, with its severity and in its order: what somebody reads who has plugged this. The numbers
 * are those of the tables of {@link SituationsTest} and {@link ThresholdsTest}, or worked out by hand beside them.
 */
class JointWordsTest {
    /** A rig, with a value typed over behind a bar; then what is said of it. */
    private static final String BOOK = """
            interface-2.usb usb-a-c-charge laptop-combo.usb-1
            wrong usb.charge-only: This lead only charges
                Power reaches Two-input interface, bus powered, USB, data does not: it will not be seen.
                → Use a lead with data wires

            dj-mixer.master-left xlr-xlr interface-2.mic-1
            harm phantom.into-output: Phantom power goes backwards
                With phantom power on, 14 mA flow into DJ mixer with USB, Master L, which is an output.
                → Use a line input, or switch phantom power off first
            harm caution.line-into-mic: Line level in a mic socket
                At its loudest it brings +23.6 dBu to a socket made for millivolts, 15 dB more than it takes.
                → Use a line input, Input 1, line for one; turn the source down, before you plug

            modular-output.out 35-ts-635 interface-4.inst-1
            wrong level.overload: More than the input takes
                The loudest peaks bring +13.0 dBu to Four-input interface, Input 1, instrument, which takes +11.0 dBu. It then distorts wherever the input's knob stands.
                → Turn the source down by 2 dB, or use a pad

            synth-analogue.out ts-ts interface-4.line-3 | synth-analogue socket out loudestPeak=+21.5 dBu
            weak level.overload: More than the input takes
                The loudest peaks bring +20.7 dBu to Four-input interface, Line in 3, which takes +20.0 dBu. It then distorts wherever the input's knob stands.
                → Turn Analogue synth, mono output down by 1 dB

            dj-mixer.rec-left rca-rca phono-preamp.in-left
            wrong riaa.double: A line signal in a phono input
                It is equalised a second time and a hundred times too loud: all bass, no treble, distorted.
                → Use a line input, or switch the built-in preamp off

            synth-desktop.out-right ts-ts mixer-rack.in-1-left
            weak stereo.half-output: Only one side is taken
                Desktop synth, stereo unbalanced outputs, Output R gives one side only. Output L/mono gives both together while it is used alone.
                → Use Output L/mono for mono, or both for stereo
            note stereo.to-both: It is heard on both sides
                As nothing is plugged into Rack line mixer, eight stereo pairs, 1 R, what comes into 1 L/mono goes there too: mono, in the middle.

            synth-desktop.out-left ts-ts mixer-rack.in-1-left
            note stereo.mono-output: Both sides in one
                As nothing is plugged into Output R, Desktop synth, stereo unbalanced outputs, Output L/mono gives left and right together: it is mono.
            note stereo.to-both: It is heard on both sides
                As nothing is plugged into Rack line mixer, eight stereo pairs, 1 R, what comes into 1 L/mono goes there too: mono, in the middle.

            mixer-multitrack-usb.insert-1 ts-ts effect-line.in
            wrong insert.open: Nothing comes back into the insert
                With a plug in Mixer with a USB channel for every input, Insert 1 the channel hears only what comes back there, and nothing does: it is silent.
                → Use an insert lead whose second plug comes from the effect's output, or pull the plug

            headset-two-plugs.mic headset-splitter-omtp phone-ctia.headset
            wrong power.reversed: Its power comes the wrong way round
                Ground and microphone contact are swapped on the way to Headset with two plugs for a computer: its current flows backwards, and it will be silent.
                → Use an adapter for the other order of four-pole plugs (CTIA and OMTP)

            headset-ctia.out phone-omtp.headset
            wrong power.reversed: Its power comes the wrong way round
                Ground and microphone contact are swapped on the way to Headset, four-pole plug (CTIA): its current flows backwards, and it will be silent.
                → Use an adapter for the other order of four-pole plugs (CTIA and OMTP)
            wrong stereo.cancels: The centre cancels (voice and bass vanish)
                The ground is missing, so you hear the difference of left and right. Whatever is the same in both (usually voice and bass) drops by 36 dB.
                → Use a plug or adapter whose ground lies where the socket's does
            wrong headset.mic-shorted: Most phones keep their own microphone
                On the microphone contact the phone sees 21 Ω, rather as with plain headphones; from about 1 kΩ up it switches to what is plugged in. Makers differ.
                → Use a four-pole plug in the phone's order, or an adapter for it

            mixer-small.main-left 35-ts-635 phone-ctia.headset
            wrong output.shorted: An output is shorted
                The right side of Phone with a four-pole headset socket, Headset socket lies on its own ground: it drops by 50 dB.
                → Use a plug with as many poles as the socket
            wrong outputs.tied: Two outputs work into each other
                Small mixer, two mic and two stereo channels, Main out L is tied to an output of Phone with a four-pole headset socket and drops by 18.3 dB; both may distort.
                → Use two inputs, a mixer, or a lead with summing resistors
            wrong outputs.tied: Two outputs work into each other
                Phone with a four-pole headset socket, Headset socket is tied to an output of Small mixer, two mic and two stereo channels and drops by 1.1 dB; both may distort.
                → Use two inputs, a mixer, or a lead with summing resistors
            wrong signal.lost: Nothing arrives
                Of Small mixer, two mic and two stereo channels, Main out L no more than −73 dB reaches an input: no contact leads there.
                → Use a lead or adapter whose contacts match both ends
            wrong headset.mic-shorted: Most phones keep their own microphone
                On the microphone contact the phone sees the ground, rather as with plain headphones; from about 1 kΩ up it switches to what is plugged in. Makers differ.
                → Use a four-pole plug in the phone's order, or an adapter for it

            guitar-single-coil.out 35-ts-635 phone-ctia.headset
            wrong output.shorted: An output is shorted
                The right side of Phone with a four-pole headset socket, Headset socket lies on its own ground: it drops by 50 dB.
                → Use a plug with as many poles as the socket
            wrong outputs.tied: Two outputs work into each other
                Electric guitar, single-coil pickups, Output is tied to an output of Phone with a four-pole headset socket and drops by 63.9 dB; both may distort.
                → Use two inputs, a mixer, or a lead with summing resistors
            wrong signal.lost: Nothing arrives
                Of Electric guitar, single-coil pickups, Output nothing reaches an input: no contact leads there.
                → Use a lead or adapter whose contacts match both ends
            wrong headset.mic-shorted: Most phones keep their own microphone
                On the microphone contact the phone sees the ground, rather as with plain headphones; from about 1 kΩ up it switches to what is plugged in. Makers differ.
                → Use a four-pole plug in the phone's order, or an adapter for it

            guitar-humbucker.out ts-ts interface-2.line-2
            wrong joint.loading: The input loads the source too heavily
                Lead and input take 11.2 dB from Electric guitar, humbuckers, Output at Two-input interface, bus powered, Input 2, line, and its treble.
                → Switch INST 2 of Two-input interface, bus powered to “instrument”, or use a DI box
            wrong response.dull: Treble is lost on the way
                From Electric guitar, humbuckers it is 3 dB down at 1.5 kHz: the lead's capacitance or the input's load takes it.
                → Switch INST 2 of Two-input interface, bus powered to “instrument”, or use a DI box

            hub-bus.device-1 usb-a-c mic-usb.usb
            wrong power.bus-short: This port does not feed it
                USB microphone with a headphone socket draws 200 mA; USB hub without an adapter, Port 1 gives 100 mA: its lamp blinks, or it drops out mid-take.
                → Use a hub or adapter that is fed by a charger or power bank, or the device's own supply

            mic-condenser-large.out xlr-xlr interface-1.mic-1; interface-1.phantom=off
            wrong power.missing: It gets no power here
                Condenser microphone, large diaphragm needs 3 mA of phantom power and gets no current. It will be silent, or nearly.
                → Use an input that gives phantom power, and a lead that passes it on

            lavalier-phone.out interface-2.mic-1
            wrong plug.does-not-fit: This does not go in
                Lavalier microphone, four-pole plug for phones, Plug (3.5 mm four-pole) does not go into Two-input interface, bus powered, Input 1, mic (XLR three-pin). Never force it.
                → Use an adapter, or another socket
            wrong power.missing: It gets no power here
                Lavalier microphone, four-pole plug for phones needs 300 µA of plug-in power and gets no current. It will be silent, or nearly.
                → Use an input that gives plug-in power, and a lead that passes it on
            wrong signal.lost: Nothing arrives
                Of Lavalier microphone, four-pole plug for phones, Plug nothing reaches an input: no contact leads there.
                → Use a lead or adapter whose contacts match both ends

            preamp-xlr.out-xlr xlr-xlr mixer-small.mic-1; mixer-small.phantom=off
            wrong caution.line-into-mic: Line level in a mic socket
                At its loudest it brings +21.6 dBu to a socket made for millivolts, 16 dB more than it takes.
                → Use a line input, Line 1 for one; turn the source down, before you plug
            note caution.phantom: Keep phantom power off here
                It is off. With phantom power on, 14 mA flow into External microphone preamp, Line out XLR, which is an output.
                → Use a line input, or switch phantom power off first

            synth-analogue.out ts-xlr interface-2.mic-1
            harm phantom.into-output: Phantom power goes backwards
                With phantom power on, up to 48 V come to Analogue synth, mono output, Output, which is an output.
                → Use a line input, or switch phantom power off first
            harm caution.line-into-mic: Line level in a mic socket
                At its loudest it brings +3.6 dBu to a socket made for millivolts.
                → Use a line input, Input 1, line for one; turn the source down, before you plug
            weak joint.loading: The input loads the source too heavily
                Lead and input take 4.4 dB from Analogue synth, mono output, Output at Two-input interface, bus powered, Input 1, mic.
                → Use an input with a higher impedance, or a DI box

            piezo-under-saddle.out ts-ts interface-2.inst-1
            wrong response.thin: Bass is lost on the way
                From Acoustic guitar, passive piezo under the saddle it is 3 dB down at 150 Hz: for a piezo this input's impedance is too low.
                → Use a preamp or DI box with 5 MΩ or more
            weak joint.loading: The input loads the source too heavily
                Lead and input take 4.6 dB from Acoustic guitar, passive piezo under the saddle, Output at Two-input interface, bus powered, Input 1, instrument.
                → Use an input with a higher impedance, or a DI box

            synth-digital.out-left trs-ts interface-4.line-3
            weak balanced.half: Only one leg arrives
                Both ends are balanced, the lead between them is not: 6 dB are lost, and what the lead picks up no longer cancels.
                → Use a lead with three contacts at both ends
            note stereo.mono-output: Both sides in one
                As nothing is plugged into Output R, Digital synth, stereo balanced outputs, Output L/mono gives left and right together: it is mono.

            mixer-rack.main-left ts-ts mixer-multitrack-usb.line-1
            weak balanced.half: Only one leg arrives
                Both ends are balanced, the lead between them is not: 6 dB are lost, and what the lead picks up no longer cancels.
                → Use a lead with three contacts at both ends
            weak hum.ground-loop: A ground loop may hum
                Through the shield of this lead flows what is between two mains earths: about 52 dB under the music, 43 dB at the worst, none at the best. An estimate, by how far the outlets lie apart.
                → Use a balanced lead or an isolator, or put all of it on one outlet strip; never lift a mains earth

            mixer-multitrack-usb.main-left ts-ts mixer-rack.in-1-left
            weak hum.ground-loop: A ground loop may hum
                Through the shield of this lead flows what is between two mains earths: about 58 dB under the music, 49 dB at the worst, none at the best. An estimate, by how far the outlets lie apart.
                → Use a balanced lead or an isolator, or put all of it on one outlet strip; never lift a mains earth
            note level.overload: It could be more than the input takes
                Fully up, it can bring +22.0 dBu to Rack line mixer, eight stereo pairs, 1 L/mono, which takes +20.0 dBu. It then distorts wherever the input's knob stands.
                → Turn Mixer with a USB channel for every input down by 2 dB
            note balanced.half: Only one leg arrives
                Both ends are balanced, the lead between them is not: what the lead picks up no longer cancels.
                → Use a lead with three contacts at both ends
            note stereo.to-both: It is heard on both sides
                As nothing is plugged into Rack line mixer, eight stereo pairs, 1 R, what comes into 1 L/mono goes there too: mono, in the middle.

            synth-analogue.out trs-trs interface-4.line-3
            note balanced.leg-open: One leg is not connected
                The ring of this lead touches nothing at Analogue synth, mono output, Output. It picks up hum; inputs of a simpler kind lose 6 dB as well. So with a sleeve contact that does not reach the ring, as in some two-pole sockets.
                → Use a lead with two-pole plugs, or one that ties the ring to the ground at the source

            guitar-amp.speaker speaker-ts interface-2.line-1
            harm caution.speaker-into-input: A loudspeaker's output in an input
                Guitar amplifier with a line output, Speaker out is made for a loudspeaker and brings up to +28.0 dBu. It can destroy the input.
                → Use a line output, or a DI box made for loudspeaker outputs

            subwoofer.out-left xlr-trs interface-2.out-1
            wrong outputs.tied: Two outputs work into each other
                Powered subwoofer with crossover, To speaker L is tied to an output of Two-input interface, bus powered and drops by 6.0 dB; both may distort.
                → Use two inputs, a mixer, or a lead with summing resistors
            wrong outputs.tied: Two outputs work into each other
                Two-input interface, bus powered, Output 1 is tied to an output of Powered subwoofer with crossover and drops by 6.0 dB; both may distort.
                → Use two inputs, a mixer, or a lead with summing resistors

            drum-box-headphone.phones mini-trs interface-2.line-1
            wrong stereo.cancels: The centre cancels (voice and bass vanish)
                Left and right go into the two legs of one balanced input, which takes their difference. Whatever is the same in both (usually voice and bass) drops by more than 60 dB.
                → Take left and right to two inputs, or use one of them

            drum-box-headphone.phones 35-ts-635 interface-2.line-1
            harm output.shorted: An output is shorted
                The right side of Drum box with a headphone socket only, Headphones lies on its own ground: it drops by 61 dB, and its amplifier gets hot.
                → Use a plug with as many poles as the socket
            wrong stereo.one-side: Only one side arrives
                The right side of Drum box with a headphone socket only, Headphones goes nowhere; the other one arrives.
                → Use a lead that takes both sides to inputs of their own, or pan everything to the side that arrives

            piano-headphone.phones trs-2ts interface-2.line-1
            wrong stereo.one-side: Only one side arrives
                The right side of Digital piano with headphone sockets only, Headphones 1 goes nowhere; the other one arrives.
                → Use a lead that takes both sides to inputs of their own, or pan everything to the side that arrives

            drum-machine.midi-out midi-din midi-usb.midi-out
            wrong midi.alike: Two MIDI sockets of one kind
                Drum machine, stereo outputs and MIDI, MIDI out and USB MIDI interface, MIDI out are both MIDI out: no note gets anywhere.
                → Go from the MIDI out of the one to the MIDI in of the other

            midi-usb.midi-in midi-din drum-machine.midi-in
            wrong midi.alike: Two MIDI sockets of one kind
                USB MIDI interface, MIDI in and Drum machine, stereo outputs and MIDI, MIDI in are both MIDI in: no note gets anywhere.
                → Go from the MIDI out of the one to the MIDI in of the other

            drum-machine.midi-out midi-din midi-usb.midi-in | crossed midi-din
            wrong midi.reversed: MIDI the wrong way round
                The current flows backwards where 5 mA should: no note arrives.
                → Use an adapter of the other type (A and B swap two contacts)

            mic-ribbon-passive.out xlr-ts trs-socket-xlr-plug interface-2.mic-1
            harm phantom.through-coil: Phantom power through a ribbon
                With phantom power on, 6.8 mA flow through Ribbon microphone, passive, because this lead ties one leg to the ground.
                → Keep phantom power off, or use a balanced lead from end to end
            note balanced.half: Only one leg arrives
                Both ends are balanced, the lead between them is not: what the lead picks up no longer cancels.
                → Use a lead with three contacts at both ends
            note caution.phantom: Keep phantom power off here
                The input can give 48 V, which can damage Ribbon microphone, passive while a plug goes in or comes out halfway. There are jacks on the way: while one slides in or out, 48 V pulse through it.
                → Check that phantom power is off before you plug

            mic-dynamic-voice.out xlr-ts trs-socket-xlr-plug interface-2.mic-1
            wrong phantom.through-coil: Phantom power through a microphone's coil
                With phantom power on, 6.9 mA flow through Dynamic voice microphone, because this lead ties one leg to the ground.
                → Keep phantom power off, or use a balanced lead from end to end
            note balanced.half: Only one leg arrives
                Both ends are balanced, the lead between them is not: what the lead picks up no longer cancels.
                → Use a lead with three contacts at both ends

            mic-dynamic-voice.out xlr-headset phone-ctia.headset | mic-dynamic-voice socket out sourceImpedance=700 Ω
            weak headset.mic-shorted: Some phones keep their own microphone
                On the microphone contact the phone sees 700 Ω, rather as with plain headphones; from about 1 kΩ up it switches to what is plugged in. Makers differ.
                → Use a lead with about 1 to 2 kΩ in the microphone's wire; record a test take and tap the source to see which microphone is heard
            note power.through-coil: Plug-in power through a microphone's coil
                760 µA of plug-in power flow through Dynamic voice microphone: that does no harm, and moves its coil a little out of the middle.
                → Switch plug-in power off where it can be, or use an adapter with a capacitor or transformer

            mic-dynamic-voice.out xlr-headset phone-ctia.headset | mic-dynamic-voice socket out sourceImpedance=80 kΩ
            weak headset.mic-open: The phone may not notice this
                Hardly any direct current flows through its microphone contact. Many phones take it all the same, some stay on their own microphone.
                → Use a lead or adapter with 1 to 2 kΩ across the microphone contact

            groovebox.out mini-mini phone-ctia.headset
            wrong outputs.tied: Two outputs work into each other
                Groovebox, line out on 3.5 mm, Output is tied to an output of Phone with a four-pole headset socket and drops by 20.6 dB; both may distort.
                → Use two inputs, a mixer, or a lead with summing resistors
            wrong signal.lost: Nothing arrives
                Of Groovebox, line out on 3.5 mm, Output no more than −75 dB reaches an input: no contact leads there.
                → Use a lead or adapter whose contacts match both ends
            wrong headset.mic-shorted: Most phones keep their own microphone
                On the microphone contact the phone sees the ground, rather as with plain headphones; from about 1 kΩ up it switches to what is plugged in. Makers differ.
                → Use a four-pole plug in the phone's order, or an adapter for it

            mixer-small.phones 635-plug-35-socket mini-mini camera-mic-in.mic
            wrong caution.line-into-mic: Line level in a mic socket
                At its loudest it brings +13.9 dBu to a socket made for millivolts, 32 dB more than it takes.
                → Use an attenuating lead, or close the source's volume, before you plug

            turntable-mm.out-left rca-rca interface-rca.in-left
            wrong riaa.missing: No phono preamp on the way
                A cartridge gives millivolts without bass: 19 dB too little at 20 Hz, as much too much at 20 kHz.
                → Put a phono preamp between them, or use a phono input
            weak response.dull: Treble is lost on the way
                From Turntable with a moving-magnet cartridge it is 3 dB down at 7.7 kHz: the lead's capacitance or the input's load takes it.
                → Use a shorter lead, an input with a higher impedance, or a DI box close to the source
            weak hum.earth-wire: The earth wire is not connected
                Without its earth wire Turntable with a moving-magnet cartridge usually hums: arm and motor are tied to nothing.
                → Join its earth wire to bare metal of what it is plugged into, its case for one

            turntable-mm.out-left rca-rca phono-preamp.in-left | rca-rca lead capacitancePerMetre=400 pF/m
            weak response.dull: Treble is lost on the way
                From Turntable with a moving-magnet cartridge it is 3 dB down at 12 kHz: the lead's capacitance or the input's load takes it.
                → Use a shorter lead, an input with a higher impedance, or a DI box close to the source
            weak cartridge.capacitance: The cartridge wants another capacitance
                Lead and input together have 750 pF, it wants 200 pF: its treble is sharp, then gone.
                → Use a shorter lead, or one with less capacitance
            weak hum.earth-wire: The earth wire is not connected
                Without its earth wire Turntable with a moving-magnet cartridge usually hums: arm and motor are tied to nothing.
                → Join its earth wire to the earth post of the phono input

            turntable-mm.out-left rca-rca phono-preamp.in-left | turntable-mm device wantedCapacitance=500 pF
            weak cartridge.capacitance: The cartridge wants another capacitance
                Lead and input together have 300 pF, it wants 500 pF: its treble is a little dull.
                → Use a lead with more capacitance
            weak hum.earth-wire: The earth wire is not connected
                Without its earth wire Turntable with a moving-magnet cartridge usually hums: arm and motor are tied to nothing.
                → Join its earth wire to the earth post of the phono input

            turntable-preamp.out-left rca-rca phono-preamp.in-left
            wrong riaa.double: A line signal in a phono input
                It is equalised a second time and a hundred times too loud: all bass, no treble, distorted.
                → Use a line input, or switch the built-in preamp off

            synth-analogue.out ts-ts interface-4.line-3 | ts-ts lead length=8 m
            note lead.long: A long lead for this
                8.0 m, where about 3 m are usual: it picks up more hum and radio.
                → Use a balanced lead, or a DI box at the source

            synth-digital.out-left trs-trs interface-4.line-3 | trs-trs lead length=400 m
            note stereo.mono-output: Both sides in one
                As nothing is plugged into Output R, Digital synth, stereo balanced outputs, Output L/mono gives left and right together: it is mono.
            note lead.long: A long lead for this
                400.0 m, where about 300 m are usual: it picks up more hum and radio.
                → Use a shorter lead

            mic-condenser-small.out xlr-xlr interface-2.mic-1; interface-2.phantom=on
            """;

    static Stream<List<String>> rigs() {
        return Wordings.read(BOOK);
    }

    @ParameterizedTest
    @MethodSource("rigs")
    void says(List<String> rig) {
        String[] plugged = rig.get(0).split(" \\| ", -1);
        Patch patch = Typed.over(Plugged.of(plugged[0]), plugged.length > 1 ? plugged[1] : null);
        assertThat(Wordings.of(JointRules.check(patch).stream()
                        .flatMap(joint -> joint.findings().stream())
                        .toList()))
                .isEqualTo(rig.get(1));
    }
}
