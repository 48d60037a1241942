package kalodyne.core.gear.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.SignalKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The profiles that ship: their form, that they cover the work, and that they agree with published standards. */
class CatalogueTest {
    private static final Catalogue CATALOGUE = Catalogue.shipped();

    static Stream<Path> files() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("src/main/resources/kalodyne/core/gear/catalogue"))) {
            return files.toList().stream();
        }
    }

    @ParameterizedTest
    @MethodSource("files")
    void follows_the_published_schema(Path file) throws IOException {
        assertThat(JsonFormat.CATALOGUE.read(file).fields()).isNotEmpty();
        try (InputStream shipped =
                Catalogue.class.getResourceAsStream(file.getFileName().toString())) {
            assertThat(new String(shipped.readAllBytes(), StandardCharsets.UTF_8))
                    .isEqualTo(Files.readString(file));
        }
    }

    @Test
    void has_enough_under_names_of_their_own() throws IOException {
        assertThat(CATALOGUE.devices()).hasSizeGreaterThanOrEqualTo(70);
        assertThat(CATALOGUE.leads()).hasSizeGreaterThanOrEqualTo(60);
        List<String> ids = Stream.concat(
                        CATALOGUE.devices().stream()
                                .map(profile -> profile.gear().id()),
                        CATALOGUE.leads().stream().map(profile -> profile.gear().id()))
                .toList();
        assertThat(ids).doesNotHaveDuplicates();
        assertThat(CATALOGUE.devices())
                .extracting(profile -> profile.gear().name())
                .doesNotHaveDuplicates();
        assertThat(CATALOGUE.leads())
                .extracting(profile -> profile.gear().name())
                .doesNotHaveDuplicates();
        // Every file of the folder is read: nothing lies there forgotten.
        int described = files().mapToInt(CatalogueTest::entries).sum();
        assertThat(described).isEqualTo(ids.size());
    }

    private static int entries(Path file) {
        try {
            var root = JsonFormat.CATALOGUE.read(file);
            return root.get("devices").items().size()
                    + root.get("leads").items().size();
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    /** Every kind of device, signal and connector that the program knows is there to be chosen. */
    @Test
    void covers_every_kind() {
        Set<DeviceKind> kinds = CATALOGUE.devices().stream()
                .map(profile -> profile.gear().kind())
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(DeviceKind.class)));
        assertThat(kinds).containsExactlyInAnyOrder(DeviceKind.values());
        Set<SignalKind> signals = CATALOGUE.devices().stream()
                .flatMap(profile -> profile.gear().sockets().stream())
                .map(socket -> socket.signal())
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(SignalKind.class)));
        assertThat(EnumSet.complementOf(EnumSet.copyOf(signals))).containsOnly(SignalKind.POWER);
        Set<Connector> ends = CATALOGUE.leads().stream()
                .flatMap(profile -> profile.gear().ends().stream())
                .map(end -> end.connector())
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Connector.class)));
        assertThat(EnumSet.complementOf(EnumSet.copyOf(ends)))
                .containsOnly(
                        Connector.RADIO,
                        Connector.EARTH_POST,
                        Connector.POSTS,
                        Connector.BARREL,
                        Connector.MAINS_2,
                        Connector.MAINS_3);
    }

    static Stream<Device> devices() {
        return CATALOGUE.devices().stream().map(Profile::gear);
    }

    static Stream<Lead> leads() {
        return CATALOGUE.leads().stream().map(Profile::gear);
    }

    @Test
    void every_value_is_typical_and_tells_what_it_rests_on() {
        Stream<Part> parts = Stream.concat(
                devices().flatMap(device -> Parts.of(device).stream()),
                leads().flatMap(lead -> Parts.of(lead).stream()));
        Set<Provenance.Ground> grounds = new TreeSet<>();
        parts.forEach(part -> part.facts().known().forEach(fact -> {
            Provenance from = part.facts().get(fact).orElseThrow().from();
            assertThat(from.origin()).isEqualTo(Provenance.Origin.TYPICAL);
            assertThat(from.source()).as(part.mark() + " " + fact).hasSizeGreaterThan(5);
            grounds.add(from.ground().orElseThrow());
        }));
        assertThat(grounds).containsExactlyInAnyOrder(Provenance.Ground.values());
    }

    /** IEC 61938 (from memory): 48 V ± 4 V through 6.8 kΩ, 10 mA at the most. */
    @Test
    void phantom_power_is_that_of_the_standard() {
        List<Part> feeds = devices()
                .flatMap(device -> Parts.of(device).stream())
                .filter(part -> part.label().contains("gives phantom"))
                .toList();
        assertThat(feeds).hasSizeGreaterThan(20).allSatisfy(feed -> {
            assertThat(feed.facts().quantity(Fact.SUPPLY_VOLTAGE).orElseThrow().volts())
                    .isBetween(44.0, 52.0);
            assertThat(feed.facts()
                            .quantity(Fact.SUPPLY_RESISTANCE)
                            .orElseThrow()
                            .ohms())
                    .isEqualTo(6800);
            assertThat(feed.facts().quantity(Fact.SUPPLY_CURRENT).orElseThrow().amperes())
                    .isLessThanOrEqualTo(0.010);
        });
        assertThat(devices()
                        .flatMap(device -> Parts.of(device).stream())
                        .filter(part -> part.label().contains("needs phantom")))
                .allSatisfy(need -> assertThat(need.facts()
                                .quantity(Fact.SUPPLY_CURRENT)
                                .orElseThrow()
                                .amperes())
                        .isLessThanOrEqualTo(0.010));
    }

    /** What phantom power must never reach says so: a ribbon, and line sockets with three pins. */
    @Test
    void what_phantom_harms_is_marked() {
        assertThat(CATALOGUE.device("mic-ribbon-passive").orElseThrow().gear().sockets())
                .allSatisfy(socket -> assertThat(socket.power())
                        .anySatisfy(power -> assertThat(power.role()).isEqualTo(PowerRole.HARMED)));
        assertThat(devices()
                        .flatMap(device -> device.sockets().stream())
                        .filter(socket -> socket.connector() == Connector.XLR)
                        .filter(socket -> socket.signal() == SignalKind.LINE && socket.way() == Direction.OUT))
                .hasSizeGreaterThan(5)
                .allSatisfy(socket -> assertThat(socket.power())
                        .anySatisfy(power -> assertThat(power.role()).isEqualTo(PowerRole.HARMED)));
    }

    @Test
    void every_question_has_an_answer_to_start_from() {
        for (Profile<Device> profile : CATALOGUE.devices()) {
            for (Ask ask : profile.asks()) {
                if (ask instanceof Ask.OfValue value) {
                    assertThat(Parts.find(Parts.of(profile.gear()), value.part())
                                    .flatMap(part -> part.facts().get(value.fact())))
                            .as(profile.gear().id() + ": " + ask.question())
                            .isPresent();
                } else if (ask instanceof Ask.OfSocket sockets) {
                    assertThat(profile.gear().sockets())
                            .as(profile.gear().id())
                            .filteredOn(socket -> sockets.sockets().contains(socket.id()))
                            .hasSameSizeAs(sockets.sockets())
                            .allSatisfy(socket -> assertThat(sockets.choices())
                                    .anySatisfy(choice ->
                                            assertThat(choice.connector()).isEqualTo(socket.connector())));
                } else {
                    assertThat(profile.gear().powering())
                            .as(profile.gear().id())
                            .hasSizeGreaterThan(0);
                }
            }
        }
    }

    /** No wire is missing in a plain lead: a straight one joins like with like. */
    @ParameterizedTest
    @MethodSource("leads")
    void leads_are_wired(Lead lead) {
        assertThat(lead.wires()).isNotEmpty();
        assertThat(lead.ends())
                .allSatisfy(end -> assertThat(lead.wires())
                        .anySatisfy(wire -> assertThat(
                                        List.of(wire.from().end(), wire.to().end()))
                                .contains(end.id())));
        boolean isPlain = lead.ends().size() == 2
                && lead.ends().get(0).connector() == lead.ends().get(1).connector()
                && Set.of("xlr-xlr", "trs-trs", "ts-ts", "mini-mini", "trrs-trrs", "usb-c-c")
                        .contains(lead.id());
        if (isPlain) {
            assertThat(lead.wires())
                    .hasSameSizeAs(lead.ends().get(0).connector().contacts())
                    .allSatisfy(wire -> assertThat(wire.from().contact())
                            .isEqualTo(wire.to().contact()));
        }
    }
}
