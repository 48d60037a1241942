package kalodyne.core.lineup;

import kalodyne.core.files.Progress;

/** A part of a long piece of work, told as a share of the whole. */
final class Shares {
    private Shares() {}

    static Progress of(Progress whole, double from, double to) {
        return done -> whole.report(from + (to - from) * done);
    }
}
