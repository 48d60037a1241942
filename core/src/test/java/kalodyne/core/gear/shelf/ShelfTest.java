package kalodyne.core.gear.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ShelfTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            bass               | Bass synth
            BASS STEP          | Bass synth
            four-pole phone    | Old phone
            fourpole phone     | Old phone
            never 48           | Accordion microphone
            sub woofer         | Subwoofer
            """)
    void finds_devices_by_any_word(String words, String name) {
        var index = new SearchIndex<>(Boathouse.studio().devices(), SearchText::of);
        assertThat(index.find(words)).extracting(Device::name).contains(name).hasSizeLessThan(5);
    }

    @Test
    void no_words_find_everything_and_strange_ones_nothing() {
        var index = new SearchIndex<>(Boathouse.studio().leads(), SearchText::of);
        assertThat(index.find("  ")).hasSameSizeAs(Boathouse.studio().leads());
        assertThat(index.find("xyzzy ((")).isEmpty();
        assertThat(index.find("ctia")).extracting(Lead::name).containsExactly("Splitter A");
    }

    /** The table of ranges agrees with everything that ships. */
    @Test
    void doubts_nothing_of_the_catalogue() {
        assertThat(Catalogue.shipped().devices().stream()
                        .map(Profile::gear)
                        .flatMap(device -> Plausible.doubts(device).stream()
                                .map(doubt -> device.id() + ": " + doubt.fact() + " " + doubt.text())))
                .isEmpty();
        assertThat(Catalogue.shipped().leads().stream()
                        .map(Profile::gear)
                        .flatMap(lead -> Plausible.doubts(lead).stream()
                                .map(doubt -> lead.id() + ": " + doubt.fact() + " " + doubt.text())))
                .isEmpty();
    }

    /** Every kind of value has a range to be doubted by. */
    @Test
    void knows_a_range_for_every_value() {
        Device everything =
                Catalogue.shipped().device("interface-4").orElseThrow().gear();
        assertThat(Stream.of(Fact.Of.STAGE, Fact.Of.SOCKET_POWER, Fact.Of.POWERING)
                        .flatMap(of -> unknown(everything, of)))
                .isEmpty();
    }

    private static Stream<String> unknown(Device device, Fact.Of of) {
        Part part = Parts.of(device).stream()
                .filter(each -> each.of() == of)
                .findFirst()
                .orElseThrow();
        return Fact.all(of).stream()
                .filter(fact -> {
                    Device absurd = Parts.with(device, part.mark(), huge(part.facts(), fact));
                    return Plausible.doubts(absurd).stream().noneMatch(doubt -> doubt.fact() == fact);
                })
                .map(fact -> of + " " + fact);
    }

    private static <T> Facts huge(Facts facts, Fact<T> fact) {
        String unit = fact.quantity()
                .write(fact.quantity().read(fact.quantity().example().split(" or ", 2)[0]))
                .replaceFirst("^\\S+ ", "");
        T value = fact.quantity().read((unit.startsWith("dB") ? "249 " : "99999999 ") + unit);
        return facts.with(fact, new Value<>(value, Provenance.typical(Provenance.Ground.ESTIMATE, "absurd")));
    }

    /** A slip of the prefix is doubted; the unusual but possible is not refused, only told. */
    @Test
    void doubts_a_slip_of_the_unit() {
        Device synth = Boathouse.studio().device("bass-synth").orElseThrow();
        Facts facts = Parts.find(Parts.of(synth), "socket out").orElseThrow().facts();
        Device slipped = Parts.with(
                synth,
                "socket out",
                facts.with(
                        Fact.SOURCE_IMPEDANCE,
                        new Value<>(
                                Fact.SOURCE_IMPEDANCE.quantity().read("1 MΩ"),
                                Provenance.typical(Provenance.Ground.ESTIMATE, ""))));
        assertThat(Plausible.doubts(slipped)).singleElement().satisfies(doubt -> {
            assertThat(doubt.label()).isEqualTo("Output");
            assertThat(doubt.text())
                    .isEqualTo("1 MΩ is unusual here: line outputs have 50 Ω to 1 kΩ. Check the unit; if it is true, it"
                            + " stays.");
        });
    }

    /** The segments cover the shaft without a gap; there is one band fewer than poles. */
    @ParameterizedTest
    @EnumSource(
            value = Connector.class,
            names = {"JACK_635_TS", "JACK_635_TRS", "JACK_35_TS", "JACK_35_TRS", "JACK_35_TRRS"})
    void jacks_are_drawn_whole(Connector connector) {
        PlugShape shape = PlugShape.of(connector);
        assertThat(shape.bands()).isEqualTo(connector.contacts().size() - 1);
        assertThat(shape.segments().get(0).from()).isZero();
        assertThat(shape.segments().get(shape.segments().size() - 1).to()).isEqualTo(shape.length());
        for (int i = 1; i < shape.segments().size(); i++) {
            assertThat(shape.segments().get(i).from())
                    .isEqualTo(shape.segments().get(i - 1).to());
            assertThat(shape.segments().get(i).isBand())
                    .isNotEqualTo(shape.segments().get(i - 1).isBand());
        }
        assertThat(shape.segments().stream()
                        .filter(segment -> !segment.isBand())
                        .map(PlugShape.Segment::contact))
                .containsExactlyElementsOf(connector.contacts());
    }

    @Test
    void everything_else_in_the_drawer_has_a_face() {
        for (Profile<Lead> profile : Catalogue.shipped().leads()) {
            profile.gear().ends().stream()
                    .map(end -> end.connector())
                    .filter(connector -> !connector.isJack()
                            && !Set.of(Connector.BARE_WIRE, Connector.EARTH_SPADE)
                                    .contains(connector))
                    .forEach(connector -> {
                        PlugFace face = PlugFace.of(connector).orElseThrow();
                        assertThat(face.pins()).allSatisfy(pin -> {
                            assertThat(Math.abs(pin.x()) + pin.width() / 2).isLessThan(face.width() / 2);
                            assertThat(Math.abs(pin.y()) + pin.height() / 2).isLessThan(face.height() / 2);
                        });
                    });
        }
    }

    /** Whatever is answered in whatever order, it ends at few connectors, and every connector of a lead can be reached. */
    @Test
    void the_finder_reaches_every_connector() {
        Set<Connector> reached = EnumSet.noneOf(Connector.class);
        Deque<Set<PlugFinder.Answer>> open = new ArrayDeque<>(List.of(Set.of()));
        while (!open.isEmpty()) {
            Set<PlugFinder.Answer> answers = open.pop();
            List<PlugFinder.Answer> more = Stream.of(PlugFinder.Question.values())
                    .flatMap(question -> PlugFinder.open(question, answers).stream())
                    .toList();
            List<PlugFinder.Match> matches = PlugFinder.matches(answers);
            assertThat(matches).as(answers.toString()).isNotEmpty();
            if (more.isEmpty()) {
                assertThat(matches).as(answers.toString()).hasSizeLessThanOrEqualTo(4);
                matches.forEach(match -> {
                    reached.add(match.connector());
                    assertThat(match.meaning()).endsWith(".");
                });
            }
            more.forEach(answer -> {
                Set<PlugFinder.Answer> next = new HashSet<>(answers);
                next.add(answer);
                open.push(next);
            });
        }
        assertThat(Catalogue.shipped().leads().stream()
                        .flatMap(profile -> profile.gear().ends().stream())
                        .map(end -> end.connector()))
                .allSatisfy(connector -> assertThat(reached).contains(connector));
    }

    @Test
    void three_bands_on_a_thin_pin_are_a_phones() {
        assertThat(PlugFinder.matches(Set.of(PlugFinder.Answer.BANDED, PlugFinder.Answer.THREE)))
                .singleElement()
                .satisfies(match -> assertThat(match.connector()).isEqualTo(Connector.JACK_35_TRRS));
    }
}
