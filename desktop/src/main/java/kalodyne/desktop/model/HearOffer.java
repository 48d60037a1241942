package kalodyne.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import kalodyne.core.findings.Remedy;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.MadeUpPlayer;
import kalodyne.core.hearing.Material;
import kalodyne.core.hearing.players.Round;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunJoints;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.practice.Clip;
import kalodyne.core.route.Way;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;

/**
 * Something that can be heard: one thing, or two that are compared.
 *
 * @param title what it is: "Bass synth → track 3"
 * @param sides how each is called
 * @param isPlayed whether somebody plays it, and an own take could too
 * @param made makes them, beside the screen's thread
 * @param followed them after the studio changed, on the screen's thread; empty where they are there no longer
 */
public record HearOffer(
        String title,
        List<String> sides,
        boolean isPlayed,
        Supplier<Optional<Made>> made,
        Function<Made, Optional<List<Listening>>> followed) {
    private static final String AS_PLUGGED = "As plugged";

    public HearOffer {
        sides = List.copyOf(sides);
    }

    /**
     * What is heard, and who plays.
     *
     * @param player who plays, or something of its own that is played
     */
    public record Made(Supplier<Material.Source> player, List<Listening> sides) {
        private static final int RATE_HZ = 48_000;
        private static final double ROUND_SECONDS = 600;

        public Made {
            sides = List.copyOf(sides);
        }

        private static Made of(MadeUpPlayer player, List<Listening> sides) {
            return new Made(
                    () -> {
                        Round round = player.round(RATE_HZ);
                        return () -> Material.played(round::at, RATE_HZ, ROUND_SECONDS);
                    },
                    sides);
        }
    }

    /** Something that is held whole, as it is. */
    public static HearOffer ofClip(String title, Clip clip) {
        return new HearOffer(
                title,
                List.of(""),
                false,
                () -> Optional.of(new Made(() -> clip::material, List.of(Listening.asItIs()))),
                HearOffer::unchanged);
    }

    /** The run that is looked at, and with its controls as advised where they stand elsewhere. */
    public static Optional<HearOffer> ofRun(StudioModel studio) {
        return studio.reading()
                .map(reading -> reading.advice().isFollowed()
                        ? ofRun(studio, reading.plan(), List.of("As it stands"), plan -> List.of(plan))
                        : ofRun(
                                studio,
                                reading.plan(),
                                List.of("As it stands", "As advised"),
                                plan -> List.of(
                                        plan,
                                        LevelPlan.of(
                                                plan.trace(), studio.levels().onceAdvised()))));
    }

    /** The run that is looked at, before and after what a finding proposes. */
    public static Optional<HearOffer> ofRemedy(StudioModel studio, Remedy remedy) {
        Map<Spot, Double> positions = Turning.positions(remedy);
        return studio.reading()
                .map(RunLevels::plan)
                .map(now -> ofRun(
                        studio,
                        now,
                        List.of("As it stands", remedy.words()),
                        plan -> List.of(plan, plan.turned(positions))));
    }

    private static HearOffer ofRun(
            StudioModel studio, LevelPlan now, List<String> sides, Function<LevelPlan, List<LevelPlan>> compared) {
        Function<LevelPlan, List<Listening>> heard = plan -> compared.apply(plan).stream()
                .map(each -> Listening.to(studio.levels().rig(), each))
                .toList();
        Made first = Made.of(MadeUpPlayer.of(studio.levels().rig(), now), heard.apply(now));
        return new HearOffer(
                now.name(),
                sides,
                true,
                () -> Optional.of(first),
                before -> studio.reading()
                        .map(RunLevels::plan)
                        .filter(plan -> plan.trace().key().equals(now.trace().key()))
                        .map(heard));
    }

    /** A joint: what goes in, and what comes out of it; empty where it is in no run. */
    public static Optional<HearOffer> ofJoint(StudioModel studio, Checked joint) {
        SetupLevels levels = studio.levels();
        List<Trace> traces = new ArrayList<>();
        studio.reading().ifPresent(reading -> traces.add(reading.plan().trace()));
        traces.addAll(levels.traces());
        return traces.stream()
                .map(levels::plan)
                .flatMap(plan -> new RunJoints(plan)
                        .station(joint).stream()
                                .map(station -> new HearOffer(
                                        joint.title() + ", what becomes of "
                                                + plan.trace().name(),
                                        List.of("Before it", "After it"),
                                        true,
                                        () -> Optional.of(Made.of(
                                                MadeUpPlayer.of(levels.rig(), plan),
                                                Listening.around(levels.rig(), plan, station))),
                                        HearOffer::unchanged)))
                .findFirst();
    }

    /** The run that is looked at, as it is and as it would be plugged otherwise; empty where no run is looked at. */
    public static Optional<HearOffer> ofWiring(StudioModel studio, String words, Wiring otherwise) {
        Studio all = studio.studio();
        Setup changed = studio.setup().withWiring(otherwise);
        SetupLevels present = studio.levels();
        return studio.reading()
                .map(RunLevels::plan)
                .map(plan -> new HearOffer(
                        plan.name(),
                        List.of(AS_PLUGGED, words),
                        true,
                        () -> {
                            SetupLevels levels = new PluggedLevels().of(all, changed);
                            return like(plan, levels)
                                    .map(other -> Made.of(
                                            MadeUpPlayer.of(present.rig(), plan),
                                            List.of(
                                                    Listening.to(present.rig(), plan),
                                                    Listening.to(levels.rig(), levels.plan(other)))));
                        },
                        HearOffer::unchanged));
    }

    /** The run that comes of the same player, where things are plugged otherwise. */
    private static Optional<Trace> like(LevelPlan plan, SetupLevels levels) {
        List<Trace> sameEnd = levels.traces().stream()
                .filter(trace -> levels.isRecorded(trace) == plan.isRecorded())
                .toList();
        return sameEnd.stream()
                .filter(trace -> trace.key().equals(plan.trace().key()))
                .findFirst()
                .or(() -> sameEnd.stream()
                        .filter(trace -> levels.plan(trace).player().equals(plan.player()))
                        .findFirst());
    }

    /** Ways to record something, each with its controls as advised. */
    public static HearOffer ofWays(StudioModel studio, List<Way> ways) {
        Setup setup = studio.setup();
        return new HearOffer(
                ways.size() == 1 ? "This way" : "Two ways",
                ways.stream().map(Way::title).toList(),
                true,
                () -> {
                    List<Listening> sides = new ArrayList<>();
                    Optional<MadeUpPlayer> player = Optional.empty();
                    for (Way way : ways) {
                        SetupLevels levels = SetupLevels.of(way.joints(), way.patch(), setup.settings());
                        Optional<Trace> trace = levels.traces().stream()
                                .filter(levels::isRecorded)
                                .findFirst();
                        if (trace.isPresent()) {
                            LevelPlan plan = LevelPlan.of(trace.get(), levels.onceAdvised());
                            sides.add(Listening.to(levels.rig(), plan));
                            player = player.or(() -> Optional.of(MadeUpPlayer.of(levels.rig(), plan)));
                        }
                    }
                    return player.filter(there -> sides.size() == ways.size()).map(there -> Made.of(there, sides));
                },
                HearOffer::unchanged);
    }

    private static Optional<List<Listening>> unchanged(Made made) {
        return Optional.of(made.sides());
    }
}
