package kalodyne.core.gear.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.catalogue.Catalogue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What people in the trade call things (common practice), written down before the program was asked. */
class GearSearchTest {
    private static final GearSearch SEARCH = GearSearch.of(Catalogue.shipped());

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            phone              | phone-ctia
            Smartphone         | phone-ctia
            mobile phone       | phone-ctia
            cell phone         | phone-ctia
            tablet             | tablet-digital
            laptop             | laptop-combo
            notebook           | laptop-combo
            PC                 | computer-desktop
            computer           | laptop-combo
            camcorder          | camera-mic-in
            decks              | turntable-mm
            record player      | turntable-mm
            vinyl              | turntable-mm
            stage piano        | piano-digital
            keyboard           | keyboard-portable
            loop box           | sampler-rca
            looper             | sampler-rca
            beat box           | drum-machine
            groove box         | groovebox
            synthesizer        | synth-analogue
            modular            | modular-output
            guitar             | guitar-single-coil
            acoustic guitar    | piezo-preamp
            ukelele            | piezo-preamp
            bass               | bass-passive
            violin             | piezo-bridge
            mic                | mic-dynamic-voice
            vocal mic          | mic-dynamic-voice
            condenser mic      | mic-condenser-large
            ribbon             | mic-ribbon-passive
            lapel mic          | lavalier-phone
            usb mic            | mic-usb
            headset            | headset-ctia
            earbuds            | earphones-16
            headphones         | headphones-32
            cans               | headphones-32
            monitors           | speakers-powered
            speakers           | speakers-powered
            sub                | subwoofer
            sound card         | interface-2
            audio interface    | interface-2
            mixing desk        | mixer-small
            preamp             | preamp-xlr
            DI                 | di-passive
            phono preamp       | phono-preamp
            field recorder     | recorder-handheld
            powerbank          | power-bank
            charger            | charger-usb
            usb hub            | hub-powered
            OTG                | host-adapter
            camera adapter     | host-adapter
            dongle             | headset-adapter-usb
            cassette deck      | player-rca
            wireless mic       | wireless-receiver
            guitar lead        | ts-ts
            guitar cable       | ts-ts
            instrument cable   | ts-ts
            jack               | ts-ts
            big jack           | ts-ts
            quarter inch       | ts-ts
            6.3                | ts-ts
            1/4"               | ts-ts
            TS                 | ts-ts
            TRS                | trs-trs
            TRRS               | trrs-trrs
            mini jack          | mini-mini
            aux                | mini-mini
            aux cable          | mini-mini
            headphone lead     | mini-mini
            mic cable          | xlr-xlr
            XLR                | xlr-xlr
            phono lead         | rca-rca
            cinch              | rca-rca
            insert cable       | trs-2ts
            headset splitter   | headset-splitter-ctia
            headphone splitter | headphone-y
            USB-C              | usb-c-c
            USB cable          | usb-a-b
            printer cable      | usb-a-b
            MIDI cable         | midi-din
            optical            | optical
            speaker cable      | speaker-ts
            ground lift        | xlr-lift
            """)
    void what_was_meant_is_among_the_first_three(String said, String meant) {
        List<String> first = SEARCH.find(said).stream().limit(3).map(Offer::id).toList();
        assertThat(first).contains(meant);
    }

    @Test
    void a_phone_is_a_phone_before_it_is_a_microphone() {
        assertThat(SEARCH.find("phone").stream().limit(4).map(Offer::group)).containsOnly("Phones");
    }

    @Test
    void what_is_of_one_group_stands_together_and_nothing_is_found_for_nonsense() {
        for (String said : List.of("", "usb", "stereo", "jack", "mic")) {
            Set<String> seen = new HashSet<>();
            String before = "";
            for (Offer offer : SEARCH.find(said)) {
                if (!offer.group().equals(before)) {
                    assertThat(seen.add(offer.group())).as(offer.group()).isTrue();
                }
                before = offer.group();
            }
        }
        assertThat(SEARCH.find(""))
                .hasSize(Catalogue.shipped().devices().size()
                        + Catalogue.shipped().leads().size());
        assertThat(SEARCH.find("xyzzy ((")).isEmpty();
    }

    /** Common practice: what one asks for next in a shop. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            phone-ctia                 | headset-splitter-ctia
            turntable-mm               | rca-rca-earth
            turntable-mc               | phono-preamp
            phone-ctia interface-2     | xlr-xlr
            phone-ctia camera-mic-in   | attenuator-mini
            """)
    void what_goes_with_the_newest_is_likely_first(String owned, String likely) {
        List<String> first = GoesWith.likely(List.of(owned.split(" "))).stream()
                .limit(4)
                .map(Offer::id)
                .toList();
        assertThat(first).contains(likely);
    }

    /** A device on the shelf ticks one picture. */
    @Test
    void no_kind_of_gear_is_in_two_beginnings() {
        List<String> kinds = Stream.of(Beginning.Asks.values())
                .flatMap(asks -> Beginning.of(asks).stream())
                .flatMap(beginning -> beginning.kinds().stream())
                .map(kind -> kind.gear().id())
                .toList();
        assertThat(kinds).doesNotHaveDuplicates().hasSizeGreaterThan(60);
        assertThat(Beginning.leads()).hasSize(12);
    }

    @Test
    void everything_that_goes_with_something_is_in_the_catalogue_and_nothing_owned_is_offered() {
        List<String> all = Catalogue.shipped().devices().stream()
                .map(profile -> profile.gear().id())
                .toList();
        all.forEach(one ->
                assertThat(GoesWith.likely(List.of(one))).extracting(Offer::id).doesNotContain(one));
        assertThat(GoesWith.likely(all)).extracting(Offer::id).doesNotContainAnyElementsOf(all);
        assertThat(GoesWith.likely(List.of())).isEmpty();
    }
}
