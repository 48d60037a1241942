package kalodyne.core.testing.corpus;

import java.util.List;
import java.util.Set;

/**
 * A made-up take.
 *
 * @param name what plays, and what is wrong
 * @param channels full scale is 1
 * @param faults the codes that should be found
 */
public record CorpusTake(String name, List<double[]> channels, Set<String> faults) {
    public static final int RATE = Phrase.RATE;

    public boolean isClean() {
        return faults.isEmpty();
    }
}
