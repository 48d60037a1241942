package kalodyne.core.gear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.units.UnreadableQuantity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Changing which sockets gear has and how leads are wired: on everything in the catalogue. */
class StructureTest {
    static Stream<Device> devices() {
        return Catalogue.shipped().devices().stream().map(Profile::gear);
    }

    static Stream<Lead> leads() {
        return Catalogue.shipped().leads().stream().map(Profile::gear);
    }

    private static Lead lead(String profile) {
        return Catalogue.shipped().lead(profile).orElseThrow().gear();
    }

    private static Stream<String> pointers(Device device) {
        return Stream.concat(
                device.stages().stream().flatMap(stage -> stage.from().stream()),
                device.sockets().stream().flatMap(socket -> socket.ties().others().stream()));
    }

    /** The socket that is pointed at, whichever side of it. */
    private static String socketOf(String pointer) {
        int colon = pointer.indexOf(':');
        return colon < 0 ? pointer : pointer.substring(0, colon);
    }

    /** The order of AES14 (XLR), RP-054 (MIDI on a jack), CTIA and, in the last line, of nobody else. */
    @ParameterizedTest
    @CsvSource({
        "XLR three-pin,       mic,        balanced,   in,  1=shield 2=hot 3=cold",
        "6.35 mm three-pole,  line,       balanced,   out, T=hot R=cold S=shield",
        "6.35 mm three-pole,  headphone,  unbalanced, out, T=left R=right S=common",
        "3.5 mm three-pole,   MIDI,       ,           out, T=MIDI sink R=MIDI source S=shield",
        "3.5 mm four-pole,    headset,    unbalanced, both, T=left R1=right R2=common S=mic",
        "6.35 mm three-pole,  line,       unbalanced, both, T=send R=return S=common",
        "five-pin DIN,        MIDI,       ,           in,  4=MIDI source 5=MIDI sink",
        "RCA,                 digital,    ,           out, pin=data shell=ground",
        "'mains, not earthed', power,     ,           in,  live=live neutral=neutral"
    })
    void contacts_carry_what_is_usual(String connector, String signal, String balance, String way, String expected) {
        Map<Contact, Carries> contacts = UsualContacts.of(
                Coded.read(Connector.class, connector),
                Coded.read(SignalKind.class, signal),
                Optional.ofNullable(balance).map(word -> Coded.read(Balance.class, word)),
                Coded.read(Direction.class, way));
        assertThat(contacts.entrySet().stream()
                        .filter(entry -> entry.getValue() != Carries.NOTHING)
                        .map(entry ->
                                entry.getKey().word() + "=" + entry.getValue().word())
                        .collect(Collectors.joining(" ")))
                .isEqualTo(expected);
    }

    /** Only microphones on small jacks, headsets of the other order, and sockets for chargers are wired otherwise. */
    @Test
    void what_is_usual_agrees_with_the_catalogue() {
        List<Socket> sockets =
                devices().flatMap(device -> device.sockets().stream()).toList();
        List<Socket> unusual = sockets.stream()
                .filter(socket -> !socket.withConnector(
                                socket.connector(),
                                UsualContacts.of(socket.connector(), socket.signal(), socket.balance(), socket.way()))
                        .equals(socket))
                .toList();
        assertThat(unusual)
                .allMatch(socket -> (List.of(SignalKind.MIC, SignalKind.HEADSET, SignalKind.LINE)
                                        .contains(socket.signal())
                                && socket.connector().family() == Connector.Family.JACK_35)
                        || socket.id().equals("charge"));
        assertThat(unusual).hasSizeLessThan(sockets.size() / 20);
    }

    @ParameterizedTest
    @MethodSource("devices")
    void a_socket_comes_and_goes_with_all_that_points_at_it(Device device) {
        for (Socket socket : device.sockets()) {
            Device more = SocketEdits.another(device, socket);
            Set<String> before = device.sockets().stream().map(Socket::id).collect(Collectors.toSet());
            Socket added = more.sockets().stream()
                    .filter(each -> !before.contains(each.id()))
                    .findFirst()
                    .orElseThrow();
            assertThat(added.words()).isEqualTo(socket.words());
            assertThat(pointers(more).filter(from -> socketOf(from).equals(added.id())))
                    .hasSameSizeAs(device.stages().stream()
                            .flatMap(stage -> stage.from().stream())
                            .filter(from -> socketOf(from).equals(socket.id()))
                            .toList());
            assertThat(SocketEdits.without(more, added.id())).isEqualTo(device);
            Device less = SocketEdits.without(device, socket.id());
            assertThat(less.sockets()).hasSize(device.sockets().size() - 1);
            assertThat(pointers(less).map(StructureTest::socketOf)).doesNotContain(socket.id());
        }
    }

    /** A headphone socket that becomes a mono one has no left side any more to listen to. */
    @Test
    void a_side_that_is_gone_is_not_pointed_at() {
        Device device = devices()
                .filter(each -> pointers(each).anyMatch(from -> from.endsWith(":left")))
                .findFirst()
                .orElseThrow();
        String id = pointers(device)
                .filter(from -> from.endsWith(":left"))
                .map(StructureTest::socketOf)
                .findFirst()
                .orElseThrow();
        Socket mono = device.socket(id)
                .orElseThrow()
                .withConnector(
                        Connector.JACK_635_TS, Map.of(Contact.TIP, Carries.SIGNAL, Contact.SLEEVE, Carries.COMMON));
        Device changed = SocketEdits.changed(device, mono);
        assertThat(pointers(changed)).contains(id).doesNotContain(id + ":left", id + ":right");
    }

    @ParameterizedTest
    @MethodSource("leads")
    void an_end_that_stays_as_it_is_keeps_its_wires(Lead lead) {
        for (LeadEnd end : lead.ends()) {
            assertThat(EndEdits.changed(lead, end, EndEdits.wiring(lead, end.id())))
                    .isEqualTo(lead);
            Lead more = EndEdits.another(lead, end);
            LeadEnd added = more.ends().get(more.ends().size() - 1);
            assertThat(EndEdits.wiring(more, added.id())).isEqualTo(EndEdits.wiring(lead, end.id()));
            assertThat(EndEdits.without(more, added.id())).isEqualTo(lead);
        }
    }

    /** How such leads are soldered is common practice: hot to hot, cold to cold, shield to shield. */
    @Test
    void another_plug_is_soldered_as_usual() {
        Lead lead = lead("xlr-xlr");
        LeadEnd end = lead.ends().get(1);
        Lead changed = EndEdits.changed(
                lead,
                new LeadEnd(end.id(), "", Connector.JACK_635_TRS, Form.PLUG),
                EndEdits.carriedOver(lead, end, Connector.JACK_635_TRS));
        assertThat(changed.wires().stream()
                        .map(wire -> wire.conductor().word() + " "
                                + Stream.of(wire.from().write(), wire.to().write())
                                        .sorted()
                                        .collect(Collectors.joining(" "))))
                .containsExactlyInAnyOrder("core a.2 b.T", "core a.3 b.R", "shield a.1 b.S");
    }

    @Test
    void a_lead_keeps_two_ends() {
        Lead lead = lead("xlr-xlr");
        assertThatThrownBy(() -> EndEdits.without(lead, "a")).isInstanceOf(UnreadableQuantity.class);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            44.1, 48, 96 kHz | 44.1, 48, 96 kHz
            44,1; 48; 88,2   | 44.1, 48, 88.2 kHz
            44100 48000      | 44.1, 48 kHz
            11.025 kHz       | 11.025 kHz
            ''               | ''
            """)
    void sample_rates_are_read_as_people_list_them(String typed, String printed) {
        assertThat(Conversion.printRates(Conversion.readRates(typed))).isEqualTo(printed);
    }

    @ParameterizedTest
    @ValueSource(strings = {"fast", "48 bit kHz", "48,, 96", "44.10001 kHz", "1 2 3 4 5 6 7 8 9 10 11", "-48"})
    void what_is_no_list_of_sample_rates_is_refused(String typed) {
        assertThatThrownBy(() -> Conversion.readRates(typed)).isInstanceOf(UnreadableQuantity.class);
    }

    @Test
    void bit_depths_are_read_as_people_list_them() {
        assertThat(Conversion.readDepths("16, 24 bit")).containsExactly(16, 24);
        assertThat(Conversion.printDepths(List.of(16, 24))).isEqualTo("16, 24 bit");
        assertThatThrownBy(() -> Conversion.readDepths("16.5")).isInstanceOf(UnreadableQuantity.class);
    }
}
