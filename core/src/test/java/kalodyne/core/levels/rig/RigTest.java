package kalodyne.core.levels.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import kalodyne.core.gear.Fact;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** From what is plugged to a flow: sides, buses, switches, channels, ears. Gains by hand, from the values that the catalogue prints. */
class RigTest {
    private static Rig rig(String line, String knobs) {
        Patch patch = Plugged.of(line);
        Map<Spot, Double> positions = new HashMap<>();
        if (knobs != null) {
            for (String knob : knobs.split("; ", -1)) {
                String[] parts = knob.split("=", -1);
                positions.put(Spot.read(parts[0]), Double.parseDouble(parts[1]));
            }
        }
        return Rig.of(JointRules.check(patch), patch, Settings.NONE.turned(positions));
    }

    private static double gain(Rig rig, String from, String to) {
        OptionalInt source = rig.flow().indexOf(PointId.read(from));
        OptionalInt target = rig.flow().indexOf(PointId.read(to));
        return source.isEmpty() || target.isEmpty()
                ? Double.NEGATIVE_INFINITY
                : FlowLevels.of(rig.flow())
                        .gain(source.getAsInt(), target.getAsInt())
                        .db();
    }

    /**
     * A leg of a line input shows 10 kΩ, or 20 where that is printed; two of 20 where the right socket hears the left one are 10 again. A
     * 1 kΩ output loses 20·log₁₀(1 + 1/10) = 0.83 dB there, or 0.42. What an input takes at its lowest gain reads full scale: of +20 dBu, −8 dB and +18 dBu
     * inside follow +6 dB. Headphones of an interface do not hang on its speaker knob. A moving magnet of 1 kΩ and 0.5 H at 1 kHz
     * (3142 Ω) into the 100 Ω of a moving-coil input loses 20·log₁₀(|1100 + j3142|/100) = 30.4 dB. A pan pot in its middle takes
     * 3 dB from each side; turned to one side it takes nothing there and all on the other; at 3:00, 0.8 of its travel, 20·log₁₀ sin 72° = −0.43 dB
     * and 20·log₁₀ cos 72° = −10.2 dB, a balance 20·log₁₀ sin 36° = −4.62 dB. Knobs of which nothing is said neither add nor
     * take, gains stand at their lowest. An audio taper at half its travel lies 20 dB under its highest.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "none", textBlock = """
            into a line input            | synth-analogue.out ts-ts interface-4.line-3                        | none | synth-analogue.out | interface-4.adc-3 | -2.83
            its gain half up             | synth-analogue.out ts-ts interface-4.line-3                        | interface-4.gain-3=0.5 | synth-analogue.out | interface-4.adc-3 | 17.17
            its gain fully up            | synth-analogue.out ts-ts interface-4.line-3                        | interface-4.gain-3=1 | synth-analogue.out | interface-4.adc-3 | 37.17
            pan in the middle, left      | synth-analogue.out ts-ts mixer-small.line-1; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-small.mix-left | -3.42
            pan in the middle, right     | synth-analogue.out ts-ts mixer-small.line-1; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-small.mix-right | -3.42
            pan left, left               | synth-analogue.out ts-ts mixer-small.line-1; mixer-small.pan-1=left; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-small.mix-left | -0.42
            pan left, right              | synth-analogue.out ts-ts mixer-small.line-1; mixer-small.pan-1=left; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-small.mix-right | none
            pan right, right             | synth-analogue.out ts-ts mixer-small.line-1; mixer-small.pan-1=right; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-small.mix-right | -0.42
            pan right, left              | synth-analogue.out ts-ts mixer-small.line-1; mixer-small.pan-1=right; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-small.mix-left | none
            pan at 3:00, right           | synth-analogue.out ts-ts mixer-small.line-1; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | mixer-small.pan-1=0.8 | synth-analogue.out | mixer-small.mix-right | -0.85
            pan at 3:00, left            | synth-analogue.out ts-ts mixer-small.line-1; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | mixer-small.pan-1=0.8 | synth-analogue.out | mixer-small.mix-left | -10.58
            balance at 3:00, left        | synth-analogue.out ts-ts mixer-rack.in-1-left; mixer-rack.main-left trs-trs interface-4.line-3; mixer-rack.main-right trs-trs interface-4.line-4 | mixer-rack.pan-1=0.8 | synth-analogue.out | mixer-rack.mix-left | -5.04
            a stereo channel, alone      | synth-analogue.out ts-ts mixer-small.line-3; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-small.mix-left | -0.83
            heard on both by the switch  | synth-analogue.out ts-ts mixer-small.line-3; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-small.mix-right | -0.83
            its right side, alone        | synth-analogue.out ts-ts mixer-small.line-4; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-small.mix-left | none
            its right side               | synth-analogue.out ts-ts mixer-small.line-4; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-small.mix-right | -0.42
            balance left of a stereo one | synth-analogue.out ts-ts mixer-rack.in-1-left; mixer-rack.pan-1=left; mixer-rack.main-left trs-trs interface-4.line-3; mixer-rack.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-rack.mix-right | none
            a balance takes nothing      | synth-analogue.out ts-ts mixer-rack.in-1-left; mixer-rack.main-left trs-trs interface-4.line-3; mixer-rack.main-right trs-trs interface-4.line-4 | none | synth-analogue.out | mixer-rack.mix-left | -0.42
            channel level half down      | synth-analogue.out ts-ts mixer-small.line-3; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | mixer-small.level-3=0.5 | synth-analogue.out | mixer-small.mix-left | -10.83
            channel and main half down   | synth-analogue.out ts-ts mixer-small.line-3; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | mixer-small.level-3=0.5; mixer-small.main=0.5 | synth-analogue.out | mixer-small.mix-left | -20.83
            main shut                    | synth-analogue.out ts-ts mixer-small.line-3; mixer-small.main-left trs-trs interface-4.line-3; mixer-small.main-right trs-trs interface-4.line-4 | mixer-small.main=0 | synth-analogue.out | mixer-small.mix-left | none
            phono preamp, magnet         | turntable-mm.out-left rca-rca phono-preamp.in-left; phono-preamp.cartridge=MM; phono-preamp.out-left rca-ts interface-4.line-3 | none | turntable-mm.out-left | phono-preamp.riaa-left | 39.82
            phono preamp, coil           | turntable-mm.out-left rca-rca phono-preamp.in-left; phono-preamp.cartridge=MC; phono-preamp.out-left rca-ts interface-4.line-3 | none | turntable-mm.out-left | phono-preamp.riaa-left | 29.55
            direct monitoring off        | synth-analogue.out ts-ts interface-4.line-1; headphones-80.plug interface-4.phones; interface-4.direct=off | none | synth-analogue.out | interface-4.phones-amp:left | none
            direct monitoring on         | synth-analogue.out ts-ts interface-4.line-1; headphones-80.plug interface-4.phones; interface-4.direct=on | none | synth-analogue.out | interface-4.phones-amp:left | -0.83
            monitor level half down      | synth-analogue.out ts-ts interface-4.line-1; headphones-80.plug interface-4.phones; interface-4.direct=on | interface-4.monitor=0.5 | synth-analogue.out | interface-4.phones-amp:left | -0.83
            """)
    void a_source_arrives_there_so(String what, String line, String knobs, String from, String to, Double expected) {
        double gain = gain(rig(line, knobs), from, to);
        if (expected == null) {
            assertThat(gain).as(what).isEqualTo(Double.NEGATIVE_INFINITY);
        } else {
            assertThat(gain).as(what).isCloseTo(expected, within(0.03));
        }
    }

    /** Where runs end, by their names: a track has the number that the computer gives its channel; both sides of headphones are heard. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            one input                    | synth-analogue.out ts-ts interface-4.line-3                       | track 3
            two inputs                   | synth-desktop.out-left ts-ts interface-4.line-3; synth-desktop.out-right ts-ts interface-4.line-4 | track 3, track 4
            a mixer gathers to one input | synth-analogue.out ts-ts mixer-small.line-1; drum-machine.out-left ts-ts mixer-small.line-2; mixer-small.main-left trs-trs interface-4.line-3 | track 3
            nothing records              | synth-analogue.out ts-ts mixer-small.line-1                       | none
            """)
    void runs_end_where_something_records(String what, String line, String ends) {
        Rig rig = rig(line, null);
        String tracks = rig.flow().runs().stream()
                .map(Flow.Run::end)
                .distinct()
                .filter(end -> rig.flow().ends().get(end).kind() == End.Kind.TRACK)
                .map(rig::endName)
                .sorted()
                .collect(Collectors.joining(", "));
        assertThat(tracks.isEmpty() ? "none" : tracks).as(what).isEqualTo(ends);
    }

    @Test
    void runs_are_called_after_their_gear_and_by_the_side_where_that_matters() {
        Rig rig = rig(
                "synth-desktop.out-left ts-ts interface-4.line-3; synth-desktop.out-right ts-ts interface-4.line-4;"
                        + " mic-dynamic-voice.out xlr-xlr interface-4.mic-1",
                null);
        assertThat(rig.flow().runs().stream()
                        .filter(run -> rig.flow().ends().get(run.end()).kind() == End.Kind.TRACK)
                        .map(rig::name))
                .containsExactlyInAnyOrder(
                        "Desktop synth, stereo unbalanced outputs, Output L/mono → track 3",
                        "Desktop synth, stereo unbalanced outputs, Output R → track 4",
                        "Dynamic voice microphone → track 1");
    }

    /** Headphones of 80 Ω and 96 dB/mW: a milliwatt is √(0.001·80) = 0.283 V, −8.75 dBu, so that 0 dB SPL lies 96 dB below. */
    @Test
    void ears_stand_where_the_driver_makes_sound() {
        Rig rig = rig("headphones-80.plug interface-2.phones", null);
        List<End> ears = rig.flow().ends().stream()
                .filter(end -> end.kind() == End.Kind.EARS)
                .toList();
        assertThat(ears).isNotEmpty().allSatisfy(end -> {
            assertThat(end.low()).isEqualTo(70);
            assertThat(end.high()).isEqualTo(80);
            assertThat(end.line()).isEqualTo(End.Line.AVERAGE);
        });
        double perMilliwatt = rig.patch()
                .devices()
                .get("headphones-80")
                .facts()
                .quantity(Fact.SOUND_PER_MILLIWATT)
                .orElseThrow()
                .db();
        assertThat(ears.get(0).zero().dbu())
                .isCloseTo(20 * Math.log10(Math.sqrt(0.08) / Math.sqrt(0.6)) - perMilliwatt, within(0.01));
    }

    @Test
    void what_goes_round_is_cut_and_told() {
        Rig rig = rig(
                "mixer-small.main-left trs-trs effect-line.in; effect-line.out trs-trs mixer-small.line-1;"
                        + " synth-analogue.out ts-ts mixer-small.line-2; mixer-small.main-right trs-trs interface-4.line-3",
                null);
        assertThat(rig.loops()).isNotEmpty();
        assertThat(rig.flow().runs()).isNotEmpty();
        assertThat(rig("synth-analogue.out ts-ts mixer-small.line-1", null).loops())
                .isEmpty();
    }

    @Test
    void knobs_of_which_nobody_spoke_are_known_as_such() {
        Rig rig = rig("synth-analogue.out ts-ts interface-4.line-3", "interface-4.gain-3=0.5");
        assertThat(rig.flow().knobs().stream().filter(Knob::isMissed).map(Knob::id))
                .contains(Spot.read("synth-analogue.volume"))
                .doesNotContain(Spot.read("interface-4.gain-3"));
        assertThat(rig.flow()
                        .knob(Spot.read("interface-4.gain-3"))
                        .orElseThrow()
                        .control()
                        .position())
                .isEqualTo(0.5);
        assertThat(rig.flow()
                        .knob(Spot.read("synth-analogue.volume"))
                        .orElseThrow()
                        .gain()
                        .db())
                .isCloseTo(0, within(1e-9));
    }

    /** A line mixer that nothing records yet: a usual converter behind each of its outputs. */
    @Test
    void a_mixer_can_be_read_as_if_it_were_recorded() {
        Patch patch = Plugged.of("synth-analogue.out ts-ts mixer-small.line-3");
        Rig rig = Rig.recordedBehind("mixer-small", JointRules.check(patch), patch, Settings.NONE);
        assertThat(rig.flow().runs().stream()
                        .map(run -> rig.flow().ends().get(run.end()).kind()))
                .isNotEmpty()
                .containsOnly(End.Kind.TRACK);
        assertThat(Rig.of(JointRules.check(patch), patch, Settings.NONE).flow().runs())
                .isEmpty();
    }
}
