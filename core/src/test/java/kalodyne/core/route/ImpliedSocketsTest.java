package kalodyne.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import kalodyne.core.demo.Boathouse;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.studio.Studio;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What people try first who look at the plugs: into the phone's only socket, into the jack that looks like the one in the hand. */
class ImpliedSocketsTest {
    private static final Studio STUDIO = Boathouse.studio();

    private static Device device(String id) {
        return STUDIO.device(id)
                .orElseGet(() -> Catalogue.shipped().device(id).orElseThrow().gear());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "drum-box | old-phone | Headphones | Headset socket",
                "bass-synth | interface | Output | Input 1, instrument",
                "accordion-microphone | interface | Output | Input 1, mic",
                "cello | interface | Output | Input 1, instrument",
                "mixer | camera | Main out L | Microphone in"
            })
    void are_those_that_one_would_try(String from, String to, String out, String in) {
        ImpliedSockets implied = ImpliedSockets.of(device(from), device(to)).orElseThrow();
        assertThat(implied.out().name()).isEqualTo(out);
        assertThat(implied.in().name()).isEqualTo(in);
    }
}
