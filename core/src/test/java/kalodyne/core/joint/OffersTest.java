package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.findings.Finding;
import kalodyne.core.joint.rules.Offers;
import kalodyne.core.studio.Studio;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is offered to join two sockets with what the demonstration studio owns. */
class OffersTest {
    private static List<Offers.Offer> offers(String from, String to, List<Plugging> plugged) {
        Studio studio = Boathouse.studio();
        return new Offers(studio.devices(), studio.leads(), plugged).between(Spot.read(from), Spot.read(to));
    }

    @ParameterizedTest
    @CsvSource({
        "mixer.main-left, interface.line-4, lead-3, 0",
        "bass-synth.out, interface.line-3, lead-7, 0",
        "headphones.plug, interface.phones, '', 0",
        "laptop.usb-2, interface.usb, lead-11, 0"
    })
    void the_best_is_offered_first(String from, String to, String leads, int faults) {
        Offers.Offer best = offers(from, to, List.of()).get(0);
        assertThat(String.join(" ", best.leads())).isEqualTo(leads);
        assertThat(best.checked().findings().stream()
                        .filter(finding -> Finding.worst(List.of(finding)).isPresent()))
                .hasSize(faults);
    }

    /** Of two leads of a kind the second is offered while the first is in use, and none when both are. */
    @ParameterizedTest
    @CsvSource({"0, lead-3", "1, lead-3/2", "2, lead-12"})
    void leads_in_use_are_not_offered(int inUse, String offered) {
        List<Plugging> plugged = List.of(
                        new Plugging(Spot.read("lead-3.a"), Spot.read("interface.out-3")),
                        new Plugging(Spot.read("lead-3/2.a"), Spot.read("interface.out-4")))
                .subList(0, inUse);
        assertThat(offers("mixer.main-left", "interface.line-4", plugged).get(0).leads())
                .containsExactly(offered);
    }
}
