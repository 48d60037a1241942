package kalodyne.core.testing.corpus;

import java.util.List;
import java.util.Set;

/**
 * A made-up take.
 *
 * @param name what plays, and what is wrong
 * @param channels full scale is 1
 * @param faults the codes that should be found
 * @param alsoTrue the codes that may be found besides, since they follow from those
 */
public record CorpusTake(String name, List<double[]> channels, Set<String> faults, Set<String> alsoTrue) {
    public static final int RATE = Phrase.RATE;

    public boolean isClean() {
        return faults.isEmpty();
    }
}
