package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Wordings;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is asked when a step did not do what it should, in which order, and what each answer leads to: a search as somebody reads it. */
class SearchWordsTest {
    /** What is plugged, what is seen, and a part of the id of the step at which it is seen. */
    private static final String BOOK = """
            mic-condenser-large.out xlr-xlr interface-2.mic-1; interface-2.usb usb-c-c laptop-combo.usb-2 | NO_SIGNAL | level:
            Is Condenser microphone, large diaphragm played, and its own volume up? (it gives about −18.0 dBu in the loudest part)
                It needs phantom power: switch 48 V on at its input, wait ten seconds.
                Look for a switch on it that mutes it.
            Play. Does the lamp or meter of Two-input interface, bus powered move, at Input 1, mic? (about −18.4 dBu arrive there)
                Push both ends of XLR lead in until they click: Condenser microphone, large diaphragm, Output → Two-input interface, bus powered, Input 1, mic.
                Turn gain 1 on Two-input interface, bus powered up to 9:15.
                See that Two-input interface, bus powered is on.
            Does the meter of track 1 in the recorder move? (about −14.8 dBFS)
                Choose Two-input interface, bus powered as the input device of the system and of the app.
                Choose channel 1 as the input of the track, and arm it.
                Allow the app the microphone.
                A lead that only charges carries no sound: take one with data wires.

            guitar-humbucker.out ts-ts interface-2.inst-1; interface-2.usb usb-a-c-charge laptop-combo.usb-1 | NOT_LISTED | interface-2.usb
            Is its lamp lit, and does it stay lit? (without power it is in no list)
                Find the power first: see “Its lamp blinks” at the step that switches it on.
            Does USB lead, A to C, charge only carry data? (leads that only charge look alike)
                This lead only charges. Power reaches Two-input interface, bus powered, USB, data does not: it will not be seen. Use a lead with data wires.
                Take another lead, one that is known to carry data.
            Is it plugged in straight, without a hub between?
                Try it straight; some hubs give no data while they charge.
            Was the app started after it was plugged? (many apps look for devices once, when they start)
                Close the app, wait ten seconds, start it again.
            Is the app allowed to use the microphone?
                Allow it in the system's privacy settings.

            drum-box-headphone.phones mini-trs interface-2.line-1; interface-2.usb usb-a-c laptop-combo.usb-1 | ONE_SIDE | level:
            Does the plan say that both sides arrive? (it does not: see below)
                The centre cancels (voice and bass vanish). Left and right go into the two legs of one balanced input, which takes their difference. Whatever is the same in both (usually voice and bass) drops by more than 60 dB. Take left and right to two inputs, or use one of them.
            Are all plugs pushed in all the way? (a stereo plug that sits halfway gives one side)
                Push each in until it clicks.
            Swap left and right at the source. Does the missing side stay where it was? (then it is behind the swap)
                It moved: the lead or the output of the missing side is to blame. Try another lead.
            Is every pan pot where it should be, and are both tracks armed?
                Pan left to the left and right to the right.
                Arm both tracks, or one stereo track.

            synth-desktop.out-left ts-ts interface-2.line-1; synth-desktop.out-right ts-ts interface-2.line-2 | ONE_SIDE | level:
            Are all plugs pushed in all the way? (a stereo plug that sits halfway gives one side)
                Push each in until it clicks.
            Swap left and right at the source. Does the missing side stay where it was? (then it is behind the swap)
                It moved: the lead or the output of the missing side is to blame. Try another lead.
            Is every pan pot where it should be, and are both tracks armed?
                Pan left to the left and right to the right.
                Arm both tracks, or one stereo track.

            synth-analogue.out ts-ts interface-2.line-1; interface-2.usb usb-a-c laptop-combo.usb-1 | TOO_QUIET | level:
            Does the volume on Analogue synth, mono output stand at 5:00? (as advised)
                Turn it to 5:00.
            Does gain 1 on Two-input interface, bus powered stand at 7:45? (as advised)
                Turn it to 7:45.
            Is every pad off, and no plug only halfway in?
                Switch the pad off; push the plugs in.
            Was it played as loud as it will get? (the plan counts with the loudest part)
                Then the source is not as described: make a test take, and correct the gear from it.

            synth-analogue.out ts-ts interface-2.line-1; interface-2.usb usb-a-c laptop-combo.usb-1 | TOO_LOUD | level:
            Does the volume on Analogue synth, mono output stand at 5:00? (as advised)
                Turn it to 5:00.
            Does gain 1 on Two-input interface, bus powered stand at 7:45? (as advised)
                Turn it to 7:45.
            Is every pad on that should be?
                Switch the pad on, or turn the source down.
            Is it played as loud as it will get, and not louder? (the plan counts with the loudest part)
                Then the source is not as described: make a test take, and correct the gear from it.

            mixer-rack.main-left ts-ts mixer-multitrack-usb.line-1; synth-analogue.out ts-ts mixer-rack.in-1-left; mixer-multitrack-usb.usb usb-a-b laptop-combo.usb-1 | HUM | level:
            Pull the plug out of the source and leave the lead in. Does it still hum? (then the source and its supply are not to blame)
                A ground loop may hum. Through the shield of this lead flows what is between two mains earths: about 52 dB under the music, 42 dB at the worst, none at the best. An estimate, by how far the outlets lie apart. Use a balanced lead or an isolator, or put all of it on one outlet strip; never lift a mains earth.
                It stops: the source or its supply causes it. Run it on battery, or on the same outlet as the rest.
                Never defeat a safety earth to cure hum.
            Move the lead away from power supplies and screens. Does it hum as before? (induction changes with the place, a ground loop does not)
                It changes: keep the lead there, or take a balanced one.
            Is a test take with ten seconds of silence in the log? (the Takes room tells which kind of hum it is)
                Make one: the Takes room finds the cause from it.

            mic-dynamic-voice.out xlr-xlr interface-2.mic-1; interface-2.out-1 trs-xlr speakers-powered.in-xlr; interface-2.usb usb-a-c laptop-combo.usb-1 | HOWL | level:
            Are the speakers muted while a microphone is open? (then nothing can howl)
                Mute them at once, listen on headphones.
            Is monitoring in the app off?
                Switch it off; use direct monitoring on headphones.
            Does the microphone point away from the speakers?
                Turn it away, go closer to it, turn the speakers down.

            mic-usb.usb usb-a-c hub-bus.device-1; hub-bus.host usb-c-c phone-digital.port | LAMP_BLINKS | hub-bus.device-1
            Is USB hub without an adapter itself on mains, or well charged? (200 mA are drawn, its port gives 100 mA)
                A battery that runs low gives less than its port should: charge it.
                The port gives too little: use a hub with its own supply, or a power bank.
            Is Phone with a digital port only itself on mains, or well charged? (300 mA are drawn, its port gives 500 mA)
                A battery that runs low gives less than its port should: charge it.
                The numbers are enough: it is the lead or the port, not the plan.
            Does another lead change nothing? (thin, long leads lose too much voltage)
                This port does not feed it. USB microphone with a headphone socket draws 200 mA; USB hub without an adapter, Port 1 gives 100 mA: its lamp blinks, or it drops out mid-take. Use a hub or adapter that is fed by a charger or power bank, or the device's own supply.
                It does: the old lead is broken, or only charges. Mark it.
            Does another port, or another outlet, change nothing?
                It does: that port gives less than it should. Stay with the other one.

            mic-dynamic-voice.out xlr-xlr interface-2.mic-1; interface-2.usb usb-a-c laptop-combo.usb-1 | DOES_NOT_FIT | mic-dynamic-voice.out
            Is it the lead that the step names? (XLR lead: XLR three-pin socket → XLR three-pin plug)
                Take the one that is named, or tell the Shelf room what this one is.
            Is it the right end, and the right way round? (never force a plug: what does not go in with two fingers does not belong there)
                Turn it round, or swap the ends.
            Is the socket empty and straight?
                A bent pin or a broken tip in it is for the bench; use another input.
            """;

    static Stream<List<String>> searches() {
        return Wordings.read(BOOK);
    }

    @ParameterizedTest
    @MethodSource("searches")
    void asks(List<String> search) {
        String[] at = search.get(0).split(" \\| ", -1);
        SheetRig rig = Sheets.rig(Plugged.of(at[0]), SessionPlan.USUAL);
        Step step = SheetMaker.of(rig).steps().stream()
                .filter(each -> each.id().contains(at[2]))
                .findFirst()
                .orElseThrow();
        assertThat(new Searches(rig)
                        .of(step, Symptom.valueOf(at[1])).probes().stream()
                                .map(SearchWordsTest::words)
                                .collect(Collectors.joining("\n")))
                .isEqualTo(search.get(1));
    }

    private static String words(FaultSearch.Probe probe) {
        return probe.question()
                + (probe.expected().isEmpty() ? "" : " (" + probe.expected() + ")")
                + probe.causes().stream().map(cause -> "\n    " + cause).collect(Collectors.joining());
    }
}
