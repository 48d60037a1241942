package kalodyne.core.studio.exchange;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.files.json.TextFile;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.file.GearMapping;
import kalodyne.core.studio.Studio;
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
            Setup setup = new SetupMapping(this).setup(root);
            return build(root, () -> Studio.of(root.text("studio"), setup), setup);
        }

        Studio studio(JsonPlace root) {
            List<Device> devices = all(root.get("devices"), gear::device);
            List<Lead> leads = all(root.get("leads"), gear::lead);
            List<Setup> setups = new ArrayList<>();
            List<JsonPlace> places = root.get("setups").items();
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
