package kalodyne.core.lineup.tidy;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import kalodyne.core.files.json.UnreadableFile;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is wrong with a plan is told with its place. */
class TidyPlanReaderTest {
    @TempDir
    Path folder;

    private TidyPlan plan(String fields) throws IOException {
        Path file = folder.resolve("plan.json");
        Files.writeString(
                file, "{\"format\": \"kalodyne-tidy\", \"version\": 1" + (fields.isEmpty() ? "" : ", " + fields) + "}");
        return TidyPlanReader.read(file);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"cut\": {\"songs\": {}, \"bars\": {\"beatsPerMinute\": 90}} | cut",
                "\"level\": {\"gainDb\": 3, \"peakDbfs\": -1} | level",
                "\"level\": {\"peakDbfs\": 4} | level › peakDbfs",
                "\"parts\": [{\"channels\": []}] | parts › 1 › channels",
                "\"parts\": [{\"channels\": [1], \"invert\": [2]}] | parts › 1 › invert",
                "\"as\": \"mp3\" | as",
                "\"loud\": true | loud"
            })
    void a_plan_with_a_mistake_is_refused_with_its_place(String fields, String place) {
        assertThatThrownBy(() -> plan(fields))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining(place);
    }
}
