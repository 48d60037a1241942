package kalodyne.core.testing;

import java.util.Map;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Wiring;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;

/** Studios in which something is plugged. */
public final class Studios {
    /** A microphone through a booster-like preamp and a mixer into an interface: a run of many stations. */
    public static final String LONG = "mic-dynamic-low.out xlr-xlr preamp-strip.mic; preamp-strip.out-trs trs-trs"
            + " effect-line.in; effect-line.out trs-trs mixer-small.line-1; mixer-small.main-left trs-trs"
            + " isolator-jack.in-1; isolator-jack.out-1 trs-trs interface-2.line-1";

    /** Two synths into a rack mixer that feeds speakers and an interface. */
    public static final String RACK = "synth-desktop.out-left ts-ts mixer-rack.in-1-left;"
            + " synth-desktop.out-right ts-ts mixer-rack.in-1-right; synth-semi-modular.out ts-ts mixer-rack.in-2-left;"
            + " mixer-rack.main-left trs-trs interface-2.line-1; mixer-rack.main-right trs-trs interface-2.line-2;"
            + " mixer-rack.monitor-left trs-xlr speakers-powered#1.in-xlr;"
            + " mixer-rack.monitor-right trs-xlr speakers-powered#2.in-xlr";

    private Studios() {}

    /** Of gear of the catalogue, as {@link Plugged} reads it. */
    public static Studio of(String name, String line) {
        Patch patch = Plugged.of(line);
        Studio studio = Studio.of(name, Setup.bare("setup-1", "All"));
        for (Map.Entry<String, Device> each : patch.devices().entrySet()) {
            studio = studio.with(each.getValue().withId(each.getKey()));
        }
        for (Map.Entry<String, Lead> each : patch.leads().entrySet()) {
            studio = studio.with(each.getValue().withId(each.getKey()).withOwned(1));
        }
        return studio.with(studio.setups().get(0).withWiring(new Wiring(patch.pluggings(), patch.switched())));
    }
}
