package kalodyne.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Ways to hear something that nothing records: every row of sockets is a way, told with its reach; common practice. */
class HearingTest {
    /** "XLR three-pin: trs-xlr trs-xlr, 300 m". */
    private static String told(Way way) {
        String reach = way.sideTasks().stream()
                .filter(task -> task.of() == SideTask.Of.LEADS)
                .map(task -> task.words().startsWith("balanced") ? ", 300 m" : ", 3 m")
                .collect(Collectors.joining());
        return way.title().replaceAll("^(Straight|By) ?(into the |to the )?| inputs$", "")
                + (way.missing().isEmpty() ? "" : ", get " + way.missing().size())
                + reach;
    }

    /**
     * Balanced outputs into balanced inputs stay quiet on long leads whichever plug they have; an RCA input makes them unbalanced. A
     * subwoofer stands between, and leads on by its best outputs. A computer plays by its own socket or by its interface, a synth also by a
     * mixer. Two pairs of headphones share one socket by a splitter, for three an amplifier stands between.
     */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            three rows      | interface-4 speakers-powered*2 trs-trs*2 trs-xlr*2 rca-2ts | interface-4 > ; speakers-powered+speakers-powered-2 | 6.35 mm three-pole, 300 m; RCA, 3 m; XLR three-pin, 300 m
            to get          | interface-4 speakers-powered*2 rca-2ts | interface-4 > ; speakers-powered+speakers-powered-2 | 6.35 mm three-pole, get 2, 300 m; RCA, 3 m; XLR three-pin, get 2, 300 m
            owned only      | interface-4 speakers-powered*2 rca-2ts | interface-4 > ; speakers-powered+speakers-powered-2; NOTHING | RCA, 3 m
            subwoofer       | interface-4 speakers-powered*2 subwoofer trs-trs*2 xlr-xlr*2 | interface-4 > ; subwoofer+speakers-powered+speakers-powered-2; NOTHING | 6.35 mm three-pole, 300 m
            unbalanced lead | interface-4 speakers-powered*2 ts-ts*2 | interface-4 > ; speakers-powered+speakers-powered-2; NOTHING | 6.35 mm three-pole, 3 m
            computer        | laptop-combo interface-2 speakers-powered*2 usb-c-c trs-trs*2 mini-2ts | laptop-combo > ; speakers-powered+speakers-powered-2; NOTHING | 6.35 mm three-pole, 3 m; Two-input interface, bus powered into the 6.35 mm three-pole, 300 m
            by a mixer      | synth-digital mixer-small speakers-powered*2 trs-trs*4 | synth-digital > ; speakers-powered+speakers-powered-2; NOTHING | 6.35 mm three-pole, 300 m; Small mixer, two mic and two stereo channels into the 6.35 mm three-pole, 300 m
            two synths      | synth-digital synth-desktop mixer-small speakers-powered*2 trs-trs*4 ts-ts*2 | synth-digital,synth-desktop > ; speakers-powered+speakers-powered-2; NOTHING | Small mixer, two mic and two stereo channels into the 6.35 mm three-pole, 300 m
            one pair        | synth-digital headphones-80 | synth-digital > ; headphones-80; NOTHING | ears
            splitter        | synth-digital headphones-80 headphones-250 headphone-y-635 | synth-digital > ; headphones-80+headphones-250; NOTHING | ears
            none            | synth-digital headphones-80 headphones-250 | synth-digital > ; headphones-80+headphones-250; NOTHING | ''
            three pairs     | synth-digital headphone-amp headphones-80 headphones-250 headphones-32 trs-trs 635-plug-35-socket*3 | synth-digital > ; headphones-80+headphones-250+headphones-32; NOTHING | ears
            """)
    void every_row_is_a_way(String name, String shelf, String wish, String ways) {
        Plan plan = Shelf.planned(shelf, wish, null);
        assertThat(plan.ways().stream().map(HearingTest::told).sorted().collect(Collectors.joining("; ")))
                .as(plan.impossible().orElse("") + plan.dropped())
                .isEqualTo(ways);
        assertThat(plan.impossible().isPresent()).isEqualTo(ways.isEmpty());
        for (Way way : plan.ways()) {
            assertThat(way.monitoring().isAsWished()).isTrue();
            assertThat(Software.of(Shelf.wish(wish, null), way))
                    .hasSize(shelf.startsWith("laptop") ? 1 : 0)
                    .allMatch(line -> line.startsWith("System output: "));
            assertThat(WayWords.recorded(way.strands().get(0))).doesNotContain("dBFS");
        }
    }

    /** What cannot be meant is told. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            synth-digital | synth-digital > | Nothing records it and nobody hears it. Choose what records, or loudspeakers or headphones.
            headphones-80 synth-digital | headphones-80 > ; headphones-80 | has no output that could be recorded.
            synth-digital synth-desktop headphones-80 | synth-digital,synth-desktop > ; headphones-80 | Several sources need a mixer to be heard together: there is none on the shelf.
            synth-digital | synth-digital > ; headphones-80 | “headphones-80” is not on the shelf. Add it there first.
            """)
    void what_cannot_be_heard_is_told(String shelf, String wish, String reason) {
        Plan plan = Shelf.of(shelf).plan(Shelf.wish(wish.replaceAll(">$", "> "), null));
        assertThat(plan.ways()).isEmpty();
        assertThat(plan.impossible().orElse("")).contains(reason);
    }
}
