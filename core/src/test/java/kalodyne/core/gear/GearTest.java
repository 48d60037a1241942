package kalodyne.core.gear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.UnreadableQuantity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What gear can be described as, and what it cannot. */
class GearTest {
    private static final Provenance GUESS = Provenance.typical(Provenance.Ground.ESTIMATE, "a guess");

    private static Device device(String profile) {
        return Catalogue.shipped().device(profile).orElseThrow().gear();
    }

    private static Lead lead(String profile) {
        return Catalogue.shipped().lead(profile).orElseThrow().gear();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            typical (common practice): line inputs bridge | TYPICAL   | COMMON_PRACTICE |            | line inputs bridge
            typical (standard): IEC 61938                 | TYPICAL   | STANDARD        |            | IEC 61938
            typical                                       | TYPICAL   | ESTIMATE        |            | ''
            datasheet 2026-03-01: page 4: table 2         | DATASHEET |                 | 2026-03-01 | page 4: table 2
            measured                                      | MEASURED  |                 |            | ''
            """)
    void provenance_is_read(
            String text, Provenance.Origin origin, Provenance.Ground ground, LocalDate date, String source) {
        Provenance read = Provenance.read(text);
        assertThat(read)
                .isEqualTo(new Provenance(origin, Optional.ofNullable(ground), source, Optional.ofNullable(date)));
        assertThat(Provenance.read(read.write())).isEqualTo(read);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "hearsay", "measured (standard)", "datasheet 2026-13-01", "typical (rumour): x"})
    void what_is_no_provenance_is_refused(String text) {
        assertThatThrownBy(() -> Provenance.read(text))
                .isInstanceOfAny(UnreadableQuantity.class, IllegalArgumentException.class);
    }

    static Stream<Device> devices() {
        return Catalogue.shipped().devices().stream().map(Profile::gear);
    }

    /** Changing a value of one part changes that part and no other, for every part of everything that ships. */
    @ParameterizedTest
    @MethodSource("devices")
    void a_change_stays_in_its_part(Device device) {
        List<Part> before = Parts.of(device);
        assertThat(before).extracting(Part::mark).doesNotHaveDuplicates();
        for (int i = 0; i < before.size(); i++) {
            Part part = before.get(i);
            Device changed = Parts.with(device, part.mark(), marked(part));
            List<Part> after = Parts.of(changed);
            assertThat(after.get(i).facts()).isEqualTo(marked(part)).isNotEqualTo(part.facts());
            for (int other = 0; other < before.size(); other++) {
                if (other != i) {
                    assertThat(after.get(other)).isEqualTo(before.get(other));
                }
            }
            assertThat(Parts.with(changed, part.mark(), part.facts())).isEqualTo(device);
        }
        assertThat(Parts.with(device, "socket nowhere", Facts.NONE)).isEqualTo(device);
    }

    private static Facts marked(Part part) {
        return marked(part.facts(), Fact.all(part.of()).get(0));
    }

    private static <T> Facts marked(Facts facts, Fact<T> fact) {
        T value = fact.quantity().read(fact.quantity().example().split(" or ", 2)[0]);
        return facts.with(fact, new Value<>(value, Provenance.typical(Provenance.Ground.ESTIMATE, "marked")));
    }

    @Test
    void a_wire_of_a_lead_can_have_another_resistor() {
        Lead lead = lead("sum-mini-ts");
        Facts other = Facts.NONE.with(Fact.RESISTOR, new Value<>(new Impedance(4700), GUESS));
        Lead changed = Parts.with(lead, "wire 2", other);
        assertThat(changed.wires().get(1).facts()).isEqualTo(other);
        assertThat(changed.wires().get(0)).isEqualTo(lead.wires().get(0));
        assertThat(changed.withWires(lead.wires())).isEqualTo(lead);
    }

    static Stream<Arguments> impossible() {
        UnaryOperator<Device> twice = device -> device.withSockets(
                List.of(device.sockets().get(0), device.sockets().get(0)));
        UnaryOperator<Device> none = device -> device.withSockets(List.of());
        UnaryOperator<Device> circle = device -> device.withStages(List.of(
                new Stage("a", "a", StageKind.BUS, Optional.empty(), List.of("b"), List.of(), Facts.NONE),
                new Stage("b", "b", StageKind.BUS, Optional.empty(), List.of("c:left"), List.of(), Facts.NONE),
                new Stage("c", "c", StageKind.BUS, Optional.empty(), List.of("a"), List.of(), Facts.NONE)));
        return Stream.of(
                Arguments.of("di-active", twice, "two sockets have the same mark"),
                Arguments.of("di-active", none, "which is not there"),
                Arguments.of("guitar-humbucker", circle, "is fed by itself, in a circle"),
                Arguments.of(
                        "di-active",
                        (UnaryOperator<Device>) device -> device.withId("Not a mark"),
                        "a mark is made of a to z"));
    }

    @ParameterizedTest
    @MethodSource("impossible")
    void impossible_devices_cannot_be_made(String profile, UnaryOperator<Device> change, String reason) {
        assertThatThrownBy(() -> change.apply(device(profile)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(reason);
    }

    @Test
    void a_contact_that_a_connector_does_not_have_carries_nothing() {
        Socket output = device("guitar-humbucker").sockets().get(0);
        assertThatThrownBy(() -> output.withConnector(Connector.JACK_35_TS, Map.of(Contact.RING, Carries.RIGHT)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("a 3.5 mm two-pole connector has no contact R");
        assertThat(output.withConnector(Connector.JACK_635_TRS, Map.of(Contact.TIP, Carries.SIGNAL))
                        .contacts())
                .containsEntry(Contact.RING, Carries.NOTHING);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            a.T  | b.R  | the end “b”, a 6.35 mm two-pole connector, has no contact R
            a.T  | c.T  | a wire points at the end “c”, which is not there
            a.T  | a.T  | a wire goes from a.T to itself
            """)
    void impossible_wires_cannot_be_made(String from, String to, String reason) {
        Wire wire = new Wire(Wire.Spot.read(from), Wire.Spot.read(to), Conductor.CORE, Facts.NONE);
        assertThatThrownBy(() -> lead("ts-ts").withWires(List.of(wire)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage(reason);
    }

    @Test
    void names_have_a_length() {
        assertThat(Names.checked("  Lead 7 ")).isEqualTo("Lead 7");
        assertThatThrownBy(() -> Names.checked(" ")).hasMessage("A name has 1 to 120 letters. Write one.");
        assertThatThrownBy(() -> Names.checked("x".repeat(121)))
                .hasMessage("A name has 1 to 120 letters, this has 121. Shorten it.");
        assertThatThrownBy(() -> lead("ts-ts").withOwned(1000)).hasMessage("one owns 0 to 999 of a lead, got 1000");
        assertThat(lead("ts-ts").withColour("  ").colour()).isEmpty();
    }

    @Test
    void fresh_ids_are_marks_of_their_own() {
        assertThat(Stream.generate(() -> Ids.fresh("lead")).limit(1000).distinct())
                .hasSize(1000)
                .allSatisfy(id -> assertThat(lead("ts-ts").withId(id).id()).isEqualTo(id));
    }

    @Test
    void a_choice_is_read_whatever_its_capitals() {
        assertThat(Coded.read(Connector.class, " usb-c ")).isEqualTo(Connector.USB_C);
        assertThatThrownBy(() -> Coded.read(Conductor.class, "string"))
                .hasMessage("“string” is not a choice here. Choose one of: core, shield.");
    }

    @Test
    void facts_compare_by_what_is_known() {
        Value<Impedance> value = new Value<>(new Impedance(150), GUESS);
        Facts facts = Facts.NONE.with(Fact.SOURCE_IMPEDANCE, value).with(Fact.LOAD_IMPEDANCE, value);
        assertThat(facts.without(Fact.LOAD_IMPEDANCE)).isEqualTo(Facts.NONE.with(Fact.SOURCE_IMPEDANCE, value));
        assertThat(facts.printed(Fact.SOURCE_IMPEDANCE)).contains("150 Ω");
        assertThat(facts.get(Fact.NOMINAL_LEVEL)).isEmpty();
        assertThat(new Facts.Builder()
                        .with(Fact.LOAD_IMPEDANCE, value)
                        .with(Fact.SOURCE_IMPEDANCE, value)
                        .build())
                .isEqualTo(facts);
    }
}
