package kalodyne.core.levels.rig;

import java.time.LocalDate;
import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.levels.calibration.Calibration;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;

/** Gear as takes found it: what was typical or read becomes measured. */
public final class Corrections {
    private Corrections() {}

    /**
     * The source as loud as the takes found it.
     *
     * @param socket its output
     * @param sound what was taken of it
     */
    public static Device source(Device device, String socket, Sound sound, Calibration calibration, LocalDate today) {
        String mark = "socket " + socket;
        Gain louder = new Gain(calibration.source().db());
        Facts facts = Parts.find(Parts.of(device), mark).orElseThrow().facts();
        Facts changed = facts.with(
                        Fact.LOUDEST_PEAK, measured(sound.levels().peak().plus(louder), calibration, today))
                .with(Fact.AVERAGE_LEVEL, measured(sound.levels().average().plus(louder), calibration, today));
        Optional<Level> most = facts.quantity(Fact.MAXIMUM_LEVEL);
        boolean passes = most.filter(level -> sound.levels().peak().plus(louder).compareTo(level) > 0)
                .isPresent();
        // What was whole in a take can evidently be given.
        return Parts.with(
                device,
                mark,
                passes
                        ? changed.with(
                                Fact.MAXIMUM_LEVEL,
                                measured(sound.levels().peak().plus(louder), calibration, today))
                        : changed);
    }

    private static Value<Level> measured(Level level, Calibration calibration, LocalDate today) {
        int takes = calibration.takes().size();
        String how = (takes == 1 ? "one take" : takes + " takes") + ", ± "
                + Print.decimal(calibration.source().uncertaintyDb(), 1) + " dB";
        return new Value<>(
                level, new Provenance(Provenance.Origin.MEASURED, Optional.empty(), how, Optional.of(today)));
    }

    /** The knob with the law that the takes found; unchanged where they do not tell. */
    public static Device knob(Device device, String control, Calibration calibration) {
        return device.withControls(device.controls().stream()
                .map(each -> each.id().equals(control) && each.taper().isPresent()
                        ? each.withTaper(calibration.correct(each.taper().get()))
                        : each)
                .toList());
    }
}
