package kalodyne.core.studio.exchange;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Problems;
import kalodyne.core.files.json.TextFile;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.file.GearForms;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.practised.Answer;
import kalodyne.core.studio.setup.DescribedRuns;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.SetupForms;

/** Reads a studio, whole or a part of one, from JSON. A setup that travels alone is read as a studio of nothing else. */
public final class StudioReader {
    /** Without blanks a file of ten thousand takes has some megabytes. */
    private static final long MOST_BYTES = 64L << 20;

    private final GearForms gear;
    private final Problems problems;

    private StudioReader(JsonPlace root, Problems problems) {
        this.gear = new GearForms(root, problems);
        this.problems = problems;
    }

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
        Problems problems = new Problems();
        StudioReader reader = new StudioReader(root, problems);
        Optional<Studio> studio = format == JsonFormat.SETUP ? reader.ofSetup(root) : reader.studio(root);
        if (!problems.isEmpty()) {
            throw new UnreadableFile(file, problems.all());
        }
        return studio.orElseThrow();
    }

    private Optional<Studio> ofSetup(JsonPlace root) {
        DescribedRuns described = new DescribedRuns(problems, List.of());
        plug(root, Setup.empty().id(), described);
        Optional<Setup> setup = SetupForms.SETUP.read(root, problems);
        List<Device> devices = all(gear.device(), root.get("devices"), described.devices());
        List<Lead> leads = all(gear.lead(), root.get("leads"), described.leads());
        return setup.flatMap(
                only -> problems.make(root, () -> new Studio(root.text("studio"), devices, leads, List.of(only))));
    }

    private Optional<Studio> studio(JsonPlace root) {
        List<JsonPlace> places = root.get("setups").items();
        DescribedRuns described = new DescribedRuns(
                problems,
                Stream.of("devices", "leads")
                        .flatMap(list -> root.get(list).items().stream())
                        .map(item -> item.text("id"))
                        .toList());
        for (int i = 0; i < places.size(); i++) {
            JsonPlace setup = places.get(i);
            if (!setup.has("id")) {
                ((ObjectNode) setup.node()).put("id", "setup-" + (i + 1));
            }
            plug(setup, setup.text("id"), described);
        }
        List<Device> devices = all(gear.device(), root.get("devices"), described.devices());
        List<Lead> leads = all(gear.lead(), root.get("leads"), described.leads());
        List<Setup> setups = all(SetupForms.SETUP, root.get("setups"));
        requireDistinct(root.get("devices"), devices, Device::id);
        requireDistinct(root.get("leads"), leads, Lead::id);
        requireDistinct(root.get("setups"), setups, Setup::id);
        List<Answer> practised = all(Answer.FORM, root.get("practised"));
        requireDistinct(root.get("practised"), practised, answer -> answer.at().toString());
        return problems.make(root, () -> new Studio(root.text("name"), devices, leads, setups, practised));
    }

    /** Runs that older programs described without gear become gear that is plugged. */
    private static void plug(JsonPlace setup, String id, DescribedRuns described) {
        List<JsonPlace> runs = setup.get("runs").items();
        if (!runs.isEmpty()) {
            described.plug((ObjectNode) setup.node(), id, runs);
            setup.get("takes").items().forEach(take -> described.follow(id, (ObjectNode) take.node()));
        }
    }

    /** All that could be read; whatever could not is a problem already. */
    private <T> List<T> all(JsonForm<T> form, JsonPlace... lists) {
        return Stream.of(lists)
                .flatMap(list -> list.items().stream())
                .flatMap(place -> form.read(place, problems).stream())
                .toList();
    }

    private <T> void requireDistinct(JsonPlace list, List<T> items, Function<T, String> id) {
        Set<String> seen = new HashSet<>();
        for (T item : items) {
            if (!seen.add(id.apply(item))) {
                problems.add(list, "Two of them have the id “" + id.apply(item) + "”.", "Give each an id of its own.");
            }
        }
    }
}
