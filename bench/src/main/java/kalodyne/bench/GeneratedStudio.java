package kalodyne.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;

/** Studios of the catalogue's gear: one far larger than anybody's, with 10,000 takes of 20 runs, and the shelf of a home. */
public final class GeneratedStudio {
    private static final int RUNS = 20;
    private static final int TAKES = 10_000;

    private GeneratedStudio() {}

    /** Writes it to the file that is named. */
    public static void main(String[] arguments) throws IOException {
        StudioFile.write(Path.of(arguments[0]), make());
    }

    /** 500 devices, 2,000 leads, 10,000 takes. */
    static Studio make() {
        List<Take> takes = new ArrayList<>();
        for (int i = 0; i < TAKES; i++) {
            String run = "device-" + i % RUNS + ".out>device-1.adc-1";
            Instant at = Instant.EPOCH.plusSeconds(i * 3600L);
            takes.add(new Take("Take " + i, run, "takes/" + i + ".wav", at, Map.of(Spot.read("device-1.gain-1"), 0.5)));
        }
        return new Studio(
                "Large",
                devices(Catalogue.shipped().devices(), 500),
                leads(2000, 1),
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

    /** 40 devices and 60 leads: what is named, and of the rest of the catalogue something of everything. */
    static Studio home(List<String> named) {
        Catalogue shop = Catalogue.shipped();
        List<Profile<Device>> chosen = new ArrayList<>();
        named.forEach(profile -> chosen.add(shop.device(profile).orElseThrow()));
        for (int i = 0; chosen.size() < 40; i += 3) {
            Profile<Device> next = shop.devices().get(i % shop.devices().size());
            if (!chosen.contains(next)) {
                chosen.add(next);
            }
        }
        return new Studio("Home", devices(chosen, 40), leads(60, 7), List.of());
    }

    private static List<Device> devices(List<Profile<Device>> profiles, int count) {
        return IntStream.range(0, count)
                .mapToObj(i -> {
                    Device profile = profiles.get(i % profiles.size()).gear();
                    return profile.withId("device-" + i)
                            .withProfile(profile.id())
                            .withName(profile.name() + " " + i);
                })
                .toList();
    }

    /** Every so many-th of the catalogue, round and round. */
    private static List<Lead> leads(int count, int step) {
        List<Profile<Lead>> profiles = Catalogue.shipped().leads();
        return IntStream.range(0, count)
                .mapToObj(i -> {
                    Lead profile = profiles.get(i * step % profiles.size()).gear();
                    return profile.withId("lead-" + i).withProfile(profile.id()).withName("Lead " + i);
                })
                .toList();
    }
}
