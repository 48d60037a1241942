package kalodyne.core.studio.exchange;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.files.json.TextFile;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.file.GearMapping;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.DescribedRuns;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.SetupMapping;

/** Reads a studio, whole or a part of one, from JSON. A setup that travels alone is read as a studio of nothing else. */
public final class StudioReader {
    /** Without blanks a file of ten thousand takes has some megabytes. */
    private static final long MOST_BYTES = 64L << 20;

    private StudioReader() {}

    /**
     * Reads a file.
     *
     * @throws UnreadableFile where it cannot be read; says everything that is wrong
     */
    public static Studio read(Path file) throws UnreadableFile {
        return read(TextFile.read(file, "studio", MOST_BYTES), file);
    }

    /**
     * Reads a text.
     *
     * @param file what to call it in messages
     */
    public static Studio read(String json, Path file) throws UnreadableFile {
        JsonFormat format = JsonFormat.of(json, JsonFormat.STUDIO);
        JsonPlace root = (format == JsonFormat.SETUP ? format : JsonFormat.STUDIO).read(json, file);
        StudioMapping mapping = new StudioMapping(root);
        Studio studio = format == JsonFormat.SETUP ? mapping.ofSetup(root) : mapping.studio(root);
        if (!mapping.problems().isEmpty()) {
            throw new UnreadableFile(file, mapping.problems());
        }
        return studio;
    }

    private static final class StudioMapping extends Mapping {
        private final GearMapping gear;

        StudioMapping(JsonPlace root) {
            gear = GearMapping.withReasons(this, root);
        }

        Studio ofSetup(JsonPlace root) {
            DescribedRuns described = new DescribedRuns(this, List.of());
            plug(root, Setup.empty().id(), described);
            Setup setup = new SetupMapping(this).setup(root);
            return build(
                    root,
                    () -> new Studio(
                            root.text("studio"), devices(root, described), leads(root, described), List.of(setup)),
                    setup);
        }

        Studio studio(JsonPlace root) {
            List<JsonPlace> places = root.get("setups").items();
            DescribedRuns described = new DescribedRuns(
                    this,
                    Stream.of("devices", "leads")
                            .flatMap(list -> root.get(list).items().stream())
                            .map(item -> item.text("id"))
                            .toList());
            for (int i = 0; i < places.size(); i++) {
                plug(places.get(i), places.get(i).textOr("id", "setup-" + (i + 1)), described);
            }
            List<Device> devices = devices(root, described);
            List<Lead> leads = leads(root, described);
            List<Setup> setups = new ArrayList<>();
            for (int i = 0; i < places.size(); i++) {
                Setup setup = new SetupMapping(this).setup(places.get(i));
                if (setup != null) {
                    setups.add(places.get(i).has("id") ? setup : setup.withId("setup-" + (i + 1)));
                }
            }
            requireDistinct(root.get("devices"), devices, Device::id);
            requireDistinct(root.get("leads"), leads, Lead::id);
            requireDistinct(root.get("setups"), setups, Setup::id);
            return build(root, () -> new Studio(root.text("name"), devices, leads, setups));
        }

        /** Runs that older programs described without gear become gear that is plugged. */
        private static void plug(JsonPlace setup, String id, DescribedRuns described) {
            List<JsonPlace> runs = setup.get("runs").items();
            if (!runs.isEmpty()) {
                described.plug((ObjectNode) setup.node(), id, runs);
                setup.get("takes").items().forEach(take -> described.follow(id, (ObjectNode) take.node()));
            }
        }

        private List<Device> devices(JsonPlace root, DescribedRuns described) {
            List<Device> devices = all(root.get("devices"), gear::device);
            devices.addAll(all(described.devices(), gear::device));
            return devices;
        }

        private List<Lead> leads(JsonPlace root, DescribedRuns described) {
            List<Lead> leads = all(root.get("leads"), gear::lead);
            leads.addAll(all(described.leads(), gear::lead));
            return leads;
        }

        /** All that could be read; whatever could not is a problem already. */
        private static <T> List<T> all(JsonPlace list, Function<JsonPlace, T> read) {
            List<T> items = new ArrayList<>();
            for (JsonPlace place : list.items()) {
                T item = read.apply(place);
                if (item != null) {
                    items.add(item);
                }
            }
            return items;
        }

        private <T> void requireDistinct(JsonPlace list, List<T> items, Function<T, String> id) {
            Set<String> seen = new HashSet<>();
            for (T item : items) {
                if (!seen.add(id.apply(item))) {
                    problem(list, "Two of them have the id “" + id.apply(item) + "”.", "Give each an id of its own.");
                }
            }
        }
    }
}
