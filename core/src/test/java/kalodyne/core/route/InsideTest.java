package kalodyne.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.catalogue.Catalogue;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a signal comes out of usual gear again, how many tracks it makes, and how a shop is told what is missing. */
class InsideTest {
    private static Device device(String id) {
        return Catalogue.shipped().device(id).orElseThrow().gear();
    }

    /**
     * As the panels of such gear are: an interface records each input on a track of its own and lets it through to its outputs; a mixer
     * that records every channel makes a track of it beside the two of its mix; a mic channel goes to both sides of the mix, the left of
     * a stereo channel to the left.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "nothing", textBlock = """
            interface-2         | mic-1      | out-1 out-2 phones | 1
            interface-2         | inst-2     | out-1 out-2 phones | 1
            interface-4         | line-3     | nothing            | 1
            mixer-small         | mic-1      | main-left main-right phones | 0
            mixer-small         | line-4     | main-right phones  | 0
            mixer-small-usb     | mic-2      | main-left main-right phones | 2
            mixer-small-usb     | line-3     | main-left phones   | 1
            mixer-multitrack-usb | mic-1     | insert-1 main-left main-right phones | 3
            mixer-multitrack-usb | line-7    | main-left phones   | 2
            mixer-rack          | in-3-right | main-right monitor-right phones | 0
            recorder-handheld   | mic-2      | phones             | 1
            recorder-handheld   | ext        | phones             | 2
            di-passive          | in         | thru out           | 0
            phono-preamp        | in-left    | out-left           | 0
            preamp-xlr          | mic        | out-trs out-xlr    | 0
            guitar-phone-adapter | in        | phone              | 0
            subwoofer           | in-right   | out-right out-right-rca | 0
            headset-adapter-usb | headset    | nothing            | 1
            """)
    void what_goes_in_comes_out_where_the_panel_says(String id, String in, String outs, int tracks) {
        Device device = device(id);
        Inside inside = new Inside(device);
        List<String> reached = device.sockets().stream()
                .filter(out -> !out.id().equals(in))
                .filter(out -> inside.between(in, out).isPresent())
                .map(Socket::id)
                .toList();
        assertThat(reached).containsExactlyInAnyOrder(outs == null ? new String[0] : outs.split(" ", -1));
        assertThat(inside.converters(in)).hasSize(tracks);
    }

    /** A shop asks for the plugs at both sides. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            xlr-xlr      | XLR lead (XLR three-pin socket to XLR three-pin plug, 3 m)
            ts-ts        | 6.35 mm two-pole lead (6.35 mm two-pole plug to 6.35 mm two-pole plug, 3 m)
            mini-2ts     | 3.5 mm three-pole to two 6.35 mm two-pole (3.5 mm three-pole plug to two 6.35 mm two-pole plugs, 2 m)
            rca-rca      | RCA pair lead (two RCA plugs to two RCA plugs, 1.5 m)
            rca-rca-earth | RCA pair lead with an earth wire, for turntables (two RCA plugs to two RCA plugs, with an earth wire, 1.2 m)
            rca-y        | RCA Y, one plug to two sockets (RCA plug to two RCA sockets)
            headset-splitter-ctia | Headset splitter, CTIA: microphone and headphones apart (3.5 mm four-pole plug to two 3.5 mm three-pole sockets)
            """)
    void a_lead_that_is_missing_is_told_by_its_plugs(String id, String words) {
        Missing missing = Missing.of(Catalogue.shipped().lead(id).orElseThrow().gear());
        assertThat(missing.words()).isEqualTo(words);
        assertThat(missing.price()).isEqualTo(Missing.Price.A);
    }

    /** Common practice: small boxes and hubs cost little, what has a mixer or a recorder in it more. */
    @ParameterizedTest
    @CsvSource({
        "di-passive, B",
        "phono-preamp, B",
        "preamp-xlr, B",
        "inline-booster, B",
        "host-adapter-charging, B",
        "midi-usb, B",
        "interface-1, C",
        "mixer-small, C",
        "recorder-handheld, C"
    })
    void small_boxes_cost_less_than_interfaces(String id, Missing.Price price) {
        assertThat(Missing.of(device(id)).price()).isEqualTo(price);
    }
}
