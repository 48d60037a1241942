package kalodyne.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxToolkit;

class StudioOpenerTest {
    @TempDir
    private Path data;

    @BeforeAll
    static void startToolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
    }

    private static Studio called(String name) {
        return new Studio(name, List.of(), List.of(), Studio.empty().setups());
    }

    /** The demonstration studio is let go before it is made anew; where that fails it is truly back. */
    @Test
    void what_was_let_go_in_vain_is_taken_back() throws Exception {
        Path demo = data.resolve("demo/boathouse.kalodyne");
        Files.createDirectories(demo.getParent());
        StudioFile.write(demo, called("Mine"));
        // A file where the folder of the takes should be: nothing can be made here.
        Files.writeString(demo.resolveSibling("takes"), "in the way");
        Clock clock = Clock.systemUTC();
        StudioModel studio = Desk.onScreen(
                () -> new StudioModel(OpenedStudio.named(demo, clock).studio(), clock));
        Jobs jobs = Desk.onScreen(Jobs::new);
        Desk.onScreen(() -> {
            new StudioOpener(studio, jobs, data, new ViewSettings(data), clock).openDemo(true);
            assertThat(studio.isReadOnly()).as("while it is made").isTrue();
            studio.change(null, "name it", called("Meanwhile"));
            assertThat(studio.studio().name()).isEqualTo("Mine");
            return null;
        });
        Desk.until(() -> Desk.onScreen(() -> jobs.isIdle() && !studio.isReadOnly()));
        assertThat(Desk.onScreen(
                        () -> studio.noticeProperty().get().orElseThrow().title()))
                .isEqualTo("The demonstration studio could not be made");
        Desk.onScreen(() -> {
            studio.change(null, "name it", called("Still mine"));
            studio.close();
            jobs.close();
            return null;
        });
        assertThat(StudioFile.read(demo).name()).isEqualTo("Still mine");
    }
}
