package kalodyne.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;

/** A studio far larger than anybody's: 500 devices, 2,000 leads, 10,000 takes of 20 runs. */
public final class GeneratedStudio {
    private static final int DEVICES = 500;
    private static final int LEADS = 2000;
    private static final int RUNS = 20;
    private static final int TAKES = 10_000;

    private GeneratedStudio() {}

    /** Writes it to the file that is named. */
    public static void main(String[] arguments) throws IOException {
        StudioFile.write(Path.of(arguments[0]), make());
    }

    static Studio make() {
        var profiles = Catalogue.shipped();
        List<Device> devices = new ArrayList<>();
        for (int i = 0; i < DEVICES; i++) {
            Device profile =
                    profiles.devices().get(i % profiles.devices().size()).gear();
            devices.add(profile.withId("device-" + i).withProfile(profile.id()).withName(profile.name() + " " + i));
        }
        List<Lead> leads = new ArrayList<>();
        for (int i = 0; i < LEADS; i++) {
            Lead profile = profiles.leads().get(i % profiles.leads().size()).gear();
            leads.add(profile.withId("lead-" + i).withProfile(profile.id()).withName("Lead " + i));
        }
        List<Take> takes = new ArrayList<>();
        for (int i = 0; i < TAKES; i++) {
            String run = "device-" + i % RUNS + ".out>device-1.adc-1";
            Instant at = Instant.EPOCH.plusSeconds(i * 3600L);
            takes.add(new Take("Take " + i, run, "takes/" + i + ".wav", at, Map.of(Spot.read("device-1.gain-1"), 0.5)));
        }
        return new Studio(
                "Large",
                devices,
                leads,
                List.of(new Setup(
                        "setup-1",
                        "All",
                        Wiring.NONE,
                        Settings.NONE,
                        Optional.empty(),
                        takes,
                        SessionPlan.USUAL,
                        List.of())));
    }
}
