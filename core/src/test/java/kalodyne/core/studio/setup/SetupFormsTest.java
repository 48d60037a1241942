package kalodyne.core.studio.setup;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Problems;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Spot;
import kalodyne.core.runsheet.RigSnapshot;
import kalodyne.core.runsheet.SpotWords;
import org.junit.jupiter.api.Test;

/** What an older version kept of a take whose run was described by numbers and is gone: nothing of it is lost. */
class SetupFormsTest {
    private static final String TAKE = """
            {"name":"Take 1","run":"Bass","file":"bass.wav","at":"2025-03-01T12:00:00Z","positions":{"gain":0.25,"interface-2.gain-1":0.5}}""";

    @Test
    void controls_of_no_gear_are_kept_and_told_by_their_names() throws JsonProcessingException {
        Problems problems = new Problems();
        Take take = SetupForms.TAKE
                .read(new JsonPlace(new JsonMapper().readTree(TAKE)), problems)
                .orElseThrow();
        assertThat(problems.isEmpty()).isTrue();
        assertThat(SetupForms.TAKE.write(take)).hasToString(TAKE);
        SpotWords words = new SpotWords(
                mark -> Catalogue.shipped().device(mark).map(profile -> profile.gear()), mark -> Optional.empty());
        assertThat(words.eachPosition(take.positions()))
                .containsExactly("gain 25 %", "Two-input interface, bus powered, gain 1 12:00");
        assertThat(new RigSnapshot(Optional.empty(), take.positions()).positions())
                .as("only what is gear can be turned back")
                .isEqualTo(Map.of(Spot.read("interface-2.gain-1"), 0.5));
        assertThat(SetupForms.TAKE
                        .write(take.renamed(spot -> new Spot("other", spot.part())))
                        .toString())
                .contains("other.gain-1");
    }
}
