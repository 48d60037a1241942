package kalodyne.core.joint;

import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.Value;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import kalodyne.core.units.MicSensitivity;
import kalodyne.core.units.SignalLevels;
import kalodyne.core.units.SoundLevel;
import kalodyne.core.units.ThermalNoise;

/**
 * How loud a source is at its output, open-circuit and before its own level control: what is known of it, and what is taken where
 * nothing is.
 *
 * @param levels of the loudest playing
 * @param spread how far the true peak may lie from this one, up or down
 * @param basis what it rests on
 * @param most that the output can give; empty where nobody said
 * @param isAverageTooHigh whether the average is told above the peak; the usual one is taken then
 * @param isNoiseTooHigh whether the noise is told above the average
 */
public record SourceLevel(
        SignalLevels levels,
        Gain spread,
        Basis basis,
        Optional<Level> most,
        boolean isAverageTooHigh,
        boolean isNoiseTooHigh) {
    /** What a loudest peak rests on. */
    public enum Basis {
        /** Somebody said how loud it gets. */
        TOLD,
        /** It follows from something else that is known: a sensitivity, an average, a nominal level. */
        DERIVED,
        /** From the kind of socket alone. */
        TAKEN
    }

    /** Where nothing else is known of a peak, it may lie so far from the one taken; an estimate. */
    public static final double UNKNOWN_DB = 10;

    /** The peak of somebody who sings or plays loudly at a hand's length; common practice. */
    private static final double LOUD_DB_SPL = 110;

    private static final Level USUAL_LINE = new Level(4);
    private static final Level USUAL_SMALL = new Level(-35);

    /** An amplifier for loudspeakers, 12 V; common practice. */
    private static final Level USUAL_SPEAKER = new Level(24);

    /** Where the meter of a mixer reads 0 dB; common practice. */
    public static final Level METER_ZERO = new Level(4);

    /** What a mix's loudest peaks read on that meter; common practice. */
    private static final Gain USUAL_MIX = new Gain(6);

    /** How far a loudest peak lies above the average where nothing is known; common practice. */
    private static final double USUAL_CREST_DB = 14;

    /** How far values lie from the truth, by where they are from; estimates. */
    private static final double MEASURED_DB = 1;

    private static final double DATASHEET_DB = 3;
    private static final double TYPICAL_DB = 6;

    private static final Gain USUAL_CREST = new Gain(USUAL_CREST_DB);
    private static final Gain UNDER_PEAK = new Gain(-USUAL_CREST_DB);

    /** Of an output. */
    public static SourceLevel of(Device device, Socket socket) {
        Optional<Value<Level>> told = socket.facts()
                .get(Fact.LOUDEST_PEAK)
                .filter(value -> !value.is().isSilence());
        Optional<Level> derived = derived(device, socket);
        Level peak = told.map(Value::is).or(() -> derived).orElseGet(() -> usual(socket.signal()));
        Optional<Level> toldAverage =
                socket.facts().quantity(Fact.AVERAGE_LEVEL).filter(level -> !level.isSilence());
        boolean isAverageTooHigh =
                toldAverage.filter(level -> level.compareTo(peak) > 0).isPresent();
        Level average = toldAverage.filter(level -> !isAverageTooHigh).orElse(peak.plus(UNDER_PEAK));
        Level floor = floor(device, socket);
        boolean isNoiseTooHigh = floor.compareTo(average) > 0;
        return new SourceLevel(
                new SignalLevels(peak, average, isNoiseTooHigh ? average.plus(UNDER_PEAK) : floor),
                new Gain(told.map(value -> spread(value.from())).orElse(UNKNOWN_DB)),
                told.isPresent() ? Basis.TOLD : derived.isPresent() ? Basis.DERIVED : Basis.TAKEN,
                socket.mostGiven(),
                isAverageTooHigh,
                isNoiseTooHigh);
    }

    /** Of what a stage of a device hears or plays by itself: a capsule, or recorded music that reaches full scale. */
    public static SourceLevel of(Device device, Stage stage) {
        Optional<Value<Level>> fullScale = stage.facts().get(Fact.FULL_SCALE);
        Optional<Level> heard = loudlyHeard(device);
        Level peak = fullScale.map(Value::is).or(() -> heard).orElse(USUAL_SMALL);
        return new SourceLevel(
                new SignalLevels(peak, peak.plus(UNDER_PEAK), selfNoise(device)),
                new Gain(fullScale.map(value -> spread(value.from())).orElse(UNKNOWN_DB)),
                fullScale.isPresent() ? Basis.TOLD : heard.isPresent() ? Basis.DERIVED : Basis.TAKEN,
                Optional.empty(),
                false,
                false);
    }

    /** Of what is mixed in a mixer of which nobody said what is plugged into it: mixed by its meter. */
    public static SourceLevel ofMix() {
        Level peak = METER_ZERO.plus(USUAL_MIX);
        return new SourceLevel(
                new SignalLevels(peak, peak.plus(UNDER_PEAK), Level.SILENCE),
                new Gain(UNKNOWN_DB),
                Basis.TAKEN,
                Optional.empty(),
                false,
                false);
    }

    private static double spread(Provenance from) {
        return switch (from.origin()) {
            case MEASURED -> MEASURED_DB;
            case DATASHEET -> DATASHEET_DB;
            case TYPICAL -> TYPICAL_DB;
        };
    }

    private static Optional<Level> derived(Device device, Socket socket) {
        Optional<Level> average = socket.facts().quantity(Fact.AVERAGE_LEVEL).filter(level -> !level.isSilence());
        if (average.isPresent()) {
            return average.map(level -> level.plus(USUAL_CREST));
        }
        Optional<Level> ofMicrophone = isOfCapsule(socket) ? loudlyHeard(device) : Optional.empty();
        Optional<Level> maximum = socket.mostGiven();
        return ofMicrophone
                .or(() -> socket.facts()
                        .quantity(Fact.NOMINAL_LEVEL)
                        .map(level -> level.plus(USUAL_CREST))
                        .filter(level -> maximum.isEmpty() || level.compareTo(maximum.get()) <= 0))
                .or(() -> maximum)
                .filter(level -> !level.isSilence());
    }

    /** What stages feed is not what a built-in microphone hears. */
    private static boolean isOfCapsule(Socket socket) {
        return socket.from().isEmpty();
    }

    private static Level usual(SignalKind signal) {
        return switch (signal) {
            case MIC, PHONO, HEADSET -> USUAL_SMALL;
            case SPEAKER -> USUAL_SPEAKER;
            default -> USUAL_LINE;
        };
    }

    /** What a microphone makes of the loudest usual playing. */
    private static Optional<Level> loudlyHeard(Device device) {
        return sensitivity(device)
                .filter(level -> !level.isSilence())
                .map(level -> level.plus(new Gain(LOUD_DB_SPL - MicSensitivity.PASCAL_DB_SPL)));
    }

    /** What it hisses by itself, with the thermal noise of what it has in series where nobody told of both together. */
    private static Level floor(Device device, Socket socket) {
        Level thermal = ThermalNoise.of(new Impedance(Usual.sourceOhms(device, socket)));
        return socket.facts()
                .quantity(Fact.OWN_NOISE)
                .orElseGet(() -> isOfCapsule(socket) ? selfNoise(device).withUncorrelated(thermal) : thermal);
    }

    /** What a microphone hisses: its self noise as a sound, through its sensitivity. */
    private static Level selfNoise(Device device) {
        Optional<SoundLevel> noise = device.facts().quantity(Fact.SELF_NOISE);
        return sensitivity(device)
                .flatMap(level -> noise.map(each -> level.plus(new Gain(each.db() - MicSensitivity.PASCAL_DB_SPL))))
                .orElse(Level.SILENCE);
    }

    /** What a microphone gives at 1 Pa. */
    private static Optional<Level> sensitivity(Device device) {
        return device.facts().quantity(Fact.MIC_SENSITIVITY).map(MicSensitivity::atPascal);
    }
}
