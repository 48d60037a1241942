package kalodyne.core.route;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.gear.Taper;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import kalodyne.core.units.ThermalNoise;

/**
 * Follows a signal through the stages of a way and sets the gains as one would: the source as strong as it is, then gain from the
 * first control on, as far as nothing clips, until the loudest peak lies in the middle of the usual aim.
 */
final class GainWalk {
    /** The middle of −12 to −6 dBFS, where even players should peak; common practice. */
    private static final DigitalLevel AIM = new DigitalLevel(-9);

    private static final Set<ControlKind> BOOSTS = EnumSet.of(ControlKind.GAIN, ControlKind.TRIM);
    private static final Set<ControlKind> CUTS = EnumSet.of(ControlKind.VOLUME, ControlKind.LEVEL, ControlKind.FADER);

    /** A level control turned further down than this loses more in noise than it helps. */
    private static final double MOST_CUT_DB = 40;

    /** Where nothing is known; common practice. */
    private static final Level USUAL_LINE = new Level(4);

    private static final Level USUAL_SMALL = new Level(-35);
    private static final Level USUAL_CEILING = new Level(18);
    private static final DigitalLevel USUAL_CONVERTER = new DigitalLevel(-95);

    private final List<Step> steps = new ArrayList<>();
    private Level peak;
    private Level noise;
    private Level fullScale = USUAL_CEILING;
    private DigitalLevel converterNoise = USUAL_CONVERTER;

    /** A loss of a joint, or a stage with what its controls can add and take. */
    private record Step(double baseDb, double mostDb, double cutDb, Optional<Stage> stage, boolean isLoss) {}

    /** Begins at a socket of the source. */
    GainWalk(Device source, Socket socket) {
        boolean isSmall = socket.signal() == SignalKind.MIC
                || socket.signal() == SignalKind.PHONO
                || socket.signal() == SignalKind.HEADSET;
        peak = socket.facts()
                .quantity(Fact.LOUDEST_PEAK)
                .or(() -> socket.facts().quantity(Fact.MAXIMUM_LEVEL))
                .orElse(isSmall ? USUAL_SMALL : USUAL_LINE);
        Level own = socket.facts().quantity(Fact.OWN_NOISE).orElse(Level.SILENCE);
        Level thermal = ThermalNoise.of(
                socket.facts().quantity(Fact.SOURCE_IMPEDANCE).orElse(new Impedance(isSmall ? 200 : 1000)));
        noise = own.withUncorrelated(thermal);
        steps.add(new Step(0, 0, canBeTurnedDown(source) ? MOST_CUT_DB : 0, Optional.empty(), false));
    }

    static boolean canBeTurnedDown(Device device) {
        return device.controls().stream().anyMatch(control -> CUTS.contains(control.kind()));
    }

    /** Through a joint. */
    void lose(Gain gain) {
        steps.add(new Step(Math.max(-120, gain.db()), 0, 0, Optional.empty(), true));
    }

    /** Through the stages of a device; the last may be a converter. */
    void pass(Device device, List<Stage> stages) {
        for (Stage stage : stages) {
            double base = stage.facts().quantity(Fact.STAGE_GAIN).map(Gain::db).orElse(0.0);
            double most = 0;
            double cut = 0;
            for (DeviceControl control : device.controls()) {
                Optional<Taper> taper =
                        control.taper().filter(each -> stage.controls().contains(control.id()));
                if (taper.isPresent() && BOOSTS.contains(control.kind())) {
                    base += taper.get().lowest().db();
                    most += taper.get().highest().db() - taper.get().lowest().db();
                } else if (taper.isPresent() && CUTS.contains(control.kind())) {
                    base += Math.min(0, taper.get().highest().db());
                    cut += MOST_CUT_DB;
                }
            }
            steps.add(new Step(base, most, cut, Optional.of(stage), false));
            if (stage.kind() == StageKind.TO_DIGITAL) {
                fullScale = stage.facts().quantity(Fact.FULL_SCALE).orElse(fullScale);
                converterNoise = stage.facts().quantity(Fact.CONVERTER_NOISE).orElse(converterNoise);
            }
        }
    }

    /** How strong signal and noise are somewhere on the way. */
    record Reached(Level peak, Level noise, double overDb) {}

    /** What comes of it. */
    Prediction prediction() {
        Reached end = upTo(steps.size());
        double over = Math.max(end.overDb(), end.peak().above(fullScale).db());
        return new Prediction(
                DigitalLevel.of(end.peak(), fullScale),
                DigitalLevel.of(end.noise().withUncorrelated(converterNoise.at(fullScale)), fullScale),
                Math.max(0, over));
    }

    /** What leaves before the last joint: of a source that goes straight there, without its own level control. */
    Reached beforeLastLoss() {
        int last = 0;
        for (int i = 0; i < steps.size(); i++) {
            last = steps.get(i).isLoss() ? i : last;
        }
        return last == 1 ? new Reached(peak, noise, 0) : upTo(last);
    }

    private Reached upTo(int end) {
        double[] added = new double[steps.size()];
        double need = AIM.at(fullScale).above(peak).db()
                - steps.stream().mapToDouble(Step::baseDb).sum();
        if (need > 0) {
            boost(need, added);
        } else {
            cut(-need, added);
        }
        Level level = peak;
        Level floor = noise;
        double over = 0;
        for (int i = 0; i < end; i++) {
            Gain gain = new Gain(steps.get(i).baseDb() + added[i]);
            Optional<Stage> stage = steps.get(i).stage();
            Level input = stage.flatMap(each -> each.facts().quantity(Fact.INPUT_NOISE))
                    .orElse(Level.SILENCE);
            Level output = stage.flatMap(each -> each.facts().quantity(Fact.OUTPUT_NOISE))
                    .orElse(Level.SILENCE);
            level = level.plus(gain);
            floor = floor.withUncorrelated(input).plus(gain).withUncorrelated(output);
            Optional<Level> ceiling = stage.flatMap(each -> each.facts().quantity(Fact.STAGE_CEILING));
            if (ceiling.isPresent() && level.compareTo(ceiling.get()) > 0) {
                over = Math.max(over, level.above(ceiling.get()).db());
                level = ceiling.get();
            }
        }
        return new Reached(level, floor, over);
    }

    /** From the first control on, as far as the stage does not clip. */
    private void boost(double need, double[] added) {
        double left = need;
        double level = peak.dbu();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            double ceiling = step.stage()
                    .flatMap(stage -> stage.facts().quantity(Fact.STAGE_CEILING))
                    .map(Level::dbu)
                    .orElse(Double.POSITIVE_INFINITY);
            double room = ceiling - (level + step.baseDb());
            added[i] = Math.max(0, Math.min(Math.min(left, step.mostDb()), room));
            left -= added[i];
            level += step.baseDb() + added[i];
        }
    }

    private void cut(double need, double[] added) {
        double left = need;
        for (int i = 0; i < steps.size(); i++) {
            added[i] = -Math.min(left, steps.get(i).cutDb());
            left += added[i];
        }
    }
}
