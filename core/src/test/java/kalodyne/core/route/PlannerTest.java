package kalodyne.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.catalogue.Catalogue;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Wiring;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What home musicians own and wish, and the way that is told first. */
class PlannerTest {
    /** Gear of the catalogue by its ids: "ts-ts*2 interface-2". */
    private record Shelf(List<Device> devices, List<Lead> leads) {
        static Shelf of(String line) {
            Catalogue catalogue = Catalogue.shipped();
            List<Device> devices = new ArrayList<>();
            Map<String, Lead> leads = new LinkedHashMap<>();
            for (String word : line.split(" +", -1)) {
                int star = word.indexOf('*');
                String id = star < 0 ? word : word.substring(0, star);
                int count = star < 0 ? 1 : Integer.parseInt(word.substring(star + 1));
                if (catalogue.device(id).isPresent()) {
                    devices.add(catalogue.device(id).get().gear());
                } else {
                    leads.put(id, catalogue.lead(id).orElseThrow().gear().withOwned(count));
                }
            }
            return new Shelf(devices, List.copyOf(leads.values()));
        }

        Plan plan(Wish wish) {
            return new Planner(devices, leads, Catalogue.shipped(), Wiring.NONE).plan(wish, () -> false);
        }
    }

    /** "synth > laptop", several sources with commas. */
    private static Wish wish(String line, String stereo) {
        String[] ends = line.split(" > ", -1);
        return Wish.of("", ends[1])
                .withSources(List.of(ends[0].split(",", -1)))
                .withStereo(stereo == null ? Stereo.NO_MATTER : Stereo.valueOf(stereo));
    }

    /** "interface-2, 1 channel, nothing to get; weak response.dull". */
    static String told(Way way) {
        String strands = way.strands().stream()
                .map(strand -> (strand.stations().size() == 2
                                ? "straight"
                                : String.join(
                                        " ",
                                        strand.stations()
                                                .subList(1, strand.stations().size() - 1)))
                        + " "
                        + strand.channels())
                .collect(Collectors.joining(" + "));
        String missing = way.missing().stream()
                .map(each -> each.price() + " " + each.words())
                .collect(Collectors.joining(", "));
        String findings = way.findings().stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .map(Finding::code)
                .distinct()
                .collect(Collectors.joining(" "));
        return (strands + (missing.isEmpty() ? "" : "; get " + missing) + (findings.isEmpty() ? "" : "; " + findings));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            S1  | recorder-handheld usb-a-c laptop-combo mic-dynamic-voice xlr-xlr headphones-32 | mic-dynamic-voice > laptop-combo | | recorder-handheld 1
            S1b | recorder-handheld usb-a-c-charge laptop-combo mic-dynamic-voice xlr-xlr headphones-32 | mic-dynamic-voice > laptop-combo | | recorder-handheld 1; get A USB lead, A to C
            S2  | dj-player laptop-combo usb-a-b rca-rca interface-rca usb-a-c | dj-player > laptop-combo | KEEP | straight 2
            S2b | dj-player laptop-combo rca-rca interface-rca usb-a-c | dj-player > laptop-combo | KEEP | interface-rca 2
            S3  | modular-output-module mixer-rack interface-2 laptop-combo 35-ts-635*2 ts-ts*2 trs-trs*2 usb-a-c | modular-output-module > laptop-combo | KEEP | interface-2 2
            S4  | headset-two-plugs phone-ctia headset-splitter-ctia | headset-two-plugs > phone-ctia | | straight 1
            S4b | headset-two-plugs phone-omtp headset-splitter-ctia | headset-two-plugs > phone-omtp | | straight 1; get A Headset splitter, OMTP: microphone and headphones apart
            S5  | mixer-small phone-ctia attenuator-phone 635-plug-35-socket trs-trs | mixer-small > phone-ctia | | straight 1
            S5b | mixer-small phone-digital attenuator-phone 635-plug-35-socket trs-trs | mixer-small > phone-digital | | get-headset-adapter-usb 1; get B Adapter from USB-C to a four-pole headset socket
            S6  | guitar-single-coil phone-ctia ts-ts guitar-phone-adapter | guitar-single-coil > phone-ctia | | guitar-phone-adapter 1; response.dull
            S6b | guitar-single-coil phone-digital ts-ts guitar-phone-adapter interface-guitar-usb usb-c-c | guitar-single-coil > phone-digital | | interface-guitar-usb 1
            S7  | mic-usb phone-digital usb-c-c host-adapter-charging usb-a-c | mic-usb > phone-digital | | straight 2
            S8  | mic-condenser-large interface-1 phone-ctia xlr-xlr usb-c-c | mic-condenser-large > phone-ctia | | interface-1 get-host-adapter-charging 1; get B Host adapter with a charging socket, A USB lead, C to C
            S8b | mic-condenser-large interface-1 phone-ctia xlr-xlr usb-c-c usb-a-c hub-charging | mic-condenser-large > phone-ctia | | interface-1 hub-charging 1
            S9  | mic-dynamic-low preamp-xlr mixer-small xlr-xlr*2 trs-trs xlr-trs | mic-dynamic-low > mixer-small | | preamp-xlr 1
            S10 | mic-dynamic-voice guitar-humbucker interface-2 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital | | interface-2 1 + interface-2 1
            S11 | synth-digital interface-4 laptop-combo ts-ts*2 trs-trs*2 usb-a-c | synth-digital > laptop-combo | KEEP | interface-4 2
            S11b | synth-digital interface-4 laptop-combo ts-ts*2 usb-a-c | synth-digital > laptop-combo | KEEP | interface-4 2
            S13 | piano-digital mic-dynamic-voice interface-4 laptop-combo ts-ts*2 xlr-xlr usb-c-c | piano-digital,mic-dynamic-voice > laptop-combo | KEEP | interface-4 2 + interface-4 1
            S14 | drum-machine interface-2 laptop-combo ts-ts*2 usb-a-c midi-din*2 | drum-machine > laptop-combo | KEEP | interface-2 2
            S15 | mic-dynamic-voice interface-2 laptop-combo xlr-xlr usb-c-c | mic-dynamic-voice > laptop-combo | | interface-2 1
            S15b | mic-condenser-large mixer-small-usb laptop-combo xlr-xlr usb-a-b | mic-condenser-large > laptop-combo | | mixer-small-usb 1
            S16 | wireless-receiver phone-ctia mini-mini mic-trs-trrs | wireless-receiver > phone-ctia | | straight 1; get A Attenuating lead, line to a phone's headset socket (CTIA)
            S16b | wireless-receiver phone-digital mini-mini mic-trs-trrs headset-adapter-usb | wireless-receiver > phone-digital | | headset-adapter-usb 1; get A Attenuating lead, line to a phone's headset socket (CTIA)
            S17 | groovebox phone-ctia mini-mini headset-splitter-ctia | groovebox > phone-ctia | | straight 2; get A USB lead, C to C
            S17b | groovebox phone-ctia mini-mini headset-splitter-ctia attenuator-phone | groovebox > phone-ctia | | straight 1
            S18 | guitar-single-coil interface-2 laptop-combo ts-ts usb-a-c-charge usb-c-c | guitar-single-coil > laptop-combo | | interface-2 1
            S19 | mixer-small camera-mic-in mini-mini 635-plug-35-socket attenuator-mini | mixer-small > camera-mic-in | KEEP | straight 2
            S20 | turntable-mm phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c | turntable-mm > laptop-combo | KEEP | phono-preamp interface-rca 2
            S20b | turntable-preamp phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c | turntable-preamp > laptop-combo | KEEP | interface-rca 2
            """)
    void the_best_way_is_told_first(String situation, String shelf, String wish, String stereo, String expected) {
        Plan plan = Shelf.of(shelf).plan(wish(wish, stereo));
        String first = plan.ways().stream().findFirst().map(PlannerTest::told).orElse("nothing");
        assertThat(first + plan.impossible().map(words -> " !").orElse(""))
                .as(situation)
                .isEqualTo(expected);
    }

    /** Every order of devices, every socket, every lead: nothing that a plain search finds is better. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            synth-analogue interface-2 laptop-combo mixer-small ts-ts trs-trs*2 usb-a-c | synth-analogue > laptop-combo |
            drum-box-headphone phone-ctia mini-mini headset-splitter-ctia attenuator-phone mini-trs | drum-box-headphone > phone-ctia |
            piano-digital interface-2 di-passive laptop-combo ts-ts*2 trs-trs xlr-xlr usb-c-c | piano-digital > laptop-combo | KEEP
            turntable-mm phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c | turntable-mm > laptop-combo | KEEP
            guitar-humbucker di-active interface-1 laptop-combo ts-ts*2 xlr-xlr usb-c-c | guitar-humbucker > laptop-combo |
            """)
    void a_plain_search_finds_nothing_better(String line, String wished, String stereo) {
        Shelf shelf = Shelf.of(line);
        Wish wish = wish(wished, stereo);
        Plan plan = shelf.plan(wish);
        Map<String, Device> devices = new LinkedHashMap<>();
        shelf.devices().forEach(device -> devices.put(device.id(), device));
        Hops hops = new Hops(devices, Drawer.of(shelf.leads(), Set.of(), List.of()), shelf.leads());
        Everything everything = new Everything(devices, hops, wish);
        everything.from(new Chain(List.of(), Set.of()), wish.sources().get(0), Optional.empty());
        assertThat(everything.tried).isGreaterThan(5);
        assertThat(plan.ways().get(0).score()).isLessThanOrEqualTo(everything.best + 1e-9);
    }

    /** Goes every way there is. */
    private static final class Everything {
        private final Map<String, Device> devices;
        private final Hops hops;
        private final Wish wish;
        private double best = Double.POSITIVE_INFINITY;
        private int tried;

        Everything(Map<String, Device> devices, Hops hops, Wish wish) {
            this.devices = devices;
            this.hops = hops;
            this.wish = wish;
        }

        void from(Chain chain, String device, Optional<Port> in) {
            Ports ports = new Ports(devices.get(device));
            List<Port> outs = new ArrayList<>(ports.outlets().stream()
                    .filter(out -> in.isEmpty()
                            || (!in.get().shape().isDigital() && ports.inside().passes(in.get(), out)))
                    .toList());
            ports.dataOut()
                    .filter(out -> in.isEmpty() || in.get().shape().isDigital() || ports.converts(in.get()))
                    .ifPresent(outs::add);
            Set<String> seen =
                    chain.hops().stream().map(hop -> hop.to().device()).collect(Collectors.toSet());
            for (Port out : outs) {
                for (String next : devices.keySet()) {
                    if (!seen.contains(next) && !next.equals(wish.sources().get(0))) {
                        into(chain, out, next);
                    }
                }
            }
        }

        private void into(Chain chain, Port out, String next) {
            Ports ports = new Ports(devices.get(next));
            for (Port in : out.shape().isDigital() ? ports.dataIns() : ports.inlets()) {
                for (Joining joining : hops.joinings().of(out.shape(), in.shape())) {
                    joining.between(out, in, chain.used()).ifPresent(made -> {
                        Chain longer = chain.with(new Hop(out, in, made, hops.joints(made.pluggings())));
                        if (!next.equals(wish.target())) {
                            from(longer, next, Optional.of(in));
                        } else if (in.shape().isDigital() || ports.converts(in)) {
                            tried++;
                            new WayMaker(devices, hops, wish)
                                    .of(List.of(longer), Wiring.NONE)
                                    .way()
                                    .ifPresent(way -> best = Math.min(best, way.score()));
                        }
                    });
                }
            }
        }
    }

    /** What cannot be is said, with the nearest that can. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            laptop-combo interface-2 | laptop-combo > laptop-combo | | cannot record itself
            synth-analogue laptop-combo | synth-analogue > nothing | | is not on the shelf
            synth-analogue headphones-32 | synth-analogue > headphones-32 | | does not record
            headphones-32 laptop-combo | headphones-32 > laptop-combo | | has no output
            synth-analogue laptop-combo interface-2 | synth-analogue,synth-analogue > laptop-combo | | stands there twice
            drum-box-headphone phone-ctia attenuator-phone | drum-box-headphone > phone-ctia | KEEP |
            """)
    void what_is_impossible_is_said(String shelf, String wish, String stereo, String expected) {
        Plan plan = Shelf.of(shelf).plan(wish(wish, stereo));
        if (expected == null) {
            // A phone's socket hears one channel; by something to get both sides are kept.
            assertThat(plan.ways().get(0).channels()).isEqualTo(2);
            assertThat(plan.ways().get(0).missing()).isNotEmpty();
        } else {
            assertThat(plan.ways()).isEmpty();
            assertThat(plan.impossible().orElseThrow()).contains(expected);
        }
    }

    /** No order of a map, no clock and no chance has a say. */
    @Test
    void the_same_wish_gives_the_same_plan() {
        Shelf shelf = Shelf.of("synth-analogue interface-2 laptop-combo mixer-small ts-ts trs-trs*2 usb-a-c");
        Wish wish = wish("synth-analogue > laptop-combo", null);
        List<String> first =
                shelf.plan(wish).ways().stream().map(PlannerTest::told).toList();
        assertThat(shelf.plan(wish).ways().stream().map(PlannerTest::told)).containsExactlyElementsOf(first);
        assertThat(first).hasSizeGreaterThanOrEqualTo(2);
    }

    /** Somebody cancels: what is there is told, and nothing hangs. */
    @ParameterizedTest
    @CsvSource({"0", "3"})
    void a_search_can_be_cancelled(int after) {
        Shelf shelf = Shelf.of("synth-analogue interface-2 laptop-combo mixer-small ts-ts trs-trs*2 usb-a-c");
        int[] asked = new int[1];
        Plan plan = new Planner(shelf.devices(), shelf.leads(), Catalogue.shipped(), Wiring.NONE)
                .plan(wish("synth-analogue > laptop-combo", null), () -> asked[0]++ >= after);
        assertThat(asked[0]).isLessThan(after + 10);
        assertThat(plan.ways().isEmpty()).isEqualTo(after == 0);
    }
}
