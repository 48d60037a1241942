package kalodyne.core.studio;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import kalodyne.core.studio.exchange.StudioReader;
import kalodyne.core.studio.exchange.StudioWriter;
import kalodyne.core.studio.practised.Answer;
import kalodyne.core.studio.setup.Setup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PractisedTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-03-01T10:00:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    /** A studio of version 4, before there was anything to practise: all of it is there, and answers are kept, undone and written out. */
    @Test
    void answers_are_kept_in_a_studio_of_the_version_before() throws Exception {
        Path file = folder.resolve("mine.kalodyne");
        try (var in = Studio.class.getResourceAsStream("version-4.kalodyne")) {
            Files.copy(in, file);
        }
        List<Answer> answers = List.of(
                new Answer(Instant.parse("2026-03-01T10:00:00Z"), "fault.hiss", 17, 1, false),
                new Answer(Instant.parse("2026-03-01T10:00:09.5Z"), "fault.hiss", 18, 1, true),
                new Answer(Instant.parse("2026-03-01T10:00:21Z"), "decibels", 3, 2, true));
        Studio read = StudioFile.read(file);
        assertThat(Migrations.version(file)).as("reading changes nothing").isEqualTo(4);
        try (OpenStudio open = StudioFile.open(file, Studio.empty(), CLOCK)) {
            assertThat(open.studio()).isEqualTo(read);
            assertThat(read.setups()).extracting(Setup::name).contains("Sunday trio", "Through the mixer");
            assertThat(read.devices()).hasSizeGreaterThan(10);
            for (int i = 1; i <= answers.size(); i++) {
                open.history().gesture("sitting", "practise", read.withPractised(answers.subList(0, i)));
            }
        }
        Studio kept = StudioFile.read(file);
        assertThat(kept.practised()).isEqualTo(answers);
        Path written = folder.resolve("mine.json");
        Files.writeString(written, StudioWriter.write(kept));
        assertThat(StudioReader.read(written)).isEqualTo(kept);
        try (OpenStudio open = StudioFile.open(file, Studio.empty(), CLOCK)) {
            open.history().undo();
            assertThat(open.studio()).as("a sitting is one step").isEqualTo(read);
            open.history().redo();
            assertThat(open.studio()).isEqualTo(kept);
        }
    }
}
