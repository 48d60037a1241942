package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.run.Run;
import kalodyne.core.run.Station;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * Finds where the controls of a run should stand: a strong source first, since noise that is added later then counts
 * less, up to the first ceiling; the gain as the aim wants it, in the middle of the aim.
 *
 * <p>With one control before the input and one behind, this is exact but for the rounding to what a hand can set: the
 * source stands as high as nothing before the gain clips and the gain can still come down to the aim; what is left is the
 * gain's. Positions are moved to a quarter hour where that keeps the peak in the aim and clips nothing.
 */
public final class Adviser {
    private final Run run;

    /** The peaks at the source's output and at the socket with the volume at its highest. */
    private final Level loudestAtSource;

    private final Level loudestAtSocket;
    private final Control gain;

    private Adviser(Run run) {
        this.run = run;
        this.gain = run.input().gain();
        LevelPlan strong = LevelPlan.of(run.turned(Map.of(Run.VOLUME, 1.0)));
        this.loudestAtSource = strong.first(Station.Part.SOURCE).peak();
        this.loudestAtSocket = strong.first(Station.Part.INPUT).peak();
    }

    public static Advice advise(Run run) {
        return new Adviser(run).advise();
    }

    /**
     * The advice for a run whose source was found to be louder or quieter than described.
     *
     * @param correction how much louder its loudest peak is
     */
    public static Advice advise(Run run, Gain correction) {
        return advise(run.withSource(run.source().louderBy(correction)));
    }

    /** The volume, if there is one, and the gain, with the peak that they give at the socket. */
    private record Pair(Optional<Control> volume, Level atSocket, Control gain) {}

    private Advice advise() {
        Pair pair = strongSource(gain.taper().lowest());
        if (miss(pair).db() != 0 && gain.taper() instanceof SteppedTaper clicks) {
            // Between two clicks the volume must do the rest.
            pair = clicks.steps().stream()
                    .map(this::strongSource)
                    .filter(candidate -> miss(candidate).db() == 0)
                    .findFirst()
                    .orElse(pair);
        }
        return new Advice(settings(pair), obstacle(pair));
    }

    private List<Setting> settings(Pair pair) {
        List<Setting> settings = new ArrayList<>();
        pair.volume()
                .ifPresent(advised -> settings.add(new Setting(
                        Run.VOLUME, run.source().name(), run.source().volume().orElseThrow(), advised)));
        settings.add(new Setting(Run.GAIN, run.input().device(), gain, pair.gain()));
        return settings;
    }

    /** The source as strong as may be where the gain will be a given one or more, and the gain that then fits. */
    private Pair strongSource(Gain leastGain) {
        Optional<Control> volume = run.source().volume().map(control -> strongest(control, leastGain));
        Gain turnedDown = volume.map(
                        control -> control.gain().minus(control.taper().highest()))
                .orElse(Gain.NONE);
        Level atSocket = loudestAtSocket.plus(turnedDown);
        return new Pair(volume, atSocket, gainFor(atSocket));
    }

    /** The volume as high as nothing before the gain clips and the gain can still come down to the aim. */
    private Control strongest(Control volume, Gain leastGain) {
        Gain cut = Collections.max(List.of(
                loudestAtSource.above(run.source().ceiling()),
                run.input().socketCeiling().map(loudestAtSocket::above).orElse(Gain.SHUT),
                loudestAtSocket.plus(leastGain).above(target())));
        if (cut.db() <= 0) {
            return volume.at(1);
        }
        Control exact =
                volume.at(volume.taper().positionAtMost(volume.taper().highest().minus(cut)));
        return exact.taper().isStepped() ? exact : quarterBelow(exact);
    }

    /** The middle of the aim, or what the gain stage can give without clipping, whichever is lower. */
    private Level target() {
        Level middle = run.aim().middle().at(run.converter().fullScale());
        return middle.compareTo(run.input().ceiling()) > 0 ? run.input().ceiling() : middle;
    }

    /** Of the positions round the one wanted, handy ones first: the first that hits the aim, else the one nearest to it. */
    private Control gainFor(Level atSocket) {
        Control exact = gain.at(gain.taper().positionFor(target().above(atSocket)));
        Control quarter = exact.at(exact.dial().nearestQuarter(exact.position()));
        Control highest =
                gain.at(gain.taper().positionAtMost(run.input().ceiling().above(atSocket)));
        List<Control> clean = Stream.of(quarter, exact, quarterBelow(exact), highest)
                .filter(control ->
                        atSocket.plus(control.gain()).compareTo(run.input().ceiling()) <= 0)
                .toList();
        return clean.stream()
                .min(Comparator.comparingDouble(
                        control -> Math.abs(miss(atSocket.plus(control.gain())).db())))
                .orElse(gain.at(0));
    }

    private static Control quarterBelow(Control exact) {
        double quarter = exact.dial().nearestQuarter(exact.position());
        double below =
                quarter <= exact.position() ? quarter : quarter - exact.dial().quarterHour();
        return exact.at(Math.max(0, below));
    }

    private Gain miss(Level atTrack) {
        return run.aim().miss(DigitalLevel.of(atTrack, run.converter().fullScale()));
    }

    private Gain miss(Pair pair) {
        return miss(pair.atSocket().plus(pair.gain().gain()));
    }

    private Optional<Obstacle> obstacle(Pair pair) {
        Level atSource = loudestAtSource.plus(pair.atSocket().above(loudestAtSocket));
        if (atSource.compareTo(run.source().ceiling()) > 0) {
            Gain over = atSource.above(run.source().ceiling());
            return Optional.of(new Obstacle(Obstacle.Kind.SOURCE_CLIPS, Station.Part.SOURCE, over));
        }
        Optional<Level> socketCeiling = run.input().socketCeiling();
        if (socketCeiling.isPresent() && pair.atSocket().compareTo(socketCeiling.get()) > 0) {
            Gain over = pair.atSocket().above(socketCeiling.get());
            return Optional.of(new Obstacle(Obstacle.Kind.SOCKET_OVERLOADED, Station.Part.INPUT, over));
        }
        Gain miss = miss(pair);
        if (miss.db() > 0) {
            return Optional.of(new Obstacle(Obstacle.Kind.TOO_HOT_AT_LOWEST, Station.Part.INPUT, miss));
        }
        if (miss.db() < 0) {
            Level lowEdge = run.aim().low().at(run.converter().fullScale());
            boolean stageLimits = run.input().ceiling().compareTo(lowEdge) < 0;
            Obstacle.Kind kind = stageLimits ? Obstacle.Kind.CLIPS_BEFORE_AIM : Obstacle.Kind.TOO_QUIET_AT_HIGHEST;
            return Optional.of(new Obstacle(kind, Station.Part.INPUT, miss.negated()));
        }
        return Optional.empty();
    }
}
