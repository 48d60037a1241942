package kalodyne.core.levels.rig;

import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.gear.Value;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * What lies between an input that is recorded and its converter, as data sheets tell it: an input's maximum level at its lowest
 * gain is what reads full scale, and a gain counts from there. Mic, line and instrument inputs of one preamp each have their own:
 * the most sensitive of them goes straight in, before the others there is a pad. Mixers are left out: what their faders and
 * buses do lies between, and their gains are told as they are.
 */
final class InputPaths {
    private final Device device;
    private final Map<String, Optional<Path>> known = new HashMap<>();

    /**
     * Of a stage that inputs go into.
     *
     * @param most what its most sensitive input takes, the gain at its lowest
     * @param gain what it has beside its controls, so that this reads full scale
     */
    private record Path(Level most, Gain gain) {}

    InputPaths(Device device) {
        this.device = device;
    }

    /** What a stage has beside its controls; empty where no data sheet's maximum tells it. */
    Optional<Gain> within(Stage stage) {
        return path(stage).map(Path::gain);
    }

    /** The pad between an input and the stage that it shares with a more sensitive one. */
    Gain before(Stage stage, String reference) {
        Optional<Level> most = most(stage, reference);
        return path(stage)
                .flatMap(path ->
                        most.map(level -> new Gain(-level.above(path.most()).db())))
                .orElse(Gain.NONE);
    }

    private Optional<Path> path(Stage stage) {
        return known.computeIfAbsent(
                stage.id(),
                id -> fullScale(stage)
                        .flatMap(full -> inputs(stage)
                                .map(most ->
                                        new Path(most, new Gain(full.above(most).db() - lowest(stage))))));
    }

    private Optional<Level> inputs(Stage stage) {
        return stage.from().stream()
                .flatMap(reference -> most(stage, reference).stream())
                .min(Comparator.naturalOrder());
    }

    /**
     * Somebody who told which sine reaches full scale, and not what the line input takes, has told of the line input: that was asked
     * once.
     */
    private Optional<Level> most(Stage stage, String reference) {
        Optional<Socket> socket = device.socket(Stage.fedBy(reference));
        Optional<Value<Level>> most = socket.flatMap(each -> each.facts().get(Fact.MAXIMUM_LEVEL))
                .filter(value -> !value.is().isSilence())
                .filter(value -> !value.from().source().equals(Provenance.DESCRIBED));
        boolean isLine = socket.filter(each -> each.signal() == SignalKind.LINE).isPresent();
        Optional<Level> asked = most.filter(value -> isLine && !isTold(value))
                .flatMap(value -> converter(stage))
                .flatMap(converter -> converter.facts().get(Fact.FULL_SCALE))
                .filter(InputPaths::isTold)
                .map(Value::is);
        // Told below what the input is made for, it cannot be right.
        Optional<Level> nominal = socket.flatMap(each -> each.facts().quantity(Fact.NOMINAL_LEVEL));
        return asked.or(() -> most.map(Value::is)
                .map(level ->
                        nominal.filter(least -> least.compareTo(level) > 0).orElse(level)));
    }

    private static boolean isTold(Value<Level> value) {
        return value.from().origin() != Provenance.Origin.TYPICAL;
    }

    /** The level behind a stage that reads full scale; empty where no converter hears it, or not without a fader between. */
    private Optional<Level> fullScale(Stage stage) {
        if (stage.kind() == StageKind.TO_DIGITAL) {
            return Optional.of(stage.facts().quantity(Fact.FULL_SCALE).orElse(TrackDrafts.USUAL_FULL_SCALE));
        }
        return controls(stage).noneMatch(Controls::isVolume)
                ? behind(stage)
                        .flatMap(next -> fullScale(next)
                                .map(level -> level.plus(new Gain(-next.facts()
                                        .quantity(Fact.STAGE_GAIN)
                                        .orElse(Gain.NONE)
                                        .db()))))
                : Optional.empty();
    }

    private Optional<Stage> converter(Stage stage) {
        return stage.kind() == StageKind.TO_DIGITAL
                ? Optional.of(stage)
                : behind(stage).flatMap(this::converter);
    }

    /** The next stage on the way to a converter: it does nothing but pass on or convert. */
    private Optional<Stage> behind(Stage stage) {
        return device.stages().stream()
                .filter(next -> next.from().stream().map(Stage::fedBy).anyMatch(stage.id()::equals))
                .filter(next -> controls(next).findAny().isEmpty())
                .filter(next -> converter(next).isPresent())
                .findFirst();
    }

    /** What its gains are at their lowest together; a pad is out then. */
    private double lowest(Stage stage) {
        return controls(stage)
                .filter(control -> control.kind() == ControlKind.GAIN || control.kind() == ControlKind.TRIM)
                .flatMap(control -> control.taper().stream())
                .mapToDouble(taper -> taper.lowest().db())
                .filter(Double::isFinite)
                .sum();
    }

    private Stream<DeviceControl> controls(Stage stage) {
        return Controls.of(device, stage).stream();
    }
}
