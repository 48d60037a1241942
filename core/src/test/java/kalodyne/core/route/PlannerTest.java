package kalodyne.core.route;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Driver;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.studio.Studio;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What home musicians own and wish, and the way that is told first. */
class PlannerTest {
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
                .map(each -> each.price() + " " + each.words().replaceAll(" \\([^()]*\\)$", ""))
                .collect(Collectors.joining(", "));
        String heard = way.monitoring().isAsWished()
                ? way.monitoring().words().startsWith("Not") ? "" : "; heard"
                : "; not heard";
        String sideTasks = way.sideTasks().stream()
                .filter(sideTask -> sideTask.of() != SideTask.Of.POWER || !sideTask.isDone())
                .map(sideTask -> (sideTask.isDone() ? "; " : "; not ")
                        + sideTask.of().word().toLowerCase(Locale.ROOT))
                .distinct()
                .collect(Collectors.joining());
        String findings = way.findings().stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .map(Finding::mark)
                .distinct()
                .collect(Collectors.joining(" "));
        return (strands
                + (missing.isEmpty() ? "" : "; get " + missing)
                + (findings.isEmpty() ? "" : "; " + findings)
                + heard
                + sideTasks);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            S1  | recorder-handheld usb-a-c laptop-combo mic-dynamic-voice xlr-xlr headphones-32 | mic-dynamic-voice > laptop-combo | | recorder-handheld 1
            S1b | recorder-handheld usb-a-c-charge laptop-combo mic-dynamic-voice xlr-xlr headphones-32 | mic-dynamic-voice > laptop-combo | | recorder-handheld 1; get A USB lead, C to C
            S2  | dj-player laptop-combo usb-a-b rca-rca interface-rca usb-a-c | dj-player > laptop-combo | KEEP | straight 2
            S2b | dj-player laptop-combo rca-rca interface-rca usb-a-c | dj-player > laptop-combo | KEEP | interface-rca 2
            S3  | modular-output-module mixer-rack interface-2 laptop-combo 35-ts-635*2 ts-ts*2 trs-trs*2 usb-a-c | modular-output-module > laptop-combo | KEEP | interface-2 2
            S4  | headset-two-plugs phone-ctia headset-splitter-ctia | headset-two-plugs > phone-ctia | | straight 1
            S4b | headset-two-plugs phone-omtp headset-splitter-ctia | headset-two-plugs > phone-omtp | | straight 1; get A Headset splitter, OMTP: microphone and headphones apart
            S5  | mixer-small phone-ctia attenuator-phone 635-plug-35-socket trs-trs | mixer-small > phone-ctia | | straight 1
            S5b | mixer-small phone-digital attenuator-phone 635-plug-35-socket trs-trs | mixer-small > phone-digital | | get-headset-adapter-usb 1; get A Adapter from USB-C to a four-pole headset socket
            S6  | guitar-single-coil phone-ctia ts-ts guitar-phone-adapter | guitar-single-coil > phone-ctia | | guitar-phone-adapter 1; response.dull
            S6b | guitar-single-coil phone-digital ts-ts guitar-phone-adapter interface-guitar-usb usb-c-c | guitar-single-coil > phone-digital | | interface-guitar-usb 1
            S7  | mic-usb phone-digital usb-c-c host-adapter-charging usb-a-c | mic-usb > phone-digital | | straight 2
            S8  | mic-condenser-large interface-1 phone-ctia xlr-xlr usb-c-c usb-a-c power-bank | mic-condenser-large > phone-ctia | | interface-1 get-host-adapter-charging 1; get B Host adapter with a charging socket
            S8b | mic-condenser-large interface-1 phone-ctia xlr-xlr usb-c-c*2 usb-a-c hub-charging power-bank | mic-condenser-large > phone-ctia | | interface-1 hub-charging 1
            S9  | mic-dynamic-low@-60 preamp-xlr mixer-small xlr-xlr*2 trs-trs xlr-trs | mic-dynamic-low > mixer-small | | preamp-xlr 1
            S9c | mic-dynamic-low preamp-xlr mixer-small-usb laptop-combo xlr-xlr*2 trs-trs xlr-trs usb-a-b | mic-dynamic-low > laptop-combo; by preamp | | preamp-xlr mixer-small-usb 1
            S15f | mic-dynamic-voice interface-card laptop-combo xlr-xlr usb-a-c headphones-80 headphones-250 | mic-dynamic-voice > laptop-combo; headphones-80+headphones-250 | | interface-card 1; heard
            S15g | mic-dynamic-voice interface-2 laptop-combo xlr-xlr usb-c-c headphones-80 headphones-250 | mic-dynamic-voice > laptop-combo; headphones-80+headphones-250; NOTHING | | interface-2 1; not heard
            S10 | mic-dynamic-voice guitar-humbucker interface-2 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital | | interface-2 1 + interface-2 1
            S11 | synth-digital interface-4 laptop-combo ts-ts*2 trs-trs*2 usb-a-c | synth-digital > laptop-combo | KEEP | interface-4 2
            S11b | synth-digital interface-4 laptop-combo ts-ts*2 usb-a-c | synth-digital > laptop-combo | KEEP | interface-4 2
            S13 | piano-digital mic-dynamic-voice interface-4 laptop-combo ts-ts*2 xlr-xlr usb-c-c | piano-digital,mic-dynamic-voice > laptop-combo | KEEP | interface-4 2 + interface-4 1
            S14 | drum-machine interface-2 laptop-combo ts-ts*2 usb-a-c midi-din*2 | drum-machine > laptop-combo | KEEP | interface-2 2
            S15 | mic-dynamic-voice interface-2 laptop-combo xlr-xlr usb-c-c | mic-dynamic-voice > laptop-combo | | interface-2 1
            S1c | recorder-handheld interface-1 usb-a-c usb-c-c laptop-combo mic-dynamic-voice xlr-xlr earphones-16 | mic-dynamic-voice > laptop-combo; earphones-16; copy | | recorder-handheld 1; heard; also captured
            S1d | interface-1 usb-c-c laptop-combo mic-dynamic-voice xlr-xlr earphones-16 635-plug-35-socket | mic-dynamic-voice > laptop-combo; earphones-16; copy; NOTHING | | interface-1 1; heard; not also captured
            S2c | dj-player laptop-combo usb-a-b rca-rca interface-rca usb-a-c | dj-player > laptop-combo; mixes | KEEP | straight 2; also captured
            S2d | dj-player laptop-combo rca-rca interface-rca usb-a-c | dj-player > laptop-combo; mixes; NOTHING | KEEP | interface-rca 2; not also captured
            S3b | modular-output-module mixer-rack laptop-combo 35-ts-635*2 ts-ts*2 trs-trs*2 | modular-output-module > laptop-combo | KEEP | get-interface-2 2; get C Two-input interface, bus powered, A USB lead, A to C
            S7b | mic-usb phone-digital usb-c-c*2 host-adapter-charging usb-a-c charger-usb | mic-usb > phone-digital; charging | | host-adapter-charging 2; charging
            S7c | mic-usb phone-digital usb-c-c | mic-usb > phone-digital; charging; NOTHING | | straight 2; not charging
            S9b | mic-dynamic-low@-60 preamp-xlr mixer-small xlr-xlr*2 | mic-dynamic-low > mixer-small; NOTHING | | straight 1
            S10b | mic-dynamic-voice guitar-humbucker interface-1 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital | | get-interface-mic-inst 1 + get-interface-mic-inst 1; get C Small interface, mic on 1, instrument on 2
            S11c | synth-analogue interface-4 laptop-combo ts-ts trs-trs usb-a-c di-passive xlr-xlr | synth-analogue > laptop-combo | | interface-4 1
            S12 | interface-2 subwoofer speakers-powered*2 laptop-combo synth-analogue ts-ts trs-xlr*2 xlr-xlr*2 usb-c-c | synth-analogue > laptop-combo; subwoofer+speakers-powered+speakers-powered-2 | | interface-2 1; speakers
            S12b | interface-2 subwoofer speakers-powered*2 laptop-combo synth-analogue ts-ts trs-trs*2 xlr-xlr*2 usb-c-c | synth-analogue > laptop-combo; subwoofer+speakers-powered+speakers-powered-2 | | interface-2 1; speakers
            S12c | interface-2 speakers-powered*2 laptop-combo synth-analogue ts-ts usb-c-c | synth-analogue > laptop-combo; speakers-powered+speakers-powered-2 | | interface-2 1; get A 6.35 mm three-pole to XLR plug, balanced, A 6.35 mm three-pole to XLR plug, balanced; speakers
            S12d | interface-2 speakers-powered*2 laptop-combo synth-analogue ts-ts usb-c-c | synth-analogue > laptop-combo; speakers-powered+speakers-powered-2; NOTHING | | interface-2 1; not speakers
            S13b | piano-digital mic-dynamic-voice interface-2 laptop-combo ts-ts*2 xlr-xlr usb-c-c | piano-digital,mic-dynamic-voice > laptop-combo | KEEP | get-interface-4 2 + get-interface-4 1; get C Four-input interface
            S14b | drum-machine interface-2 laptop-combo ts-ts*2 usb-a-c midi-usb midi-din*2 | drum-machine > laptop-combo; tempo | KEEP | interface-2 2; get A Adapter, USB-A socket to USB-C plug; tempo
            S14c | drum-machine interface-4 laptop-combo ts-ts*2 usb-a-c midi-din | drum-machine > laptop-combo; tempo | KEEP | interface-4 2; tempo
            S14d | drum-machine interface-2 laptop-combo ts-ts*2 usb-a-c midi-din*2 | drum-machine > laptop-combo; tempo; NOTHING | KEEP | interface-2 2; not tempo
            S17c | groovebox phone-ctia mini-mini headset-splitter-ctia attenuator-phone charger-usb usb-c-c | groovebox > phone-ctia; charging; LEAD | MONO_ENOUGH | straight 1; charging
            S18b | guitar-single-coil interface-2 laptop-combo ts-ts usb-a-c-charge | guitar-single-coil > laptop-combo | | interface-2 1; get A USB lead, C to C
            S19b | mixer-small camera-mic-in mini-mini 635-plug-35-socket | mixer-small > camera-mic-in; NOTHING | KEEP | straight 2; caution.line-into-mic
            S15c | mic-dynamic-voice interface-2 laptop-combo xlr-xlr usb-c-c headphones-80 | mic-dynamic-voice > laptop-combo; headphones-80; direct | | interface-2 1; heard
            S15e | mic-dynamic-voice interface-2 laptop-combo xlr-xlr usb-c-c headphones-32 | mic-dynamic-voice > laptop-combo; headphones-32 | | interface-2 1; get A Adapter, 3.5 mm three-pole socket to 6.35 mm three-pole plug; heard
            S15d | mic-usb laptop-combo usb-a-c headphones-32 | mic-usb > laptop-combo; headphones-32; app | | straight 2; heard
            S15b | mic-condenser-large mixer-small-usb laptop-combo xlr-xlr usb-a-b | mic-condenser-large > laptop-combo | | mixer-small-usb 1
            S16 | wireless-receiver phone-ctia mini-mini mic-trs-trrs | wireless-receiver > phone-ctia | | straight 1; level.overload
            S16b | wireless-receiver phone-digital mini-mini mic-trs-trrs headset-adapter-usb | wireless-receiver > phone-digital | | headset-adapter-usb 1; level.overload
            S17 | groovebox phone-ctia mini-mini headset-splitter-ctia | groovebox > phone-ctia | | straight 2; get A USB lead, C to C
            S17b | groovebox phone-ctia mini-mini headset-splitter-ctia attenuator-phone | groovebox > phone-ctia; matters CHEAP | | straight 1
            S17d | groovebox phone-ctia mini-mini headset-splitter-ctia earphones-16 | groovebox > phone-ctia; earphones-16; NOTHING | | straight 1; caution.line-into-mic stereo.one-side headset.mic-shorted; heard
            S5c | mixer-small phone-ctia mini-trs headset-splitter-ctia earphones-16 | mixer-small > phone-ctia; earphones-16; NOTHING | | straight 1; caution.line-into-mic headset.mic-shorted; heard
            S6c | guitar-single-coil phone-ctia ts-ts guitar-phone-adapter earphones-16 | guitar-single-coil > phone-ctia; earphones-16; NOTHING | | guitar-phone-adapter 1; response.dull; heard
            S4c | lavalier-camera phone-ctia headset-splitter-ctia earphones-16 | lavalier-camera > phone-ctia; earphones-16; NOTHING | | straight 1; heard
            S2e | interface-2 recorder-handheld trs-trs | interface-2 > recorder-handheld; NOTHING | | nothing !
            S11d | synth-digital*2 interface-4 laptop-combo ts-ts*4 usb-a-c | synth-digital,synth-digital-2 > laptop-combo; NOTHING | KEEP | interface-4 2 + interface-4 2; balanced.half
            S18 | guitar-single-coil interface-2 laptop-combo ts-ts usb-a-c-charge usb-c-c | guitar-single-coil > laptop-combo | | interface-2 1
            S19 | mixer-small camera-mic-in mini-mini 635-plug-35-socket attenuator-mini | mixer-small > camera-mic-in | KEEP | straight 2
            S5d | mixer-small phone-ctia trs-trs mini-mini | mixer-small > phone-ctia | | straight 1; get A Adapter, 3.5 mm three-pole socket to 6.35 mm three-pole plug, A Attenuating lead, line to a phone's headset socket (CTIA)
            S6d | guitar-single-coil phone-ctia ts-ts | guitar-single-coil > phone-ctia | | get-guitar-phone-adapter 1; get A Passive guitar adapter for a phone's four-pole socket; response.dull
            S17e | groovebox phone-ctia mini-mini headset-splitter-ctia earphones-16 | groovebox > phone-ctia; earphones-16 | | straight 1; get A Headset splitter, CTIA, its microphone leg padded for line level; stereo.one-side level.overload; heard
            S17f | groovebox phone-ctia mini-mini earphones-16 | groovebox > phone-ctia; earphones-16 | | straight 1; get A Headset splitter, CTIA, its microphone leg padded for line level; stereo.one-side level.overload; heard
            S20 | turntable-mm phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c | turntable-mm > laptop-combo | KEEP | phono-preamp interface-rca 2
            S20b | turntable-preamp phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c | turntable-preamp > laptop-combo | KEEP | interface-rca 2
            """)
    void the_best_way_is_told_first(String situation, String shelf, String wish, String stereo, String expected) {
        Plan plan = Shelf.planned(shelf, wish, stereo);
        String first = plan.ways().stream().findFirst().map(PlannerTest::told).orElse("nothing");
        assertThat(first + plan.impossible().map(words -> " !").orElse(""))
                .as(situation)
                .isEqualTo(expected);
    }

    /**
     * What nobody in the trade would propose is not among the ways: a guitar adapter for a line output, a DI box into a phone, a line in a
     * microphone input where a line input is owned, a box that is bought and clips, a speaker lead, a patch or a MIDI lead for music, a
     * balanced lead for a guitar, the headphone socket where line outputs are, an attenuator for a microphone's level.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            groovebox phone-ctia mini-mini earphones-16 | groovebox > phone-ctia; earphones-16 | get-guitar-phone-adapter get-preamp-portable get-di-active
            mixer-small phone-ctia trs-trs mini-mini | mixer-small > phone-ctia | get-guitar-phone-adapter get-preamp-portable get-di-active
            guitar-single-coil phone-ctia ts-ts | guitar-single-coil > phone-ctia | get-di-active get-di-passive get-interface-rca
            guitar-single-coil phone-digital ts-ts | guitar-single-coil > phone-digital | get-di-active get-di-passive
            wireless-receiver phone-digital mini-mini | wireless-receiver > phone-digital | get-interface-guitar-usb get-interface-mic-inst get-guitar-phone-adapter
            turntable-mm interface-2 laptop-combo usb-a-c rca-rca-earth rca-2ts | turntable-mm > laptop-combo | get-interface-rca get-guitar-phone-adapter
            synth-analogue interface-2 laptop-combo ts-ts usb-a-c trs-xlr | synth-analogue > laptop-combo | get-di-active get-headset-adapter-usb
            synth-analogue interface-4 laptop-combo usb-c-c | synth-analogue > laptop-combo; LEAD | speaker-ts ts-ts-patch trs-2ts trs-trs trs-ts
            guitar-humbucker interface-4 laptop-combo usb-c-c | guitar-humbucker > laptop-combo; LEAD | speaker-ts ts-ts-patch trs-trs trs-ts
            synth-digital interface-4 laptop-combo usb-c-c | synth-digital > laptop-combo; LEAD | trs-2ts ts-pair speaker-ts
            wireless-receiver camera-mic-in | wireless-receiver > camera-mic-in; LEAD | midi-trs-trs midi-a-b attenuator-mini
            wireless-receiver phone-ctia | wireless-receiver > phone-ctia; LEAD | attenuator-phone home-made-mic-trrs
            """)
    void what_is_laughable_is_not_proposed(String shelf, String wish, String never) {
        List<Way> ways = Shelf.planned(shelf, wish, null).ways();
        List<String> stations = Stream.concat(
                        ways.stream()
                                .flatMap(way -> way.strands().stream())
                                .flatMap(strand -> strand.stations().stream()),
                        ways.stream().flatMap(way -> way.missing().stream()).map(Missing::id))
                .toList();
        assertThat(stations).isNotEmpty().doesNotContain(never.split(" "));
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
        Wish wish = Shelf.wish(wished, stereo);
        Plan plan = shelf.plan(wish);
        Stock stock = new Stock(shelf.devices(), Wiring.NONE);
        Hops hops = new Hops(stock, Drawer.of(shelf.leads(), Set.of(), Set.of(), List.of()), shelf.leads(), false);
        Everything everything = new Everything(stock, hops, wish);
        everything.from(new Chain(List.of(), Set.of()), wish.sources().get(0), Optional.empty());
        assertThat(everything.tried).isGreaterThan(5);
        assertThat(plan.ways().get(0).score()).isLessThanOrEqualTo(everything.best + 1e-9);
    }

    /** Goes every way there is. */
    private static final class Everything {
        private final Stock stock;
        private final Hops hops;
        private final Wish wish;
        private double best = Double.POSITIVE_INFINITY;
        private int tried;

        Everything(Stock stock, Hops hops, Wish wish) {
            this.stock = stock;
            this.hops = hops;
            this.wish = wish;
        }

        void from(Chain chain, String device, Optional<Port> in) {
            Ports ports = stock.ports(device);
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
                for (String next : stock.ids()) {
                    if (!seen.contains(next) && !next.equals(wish.sources().get(0))) {
                        into(chain, out, next);
                    }
                }
            }
        }

        private void into(Chain chain, Port out, String next) {
            Ports ports = stock.ports(next);
            for (Port in : out.shape().isDigital() ? ports.dataIns() : ports.inlets()) {
                for (Joining joining : hops.joinings().of(out.shape(), in.shape())) {
                    joining.between(out, in, chain.used()).ifPresent(made -> {
                        Chain longer = chain.with(Hop.of(out, in, made, hops.joints(made.pluggings())));
                        if (!next.equals(wish.target())) {
                            from(longer, next, Optional.of(in));
                        } else if (in.shape().isDigital() || ports.converts(in)) {
                            tried++;
                            WayMaker maker = new WayMaker(
                                    stock,
                                    hops,
                                    wish,
                                    new Present(Wiring.NONE, List.of(), new Replugging(Wiring.NONE, stock)),
                                    Settings.NONE,
                                    false);
                            maker.of(List.of(longer))
                                    .proposal()
                                    .map(maker::roughly)
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
            synth-analogue laptop-combo interface-2 | synth-analogue,synth-analogue > laptop-combo | | is listed twice
            drum-box-headphone phone-ctia attenuator-phone | drum-box-headphone > phone-ctia | KEEP |
            drum-box-headphone phone-ctia attenuator-phone | drum-box-headphone > phone-ctia; NOTHING | KEEP | ! No way keeps left and right apart
            mic-dynamic-voice guitar-humbucker interface-1 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital; NOTHING | | alone works: by One-input interface
            synth-analogue laptop-combo midi-din | synth-analogue > laptop-combo; NOTHING | | Nothing joins
            synth-analogue interface-2 laptop-combo usb-c-c | synth-analogue > laptop-combo; NOTHING | | With something more it works: by Two-input interface
            """)
    void what_is_impossible_is_said(String shelf, String wish, String stereo, String expected) {
        Plan plan = Shelf.planned(shelf, wish, stereo);
        if (expected == null) {
            // A phone's socket hears one channel; by something to get both sides are kept.
            assertThat(plan.ways().get(0).channels()).isEqualTo(2);
            assertThat(plan.ways().get(0).missing()).isNotEmpty();
        } else {
            assertThat(plan.ways().isEmpty()).isEqualTo(!expected.startsWith("! "));
            assertThat(plan.impossible().orElseThrow()).contains(expected.replace("! ", ""));
        }
    }

    /** Each school its own order: the same shelf and wish, another choice of what counts. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            drum-box-headphone interface-2 laptop-combo mini-2ts mini-mini usb-c-c trs-2ts 635-plug-35-socket trs-ts attenuator-phone | drum-box-headphone > laptop-combo | CLEAN | interface-2 2 |
            drum-box-headphone interface-2 laptop-combo mini-2ts mini-mini usb-c-c trs-2ts 635-plug-35-socket trs-ts attenuator-phone | drum-box-headphone > laptop-combo | FEW_BREAKS | straight 1 |
            mic-dynamic-low@-60 preamp-xlr mixer-small xlr-xlr*2 xlr-trs xlr-socket-trs-plug | mic-dynamic-low > mixer-small | CLEAN | preamp-xlr 1 | XLR socket to 6.35 mm three-pole, balanced
            mic-dynamic-low@-60 preamp-xlr mixer-small xlr-xlr*2 xlr-trs xlr-socket-trs-plug | mic-dynamic-low > mixer-small | ORDINARY_LEADS | preamp-xlr 1 | Adapter, XLR socket to 6.35 mm three-pole plug
            """)
    void what_counts_most_decides(String shelf, String wish, String matters, String expected, String lead) {
        Plan plan = Shelf.of(shelf).plan(Shelf.wish(wish + "; matters " + matters, null));
        Way first = plan.ways().get(0);
        assertThat(told(first)).isEqualTo(expected);
        if (lead != null) {
            assertThat(WayWords.path(first, first.strands().get(0))).contains(lead);
        }
    }

    /** No order of a map, no clock and no chance has a say. */
    /** What is known to need a driver is no way into a phone, and still one into a computer; a file keeps what is known. */
    @ParameterizedTest
    @CsvSource({"phone-digital, NEEDED, false", "phone-digital, NOT_NEEDED, true", "laptop-combo, NEEDED, true"})
    void what_needs_a_driver_is_not_proposed_for_phones(String recorder, Driver driver, boolean isProposed) {
        Shelf shelf = Shelf.of("synth-analogue ts-ts usb-c-c interface-2 " + recorder);
        List<Device> devices = shelf.devices().stream()
                .map(device -> device.id().equals("interface-2") ? device.withDriver(Optional.of(driver)) : device)
                .toList();
        Wish wish = Shelf.wish("synth-analogue > " + recorder + "; NOTHING", null);
        Plan plan = new Shelf(devices, shelf.leads()).plan(wish);
        assertThat(plan.ways().isEmpty()).isNotEqualTo(isProposed);
        assertThat(plan.impossible().orElse("").contains("driver")).isNotEqualTo(isProposed);
    }

    /** A microphone is compared with the one that is built in, last of all and with what it costs; where nothing else joins it is told too. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            mic-dynamic-voice interface-2 phone-digital usb-c-c xlr-xlr | mic-dynamic-voice > phone-digital | true | System input: the built-in microphone
            wireless-receiver camera-mic-in mini-mini                   | wireless-receiver > camera-mic-in | true | its own microphones
            mic-condenser-large phone-ctia                              | mic-condenser-large > phone-ctia; NOTHING | true | System input: the built-in microphone
            synth-analogue phone-ctia attenuator-phone ts-ts            | synth-analogue > phone-ctia | false |
            mic-dynamic-voice mixer-small xlr-xlr                       | mic-dynamic-voice > mixer-small | false |
            """)
    void a_built_in_microphone_is_there_to_compare(String shelf, String wish, boolean isTold, String chosen) {
        List<Way> ways = Shelf.planned(shelf, wish, null).ways();
        List<Way> builtIn = ways.stream()
                .filter(way -> way.title().endsWith(", to compare"))
                .toList();
        assertThat(builtIn).hasSize(isTold ? 1 : 0);
        for (Way way : builtIn) {
            assertThat(ways.indexOf(way)).isEqualTo(ways.size() - 1);
            assertThat(WayFact.TO_GET.of(way) + WayFact.BREAKS.of(way) + WayFact.BETWEEN.of(way))
                    .isEqualTo("nothing0nothing");
            assertThat(way.sideTasks()).extracting(SideTask::of).containsExactly(SideTask.Of.SOUND);
            assertThat(way.strands().get(0).prediction()).isPresent();
            assertThat(String.join("; ", Software.of(Shelf.wish(wish, null), way)))
                    .contains(chosen);
        }
    }

    /** A lead at 12 and a sum to spend: within it the lead is told with its price, beyond it another one that nobody has priced. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            20 | ts-ts=12 | 12 (your own price)
            12 | ts-ts=12 | 12 (your own price)
            5  | ts-ts=12 | price class A
            5  | usb-c-c=12 | price class A
               | ts-ts=12.5 | 12.50 (your own price)
            0  | ts-ts=0 | 0 (your own price)
            """)
    void own_prices_limit_what_is_got(String most, String price, String told) {
        String[] own = price.split("=", -1);
        Spending spending = Spending.UNKNOWN
                .withMost(Spending.read(most == null ? "" : most))
                .withPrice(own[0], Spending.read(own[1]));
        Wish wish = Shelf.wish("synth-analogue > laptop-combo; LEAD", null);
        Plan plan = Shelf.of("synth-analogue interface-2 laptop-combo usb-c-c")
                .plan(wish.withExtras(wish.extras().withSpending(spending)));
        assertThat(WayWords.toGet(plan.ways().get(0))).contains(told);
    }

    @ParameterizedTest
    @ValueSource(strings = {"a lot", "-3", "1e9", "12.345", "999999999999"})
    void what_is_no_price_is_told(String typed) {
        assertThatThrownBy(() -> Spending.read(typed))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("such as 29 or 12.50");
    }

    @Test
    void the_same_wish_gives_the_same_plan() {
        Shelf shelf = Shelf.of("synth-analogue interface-2 laptop-combo mixer-small ts-ts trs-trs*2 usb-a-c");
        Wish wish = Shelf.wish("synth-analogue > laptop-combo", null);
        List<String> first =
                shelf.plan(wish).ways().stream().map(PlannerTest::told).toList();
        assertThat(shelf.plan(wish).ways().stream().map(PlannerTest::told)).containsExactlyElementsOf(first);
        assertThat(first).hasSizeGreaterThanOrEqualTo(2);
    }

    /** Into a tablet while the interface hangs on a laptop: it is pulled out there, or left and something else is got. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            drum-box | tablet | false | interface 2; heard | laptop.usb-1
            drum-box | tablet | true | get-headset-adapter-usb 1; get A Adapter from USB-C to a four-pole headset socket, A Attenuating lead, line to a phone's headset socket (CTIA); heard |
            mixer | camera | false | straight 2; caution.line-into-mic; heard |
            """)
    void what_is_plugged_is_pulled_out_or_stays(
            String source, String target, boolean isBeside, String expected, String pulled) {
        Studio studio = Boathouse.studio();
        Wish wish = Wish.of(source, target).withHeadphones("headphones").withExtras(Extras.NONE.withBeside(isBeside));
        Way way = new Planner(
                        studio.devices(),
                        studio.leads(),
                        Catalogue.shipped(),
                        studio.setups().get(0).wiring(),
                        Settings.NONE)
                .plan(wish, () -> false)
                .ways()
                .get(0);
        assertThat(told(way)).isEqualTo(expected);
        List<String> sockets = way.unplugged().stream()
                .flatMap(plugging -> plugging.spots().stream())
                .map(Spot::write)
                .toList();
        if (pulled == null) {
            assertThat(sockets).noneMatch(spot -> spot.startsWith("laptop"));
        } else {
            assertThat(sockets).contains(pulled);
        }
    }

    /** Plugs that fit are not yet a way that works. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            guitar-single-coil.out | phone-ctia.headset | 35-ts-635 | With 3.5 mm two-pole to 6.35 mm two-pole | headset.mic-shorted
            preamp-xlr.out-xlr | mixer-small.mic-1 | xlr-xlr | With XLR lead | caution.line-into-mic
            synth-analogue.out | interface-2.line-1 | ts-ts | With 6.35 mm two-pole lead |
            synth-analogue.out | laptop-combo.usb-1 | ts-ts | No lead, and no two leads or adapters |
            """)
    void the_obvious_one_is_told(String from, String to, String leads, String words, String code) {
        Spot out = Spot.read(from);
        Spot in = Spot.read(to);
        Shelf shelf = Shelf.of(out.item() + " " + in.item() + " " + leads);
        Device one = shelf.devices().get(0);
        Device other = shelf.devices().get(1);
        Obvious first = new Planner(shelf.devices(), shelf.leads(), Catalogue.shipped(), Wiring.NONE, Settings.NONE)
                .obvious(
                        one,
                        one.socket(out.part()).orElseThrow(),
                        other,
                        other.socket(in.part()).orElseThrow())
                .get(0);
        assertThat(first.words()).startsWith(words);
        List<String> codes = first.joints().stream()
                .flatMap(joint -> joint.findings().stream())
                .map(Finding::mark)
                .toList();
        if (code == null) {
            assertThat(first.joints()).allMatch(joint -> !joint.cannotWork());
        } else {
            assertThat(codes).contains(code);
        }
    }

    /** What is chosen on the recorder follows from what is plugged. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            recorder-handheld usb-a-c laptop-combo mic-dynamic-voice guitar-humbucker xlr-xlr di-passive ts-ts | mic-dynamic-voice > laptop-combo | stereo mode does
            dj-player laptop-combo usb-a-b | dj-player > laptop-combo | 3–4 the mix without the talk microphone
            mic-dynamic-voice guitar-humbucker interface-2 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital | Some apps merge all inputs into one channel
            mic-dynamic-voice interface-2 laptop-combo xlr-xlr usb-c-c headphones-80 | mic-dynamic-voice > laptop-combo; headphones-80 | Monitoring in the app: off, one hears it directly
            mic-dynamic-voice interface-2 laptop-combo xlr-xlr usb-c-c headphones-80 | mic-dynamic-voice > laptop-combo; headphones-80; app | Monitoring in the app: on
            mixer-small camera-mic-in mini-mini 635-plug-35-socket attenuator-mini | mixer-small > camera-mic-in | set its level by hand
            drum-machine interface-4 laptop-combo ts-ts*2 usb-a-c | drum-machine > laptop-combo | its input is channels 3 and 4
            groovebox phone-ctia headset-splitter-ctia attenuator-phone | groovebox > phone-ctia; NOTHING | Voice assistant, calls and notifications: off
            interface-2 speakers-powered*2 laptop-combo mic-dynamic-voice xlr-xlr trs-xlr*2 usb-c-c | mic-dynamic-voice > laptop-combo; speakers-powered+speakers-powered-2 | Feedback guard
            """)
    void the_recorders_side_is_told(String shelf, String wished, String expected) {
        Wish wish = Shelf.wish(wished, null);
        Way way = Shelf.of(shelf).plan(wish).ways().get(0);
        assertThat(String.join("\n", Software.of(wish, way))).contains(expected);
    }

    /** The first ways are told once, before all are looked at; the best of all of them is not worse. */
    @ParameterizedTest
    @ValueSource(strings = {"synth-analogue > laptop-combo", "synth-analogue,drum-machine > laptop-combo"})
    void the_first_ways_are_told_early(String wish) {
        Shelf shelf = Shelf.of(
                "synth-analogue drum-machine interface-4 interface-2 laptop-combo mixer-small ts-ts*3 trs-trs*2 usb-a-c usb-c-c");
        List<List<Way>> early = new ArrayList<>();
        Plan plan = new Planner(shelf.devices(), shelf.leads(), Catalogue.shipped(), Wiring.NONE, Settings.NONE)
                .plan(Shelf.wish(wish, null), () -> false, early::add);
        assertThat(early).hasSize(1);
        assertThat(early.get(0)).isNotEmpty();
        assertThat(plan.ways().get(0).score())
                .isLessThanOrEqualTo(early.get(0).get(0).score());
    }

    /** Somebody cancels: what is there is told, and nothing hangs. */
    @ParameterizedTest
    @CsvSource({"0", "3"})
    void a_search_can_be_cancelled(int after) {
        Shelf shelf = Shelf.of("synth-analogue interface-2 laptop-combo mixer-small ts-ts trs-trs*2 usb-a-c");
        int[] asked = new int[1];
        Plan plan = new Planner(shelf.devices(), shelf.leads(), Catalogue.shipped(), Wiring.NONE, Settings.NONE)
                .plan(Shelf.wish("synth-analogue > laptop-combo", null), () -> asked[0]++ >= after);
        assertThat(asked[0]).isLessThan(after + 10);
        assertThat(plan.ways().isEmpty()).isEqualTo(after == 0);
    }
}
