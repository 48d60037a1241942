package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Typed;
import kalodyne.core.testing.Wordings;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** All that is said of a run's levels, word by word: what is the case, what to do next, then what was noticed, worst first. */
class LevelWordsTest {
    /** A rig, knobs behind a bar, a value typed over behind another; then what is said of its first run. */
    private static final String BOOK = """
            synth-analogue.out ts-ts interface-2.line-1
            Analogue synth, mono output → track 1: Set as advised, loudest peaks reach −8.6 dBFS: right in the aim
                → Turn the volume on Analogue synth, mono output to 5:00 and gain 1 on Two-input interface, bus powered to 7:45, then play the loudest part
            note noise.origin: Most noise comes from Analogue synth, mono output, Output
                94 % of the noise in the track, which is at −94.4 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.
            note knob.untold: Knob positions unknown
                Nobody said how the volume on Analogue synth, mono output and gain 1 on Two-input interface, bus powered stand. What you see is how it will be once set as advised.
                → Set them as advised, or turn them here to where they are

            synth-analogue.out ts-ts interface-2.line-1 | synth-analogue.volume=0.3; interface-2.gain-1=0
            Analogue synth, mono output → track 1: Loudest peaks reach −37.3 dBFS: 25.3 dB too quiet
                → Turn the volume on Analogue synth, mono output from 10:00 to 5:00 and gain 1 on Two-input interface, bus powered from 7:00 to 7:45, then play the loudest part
            wrong level.low: Too quiet in the track
                The loudest peaks stay 25.3 dB under the aim. If you raise them later, the noise rises with them.
                → Turn the volume on Analogue synth, mono output from 10:00 to 5:00 and gain 1 on Two-input interface, bus powered from 7:00 to 7:45
            note noise.origin: Most noise comes from Track 1, converter 1
                74 % of the noise in the track, which is at −106.7 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.

            synth-analogue.out ts-ts interface-2.line-1 | synth-analogue.volume=1; interface-2.gain-1=0.4
            Analogue synth, mono output → track 1: Two-input interface, bus powered, preamp 1 distorts: 7.6 dB too loud for it
                → Turn gain 1 on Two-input interface, bus powered from 11:00 to 7:45, then play the loudest part
            wrong level.clips: Distorts at Two-input interface, bus powered, preamp 1
                The loudest peaks are 7.6 dB above what it can take. Turning down behind it makes the distortion quieter, not less.
                → Turn gain 1 on Two-input interface, bus powered from 11:00 to 7:45
            note noise.origin: Most noise comes from Analogue synth, mono output, Output
                100 % of the noise in the track, which is at −76.4 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.

            synth-analogue.out ts-ts interface-2.line-1 | synth-analogue.volume=1; interface-2.gain-1=0.14
            Analogue synth, mono output → track 1: Loudest peaks reach −5.0 dBFS: 1.0 dB too hot
                → Turn gain 1 on Two-input interface, bus powered from 8:24 to 7:45, then play the loudest part
            weak level.hot: Too hot at the converter
                5.0 dB are left above the loudest peak, 1.0 dB less than the aim keeps free.
                → Turn gain 1 on Two-input interface, bus powered from 8:24 to 7:45
            note noise.origin: Most noise comes from Analogue synth, mono output, Output
                97 % of the noise in the track, which is at −90.9 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.

            mic-dynamic-low.out xlr-xlr interface-2.mic-1 | interface-2.gain-1=1
            Dynamic broadcast microphone, low output → track 1: Two-input interface, bus powered, preamp 1 distorts: 3.6 dB too loud for it
                → Turn gain 1 on Two-input interface, bus powered from 5:00 to 1:15, then play the loudest part
            wrong level.clips: Distorts at Two-input interface, bus powered, preamp 1
                The loudest peaks are 3.6 dB above what it can take. Turning down behind it makes the distortion quieter, not less.
                → Turn gain 1 on Two-input interface, bus powered from 5:00 to 1:15
            note noise.origin: Most noise comes from Two-input interface, bus powered, preamp 1
                62 % of the noise in the track, which is at −80.2 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.
            note level.playing: For playing as loud as it will get
                It holds for peaks of 110 dB SPL at the microphone: a loud voice a hand's width (10 cm) away. Twice as far is 6 dB less.

            camera-mic.out mic-trs-trrs phone-ctia.headset
            On-camera microphone, three-pole plug → track 1: Loudest peaks reach −4.8 dBFS: 11.2 dB too hot
                → No knob position fits: see the findings
            weak level.no-fit: No knob position fits
                With every knob at its lowest it is still 11.2 dB above the aim.
                → Go farther away: twice as far is 6 dB less. Or use an input that takes more
            weak level.hot: Too hot at the converter
                4.8 dB are left above the loudest peak, 11.2 dB less than the aim keeps free.
            note noise.origin: Most noise comes from Track 1, converter
                42 % of the noise in the track, which is at −81.0 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.
            note level.playing: For playing as loud as it will get
                It holds for peaks of 102 dB SPL at the microphone: a loud voice 25 cm away. Twice as far is 6 dB less.
            note level.automatic: It may set the level by itself
                Phone with a four-pole headset socket has automatic level control. While it is on, no knob decides, and pauses get noisy.
                → Set the level in the app to “fixed”. Where it cannot be, play evenly and send no more than −32.8 dBu at its input

            turntable-mm.out-left rca-rca interface-rca.in-left
            Turntable with a moving-magnet cartridge → track 1: Loudest peaks reach −38.5 dBFS: 26.5 dB too quiet
                → No knob position fits: see the findings
            wrong riaa.missing: No phono preamp on the way
                A cartridge gives millivolts without bass: 19 dB too little at 20 Hz, as much too much at 20 kHz.
                → Put a phono preamp between them, or use a phono input
            wrong level.no-fit: No knob position fits
                With every knob at its highest it still lacks 26.5 dB.
                → Add 27 dB before Line in L with a preamp or booster, or use a louder output
            wrong level.low: Too quiet in the track
                The loudest peaks stay 26.5 dB under the aim. If you raise them later, the noise rises with them.
            note noise.origin: Most noise comes from Track 1, converter, left
                100 % of the noise in the track, which is at −88.5 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.

            headphones-32.plug 635-plug-35-socket interface-2.phones | interface-2.monitor=1; interface-2.phones-level=1
            Two-input interface, bus powered, playback 1 → Headphones, 32 Ω, left: Two-input interface, bus powered, headphone amplifier distorts: 6.0 dB too loud for it
                → Turn the headphones on Two-input interface, bus powered from 5:00 to 8:45, then listen
            harm ears.exposure: Loud for ears
                At 106 dB a week's allowance (ITU-T H.870) is used up in 6 min, a day's (NIOSH 98-126) in 4 min.
                → Turn down what you listen with; the recording stays as it is
            wrong level.clips: Distorts at Two-input interface, bus powered, headphone amplifier
                The loudest peaks are 6.0 dB above what it can take. Turning down behind it makes the distortion quieter, not less.
                → Turn the headphones on Two-input interface, bus powered from 5:00 to 8:45
            weak headphones.damping: Weakly damped headphones
                They have 1.5 times the impedance of this output, 8 times or more is good. Their resonance may stand out by up to 4.5 dB.
                → Judge bass on other headphones or on speakers
            note noise.origin: Most noise comes from Two-input interface, bus powered, playback 1
                100 % of the noise at the ears, which is at 16.2 dB SPL in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.

            headphones-80.plug interface-2.phones | interface-2.monitor=0.3; interface-2.phones-level=0.1
            Two-input interface, bus powered, playback 1 → Studio headphones, 80 Ω, left: Studio headphones, 80 Ω, left: 67 dB SPL on average, quieter than one works with
                → Turn the headphones on Two-input interface, bus powered from 8:00 to 9:30, then listen
            note noise.origin: Most noise comes from Two-input interface, bus powered, playback 1
                100 % of the noise at the ears, which is at −23.3 dB SPL in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.
            note ears.full: It can get far too loud
                With every knob fully up it is 101 dB SPL on average. Turn down before you put anything on your ears.
            note headphones.damping: Weakly damped headphones
                They have 3.6 times the impedance of this output, 8 times or more is good. Their resonance may stand out by up to 2.1 dB.
                → Judge bass on other headphones or on speakers

            synth-analogue.out ts-ts interface-2.line-1 | synth-analogue.volume=1; interface-2.gain-1=0 | synth-analogue socket out loudestPeak=+21.5 dBu
            Analogue synth, mono output → track 1: Analogue synth, mono output, Output distorts: 7.5 dB too loud for it
                → Turn the volume on Analogue synth, mono output from 5:00 to 1:30, then play the loudest part
            wrong level.clips: Distorts at Analogue synth, mono output, Output
                The loudest peaks are 7.5 dB above what it can take. Turning down behind it makes the distortion quieter, not less.
                → Turn the volume on Analogue synth, mono output from 5:00 to 1:30
            note noise.origin: Most noise comes from Analogue synth, mono output, Output
                86 % of the noise in the track, which is at −98.2 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.

            interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr | interface-2.monitor=1; speakers-powered.level=0.83 | subwoofer stage high-left crossover=150 Hz
            Two-input interface, bus powered, playback 1 → Powered studio speaker: Powered studio speaker, amplifier distorts: 1.6 dB too loud for it
                → Turn the monitor level on Two-input interface, bus powered from 5:00 to 12:45, then listen
            wrong level.clips: Distorts at Powered studio speaker, amplifier
                The loudest peaks are 1.6 dB above what it can take. Turning down behind it makes the distortion quieter, not less.
                → Turn the monitor level on Two-input interface, bus powered from 5:00 to 12:45
            wrong ears.exposure: Loud for ears
                At 88 dB a week's allowance (ITU-T H.870) is used up in 6 h 55 min, a day's (NIOSH 98-126) in 4 h 22 min.
                → Turn down what you listen with; the recording stays as it is
            weak sub.high: The subwoofer reaches too high
                Above 120 Hz you can hear where it is. 80 Hz is usual.
                → Set its crossover to 80 Hz, 120 Hz at the most
            note noise.origin: Most noise comes from Powered studio speaker, amplifier
                99 % of the noise at the ears, which is at 20.0 dB SPL in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.

            interface-2.out-1 trs-xlr subwoofer.in-left-xlr; subwoofer.out-left xlr-xlr speakers-powered.in-xlr |  | speakers-powered device lowestFrequency=110 Hz
            Two-input interface, bus powered, playback 1 → Powered studio speaker: Powered studio speaker, set as advised: 75 dB SPL on average, right for a long session
                → Turn the monitor level on Two-input interface, bus powered to 12:45 and the level on Powered studio speaker to 3:20, then listen
            weak sub.gap: A gap above the subwoofer
                The speakers go down to 110 Hz, the subwoofer only up to 80 Hz.
                → Set its crossover to 110 Hz
            note noise.origin: Most noise comes from Powered studio speaker, amplifier
                100 % of the noise at the ears, which is at 20.0 dB SPL in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.
            note knob.untold: Knob positions unknown
                Nobody said how the monitor level on Two-input interface, bus powered and the level on Powered studio speaker stand. What you see is how it will be once set as advised.
                → Set them as advised, or turn them here to where they are

            synth-analogue.out ts-ts interface-2.line-1 | synth-analogue.volume=1; interface-2.gain-1=0 | interface-2 socket line-1 maximumLevel=-10 dBu
            Analogue synth, mono output → track 1: Two-input interface, bus powered, Input 1, line distorts: 3.2 dB too loud for it
                → Turn the volume on Analogue synth, mono output from 5:00 to 1:00, then play the loudest part
            wrong level.clips: Distorts at Two-input interface, bus powered, Input 1, line
                The loudest peaks are 3.2 dB above what it can take. Turning down behind it makes the distortion quieter, not less.
                → Turn the volume on Analogue synth, mono output from 5:00 to 1:00
            weak value.contradiction: Two values cannot both be right
                Two-input interface, bus powered, Input 1, line: its maximum of −10.0 dBu is below its nominal +4.0 dBu. One of the two is wrong; the higher one is used.
                → Correct it on the shelf
            note noise.origin: Most noise comes from Analogue synth, mono output, Output
                100 % of the noise in the track, which is at −82.8 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.

            mic-dynamic-voice.out xlr-xlr interface-2.mic-1 | interface-2.gain-1=0.4 | interface-2 stage pre-1 equivalentInputNoise=-134 dBu
            Dynamic voice microphone → track 1: Loudest peaks reach −24.2 dBFS: 6.2 dB too quiet
                → Turn gain 1 on Two-input interface, bus powered from 11:00 to 12:45, then play the loudest part
            weak level.low: Too quiet in the track
                The loudest peaks stay 6.2 dB under the aim. If you raise them later, the noise rises with them.
                → Turn gain 1 on Two-input interface, bus powered from 11:00 to 12:45
            note noise.origin: Most noise comes from Track 1, converter 1
                67 % of the noise in the track, which is at −106.2 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.
            note level.playing: For playing as loud as it will get
                It holds for peaks of 110 dB SPL at the microphone: a loud voice a hand's width (10 cm) away. Twice as far is 6 dB less.
            note noise.impossible: A noise figure that is too good to be true
                −134.0 dBu is less than the −130.9 dBu of thermal noise that 150 Ω makes. It may be A-weighted or measured with the input shorted.

            mixer-small.main-left trs-trs effect-line.in; effect-line.out trs-trs mixer-small.line-1; synth-analogue.out ts-ts mixer-small.line-2; mixer-small.main-right trs-trs interface-4.line-3
            Analogue synth, mono output → track 3: Set as advised, loudest peaks reach −9.5 dBFS: right in the aim
                → Set the 5 knobs of this run as advised, then play the loudest part
            wrong gain.loop: A signal comes back to where it was
                Loop gain: −3.1 dB. From 0 dB on it howls, from −6 dB on it rings.
                → Take the return out of the mix that feeds it, or turn its level down
            note noise.origin: Most noise comes from Analogue synth, mono output, Output
                72 % of the noise in the track, which is at −94.0 dBFS in all.
            note caution.plugging: Before you plug
                Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.
            note knob.untold: Knob positions unknown
                Nobody said how 5 knobs of this run stand. What you see is how it will be once set as advised.
                → Set them as advised, or turn them here to where they are
            """;

    static Stream<List<String>> rigs() {
        return Wordings.read(BOOK);
    }

    @ParameterizedTest
    @MethodSource("rigs")
    void says(List<String> rig) {
        String[] told = (rig.get(0) + "| | ").split("\\|", -1);
        Patch patch = Typed.over(Plugged.of(told[0].strip()), told[2].isBlank() ? null : told[2].strip());
        Map<Spot, Double> positions = new HashMap<>();
        for (String knob : told[1].isBlank() ? new String[0] : told[1].strip().split("; ", -1)) {
            String[] parts = knob.split("=", -1);
            positions.put(Spot.read(parts[0]), Double.parseDouble(parts[1]));
        }
        SetupLevels levels = SetupLevels.of(JointRules.check(patch), patch, Settings.NONE.turned(positions));
        Trace trace = levels.traces().get(0);
        RunLevels run = levels.run(trace);
        assertThat(levels.plan(trace).name() + ": " + run.verdict().sentence() + "\n    → "
                        + run.verdict().nextStep() + "\n" + Wordings.of(run.findings()))
                .isEqualTo(rig.get(1));
    }
}
