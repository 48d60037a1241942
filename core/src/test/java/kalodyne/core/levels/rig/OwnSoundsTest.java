package kalodyne.core.levels.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is heard or played inside a device: USB microphones, built-in capsules, the music of a player. */
class OwnSoundsTest {
    private static List<LevelPlan> recorded(String line) {
        return recorded(Plugged.of(line));
    }

    private static List<LevelPlan> recorded(Patch patch) {
        SetupLevels levels = SetupLevels.of(JointRules.check(patch), patch, gainsLowest(patch));
        return levels.traces().stream()
                .map(levels::plan)
                .filter(LevelPlan::isRecorded)
                .toList();
    }

    private static Settings gainsLowest(Patch patch) {
        Map<Spot, Double> lowest = new HashMap<>();
        patch.devices()
                .forEach((mark, device) -> device.controls().stream()
                        .filter(control -> control.kind() == ControlKind.GAIN)
                        .forEach(control -> lowest.put(new Spot(mark, control.id()), 0.0)));
        return Settings.NONE.turned(lowest);
    }

    /** Built-in capsules are meant where nothing else comes in, by plug or by data, and nothing goes out but to ears. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            a USB microphone on a laptop         | mic-usb.usb usb-a-c laptop-combo.usb-1                                             | 1
            on a phone, with earphones           | phone-digital.port usb-c-c mic-usb.usb; earphones-16.plug mic-usb.phones            | 1
            in no computer                       | earphones-16.plug mic-usb.phones                                                   | 0
            the capsules of a recorder           | headphones-32.plug recorder-capsules.phones                                        | 2
            the same as an interface             | laptop-combo.usb-1 usb-a-c recorder-capsules.usb                                   | 2
            with a microphone plugged            | mic-dynamic-voice.out xlr-xlr recorder-capsules.mic-1                              | 1
            a phone with earphones               | earphones-16.plug phone-ctia.headset                                               | 1
            a phone with a lavalier              | lavalier-phone.out phone-ctia.headset                                              | 1
            a phone that plays into a mixer      | phone-ctia.headset mini-2ts#1.a; mini-2ts#1.b mixer-small.line-3; mini-2ts#1.c mixer-small.line-4 | 0
            a tablet behind an interface         | mic-dynamic-voice.out xlr-xlr interface-2.mic-1; interface-2.usb usb-c-c tablet-digital.port | 1
            two decks, both pairs of channels    | dj-player.usb usb-a-b laptop-combo.usb-1                                           | 8
            """)
    void each_has_its_run_where_it_is_meant(String what, String line, int runs) {
        assertThat(recorded(line)).as(what).hasSize(runs);
    }

    /** A beginner's first recordings need no lead; once anything is plugged, what lies beside it is not meant. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            phone-ctia                              |                                           | 1
            recorder-capsules                       |                                           | 2
            camera-mic-in, guitar-humbucker         |                                           | 2
            camera-no-in                            |                                           | 1
            laptop-combo, mic-dynamic-voice         |                                           | 0
            phone-ctia, recorder-capsules           |                                           | 0
            mic-usb                                 |                                           | 0
            interface-2, headphones-32              |                                           | 0
            phone-ctia, headphones-32, interface-2  | headphones-32.plug interface-2.phones      | 0
            phone-ctia, earphones-16, laptop-combo  | earphones-16.plug phone-ctia.headset       | 1
            """)
    void with_nothing_plugged_what_records_by_itself_is_meant(String shelf, String plugged, int runs) {
        Studio studio = Studio.empty();
        for (String profile : shelf.split(", ", -1)) {
            studio = studio.with(
                    Catalogue.shipped().device(profile).orElseThrow().gear());
        }
        List<Plugging> pluggings =
                plugged == null ? List.of() : Plugged.of(plugged).pluggings();
        Setup setup = studio.setups().get(0).withWiring(Wiring.NONE.withPlugged(pluggings));
        assertThat(recorded(studio.patch(setup)))
                .hasSize(runs)
                .allSatisfy(plan -> assertThat(plan.endPeak()).isCloseTo(-9.7, within(0.1)));
    }

    /**
     * Somebody at a hand's length is 110 dB SPL at the loudest. 10 mV/Pa are −37.8 dBu at 94 dB SPL, so −21.8; 8 mV/Pa −39.7, so −23.7.
     * A USB microphone adds 18 dB and has its full scale at +6 dBu, a recorder 18 and +4, a phone 14 and 0, with their gains lowest.
     * A deck gives +8 dBu, two of them 14; a usual converter has its full scale at +18 dBu.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            mic-usb.usb usb-a-c laptop-combo.usb-1      | -9.8
            headphones-32.plug recorder-capsules.phones | -9.7
            earphones-16.plug phone-ctia.headset        | -9.7
            """)
    void it_is_as_loud_as_its_capsule_makes_it(String line, double dbfs) {
        LevelPlan plan = recorded(line).get(0);
        assertThat(plan.onScale(plan.endPeak())).contains(String.valueOf(dbfs).replace('-', '−'));
        assertThat(plan.endPeak()).isCloseTo(dbfs, within(0.1));
    }

    /** Behind the lowest gain the hiss is the capsule's own and no more than 3 dB of the rest: 18 dB(A) of 10 mV/Pa are −113.8 dBu. */
    @ParameterizedTest
    @CsvSource("mic-usb.usb usb-a-c laptop-combo.usb-1")
    void a_usb_microphone_hisses_as_its_capsule_does(String line) {
        LevelPlan plan = recorded(line).get(0);
        double capsule = -113.8 + 18 - 6;
        assertThat(plan.endFloor()).isBetween(capsule, capsule + 3);
    }
}
