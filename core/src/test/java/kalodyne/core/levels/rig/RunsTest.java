package kalodyne.core.levels.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Feed;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Which runs there are in what is plugged, by which name and number, and where their peaks should lie: as somebody at the desk counts them. */
class RunsTest {
    private static final String MULTITRACK = "mixer-multitrack-usb.usb usb-a-b laptop-combo.usb-1; ";
    private static final String DJ = "dj-mixer.usb usb-a-b laptop-combo.usb-1; ";

    private static Rig rig(String line) {
        Patch patch = Plugged.of(line.replace("MULTITRACK; ", MULTITRACK).replace("DJ; ", DJ));
        return Rig.of(JointRules.check(patch), patch, Settings.NONE);
    }

    /**
     * Tracks have the number that the computer gives the channel: of a mixer with a channel for every input the channels are 1 to 8 before
     * their faders, and its mix 9 and 10; a DJ mixer has the mix with the talk microphone on 1 and 2, without it on 3 and 4.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            one synth, one input         | synth-analogue.out ts-ts interface-2.line-1 | Analogue synth, mono output → track 1
            second input                 | synth-analogue.out ts-ts interface-2.line-2 | Analogue synth, mono output → track 2
            both sides of a drum machine | drum-machine.out-left ts-ts interface-2.line-1; drum-machine.out-right ts-ts interface-2.line-2 | Drum machine, stereo outputs and MIDI, Output L/mono → track 1; Drum machine, stereo outputs and MIDI, Output R → track 2
            two recorders are named      | synth-analogue.out ts-ts interface-4.line-3; mic-dynamic-voice.out xlr-xlr recorder-handheld.mic-1 | Analogue synth, mono output → Four-input interface, track 3; Dynamic voice microphone → Hand-held recorder with two XLR inputs, track 1
            before the faders, and mixed | MULTITRACK; mic-dynamic-voice.out xlr-xlr mixer-multitrack-usb.mic-1 | Dynamic voice microphone → track 1; Dynamic voice microphone → track 10; Dynamic voice microphone → track 9
            a mono channel on both       | MULTITRACK; synth-analogue.out ts-ts mixer-multitrack-usb.line-4 | Analogue synth, mono output → track 10; Analogue synth, mono output → track 4; Analogue synth, mono output → track 9
            sides of a stereo channel    | MULTITRACK; synth-desktop.out-left ts-ts mixer-multitrack-usb.line-7; synth-desktop.out-right ts-ts mixer-multitrack-usb.line-8 | Desktop synth, stereo unbalanced outputs, Output L/mono → track 7; Desktop synth, stereo unbalanced outputs, Output L/mono → track 9; Desktop synth, stereo unbalanced outputs, Output R → track 10; Desktop synth, stereo unbalanced outputs, Output R → track 8
            records with and without talk| DJ; turntable-mm.out-left rca-rca#1.a; turntable-mm.out-right rca-rca#1.c; rca-rca#1.b dj-mixer.phono-1-left; rca-rca#1.d dj-mixer.phono-1-right | Turntable with a moving-magnet cartridge, Cartridge L → track 1; Turntable with a moving-magnet cartridge, Cartridge L → track 3; Turntable with a moving-magnet cartridge, Cartridge R → track 2; Turntable with a moving-magnet cartridge, Cartridge R → track 4
            the talk microphone          | DJ; mic-dynamic-voice.out xlr-xlr dj-mixer.mic | Dynamic voice microphone → track 1; Dynamic voice microphone → track 2
            a phone hears one channel    | groovebox.out attenuator-phone phone-ctia.headset | Groovebox, line out on 3.5 mm, left → track 1; Groovebox, line out on 3.5 mm, right → track 1
            a mixer that nothing records | synth-analogue.out ts-ts mixer-small.line-1 | none
            a lead that does not reach   | synth-analogue.out 35-ts-635 phone-ctia.headset | none
            """)
    void tracks_are_counted_as_at_the_desk(String what, String line, String runs) {
        Rig rig = rig(line);
        String found = rig.flow().runs().stream()
                .filter(run -> rig.flow().ends().get(run.end()).kind() == End.Kind.TRACK)
                .map(rig::name)
                .sorted()
                .collect(Collectors.joining("; "));
        assertThat(found.isEmpty() ? "none" : found).as(what).isEqualTo(runs);
    }

    /**
     * Where the loudest peak should land by the player: machines and synths are even, −12 to −6 dBFS; voices and guitars are uneven, −18
     * to −12; what carries both is for the uneven one; a phone's own socket gets −24 to −16. All common practice.
     */
    @ParameterizedTest
    @CsvSource({
        "a synth,          synth-analogue.out ts-ts interface-2.line-1, 1, -12, -6",
        "a drum machine,   drum-machine.out-left ts-ts interface-2.line-1, 1, -12, -6",
        "a digital piano,  piano-digital.out-left ts-ts interface-2.line-1, 1, -12, -6",
        "a voice,          mic-dynamic-voice.out xlr-xlr interface-2.mic-1, 1, -18, -12",
        "a condenser,      mic-condenser-large.out xlr-xlr interface-2.mic-1, 1, -18, -12",
        "a guitar,         guitar-humbucker.out ts-ts interface-2.inst-1, 1, -18, -12",
        "a phone's socket, groovebox.out attenuator-phone phone-ctia.headset, 1, -24, -16",
        "a mix with a voice in it, 'MULTITRACK; mic-dynamic-voice.out xlr-xlr mixer-multitrack-usb.mic-1; synth-analogue.out ts-ts mixer-multitrack-usb.line-2', 9, -18, -12",
        "the synth of that before its fader, 'MULTITRACK; mic-dynamic-voice.out xlr-xlr mixer-multitrack-usb.mic-1; synth-analogue.out ts-ts mixer-multitrack-usb.line-2', 2, -12, -6",
        "a mix of machines, 'MULTITRACK; drum-machine.out-left ts-ts mixer-multitrack-usb.line-1; synth-analogue.out ts-ts mixer-multitrack-usb.line-2', 9, -12, -6",
    })
    void peaks_are_aimed_at_where_the_player_needs_it(String what, String line, int track, double low, double high) {
        End end = rig(line).flow().ends().stream()
                .filter(each -> each.number().orElse(0) == track)
                .findFirst()
                .orElseThrow();
        assertThat(List.of(end.low(), end.high())).as(what).containsExactly(low, high);
        assertThat(end.line()).isEqualTo(End.Line.PEAK);
    }

    /** One school for all where its owner chose it. */
    @ParameterizedTest
    @EnumSource(value = AimSchool.class, names = "PLAYER", mode = EnumSource.Mode.EXCLUDE)
    void a_school_that_is_chosen_holds_for_all(AimSchool school) {
        Patch patch = Plugged.of(
                "synth-analogue.out ts-ts interface-2.line-1; mic-dynamic-voice.out xlr-xlr interface-2.mic-2");
        Rig rig = Rig.of(JointRules.check(patch), patch, Settings.NONE.with(school));
        assertThat(rig.flow().ends())
                .filteredOn(end -> end.kind() == End.Kind.TRACK)
                .hasSize(2)
                .allSatisfy(end -> {
                    assertThat(end.low()).isEqualTo(school.low());
                    assertThat(end.high()).isEqualTo(school.high());
                    assertThat(end.line() == End.Line.AVERAGE).isEqualTo(school == AimSchool.AVERAGE);
                });
        assertThat(school.title()).isNotBlank();
        assertThat(school.reason()).endsWith(".");
        assertThat(school.low()).isLessThan(school.high()).isLessThan(0);
    }

    /** Of what a device plays back each channel is told apart; both sides of headphones are heard. */
    @Test
    void what_is_played_back_is_heard_on_both_sides() {
        Rig rig = rig(
                "synth-analogue.out ts-ts interface-2.line-1; headphones-80.plug interface-2.phones; interface-2.direct=off");
        assertThat(rig.flow().runs().stream().map(rig::name))
                .containsExactlyInAnyOrder(
                        "Analogue synth, mono output → track 1",
                        "Two-input interface, bus powered, playback 1 → Studio headphones, 80 Ω, left",
                        "Two-input interface, bus powered, playback 2 → Studio headphones, 80 Ω, right");
    }

    /** An adapter that swaps two legs turns the polarity over; a plain lead does not. */
    @ParameterizedTest
    @CsvSource({
        "mic-dynamic-voice.out xlr-xlr interface-2.mic-1, false",
        "mic-dynamic-voice.out xlr-inverter interface-2.mic-1, true",
        "mic-dynamic-voice.out xlr-xlr xlr-inverter interface-2.mic-1, true",
        "mic-dynamic-voice.out xlr-inverter xlr-inverter interface-2.mic-1, false",
    })
    void swapped_legs_turn_the_polarity_over(String line, boolean isInverted) {
        Flow flow = rig(line).flow();
        List<Feed> feeds = flow.points().stream()
                .map(Point::feeds)
                .flatMap(List::stream)
                .filter(feed -> flow.points().get(feed.from()).sound().isPresent())
                .toList();
        assertThat(feeds).hasSize(1);
        assertThat(feeds.get(0).isInverted()).isEqualTo(isInverted);
    }

    /** A magnetic pickup has its resonance above the middle, and what rises there needs room; a synth has none. */
    @Test
    void a_resonance_needs_room() {
        Flow guitar = rig("guitar-humbucker.out ts-ts interface-2.inst-1").flow();
        Flow synth = rig("synth-analogue.out ts-ts interface-2.line-1").flow();
        assertThat(rise(guitar)).isGreaterThan(2);
        assertThat(rise(synth)).isCloseTo(0, within(1e-9));
    }

    private static double rise(Flow flow) {
        return flow.points().stream()
                .flatMap(point -> point.feeds().stream())
                .mapToDouble(feed -> feed.rise().db())
                .max()
                .orElseThrow();
    }

    @Test
    void leads_are_named_where_they_lie() {
        Rig rig = rig("guitar-humbucker.out ts-ts di-active.in; di-active.out xlr-xlr interface-2.mic-2");
        Flow flow = rig.flow();
        List<String> names = flow.points().stream()
                .flatMap(point -> point.feeds().stream()
                        .map(feed -> rig.leads(flow.points().get(feed.from()), point)))
                .distinct()
                .toList();
        assertThat(names).contains("6.35 mm two-pole lead", "XLR lead", "plugged straight in");
    }

    // --- hearing oneself -----------------------------------------------------------------------------------------

    /**
     * Direct is what reaches the ears without the computer: by a switch that is on or of which nobody said that it is off, on a recorder's
     * own headphones always, through a mixer always; not what only the computer plays back.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            its switch on          | synth-analogue.out ts-ts interface-2.line-1; headphones-80.plug interface-2.phones; interface-2.direct=on  | headphones-80 | true
            nobody said            | synth-analogue.out ts-ts interface-2.line-1; headphones-80.plug interface-2.phones                        | headphones-80 | true
            its switch off         | synth-analogue.out ts-ts interface-2.line-1; headphones-80.plug interface-2.phones; interface-2.direct=off | headphones-80 | false
            on other ears          | synth-analogue.out ts-ts interface-2.line-1; headphones-80.plug interface-2.phones; interface-2.direct=on  | speakers-powered | false
            on a recorder          | mic-dynamic-voice.out xlr-xlr recorder-handheld.mic-1; headphones-32.plug recorder-handheld.phones         | headphones-32 | true
            nothing is recorded    | headphones-80.plug interface-2.phones; interface-2.direct=on                                               | headphones-80 | false
            through a mixer        | synth-analogue.out ts-ts mixer-small.line-1; mixer-small.main-left trs-trs interface-2.line-1; headphones-80.plug mixer-small.phones | headphones-80 | true
            by speakers, direct    | synth-analogue.out ts-ts interface-2.line-1; interface-2.out-1 trs-xlr speakers-powered.in-xlr; interface-2.direct=on  | speakers-powered | true
            by speakers, not       | synth-analogue.out ts-ts interface-2.line-1; interface-2.out-1 trs-xlr speakers-powered.in-xlr; interface-2.direct=off | speakers-powered | false
            a USB microphone       | mic-usb.usb usb-c-c laptop-combo.usb-2; earphones-16.plug mic-usb.phones                                    | earphones-16 | true
            a USB microphone, off  | mic-usb.usb usb-c-c laptop-combo.usb-2; earphones-16.plug mic-usb.phones; mic-usb.direct=off                | earphones-16 | false
            it records nothing     | earphones-16.plug mic-usb.phones                                                                             | earphones-16 | false
            """)
    void one_hears_oneself_directly_or_not(String what, String line, String ears, boolean isDirect) {
        Patch patch = Plugged.of(line);
        assertThat(Monitoring.of(JointRules.check(patch), patch, Settings.NONE).isDirect(Set.of(ears)))
                .as(what)
                .isEqualTo(isDirect);
    }

    @ParameterizedTest
    @CsvSource({"on, true", "off, false"})
    void the_switch_of_direct_monitoring_is_the_one_that_is_not_off(String at, boolean isThere) {
        Patch patch = Plugged.of("synth-analogue.out ts-ts interface-2.line-1; interface-2.direct=" + at);
        assertThat(Monitoring.directSwitch(patch, "interface-2").isPresent()).isEqualTo(isThere);
        assertThat(Monitoring.directSwitch(patch, "synth-analogue")).isEmpty();
    }
}
