package kalodyne.core.lineup;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import kalodyne.core.files.Progress;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** From the likely places of two recordings to the one that is right, or to why none is. */
final class Matching {
    /** So far a moment may lie from where it is expected: the steps of the sketch and what was left of the slope. */
    private static final double REACH_SECONDS = 0.03;

    private static final double SPARE_SECONDS = 0.08;
    private static final int MOST_RATE_HZ = 48_000;
    /** A match that stands out by less is one by chance: among some thousand lags, four or five deviations are usual. */
    private static final double BY_CHANCE = 7;
    /** So many places are listened at, to tell whether a place is right... */
    private static final int PLACES_TO_TELL = 12;
    /** ... and to tell it exactly. */
    private static final int PLACES_TO_MEASURE = 40;
    /** What is listened to at once. */
    private static final double LONGEST_SECONDS = 4;

    private static final double SHORTEST_SECONDS = 0.2;
    private static final double LEAST_SECONDS = 0.5;
    /** In the first round the slope is known roughly; later, moments lie on the line or they are none. */
    private static final double NEAR_AT_FIRST = 1e-3;

    private static final double NEAR = 3e-4;
    /** A line that moves by less than this need not be listened along again. */
    private static final double STAYS_SECONDS = 1e-5;

    private static final int MOST_TURNS = 4;
    /** Fewer agreeing are a coincidence. */
    private static final double LEAST_SHARE = 0.2;
    /** Another place that agrees nearly as well makes it ambiguous. */
    private static final double AS_GOOD = 0.8;

    /** Once a place is right, those whose swells fit so much less are not listened at. */
    private static final double FAR_BEHIND = 0.6;

    private final Path reference;
    private final Path other;
    private final Sketches both;
    private final Progress progress;

    Matching(Path reference, Path other, Sketches both, Progress progress) {
        this.reference = reference;
        this.other = other;
        this.both = both;
        this.progress = progress;
    }

    /** A place that was listened at: the fit, of how many. */
    private record Tried(ClockFit fit, SlopeSearch.Line line, int heard) {
        double merit() {
            double heights = fit.used().stream()
                    .mapToDouble(each -> Math.abs(each.match().height()))
                    .sum();
            return heights / Math.max(1, heard);
        }

        boolean isBelievable() {
            return fit.used().size() >= Math.max(1, LEAST_SHARE * heard);
        }
    }

    LineUp.Result result() throws IOException {
        SwellTrack one = both.reference().swells();
        SwellTrack two = both.other().swells();
        Optional<String> silent = silent();
        if (silent.isPresent()) {
            return nothing(silent.get());
        }
        SlopeSearch slopes = new SlopeSearch(one, two);
        List<CoarseSearch.Candidate> candidates = new CoarseSearch(one, two).candidates();
        List<Tried> tried = new ArrayList<>();
        for (int i = 0; i < candidates.size(); i++) {
            boolean isFarBehind =
                    candidates.get(i).height() < FAR_BEHIND * candidates.get(0).height();
            if (!isFarBehind || tried.isEmpty()) {
                Progress share = Shares.of(progress, 0.7 * i / candidates.size(), 0.7 * (i + 1) / candidates.size());
                listen(slopes.search(candidates.get(i)), share)
                        .filter(Tried::isBelievable)
                        .ifPresent(tried::add);
            }
        }
        tried.sort(Comparator.comparingDouble(Tried::merit).reversed());
        if (tried.isEmpty()) {
            return nothing(
                    "They have nothing in common at any of the places compared. Is one of them another performance?");
        }
        Tried best = tried.get(0);
        Tried exact = measure(best, Shares.of(progress, 0.7, 1));
        List<Double> places = tried.stream()
                .filter(each -> each.merit() >= AS_GOOD * best.merit())
                .map(each -> each.fit().line().offsetSeconds())
                .toList();
        return result(Optional.of(alignment(exact)), places, places.size() > 1 ? LineUpWords.ambiguous(places) : "");
    }

    private Optional<String> silent() {
        return unfit("The reference", both.reference()).or(() -> unfit("The other recording", both.other()));
    }

    private static Optional<String> unfit(String which, Sketch sketch) {
        double seconds = sketch.header().seconds();
        if (seconds < LEAST_SECONDS) {
            return Optional.of(
                    which + " is too short: " + Print.decimal(seconds, 2) + " s. Half a second is the least.");
        }
        return sketch.swells().isFlat() ? Optional.of(which + " is silent.") : Optional.empty();
    }

    private LineUp.Result nothing(String why) {
        return result(Optional.empty(), List.of(), why);
    }

    private LineUp.Result result(Optional<Alignment> alignment, List<Double> places, String reason) {
        double referenceSeconds = both.reference().header().seconds();
        double otherSeconds = both.other().header().seconds();
        return new LineUp.Result(alignment, places, reason, referenceSeconds, otherSeconds);
    }

    private static Alignment alignment(Tried tried) {
        ClockFit fit = tried.fit();
        double common = 0;
        double power = 0;
        for (ClockFit.Moment each : fit.used()) {
            common += each.match().common();
            power += each.match().power();
        }
        return new Alignment(
                fit.line(),
                fit.offsetUncertainty(),
                1e6 * fit.driftUncertainty(),
                fit.used().size(),
                tried.heard(),
                fit.isInverted(),
                Gain.ofRatio(Math.abs(common) / power));
    }

    // --- listening ---------------------------------------------------------------------------------------------

    private Optional<Tried> listen(SlopeSearch.Line line, Progress share) throws IOException {
        Windows windows = Windows.of(line, both, PLACES_TO_TELL);
        Optional<ClockFit> fit =
                ClockFit.of(excerpts(windows, line.clock(), share).moments(line.clock()), NEAR_AT_FIRST);
        return fit.map(each -> new Tried(each, line, windows.starts().size()));
    }

    /** At more places, until the line stays where it is. */
    private Tried measure(Tried rough, Progress share) throws IOException {
        Windows windows = Windows.of(rough.line(), both, PLACES_TO_MEASURE);
        Excerpted excerpted = excerpts(windows, rough.fit().line(), share);
        ClockFit fit = rough.fit();
        for (int turn = 0; turn < MOST_TURNS; turn++) {
            ClockLine before = fit.line();
            Optional<ClockFit> next = ClockFit.of(excerpted.moments(before), NEAR);
            if (next.isEmpty()) {
                break;
            }
            fit = next.get();
            ClockLine after = fit.line();
            boolean stays = IntStream.of(0, windows.starts().size() - 1)
                    .mapToObj(i -> windows.starts().get(i))
                    .allMatch(at -> Math.abs(after.inOther(at) - before.inOther(at)) < STAYS_SECONDS);
            if (stays) {
                break;
            }
        }
        return new Tried(fit, rough.line(), windows.starts().size());
    }

    private Excerpted excerpts(Windows windows, ClockLine clock, Progress share) throws IOException {
        List<Double> around = windows.starts().stream()
                .map(start -> clock.inOther(start) - SPARE_SECONDS)
                .toList();
        double longest = windows.seconds() * (1 + CoarseSearch.MOST_DRIFT) + 2 * SPARE_SECONDS;
        return new Excerpted(
                windows,
                new PhaseMatcher(windows.length(), windows.rate()),
                Excerpts.read(
                        reference,
                        both.reference().mixdown(),
                        windows.starts(),
                        windows.seconds(),
                        Shares.of(share, 0, 0.4)),
                Excerpts.read(other, both.other().mixdown(), around, longest, Shares.of(share, 0.4, 0.8)));
    }

    /**
     * Where is listened at.
     *
     * @param starts in seconds of the reference
     * @param length of each, in samples at the rate; a power of two
     * @param rate at which both are compared
     */
    private record Windows(List<Double> starts, int length, int rate) {
        static Windows of(SlopeSearch.Line line, Sketches both, int places) {
            int rate = Math.min(
                    MOST_RATE_HZ,
                    Math.min(
                            both.reference().header().sampleRateHz(),
                            both.other().header().sampleRateHz()));
            double overlap = line.toSeconds() - line.fromSeconds();
            double most = Math.max(SHORTEST_SECONDS, Math.min(LONGEST_SECONDS, overlap / 4));
            int length = Integer.highestOneBit((int) Math.ceil(most * rate));
            double seconds = (double) length / rate;
            double room = Math.max(0, overlap - seconds);
            // Halves of two that are next to each other may be the same.
            int count = (int) Math.max(1, Math.min(places, Math.floor(2 * room / seconds) + 1));
            int lasts = (int) (seconds * Sketch.STEPS_A_SECOND);
            List<Double> starts = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                int from = step(line.fromSeconds() + room * i / count);
                int to = step(line.fromSeconds() + room * (i + 1) / count);
                int liveliest = both.reference().swells().liveliest(from, to, lasts);
                starts.add((double) liveliest / Sketch.STEPS_A_SECOND);
            }
            return new Windows(starts, length, rate);
        }

        private static int step(double seconds) {
            return (int) Math.round(seconds * Sketch.STEPS_A_SECOND);
        }

        double seconds() {
            return (double) length / rate;
        }
    }

    /** What was heard there. */
    private record Excerpted(
            Windows windows, PhaseMatcher matcher, List<Excerpts.Excerpt> ones, List<Excerpts.Excerpt> twos) {
        List<ClockFit.Moment> moments(ClockLine line) {
            Kernel first = Kernel.quick((double) ones.get(0).sampleRateHz() / windows.rate());
            Kernel second = Kernel.quick((double) twos.get(0).sampleRateHz() / windows.rate());
            return IntStream.range(0, ones.size())
                    .parallel()
                    .mapToObj(i -> moment(line, i, first, second))
                    .flatMap(Optional::stream)
                    .toList();
        }

        /** The other one is read by its own clock: so the same sound has the same frequencies in both. */
        private Optional<ClockFit.Moment> moment(ClockLine line, int i, Kernel first, Kernel second) {
            double start = windows.starts().get(i);
            double step = 1.0 / windows.rate();
            double startOfOther = line.inOther(start);
            double stepOfOther = step * (1 + line.drift());
            if (!twos.get(i).holds(startOfOther, windows.length() * stepOfOther)) {
                return Optional.empty();
            }
            PhaseMatcher.Match match = matcher.match(
                    ones.get(i).part(start, step, windows.length(), first),
                    twos.get(i).part(startOfOther, stepOfOther, windows.length(), second),
                    REACH_SECONDS / windows.seconds());
            if (Math.abs(match.height()) < BY_CHANCE) {
                return Optional.empty();
            }
            double middle = start + 0.5 * windows.seconds();
            return Optional.of(new ClockFit.Moment(
                    middle, line.inOther(middle) + match.behind() * windows.length() * stepOfOther, match));
        }
    }
}
