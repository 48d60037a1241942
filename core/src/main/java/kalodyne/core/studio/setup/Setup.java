package kalodyne.core.studio.setup;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.Wish;
import kalodyne.core.runsheet.RigSnapshot;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SessionPlan;

/**
 * One way of connecting a studio.
 *
 * @param id by which a studio knows it; never changes
 * @param name "Sunday trio"
 * @param wiring how the gear is plugged together
 * @param settings how the controls of what is plugged stand, and how they should be set
 * @param wish what was last looked for, if anything
 * @param takes in the order in which they were added; each of a run, under a name of its own in that run
 * @param sessionPlan what is to be done with it
 * @param sessions the times that its run sheet was gone through, oldest first, each under a name of its own
 */
@RecordBuilder
public record Setup(
        String id,
        String name,
        Wiring wiring,
        Settings settings,
        Optional<Wish> wish,
        List<Take> takes,
        SessionPlan sessionPlan,
        List<Session> sessions)
        implements SetupBuilder.With {
    public Setup {
        takes = List.copyOf(takes);
        sessions = List.copyOf(sessions);
    }

    /** What a new user starts with. */
    public static Setup empty() {
        return bare("setup-1", "First setup");
    }

    /** With nothing in it. */
    public static Setup bare(String id, String name) {
        return new Setup(
                id, name, Wiring.NONE, Settings.NONE, Optional.empty(), List.of(), SessionPlan.USUAL, List.of());
    }

    /** The takes of a run, oldest first. */
    public List<Take> takesOf(String runName) {
        return takes.stream().filter(take -> take.run().equals(runName)).toList();
    }

    /** The same with the marks of gear changed, in what is plugged now and in what was when takes and sessions were made. */
    public Setup renamed(UnaryOperator<Spot> anew) {
        UnaryOperator<String> mark = id -> anew.apply(new Spot(id, "any")).item();
        return new Setup(
                id,
                name,
                wiring.renamed(anew),
                settings.renamed(anew),
                wish.map(each -> each.renamed(mark)),
                takes.stream().map(take -> take.renamed(anew)).toList(),
                sessionPlan.renamed(mark),
                sessions.stream()
                        .map(each -> each.with(
                                each.wiring().renamed(anew), each.settings().renamed(anew)))
                        .toList());
    }

    /** With its recordings and its photographs under other names. */
    public Setup withFiles(UnaryOperator<String> takeFile, UnaryOperator<String> photo) {
        return withTakes(takes.stream()
                        .map(take -> take.withFile(takeFile.apply(take.file())))
                        .toList())
                .withSessions(sessions.stream()
                        .map(session -> session.withTicks(session.ticks().stream()
                                .map(tick -> tick.withPhotos(
                                        tick.photos().stream().map(photo).toList()))
                                .toList()))
                        .toList());
    }

    public Setup named(String newName) {
        return withName(newName);
    }

    /** How everything stands. */
    public RigSnapshot stand() {
        return RigSnapshot.of(wiring, settings);
    }

    /** As everything stood then; what was not kept stays as it is. */
    public Setup as(RigSnapshot then) {
        return withWiring(then.wiring().orElse(wiring)).withSettings(settings.turned(then.positions()));
    }

    /** With one more take. */
    public Setup with(Take take) {
        List<Take> more = new ArrayList<>(takes);
        more.add(take);
        return withTakes(more);
    }

    /** With a take put in the place of another. */
    public Setup replacing(Take old, Take changed) {
        return withTakes(
                takes.stream().map(each -> each.equals(old) ? changed : each).toList());
    }

    public Setup with(SessionPlan newIntention) {
        return withSessionPlan(newIntention);
    }

    /** The time that its run sheet is being gone through now, if that is so. */
    public Optional<Session> session() {
        return sessions.stream().filter(session -> !session.isOver()).reduce((first, last) -> last);
    }

    /** The times that it was gone through and closed, in their order. */
    public List<Session> closedSessions() {
        return sessions.stream().filter(Session::isOver).toList();
    }

    /** With a session added, or put in the place of the one of its name. */
    public Setup with(Session session) {
        List<Session> more = new ArrayList<>(sessions);
        int place = IntStream.range(0, more.size())
                .filter(i -> more.get(i).name().equals(session.name()))
                .findFirst()
                .orElse(more.size());
        if (place < more.size()) {
            more.set(place, session);
        } else {
            more.add(session);
        }
        return withSessions(more);
    }

    /** Without a take; the recording itself stays where it is. */
    public Setup without(Take take) {
        return withTakes(takes.stream().filter(each -> !each.equals(take)).toList());
    }
}
