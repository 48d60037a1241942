package kalodyne.desktop.model;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.calibration.Calibration;
import kalodyne.core.levels.calibration.Observed;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.rig.Corrections;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.TakeReport;

/**
 * What the takes of a run say about its source and the knob that was turned most between them.
 *
 * @param plan the run
 * @param knob that knob
 * @param calibration what they say
 * @param unusable how many takes say nothing: cut off, silent, or not read
 */
public record Calibrating(LevelPlan plan, Knob knob, Calibration calibration, int unusable) {

    /** Empty where no take says anything. */
    static Optional<Calibrating> of(LevelPlan plan, List<Take> takes, Function<Take, Optional<TakeReport>> reports) {
        Optional<Knob> knob = turnedMost(plan, takes);
        List<Observed> observed = new ArrayList<>();
        for (Take take : takes) {
            Optional<TakeReport> report = reports.apply(take);
            if (knob.isPresent()
                    && report.isPresent()
                    && !report.get().isClipped()
                    && !report.get().isSilent()) {
                LevelPlan then = plan.turned(take.positions());
                double position = then.flow()
                        .knob(knob.get().id())
                        .orElseThrow()
                        .control()
                        .position();
                double measured = report.get().loudest().peakLevel().dbfs();
                if (Double.isFinite(then.endPeak())) {
                    observed.add(new Observed(take.name(), position, then.endPeak(), measured));
                }
            }
        }
        return observed.isEmpty()
                ? Optional.empty()
                : Optional.of(new Calibrating(
                        plan, knob.orElseThrow(), Calibration.of(observed), takes.size() - observed.size()));
    }

    /** Of several turned alike, or of none, the gain. */
    private static Optional<Knob> turnedMost(LevelPlan plan, List<Take> takes) {
        return plan.levelKnobs().stream()
                .max(Comparator.comparingDouble((Knob knob) -> travel(knob, takes))
                        .thenComparing(knob -> knob.kind() == ControlKind.GAIN));
    }

    private static double travel(Knob knob, List<Take> takes) {
        double[] places = takes.stream()
                .filter(take -> take.positions().containsKey(knob.id()))
                .mapToDouble(take -> take.positions().get(knob.id()))
                .sorted()
                .toArray();
        return places.length < 2 ? 0 : places[places.length - 1] - places[0];
    }

    /** The studio with the gear as it was found. */
    Studio applied(StudioModel studio) {
        Studio corrected = studio.studio();
        Point source = plan.flow().points().get(plan.trace().path().source());
        Spot socket = source.id().spot();
        Device device = corrected.device(socket.item()).orElseThrow();
        corrected = corrected.with(
                Corrections.source(device, socket.part(), source.sound().orElseThrow(), calibration, studio.today()));
        Spot control = knob.id();
        Device turned = corrected.device(control.item()).orElseThrow();
        return corrected.with(Corrections.knob(turned, control.part(), calibration));
    }
}
