package kalodyne.core.rig;

import java.util.List;
import java.util.Optional;
import kalodyne.core.gain.Sound;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Value;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Usual;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import kalodyne.core.units.MicSensitivity;
import kalodyne.core.units.SoundLevel;
import kalodyne.core.units.ThermalNoise;

/** What comes out of sources: what is known of it, and what is taken where nothing is. */
final class Sounds {
    /** The peak of somebody who sings or plays loudly at a hand's length; common practice. */
    private static final double LOUD_DB_SPL = 110;

    /** 1 Pa. */
    private static final double PASCAL_DB_SPL = 94;

    private static final Level USUAL_LINE = new Level(4);
    private static final Level USUAL_SMALL = new Level(-35);

    /** How far a loudest peak lies above the average where nothing is known; common practice. */
    private static final double USUAL_CREST_DB = 14;

    /** How far values lie from the truth, by where they are from; estimates. */
    private static final double MEASURED_DB = 1;

    private static final double DATASHEET_DB = 3;
    private static final double TYPICAL_DB = 6;
    private static final double UNKNOWN_DB = 10;

    private final List<Doubt> doubts;

    Sounds(List<Doubt> doubts) {
        this.doubts = doubts;
    }

    Sound of(String id, Device device, Socket socket) {
        Spot at = new Spot(id, socket.id());
        Optional<Value<Level>> told = socket.facts().get(Fact.LOUDEST_PEAK);
        double spread = told.map(value -> spread(value.from())).orElse(UNKNOWN_DB);
        Level peak = told.map(Value::is).orElseGet(() -> unknownPeak(device, socket, at));
        Level average = average(socket, peak, at);
        Level thermal = ThermalNoise.of(new Impedance(Usual.sourceOhms(device, socket)));
        Level floor = socket.facts()
                .quantity(Fact.OWN_NOISE)
                .orElseGet(() -> selfNoise(device).withUncorrelated(thermal));
        if (floor.compareTo(average) > 0) {
            doubts.add(new Doubt(
                    at,
                    "The noise of " + device.name() + " is told above its average level: one of both is wrong.",
                    true));
            floor = average.plus(new Gain(-USUAL_CREST_DB));
        }
        return new Sound(id, peak, average, floor, new Gain(spread));
    }

    private Level average(Socket socket, Level peak, Spot at) {
        Optional<Level> told = socket.facts().quantity(Fact.AVERAGE_LEVEL);
        if (told.isPresent() && told.get().compareTo(peak) > 0) {
            doubts.add(new Doubt(at, "The average of " + socket.name() + " is told above its loudest peak.", true));
        }
        return told.filter(level -> level.compareTo(peak) <= 0 && !level.isSilence())
                .orElse(peak.plus(new Gain(-USUAL_CREST_DB)));
    }

    private static double spread(Provenance from) {
        return switch (from.origin()) {
            case MEASURED -> MEASURED_DB;
            case DATASHEET -> DATASHEET_DB;
            case TYPICAL -> TYPICAL_DB;
        };
    }

    private Level unknownPeak(Device device, Socket socket, Spot at) {
        Level taken = guess(device, socket);
        doubts.add(new Doubt(
                at,
                "How loud " + device.name() + " gets is not known; taken as " + taken + " at the loudest, give or take "
                        + (int) UNKNOWN_DB + " dB.",
                false));
        return taken;
    }

    private static Level guess(Device device, Socket socket) {
        Optional<Level> average = socket.facts().quantity(Fact.AVERAGE_LEVEL);
        Optional<Double> sensitivity =
                device.facts().quantity(Fact.MIC_SENSITIVITY).map(MicSensitivity::voltsPerPascal);
        if (average.isPresent() && !average.get().isSilence()) {
            return average.get().plus(new Gain(USUAL_CREST_DB));
        }
        if (sensitivity.filter(volts -> volts > 0).isPresent()) {
            return Level.ofVolts(sensitivity.get()).plus(new Gain(LOUD_DB_SPL - PASCAL_DB_SPL));
        }
        Optional<Level> nominal = socket.facts().quantity(Fact.NOMINAL_LEVEL);
        Optional<Level> maximum = socket.facts().quantity(Fact.MAXIMUM_LEVEL);
        boolean isSmall = socket.signal() == SignalKind.MIC
                || socket.signal() == SignalKind.PHONO
                || socket.signal() == SignalKind.HEADSET;
        return nominal.map(level -> level.plus(new Gain(USUAL_CREST_DB)))
                .filter(level -> maximum.isEmpty() || level.compareTo(maximum.get()) <= 0)
                .or(() -> maximum)
                .orElse(isSmall ? USUAL_SMALL : USUAL_LINE);
    }

    /** What a microphone hisses by itself: its self noise as a sound, through its sensitivity. */
    private static Level selfNoise(Device device) {
        Optional<MicSensitivity> sensitivity = device.facts().quantity(Fact.MIC_SENSITIVITY);
        Optional<SoundLevel> noise = device.facts().quantity(Fact.SELF_NOISE);
        return sensitivity.isPresent() && noise.isPresent()
                ? Level.ofVolts(sensitivity.get().voltsPerPascal())
                        .plus(new Gain(noise.get().db() - PASCAL_DB_SPL))
                : Level.SILENCE;
    }
}
