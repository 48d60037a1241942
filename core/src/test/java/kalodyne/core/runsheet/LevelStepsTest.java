package kalodyne.core.runsheet;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.testing.Wordings;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * How levels are set and takes are made, as somebody reads it. A source is set first, then what follows it in the line; what is heard
 * comes after what is recorded. The numbers are those of the levels of the same rig, which have tests of their own.
 */
class LevelStepsTest {
    /** A shelf, a wish and what becomes of stereo; or what is plugged. Then steps of its sheet. */
    private static final String BOOK = """
            synth-analogue.out ts-ts interface-2.line-1; interface-2.usb usb-c-c laptop-combo.usb-2
            level:synth-analogue.volume: Analogue synth, mono output: its volume to full (5:00)
                because Here the loudest part lands where it should, with the least noise.
            level:interface-2.gain-1: Analogue synth, mono output: play the loudest part, gain 1 on Two-input interface, bus powered up to 7:45
                If the meter shows more, go back a little: a quarter of an hour is 1.4 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −8.6 dBFS
            test-take: Test take of 30 s: the loudest part, then 10 s of silence
                Listen on headphones for hiss in the pauses, hum in the pauses, distortion in the loudest part.
                because A recording shows what the room hides. It costs half a minute; a spoilt take costs the evening.
                tells peaks −9 dBFS
            take: The take
                Stop after each song: one file a song.
                because This is what all of it is for.
                tells 30 min
            down:stop: Stop recording, see that it is saved
                because What is pulled or copied while it still records is a broken file.

            mic-dynamic-voice.out xlr-xlr recorder-handheld.mic-1
            level:recorder-handheld.gain-1: Dynamic voice microphone: play the loudest part, input level 1 on Hand-held recorder with two XLR inputs up to 12:15
                From where you will sit, as loud as you will get: a loud voice a hand's width (10 cm) away. If the meter shows more, go back a little: a quarter of an hour is 1.3 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −15.3 dBFS

            mic-dynamic-voice guitar-humbucker interface-2 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital |
            level:interface-2.gain-1: Dynamic voice microphone: play the loudest part, gain 1 on Two-input interface, bus powered up to 12:45
                From where you will sit, as loud as you will get: a loud voice a hand's width (10 cm) away. If the meter shows more, go back a little: a quarter of an hour is 1.4 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −14.4 dBFS
            level:guitar-humbucker.volume: Electric guitar, humbuckers: its volume to full (5:00)
                because Here the loudest part lands where it should, with the least noise.
            level:interface-2.gain-2: Electric guitar, humbuckers: play the loudest part, gain 2 on Two-input interface, bus powered stays at its lowest (7:00)
                If the meter shows more, go back a little: a quarter of an hour is 1.4 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −8.6 dBFS
            test-take: Test take of 30 s: the loudest part, then 10 s of silence
                Listen on headphones for hiss in the pauses, hum in the pauses, distortion in the loudest part.
                because A recording shows what the room hides. It costs half a minute; a spoilt take costs the evening.
                tells peaks −14 to −9 dBFS
            take: The take
                Stop after each song: one file a song.
                because This is what all of it is for.
                tells 30 min

            synth-analogue.out ts-ts mixer-multitrack-usb.line-1; mixer-multitrack-usb.usb usb-a-b laptop-combo.usb-1
            level:mixer-multitrack-usb.level-1: level 1 on Mixer with a USB channel for every input to 0 dB (1:12)
                because There it moves finely, and the gains before it make the level.
            level:mixer-multitrack-usb.main: main level on Mixer with a USB channel for every input to 0 dB (1:12)
                because There it moves finely, and the gains before it make the level.
            level:synth-analogue.volume: Analogue synth, mono output: its volume to full (5:00)
                because Here the loudest part lands where it should, with the least noise.
            level:mixer-multitrack-usb.gain-1: Analogue synth, mono output: play the loudest part, gain 1 on Mixer with a USB channel for every input up to 7:30
                If the meter shows more, go back a little: a quarter of an hour is 1.3 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −7.9 dBFS

            groovebox phone-ctia mini-mini headset-splitter-ctia attenuator-phone | groovebox > phone-ctia; LEAD | MONO_ENOUGH
            level:groovebox.volume: Groovebox, line out on 3.5 mm: play the loudest part, its volume up to 12:15
                If the meter shows more, go back a little: a quarter of an hour is 2.3 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −18.9 dBFS
            test-take: Test take of 30 s: the loudest part, then 10 s of silence
                Listen on headphones for one side only, hiss in the pauses, hum in the pauses, distortion in the loudest part.
                because A recording shows what the room hides. It costs half a minute; a spoilt take costs the evening.
                tells peaks −19 dBFS
            take: The take
                Stop after each song: one file a song.
                because This is what all of it is for.
                tells 30 min

            drum-machine interface-4 laptop-combo ts-ts*2 usb-a-c | drum-machine > laptop-combo | KEEP
            level:drum-machine.level: Drum machine, stereo outputs and MIDI: its output level to full (5:00)
                because Here the loudest part lands where it should, with the least noise.
            level:interface-4.gain-3+interface-4.gain-4: Drum machine, stereo outputs and MIDI: play the loudest part, gain 3 and gain 4 on Four-input interface stay at their lowest (7:00)
                If the meter shows more, go back a little: a quarter of an hour is 1.0 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −7.8 dBFS

            interface-2 speakers-powered*2 laptop-combo synth-analogue ts-ts trs-xlr*2 usb-c-c | synth-analogue > laptop-combo; speakers-powered+speakers-powered-2 |
            level:synth-analogue.volume: Analogue synth, mono output: its volume to full (5:00)
                because Here the loudest part lands where it should, with the least noise.
            level:interface-2.gain-1: Analogue synth, mono output: play the loudest part, gain 1 on Two-input interface, bus powered up to 7:45
                If the meter shows more, go back a little: a quarter of an hour is 1.4 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −8.6 dBFS
            level:speakers-powered.level+speakers-powered-2.level: Powered studio speaker and Powered studio speaker: level to 0 dB (3:20)
                because What is heard is set after what is recorded: its level changes nothing in the track.
            level:interface-2.monitor: Powered studio speaker and Powered studio speaker: monitor level on Two-input interface, bus powered slowly up to 12:15
                because What is heard is set after what is recorded: its level changes nothing in the track.
                tells about 74 dB SPL

            mic-condenser-large.out xlr-xlr interface-2.mic-1; headphones-80.plug interface-2.phones; interface-2.direct=on; interface-2.usb usb-c-c laptop-combo.usb-2
            level:interface-2.gain-1: Condenser microphone, large diaphragm: play the loudest part, gain 1 on Two-input interface, bus powered up to 9:15
                From where you will sit, as loud as you will get: a loud voice a hand's width (10 cm) away. If the meter shows more, go back a little: a quarter of an hour is 1.4 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −14.8 dBFS
            level:interface-2.phones-level: Studio headphones, 80 Ω: headphones on Two-input interface, bus powered slowly up to 9:30
                Now put them on. Stop where it is comfortable.
                because What is heard is set after what is recorded: its level changes nothing in the track.
                tells about 75 dB SPL

            mic-dynamic-voice.out xlr-xlr interface-2.mic-1; interface-2.out-1 trs-xlr speakers-powered.in-xlr; interface-2.direct=on; interface-2.usb usb-c-c laptop-combo.usb-2
            level:interface-2.gain-1: Dynamic voice microphone: play the loudest part, gain 1 on Two-input interface, bus powered up to 12:45
                From where you will sit, as loud as you will get: a loud voice a hand's width (10 cm) away. If the meter shows more, go back a little: a quarter of an hour is 1.4 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −14.4 dBFS
            level:speakers-powered.level: Powered studio speaker: level to 0 dB (3:20)
                because What is heard is set after what is recorded: its level changes nothing in the track.
            level:interface-2.monitor: Powered studio speaker: monitor level on Two-input interface, bus powered slowly up to 12:45
                Close the microphones first: tracks disarmed, direct monitoring off. Play the test take, stop where it is comfortable. Mute them again before the take.
                because What is heard is set after what is recorded: its level changes nothing in the track.
                tells about 76 dB SPL

            mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; piano-digital.out-left ts-ts mixer-small.line-3; piano-digital.out-right ts-ts mixer-small.line-4; mixer-small.main-left trs-trs interface-2.line-1; mixer-small.main-right trs-trs interface-2.line-2; interface-2.usb usb-c-c laptop-combo.usb-2
            level:mixer-small.pan-1: pan 1 on Small mixer, two mic and two stereo channels to the centre (12:00)
                because There it goes to both sides alike, and a mono recording loses nothing.
            level:mixer-small.level-1: level 1 on Small mixer, two mic and two stereo channels to 0 dB (1:12)
                because There it moves finely, and the gains before it make the level.
            level:mixer-small.main: main level on Small mixer, two mic and two stereo channels to 0 dB (1:12)
                because There it moves finely, and the gains before it make the level.
            level:mixer-small.gain-1: Dynamic voice microphone: play the loudest part, gain 1 on Small mixer, two mic and two stereo channels up to 3:30
                From where you will sit, as loud as you will get: a loud voice a hand's width (10 cm) away.
                because Here the loudest part lands where it should, with the least noise.
                tells Small mixer, two mic and two stereo channels reads about −2 dB
            level:interface-2.gain-1+interface-2.gain-2: Dynamic voice microphone: play the loudest part, gain 1 and gain 2 on Two-input interface, bus powered stay at their lowest (7:00)
                If the meter shows more, go back a little: a quarter of an hour is 1.4 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −18.1 dBFS
            level:piano-digital.volume: Digital piano with line outputs: its volume to full (5:00)
                because Here the loudest part lands where it should, with the least noise.
            level:mixer-small.level-3: Digital piano with line outputs: play the loudest part, level 3–4 on Small mixer, two mic and two stereo channels up to 12:30
                If the meter shows more, go back a little: a quarter of an hour is 1.8 dB here.
                because Here the loudest part lands where it should, with the least noise.
                tells meter −16.9 dBFS
            level:together:interface-2: All play the loudest part together: compare the meters
                Small mixer, two mic and two stereo channels +2 dB, on a scale whose 0 dB is +4.0 dBu. Where one is 3 dB or more off, a lead or a level between them is not as told.
                because Two meters that agree prove the way between them.
                tells meter −14.5 dBFS
            take: The take
                Stop after each song: one file a song.
                because This is what all of it is for.
                tells 30 min
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
