package kalodyne.core.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.testing.Tool;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the demonstration plays is what its run predicts, measured by SoX and not by the program. */
class BoathouseTest {
    @TempDir
    Path folder;

    @Test
    void the_first_take_is_as_loud_and_as_quiet_as_predicted() throws Exception {
        Studio studio = StudioFile.read(Boathouse.build(folder));
        Take take = studio.setups().get(0).takes().get(0);
        LevelPlan plan = Boathouse.bassSynth(studio).turned(take.positions());
        String file = folder.resolve(take.file()).toString();
        assertThat(Tool.column(Tool.run("sox", file, "-n", "stats"), "Pk lev dB", 0))
                .isCloseTo(plan.endPeak(), within(0.02));
        // Before the first note there is nothing but noise. SoX tells RMS re 1.0, 3.01 dB under the sine reference.
        assertThat(Tool.column(Tool.run("sox", file, "-n", "trim", "0", "0.7", "stats"), "RMS lev dB", 0) + 3.01)
                .isCloseTo(plan.endFloor(), within(0.2));
    }
}
