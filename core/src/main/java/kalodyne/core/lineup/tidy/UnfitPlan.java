package kalodyne.core.lineup.tidy;

import java.io.IOException;

/** A plan that a recording does not fit, as a sentence. */
final class UnfitPlan extends IOException {
    private static final long serialVersionUID = 1L;

    UnfitPlan(String problem) {
        super(problem);
    }
}
