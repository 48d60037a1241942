package kalodyne.core.takes.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.sound.measure.Colour;
import kalodyne.core.sound.measure.ColourChange;
import kalodyne.core.sound.measure.Riaa;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.units.Gain;

/**
 * What the way to the recorder did to a sound that another take of the same part has not: of all curves that ways have, the one that
 * explains most of the difference.
 *
 * @param kind which curve
 * @param cornerHz where treble begins to fall; 0 for the others
 * @param trebleLoss at 5 kHz against 1 kHz
 * @param explained which share of the difference the curve explains
 * @param spread how large the difference is: root mean square over the bands, in decibels
 */
record Coloration(Kind kind, double cornerHz, Gain trebleLoss, double explained, double spread) {
    /** The curves that a way can have. */
    enum Kind {
        DULL,
        RECORD_PLAIN,
        RECORD_TWICE
    }

    static final double TREBLE_HZ = 5_000;
    private static final double MIDDLE_HZ = 1_000;
    private static final double LOWEST_CORNER_HZ = 400;
    private static final double HIGHEST_CORNER_HZ = 6_000;
    private static final double CORNER_STEP = Math.pow(2, 1.0 / 3);

    /** What is played otherwise differs by less, in another way. */
    private static final double EXPLAINED = 0.8;

    private static final double LEAST_SPREAD_DB = 1.2;
    private static final int FEWEST_BANDS = 10;
    private static final int FEWEST_ABOVE_CORNER = 3;

    /** The likeliest; empty where nothing but the playing differs, as far as can be told. */
    static Optional<Coloration> of(TakeReport take, TakeReport reference, List<Device> devices) {
        ColourChange change = Colour.of(take.loudest().heard())
                .since(Colour.of(reference.loudest().heard()));
        if (change.bands().size() < FEWEST_BANDS || change.spread() < LEAST_SPREAD_DB) {
            return Optional.empty();
        }
        List<Coloration> all = new ArrayList<>();
        if (canBeRecord(devices)) {
            all.add(of(Kind.RECORD_PLAIN, 0, hertz -> -Riaa.playback(hertz).db(), change));
            all.add(of(Kind.RECORD_TWICE, 0, hertz -> Riaa.playback(hertz).db(), change));
        }
        for (double corner = LOWEST_CORNER_HZ;
                corner < HIGHEST_CORNER_HZ && change.bandsAbove(corner) >= FEWEST_ABOVE_CORNER;
                corner *= CORNER_STEP) {
            all.add(of(Kind.DULL, corner, lowPass(corner, 1), change));
            all.add(of(Kind.DULL, corner, lowPass(corner, 2), change));
        }
        return all.stream()
                .max(Comparator.comparingDouble(Coloration::explained))
                .filter(best -> best.explained > EXPLAINED);
    }

    /** What is not known to come from something else. */
    private static boolean canBeRecord(List<Device> devices) {
        return devices.isEmpty() || isRecord(devices);
    }

    static boolean isRecord(List<Device> devices) {
        return devices.stream().anyMatch(device -> device.kind() == DeviceKind.TURNTABLE);
    }

    private static Coloration of(Kind kind, double corner, DoubleUnaryOperator curve, ColourChange change) {
        double loss = curve.applyAsDouble(TREBLE_HZ) - curve.applyAsDouble(MIDDLE_HZ);
        return new Coloration(kind, corner, new Gain(loss), change.explainedBy(curve), change.spread());
    }

    private static DoubleUnaryOperator lowPass(double corner, int order) {
        return hertz ->
                -Gain.ofPowerRatio(1 + Math.pow(hertz / corner, 2 * order)).db();
    }
}
