package kalodyne.core.gear.catalogue;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Problems;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;

/**
 * All generic profiles.
 *
 * @param devices in the order in which they are offered
 * @param leads in the order in which they are offered
 */
public record Catalogue(List<Profile<Device>> devices, List<Profile<Lead>> leads) {
    private static final List<String> FILES = List.of(
            "instruments",
            "microphones",
            "synths",
            "turntables-and-dj",
            "mixers-and-preamps",
            "boxes",
            "interfaces-and-recorders",
            "phones-and-computers",
            "speakers-and-headphones",
            "leads-and-adapters");

    public Catalogue {
        devices = List.copyOf(devices);
        leads = List.copyOf(leads);
    }

    /** The one that ships with the program; read when it is first asked for. */
    public static Catalogue shipped() {
        return Shipped.CATALOGUE;
    }

    public Optional<Profile<Device>> device(String profile) {
        return devices.stream().filter(each -> each.gear().id().equals(profile)).findFirst();
    }

    public Optional<Profile<Lead>> lead(String profile) {
        return leads.stream().filter(each -> each.gear().id().equals(profile)).findFirst();
    }

    private static final class Shipped {
        static final Catalogue CATALOGUE = read();

        private static Catalogue read() {
            List<Profile<Device>> devices = new ArrayList<>();
            List<Profile<Lead>> leads = new ArrayList<>();
            for (String name : FILES) {
                String file = name + ".json";
                try (InputStream in = Catalogue.class.getResourceAsStream(file)) {
                    // Their form is checked by a test, not at every start.
                    JsonPlace root = JsonFormat.CATALOGUE.trusted(
                            new String(in.readAllBytes(), StandardCharsets.UTF_8), Path.of(file));
                    Problems problems = new Problems();
                    Catalogue read = CatalogueForm.read(root, problems);
                    if (!problems.isEmpty()) {
                        throw new UnreadableFile(Path.of(file), problems.all());
                    }
                    devices.addAll(read.devices());
                    leads.addAll(read.leads());
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            }
            return new Catalogue(devices, leads);
        }
    }

    /** What one would get for a way. */
    public List<Lead> leadsToGet() {
        return leads.stream()
                .filter(profile -> !profile.isOnlyUsed())
                .map(Profile::gear)
                .toList();
    }
}
