package kalodyne.core.levels;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Run;
import kalodyne.core.gear.Station;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * Finds where the controls of a run should stand: a strong source first, since noise that is added later then counts
 * less, up to the first ceiling; the gain as the aim wants it, in the middle of the aim.
 *
 * <p>With one control before the input and one behind this is exact: the source stands as high as nothing before the
 * gain clips and the gain can still come down to the aim; what is left is the gain's. Positions are then moved to the
 * nearest quarter hour where that keeps the peak in the aim and clips nothing.
 */
public final class Adviser {
    private final Run run;

    /** The peak at the socket with the volume at its highest. */
    private final Level loudestAtSocket;

    private final Control gain;

    private Adviser(Run run) {
        this.run = run;
        this.gain = run.input().gain();
        Run strong = run.turned(Map.of(Run.VOLUME, 1.0));
        this.loudestAtSocket = LevelPlan.of(strong).first(Station.Part.INPUT).peak();
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

    private Advice advise() {
        Gain cut = cutNeeded();
        Optional<Control> volume = run.source().volume();
        Optional<Control> advisedVolume = volume.map(control -> control.at(
                cut.db() <= 0 ? 1 : atMost(control, control.taper().highest().minus(cut))));
        Gain volumeChange = volume.isPresent()
                ? advisedVolume.get().gain().minus(volume.get().taper().highest())
                : Gain.NONE;
        Level atSocket = loudestAtSocket.plus(volumeChange);

        Gain wanted = target().above(atSocket);
        Control advisedGain = handy(gain.at(gain.taper().positionFor(wanted)), atSocket);

        Map<String, Control> advised = new LinkedHashMap<>();
        advisedVolume.ifPresent(control -> advised.put(Run.VOLUME, control));
        advised.put(Run.GAIN, advisedGain);
        List<Setting> settings = run.controls().entrySet().stream()
                .map(entry -> new Setting(
                        entry.getKey(), ownerOf(entry.getKey()), entry.getValue(), advised.get(entry.getKey())))
                .toList();
        return new Advice(settings, obstacle(atSocket, advisedGain));
    }

    private String ownerOf(String control) {
        return control.equals(Run.VOLUME) ? run.source().name() : run.input().device();
    }

    /** How far the source must come down from its highest so that the socket bears it and the gain reaches the aim. */
    private Gain cutNeeded() {
        Gain overAim = loudestAtSocket.plus(gain.taper().lowest()).above(target());
        Gain overSocket = run.input()
                .socketCeiling()
                .map(ceiling -> loudestAtSocket.above(ceiling))
                .orElse(Gain.SHUT);
        return overAim.compareTo(overSocket) > 0 ? overAim : overSocket;
    }

    /** The middle of the aim, or what the gain stage can give without clipping, whichever is lower. */
    private Level target() {
        Level middle = run.aim().middle().at(run.converter().fullScale());
        return middle.compareTo(run.input().ceiling()) > 0 ? run.input().ceiling() : middle;
    }

    /** The highest handy position of a control that does not exceed a gain. */
    private static double atMost(Control control, Gain limit) {
        double exact = control.taper().positionFor(limit);
        double quarter = control.dial().nearestQuarter(exact);
        double lower = quarter <= exact
                ? quarter
                : Math.max(0, quarter - control.dial().quarterHour());
        return control.taper().isStepped() ? exact : lower;
    }

    private Control handy(Control exact, Level atSocket) {
        if (exact.taper().isStepped()) {
            return exact;
        }
        Control quarter = exact.at(exact.dial().nearestQuarter(exact.position()));
        Level behind = atSocket.plus(quarter.gain());
        boolean clips = behind.compareTo(run.input().ceiling()) > 0;
        boolean exactHits = isInAim(atSocket.plus(exact.gain()));
        return clips || (exactHits && !isInAim(behind)) ? exact : quarter;
    }

    private boolean isInAim(Level atTrack) {
        return miss(atTrack).db() == 0;
    }

    private Gain miss(Level atTrack) {
        return run.aim().miss(DigitalLevel.of(atTrack, run.converter().fullScale()));
    }

    private Optional<Obstacle> obstacle(Level atSocket, Control advisedGain) {
        Optional<Level> socketCeiling = run.input().socketCeiling();
        if (socketCeiling.isPresent() && atSocket.compareTo(socketCeiling.get()) > 0) {
            return Optional.of(new Obstacle(
                    Obstacle.Kind.SOCKET_OVERLOADED, Station.Part.INPUT, atSocket.above(socketCeiling.get())));
        }
        Gain miss = miss(atSocket.plus(advisedGain.gain()));
        if (miss.db() > 0) {
            return Optional.of(new Obstacle(Obstacle.Kind.TOO_HOT_AT_LOWEST, Station.Part.INPUT, miss));
        }
        if (miss.db() < 0) {
            boolean stageLimits = run.input()
                            .ceiling()
                            .compareTo(run.aim().low().at(run.converter().fullScale()))
                    < 0;
            Obstacle.Kind kind = stageLimits ? Obstacle.Kind.CLIPS_BEFORE_AIM : Obstacle.Kind.TOO_QUIET_AT_HIGHEST;
            return Optional.of(new Obstacle(kind, Station.Part.INPUT, miss.negated()));
        }
        return Optional.empty();
    }
}
