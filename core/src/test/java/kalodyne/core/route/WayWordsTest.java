package kalodyne.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How a way is told: from the source on, with what is on the way; what is recorded, what it takes to get, and why it stands where it does. */
class WayWordsTest {
    private static Way first(String shelf, String wish, String stereo) {
        return Shelf.planned(shelf, wish, stereo).ways().get(0);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            synth-analogue interface-2 laptop-combo ts-ts usb-c-c | synth-analogue > laptop-combo | | Analogue synth, mono output – 6.35 mm two-pole lead → Two-input interface, bus powered – USB lead, C to C → Laptop with one combined headset socket
            mic-dynamic-voice recorder-handheld xlr-xlr | mic-dynamic-voice > recorder-handheld | | Dynamic voice microphone – XLR lead → Hand-held recorder with two XLR inputs
            groovebox phone-ctia attenuator-phone | groovebox > phone-ctia; NOTHING | MONO_ENOUGH | Groovebox, line out on 3.5 mm – Attenuating lead, line to a phone's headset socket (CTIA) → Phone with a four-pole headset socket
            mic-usb laptop-combo usb-c-c | mic-usb > laptop-combo | | USB microphone with a headphone socket – USB lead, C to C → Laptop with one combined headset socket
            """)
    void a_path_is_told_from_the_source_on(String shelf, String wish, String stereo, String words) {
        Way way = first(shelf, wish, stereo);
        assertThat(WayWords.path(way, way.strands().get(0))).isEqualTo(words);
        assertThat(WayWords.name(way, "nobody")).isEqualTo("nobody");
    }

    /** A break is where something is plugged: synth, lead, interface, lead, laptop are four. */
    @Test
    void what_is_recorded_is_told_with_its_numbers() {
        Way way = first("synth-analogue interface-2 laptop-combo ts-ts usb-c-c", "synth-analogue > laptop-combo", null);
        assertThat(WayWords.recorded(way.strands().get(0)))
                .matches("channel 1, mono, \\d breaks, peak −\\d+ dBFS, noise −\\d+ dBFS");
        Way stereo =
                first("drum-machine interface-2 laptop-combo ts-ts*2 usb-c-c", "drum-machine > laptop-combo", "KEEP");
        assertThat(stereo.strands().stream().map(WayWords::recorded).collect(Collectors.joining()))
                .contains("stereo")
                .contains("channels 1");
    }

    @Test
    void what_is_missing_is_told_with_its_price_class() {
        Way owned =
                first("synth-analogue interface-2 laptop-combo ts-ts usb-c-c", "synth-analogue > laptop-combo", null);
        assertThat(WayWords.toGet(owned)).isEqualTo("all of it is owned");
        Way missing =
                first("synth-analogue interface-2 laptop-combo usb-c-c", "synth-analogue > laptop-combo; LEAD", null);
        assertThat(WayWords.toGet(missing))
                .startsWith("to get: ")
                .contains("6.35 mm")
                .contains("price class A");
    }

    /** Through the app one hears oneself late, directly at once. */
    @ParameterizedTest
    @CsvSource({"direct, false", "app, true"})
    void how_late_one_hears_oneself_is_told(String through, boolean isLate) {
        Way way = first(
                "synth-analogue interface-2 laptop-combo ts-ts usb-c-c headphones-80",
                "synth-analogue > laptop-combo; headphones-80; " + through,
                null);
        assertThat(WayWords.heard(way.monitoring()).endsWith(" ms late")).isEqualTo(isLate);
    }

    /** The first is told by what it has before the next, every other one by what it lacks. */
    @Test
    void places_are_told_by_what_differs() {
        Plan plan = Shelf.planned(
                "drum-box-headphone interface-2 laptop-combo mini-2ts mini-mini usb-c-c trs-2ts 635-plug-35-socket trs-ts attenuator-phone",
                "drum-box-headphone > laptop-combo",
                null);
        assertThat(plan.ways()).hasSizeGreaterThan(1);
        assertThat(WayWords.place(plan.ways().get(0), plan.ways())).startsWith("First: ");
        assertThat(WayWords.place(plan.ways().get(1), plan.ways()))
                .matches("(Not first. The first has .+|As good as the first, and later in the alphabet)");
        assertThat(WayWords.place(plan.ways().get(0), plan.ways().subList(0, 1)))
                .isEqualTo("First: there is no other");
    }
}
