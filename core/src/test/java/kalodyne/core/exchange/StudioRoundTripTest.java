package kalodyne.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import kalodyne.core.catalogue.Catalogue;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.studio.Studio;
import org.junit.jupiter.api.Test;

/** What goes out comes in again, equal to the last digit. */
class StudioRoundTripTest {
    static Studio everything() {
        Studio studio = Boathouse.studio();
        for (var profile : Catalogue.shipped().devices()) {
            studio = studio.with(profile.gear());
        }
        for (var profile : Catalogue.shipped().leads()) {
            studio = studio.with(profile.gear());
        }
        return studio;
    }

    @Test
    void every_catalogue_entry_through_json() throws IOException {
        Studio studio = everything();
        assertThat(StudioReader.read(StudioWriter.write(studio), Path.of("x.json")))
                .isEqualTo(studio);
    }
}
