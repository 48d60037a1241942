package kalodyne.desktop.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.log.Entry;
import kalodyne.core.testing.Demo;
import kalodyne.desktop.testing.Models;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The log without a window. */
class LogModelTest {
    @TempDir
    static Path shared;

    private static Path built;

    @TempDir
    Path folder;

    private Models models;
    private LogModel log;

    @BeforeAll
    static void build() throws IOException {
        built = Demo.in(shared);
    }

    @BeforeEach
    void open() throws IOException {
        Path file = folder.resolve("mine.kalodyne");
        StudioFile.write(file, StudioFile.read(built));
        models = Models.on(file, Boathouse.studio());
        log = new LogModel(models.studio(), models.jobs());
        log.look();
    }

    @AfterEach
    void close() {
        models.close();
    }

    @Test
    void shows_this_setup_or_all_newest_first() {
        List<Entry> ofOne = log.state().shown();
        assertThat(ofOne).isNotEmpty().allMatch(entry -> entry.setupId().equals("setup-1"));
        assertThat(ofOne.stream().map(Entry::at).toList()).isSortedAccordingTo((a, b) -> b.compareTo(a));
        log.showAll(true);
        assertThat(log.isOfAll()).isTrue();
        assertThat(log.state().shown()).hasSizeGreaterThan(ofOne.size()).containsAll(ofOne);
        assertThat(log.state().count()).isEqualTo(log.state().shown().size());
    }

    @Test
    void finds_entries_by_words() {
        log.showAll(true);
        log.search("take 2");
        assertThat(log.state().shown()).isNotEmpty();
        assertThat(log.state().shown().get(0).name()).isEqualTo("Take 2");
        log.search("nothing of the kind");
        assertThat(log.state().shown()).isEmpty();
        assertThat(log.state().count()).isPositive();
        log.search("");
        assertThat(log.state().shown()).hasSize(log.state().count());
    }

    /** What an entry remembers is brought back: then nothing is left to do, and undo takes it back again. */
    @Test
    void brings_back_how_everything_stood() {
        Entry then = log.state().shown().stream()
                .filter(Entry::isTake)
                .filter(entry -> {
                    log.choose(entry);
                    return !log.state().back().steps().isEmpty();
                })
                .findFirst()
                .orElseThrow();
        log.choose(then);
        log.setAsThen();
        assertThat(log.state().back().steps()).isEmpty();
        models.studio().undo();
        assertThat(log.state().back().steps()).isNotEmpty();
    }

    @Test
    void compares_two() {
        List<Entry> takes = log.state().shown().stream().filter(Entry::isTake).toList();
        assertThat(takes).hasSizeGreaterThan(1);
        log.choose(takes.get(0));
        log.compareWith(Optional.of(takes.get(0)));
        assertThat(log.state().apart().steps()).as("with itself").isEmpty();
        log.compareWith(Optional.of(takes.get(1)));
        assertThat(log.state().other()).contains(takes.get(1));
        log.compareWith(Optional.empty());
        assertThat(log.state().other()).isEmpty();
        assertThat(Files.exists(folder.resolve("takes"))).isFalse();
    }
}
