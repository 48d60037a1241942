package kalodyne.core.levels.rig;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.End;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import kalodyne.core.units.Power;
import kalodyne.core.units.SoundLevel;

/** Where it is heard: what a voltage becomes as a sound. */
final class EarLevels {
    /** What one listens at while recording and mixing in a small room; common practice. */
    private static final double LOW_DB_SPL = 70;

    private static final double HIGH_DB_SPL = 80;

    /** A powered loudspeaker gives its loudest about so far above its nominal input; common practice. */
    private static final double OVER_NOMINAL_DB = 10;

    private static final Level USUAL_NOMINAL = new Level(4);

    private final List<Doubt> doubts;

    EarLevels(List<Doubt> doubts) {
        this.doubts = doubts;
    }

    /** The ears behind a driver of headphones; empty where its numbers do not say. */
    Optional<End> phones(Device device, String name, Spot at) {
        Optional<Double> ohms = device.facts()
                .quantity(Fact.DRIVER_IMPEDANCE)
                .map(Impedance::ohms)
                .filter(each -> each > 0);
        Optional<Double> perMilliwatt =
                device.facts().quantity(Fact.SOUND_PER_MILLIWATT).map(SoundLevel::db);
        if (ohms.isEmpty() || perMilliwatt.isEmpty()) {
            doubts.add(new Doubt(
                    at,
                    "How loud " + device.name()
                            + " gets cannot be told: its impedance or its sensitivity is not known.",
                    false));
            return Optional.empty();
        }
        // So many volts make a milliwatt in the driver.
        Level atMilliwatt = Level.ofVolts(Math.sqrt(0.001 * ohms.get()));
        return Optional.of(ears(name, atMilliwatt.plus(new Gain(-perMilliwatt.get()))));
    }

    /** What burns the driver of headphones. */
    static Optional<Level> mostIntoPhones(Device device) {
        Optional<Double> ohms = device.facts().quantity(Fact.DRIVER_IMPEDANCE).map(Impedance::ohms);
        Optional<Double> watts = device.facts().quantity(Fact.MOST_POWER).map(Power::watts);
        return ohms.flatMap(each -> watts.map(power -> Math.sqrt(power * each)))
                .filter(volts -> volts > 0)
                .map(Level::ofVolts);
    }

    static boolean isPoweredSpeaker(Device device) {
        return device.kind() == DeviceKind.SPEAKER
                && device.facts().get(Fact.LOUDEST_SOUND).isPresent();
    }

    /** Something that takes the low part and leaves the rest to other loudspeakers. */
    static boolean isSubwoofer(Device device) {
        return device.kind() == DeviceKind.SPEAKER
                && device.stages().stream().anyMatch(stage -> stage.kind() == StageKind.CROSSOVER);
    }

    /** The stage of a loudspeaker that drives what is heard: of those with a driver of their own the last one. */
    static boolean isDriving(Device device, Stage stage) {
        boolean isPassedOn = device.sockets().stream()
                .flatMap(socket -> socket.from().stream())
                .map(Stage::fedBy)
                .anyMatch(stage.id()::equals);
        return stage.kind() == StageKind.AMPLIFIER || (stage.kind() == StageKind.CROSSOVER && !isPassedOn);
    }

    /** The ears a metre in front of a loudspeaker with its own amplifier, behind that amplifier. */
    static End speaker(Device device, Socket socket, String name) {
        double loudest =
                device.facts().quantity(Fact.LOUDEST_SOUND).orElseThrow().db();
        Level loudestAt = loudestAt(socket);
        End ears = ears(name, loudestAt.plus(new Gain(-loudest)));
        return isSubwoofer(device) ? ears.asSubwoofer() : ears;
    }

    /** The level at which the amplifier of a loudspeaker gives all that it can. */
    static Level loudestAt(Socket socket) {
        return socket.facts().quantity(Fact.NOMINAL_LEVEL).orElse(USUAL_NOMINAL).plus(new Gain(OVER_NOMINAL_DB));
    }

    private static End ears(String name, Level zero) {
        return new End(
                0,
                name,
                OptionalInt.empty(),
                End.Kind.EARS,
                zero,
                LOW_DB_SPL,
                HIGH_DB_SPL,
                End.Line.AVERAGE,
                OptionalInt.empty());
    }
}
