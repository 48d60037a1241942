package kalodyne.desktop.model;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.LongSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.findings.Remedy;
import kalodyne.core.hearing.BlindTest;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.Matching;
import kalodyne.core.hearing.Material;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.recording.LiveHearing;
import kalodyne.core.recording.LiveHearing.Heard;
import kalodyne.core.recording.Speakers;
import kalodyne.core.route.Way;
import kalodyne.core.sound.UnreadableSound;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;
import kalodyne.desktop.job.Jobs;

/**
 * Hearing what gear does to a sound while its knobs are turned: one thing at a time, or two that are compared, equally loud and blind if
 * that is wished. A made-up player plays, or an own take does.
 */
public final class HearModel implements AutoCloseable {
    /** Where the volume stands at first, below full scale: soft in most headphones. */
    public static final double FIRST_VOLUME_DB = -24;

    private final StudioModel studio;
    private final Jobs jobs;
    private final Speakers speakers;
    private final LongSupplier seeds;
    private final ReadOnlyObjectWrapper<Optional<Hearing>> hearing =
            new ReadOnlyObjectWrapper<>(this, "hearing", Optional.empty());

    /** Counts what was begun and what was measured: only the latest is waited for. */
    private final AtomicInteger begun = new AtomicInteger();

    private final AtomicInteger measured = new AtomicInteger();

    private Optional<HearOffer> offer = Optional.empty();
    private Optional<HearOffer.Made> made = Optional.empty();
    private Optional<Material.Source> source = Optional.empty();
    private Optional<LiveHearing> live = Optional.empty();
    private Optional<Path> take = Optional.empty();
    private double volumeDb = FIRST_VOLUME_DB;

    /**
     * What is heard.
     *
     * @param title what it is
     * @param sides how what is compared is called; one where nothing is
     * @param isPlayed whether somebody plays it, and an own take could too
     * @param side which of them is heard; while blind, −1 stands for the one that is to be told
     * @param isMatched whether they are made equally loud
     * @param turnedDown by how much each is for that, once that is measured; else empty
     * @param blind the blind comparison, where one was begun
     */
    public record Hearing(
            String title,
            List<String> sides,
            boolean isPlayed,
            int side,
            boolean isMatched,
            List<Gain> turnedDown,
            Optional<BlindTest> blind) {
        static final int UNKNOWN = -1;

        public Hearing {
            sides = List.copyOf(sides);
            turnedDown = List.copyOf(turnedDown);
        }

        public boolean isComparing() {
            return sides.size() > 1;
        }

        public boolean isUnknownHeard() {
            return side == UNKNOWN;
        }

        /** The index of what is played. */
        private int played() {
            return isUnknownHeard() ? blind.filter(BlindTest::isSecond).isPresent() ? 1 : 0 : side;
        }

        private Hearing hearing(int other) {
            return new Hearing(title, sides, isPlayed, other, isMatched, turnedDown, blind);
        }

        private Hearing matched(boolean wanted) {
            return new Hearing(title, sides, isPlayed, side, wanted, turnedDown, blind);
        }

        private Hearing turnedDown(List<Gain> down) {
            return new Hearing(title, sides, isPlayed, side, isMatched, down, blind);
        }

        private Hearing blind(Optional<BlindTest> test) {
            return new Hearing(title, sides, isPlayed, side, isMatched, turnedDown, test);
        }

        /** Where they stand measured, in a blind comparison always: else loudness would give them away. */
        private Gain down() {
            boolean isDown = (isMatched || blind.isPresent()) && !turnedDown.isEmpty();
            return isDown ? turnedDown.get(played()) : Gain.NONE;
        }

        /** "“As advised” is turned down by 4.2 dB, to be as loud." */
        public String matchingInWords() {
            if (!isMatched || turnedDown.isEmpty() || blind.isPresent()) {
                return "";
            }
            return IntStream.range(0, sides.size())
                    .filter(i -> turnedDown.get(i).db() < -0.05)
                    .mapToObj(i -> "“" + sides.get(i) + "” is turned down by "
                            + Print.decimal(-turnedDown.get(i).db(), 1) + " dB")
                    .collect(Collectors.joining(", "));
        }
    }

    /**
     * Heard through the given speakers.
     *
     * @param seeds for what is drawn in blind comparisons
     */
    public HearModel(StudioModel studio, Jobs jobs, Speakers speakers, LongSupplier seeds) {
        this.studio = studio;
        this.jobs = jobs;
        this.speakers = new Deafness(speakers, studio).telling();
        this.seeds = seeds;
        studio.readingProperty().addListener(change -> follow());
    }

    /** Empty where nothing is heard. */
    public ReadOnlyObjectProperty<Optional<Hearing>> hearingProperty() {
        return hearing.getReadOnlyProperty();
    }

    public Optional<Hearing> hearing() {
        return hearing.get();
    }

    public boolean isHearing() {
        return hearing().isPresent();
    }

    public double volumeDb() {
        return volumeDb;
    }

    /** A hand on the volume. */
    public void volume(double db) {
        volumeDb = db;
        live.ifPresent(each -> each.volume(new Gain(db).ratio()));
    }

    // --- what is heard -----------------------------------------------------------------------------------------

    /** Begins to hear the run that is looked at, or ends whatever is heard. */
    public void toggle() {
        if (isHearing()) {
            stop();
        } else {
            HearOffer.ofRun(studio).ifPresent(this::hear);
        }
    }

    /** What goes into a joint against what comes out of it. */
    public void hearJoint(Checked joint) {
        HearOffer.ofJoint(studio, joint).ifPresent(this::hear);
    }

    /** Whether a joint can be heard: data and power make no sound, nor does what is in no run. */
    public boolean isHeard(Checked joint) {
        return HearOffer.ofJoint(studio, joint).isPresent();
    }

    /** The run that is looked at, against what a finding proposes. */
    public void hearRemedy(Remedy remedy) {
        HearOffer.ofRemedy(studio, remedy).ifPresent(this::hear);
    }

    /** The run that is looked at, against what would be plugged otherwise. */
    public void hearWiring(String words, Wiring otherwise) {
        HearOffer.ofWiring(studio, words, otherwise).ifPresent(this::hear);
    }

    /** A way to record something, or two of them. */
    public void hearWays(List<Way> ways) {
        hear(HearOffer.ofWays(studio, ways));
    }

    /** The runs' takes of this setup: any of them can be played in place of the made-up player. */
    public List<Path> takes() {
        return studio.setup().takes().stream()
                .map(each -> studio.folder().resolve(each.file()).normalize())
                .distinct()
                .toList();
    }

    /** Who plays: an own take, or the made-up player where empty. */
    public Optional<Path> take() {
        return take;
    }

    /** Has another one play. */
    public void play(Optional<Path> other) {
        take = other;
        offer.ifPresent(this::hear);
    }

    /** Begins to hear something, in place of what is heard. */
    public void hear(HearOffer what) {
        boolean wasMatched = hearing().map(Hearing::isMatched).orElse(true);
        end();
        offer = Optional.of(what);
        hearing.set(Optional.of(
                new Hearing(what.title(), what.sides(), what.isPlayed(), 0, wasMatched, List.of(), Optional.empty())));
        int asked = begun.get();
        Optional<Path> playing = take;
        jobs.runBriefly(progress -> prepare(what, playing), prepared -> {
            if (asked == begun.get()) {
                prepared.problem().ifPresentOrElse(this::giveUp, () -> begin(prepared));
            }
        });
    }

    /** What is needed before anything can be heard, or why it cannot. */
    private record Prepared(Optional<HearOffer.Made> made, Optional<Material.Source> source, Optional<String> problem) {
        static Prepared not(String problem) {
            return new Prepared(Optional.empty(), Optional.empty(), Optional.of(problem));
        }
    }

    private static Prepared prepare(HearOffer what, Optional<Path> take) {
        Optional<HearOffer.Made> made = what.made().get();
        if (made.isEmpty()) {
            return Prepared.not("Nothing would come out of it.");
        }
        if (take.isEmpty() || !what.isPlayed()) {
            return new Prepared(made, Optional.of(made.get().player().get()), Optional.empty());
        }
        try {
            Material.of(take.get()).close();
            return new Prepared(made, Optional.of(() -> Material.of(take.get())), Optional.empty());
        } catch (UnreadableSound e) {
            return Prepared.not(e.getMessage());
        } catch (IOException e) {
            return Prepared.not(take.get() + " cannot be read. Is its disk plugged in?");
        }
    }

    private void giveUp(String why) {
        stop();
        take = Optional.empty();
        studio.notice("This cannot be heard", why);
    }

    private void begin(Prepared prepared) {
        made = prepared.made();
        source = prepared.source();
        measure();
        LiveHearing starting = new LiveHearing(source.orElseThrow(), present(), new Gain(volumeDb).ratio());
        live = Optional.of(starting);
        Thread thread = new Thread(() -> run(starting), "hearing");
        thread.setDaemon(true);
        thread.start();
    }

    private void run(LiveHearing starting) {
        try {
            starting.run(speakers);
        } catch (IOException e) {
            studio.onScreen(() -> {
                if (live.filter(starting::equals).isPresent()) {
                    giveUp(String.valueOf(e.getMessage()));
                }
            });
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private Heard present() {
        Hearing shown = hearing().orElseThrow();
        return new Heard(made.orElseThrow().sides().get(shown.played()), shown.down());
    }

    /** How much each is to be turned down, beside the screen's thread. */
    private void measure() {
        int asked = measured.incrementAndGet();
        List<Listening> sides = made.orElseThrow().sides();
        Material.Source played = source.orElseThrow();
        if (sides.size() < 2) {
            return;
        }
        jobs.runBriefly(
                progress -> {
                    try {
                        return asked == measured.get() ? Matching.turnedDown(played, sides) : List.<Gain>of();
                    } catch (IOException e) {
                        // Whoever plays it says so.
                        return List.<Gain>of();
                    }
                },
                down -> {
                    if (asked == measured.get() && live.isPresent()) {
                        change(hearing().orElseThrow().turnedDown(down));
                    }
                });
    }

    private void follow() {
        if (live.isEmpty()) {
            return;
        }
        HearOffer.Made before = made.orElseThrow();
        Optional<List<Listening>> now = offer.orElseThrow().followed().apply(before);
        if (now.isEmpty()) {
            stop();
        } else if (!now.get().equals(before.sides())) {
            made = Optional.of(new HearOffer.Made(before.player(), now.get()));
            live.get().hear(present());
            measure();
        }
    }

    private void change(Hearing now) {
        hearing.set(Optional.of(now));
        live.ifPresent(each -> each.hear(present()));
    }

    /** The same by a hand that asked for it: it may be as loud as it is. */
    private void choose(Hearing now) {
        hearing.set(Optional.of(now));
        live.ifPresent(each -> {
            each.allow(present());
            each.hear(present());
        });
    }

    /** Ends what is heard. */
    public void stop() {
        end();
        hearing.set(Optional.empty());
    }

    private void end() {
        begun.incrementAndGet();
        measured.incrementAndGet();
        live.ifPresent(LiveHearing::stop);
        live = Optional.empty();
        offer = Optional.empty();
        made = Optional.empty();
    }

    // --- comparing ---------------------------------------------------------------------------------------------

    /** Hears one of what is compared. */
    public void hearSide(int side) {
        hearing().ifPresent(shown -> choose(shown.hearing(side)));
    }

    /** Hears the one that is to be told. */
    public void hearUnknown() {
        hearSide(Hearing.UNKNOWN);
    }

    /** Hears the other one of two. */
    public void hearOther() {
        hearing().filter(Hearing::isComparing).ifPresent(shown -> hearSide(shown.side() == 0 ? 1 : 0));
    }

    /** Makes them equally loud, or leaves them as they are. */
    public void match(boolean isWanted) {
        hearing().ifPresent(shown -> choose(shown.matched(isWanted)));
    }

    /** Begins a blind comparison with the first one to be told. */
    public void compareBlind(int tries) {
        hearing()
                .filter(Hearing::isComparing)
                .ifPresent(shown -> choose(shown.blind(Optional.of(BlindTest.begun(seeds.getAsLong(), tries)))
                        .hearing(Hearing.UNKNOWN)));
    }

    /** Says which one it was, and hears the next one to be told. */
    public void tell(int side) {
        hearing()
                .ifPresent(shown -> shown.blind()
                        .filter(test -> !test.isOver())
                        .map(test -> test.answered(side == 1))
                        .ifPresent(test ->
                                choose(shown.blind(Optional.of(test)).hearing(test.isOver() ? 0 : Hearing.UNKNOWN))));
    }

    /** Ends the blind comparison; both are heard on. */
    public void endBlind() {
        hearing().ifPresent(shown -> choose(shown.blind(Optional.empty()).hearing(Math.max(0, shown.side()))));
    }

    @Override
    public void close() {
        stop();
    }
}
