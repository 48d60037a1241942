package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import kalodyne.core.testing.RandomRigs;
import org.junit.jupiter.api.Test;

/** Rigs that nobody thought of. */
class RandomSheetsTest {
    @Test
    void hundreds_of_rigs_have_a_safe_order() {
        int phantoms = 0;
        for (long seed : new long[] {3, 8, 18, 28, 182, 847}) {
            Random random = new Random(seed);
            for (int i = 0; i < 25; i++) {
                SheetRig rig = Sheets.rig(RandomRigs.any(random, 3, 5), SessionPlan.USUAL);
                RunSheet sheet = SheetMaker.of(rig);
                SafeOrder.check(rig, sheet);
                phantoms += (int) sheet.steps().stream()
                        .filter(step -> step.act() == Act.PHANTOM_ON)
                        .count();
            }
        }
        assertThat(phantoms).as("of the rigs some need phantom power").isPositive();
    }
}
