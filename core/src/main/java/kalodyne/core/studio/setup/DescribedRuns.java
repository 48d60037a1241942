package kalodyne.core.studio.setup;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Problems;
import kalodyne.core.files.json.Words;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.Taper;
import kalodyne.core.gear.file.TaperForms;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;

/**
 * Runs as they were once described, by their numbers and without gear, made into gear that is plugged. Works on the JSON of both,
 * whose texts it hands on as they are: whoever reads the gear says what is wrong with a value.
 *
 * <p>Runs into a device of one name share it, each with an input of its own; the same run in several setups is the same gear.
 */
public final class DescribedRuns {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final Problems problems;
    private final Set<String> marks;
    private final Set<String> names = new HashSet<>();
    private final List<Owned> devices = new ArrayList<>();
    private final Map<JsonNode, ObjectNode> leads = new LinkedHashMap<>();
    private final Set<List<String>> pluggedLeads = new HashSet<>();
    private final Map<List<String>, Plugged> plugged = new HashMap<>();

    /**
     * Begins with no runs.
     *
     * @param problems of the file
     * @param taken marks of other gear
     */
    public DescribedRuns(Problems problems, Collection<String> taken) {
        this.problems = problems;
        this.marks = new HashSet<>(taken);
    }

    /**
     * What became of a run.
     *
     * @param key under which takes know it now
     * @param controls what its volume and its gain are called now
     */
    private record Plugged(String key, Map<String, String> controls) {}

    /** A device and what each of its sockets was described with. */
    private static final class Owned {
        final ObjectNode node;
        final JsonNode common;
        final List<JsonNode> sockets = new ArrayList<>();
        final Set<List<Object>> taken = new HashSet<>();

        Owned(ObjectNode node, JsonNode common) {
            this.node = node;
            this.common = common;
        }

        String mark() {
            return node.path("id").asText();
        }

        /** The number of the socket that is so and that the setup has not plugged yet; a new one counts on. */
        int socket(String setup, JsonNode described) {
            int number = 0;
            while (number < sockets.size()
                    && !(sockets.get(number).equals(described) && taken.add(List.of(setup, number)))) {
                number++;
            }
            if (number == sockets.size()) {
                sockets.add(described);
                taken.add(List.of(setup, number));
            }
            return number + 1;
        }
    }

    /**
     * Plugs the runs of a setup.
     *
     * @param setup its JSON; gets what goes into what, how the knobs stand, and the aim
     */
    public void plug(ObjectNode setup, String setupId, List<JsonPlace> runs) {
        runs.forEach(run -> plug(setup, setupId, run));
    }

    private void plug(ObjectNode setup, String setupId, JsonPlace place) {
        JsonNode run = place.node();
        Owned source = source(run);
        int output = source.socket(setupId, without(run.path("source"), "name", "volume"));
        boolean isNewOutput = source.node.withArray("sockets").size() < output;
        if (isNewOutput) {
            source.node.withArray("sockets").add(DescribedGear.output(run, output));
        }
        Owned recorder = recorder(run);
        ObjectNode described = without(run.path("input"), "device", "gain");
        described.set("gain", without(run.path("input").path("gain"), "position"));
        described.set("converter", run.path("converter"));
        int input = recorder.socket(setupId, described);
        if (recorder.node.withArray("sockets").size() < input) {
            DescribedGear.input(recorder.node, run, input);
        }
        String lead = lead(setupId, place).path("id").asText();
        String from = source.mark() + ".out-" + output;
        ArrayNode wiring = setup.withArray("plugged");
        // A microphone has pins, which go into the lead.
        wiring.addObject()
                .put("plug", DescribedGear.isMic(run) ? from : lead + ".a")
                .put("socket", DescribedGear.isMic(run) ? lead + ".a" : from);
        wiring.addObject().put("plug", lead + ".b").put("socket", recorder.mark() + ".in-" + input);
        Map<String, String> controls =
                Map.of("volume", source.mark() + ".volume", "gain", recorder.mark() + ".gain-" + input);
        ObjectNode levels = levels(setup, run);
        ObjectNode knobs = levels.withObject("/knobs");
        position(place.get("input").get("gain")).ifPresent(at -> knobs.put(controls.get("gain"), at));
        if (run.path("source").has("volume")) {
            position(place.get("source").get("volume")).ifPresent(at -> knobs.put(controls.get("volume"), at));
        }
        Plugged now = new Plugged(from + ">" + recorder.mark() + ".adc-" + input, controls);
        if (plugged.put(List.of(setupId, place.text("name")), now) != null) {
            problems.add(place.get("name"), "Another run has this name.", "Give each run a name of its own.");
        }
    }

    /** Where a control stands, from 0 to 1; it may be written as it is read off the dial, or as a gain. */
    private Optional<Double> position(JsonPlace control) {
        JsonPlace position = control.get("position");
        if (position.node().isNumber()) {
            return Optional.of(position.node().asDouble());
        }
        Optional<Dial> dial =
                control.has("dial") ? TaperForms.DIAL.read(control.get("dial"), problems) : Optional.of(Dial.USUAL);
        Optional<Taper> taper = TaperForms.TAPER.read(control.get("taper"), problems);
        return dial.flatMap(turned -> taper.flatMap(along -> problems.make(
                position,
                () -> new Control(control.text("name"), along, turned, 0)
                        .read(position.node().asText()))));
    }

    /** The levels of the setup; where nobody chose an aim for it, the nearest to that of the run. */
    private static ObjectNode levels(ObjectNode setup, JsonNode run) {
        ObjectNode levels = setup.withObject("/levels");
        if (!levels.has("gain")) {
            boolean isLow = run.path("aim").path("high").asText().matches("[-−]\\s*(1[0-9]|[2-9][0-9]).*");
            levels.putArray("locked");
            levels.put("gain", "strong-source").put("aim", isLow ? "uneven" : "even");
            levels.putObject("balanceDb");
        }
        return levels;
    }

    /** By what a run is known now; of one that never was described, the name itself. */
    public String key(String setupId, String run) {
        return Optional.ofNullable(plugged.get(List.of(setupId, run)))
                .map(Plugged::key)
                .orElse(run);
    }

    /** A take of one of the runs, as it belongs to what is plugged now; another one as it is. */
    public void follow(String setupId, ObjectNode take) {
        Plugged now = plugged.get(List.of(setupId, take.path("run").asText()));
        if (now != null) {
            take.put("run", now.key());
            ObjectNode positions = NODES.objectNode();
            take.path("positions")
                    .properties()
                    .forEach(position -> positions.set(
                            now.controls().getOrDefault(position.getKey(), position.getKey()), position.getValue()));
            take.set("positions", positions);
        }
    }

    /** The gear, as a list in JSON. */
    public JsonPlace devices() {
        return gear(devices.stream().map(owned -> owned.node).toList());
    }

    /** The leads, as a list in JSON. */
    public JsonPlace leads() {
        return gear(leads.values());
    }

    private static JsonPlace gear(Collection<ObjectNode> gear) {
        String name = "gear of the runs";
        ObjectNode root = NODES.objectNode();
        root.set(name, NODES.arrayNode().addAll(gear));
        return new JsonPlace(root).get(name);
    }

    // --- gear --------------------------------------------------------------------------------------------------

    /** A device of that name with the same in common, or a new one. */
    private Owned device(String name, String kind, JsonNode common) {
        Optional<Owned> known =
                devices.stream().filter(owned -> owned.common.equals(common)).findFirst();
        if (known.isPresent()) {
            return known.get();
        }
        ObjectNode node = NODES.objectNode()
                .put("id", mark(name))
                .put("name", free(name, names, " "))
                .put("kind", kind)
                .put("note", "");
        node.putArray("sockets");
        node.putArray("stages");
        node.putArray("controls");
        Owned owned = new Owned(node, common);
        devices.add(owned);
        return owned;
    }

    private Owned source(JsonNode run) {
        JsonNode source = run.path("source");
        ObjectNode common = NODES.objectNode().put("as", "source");
        common.set("name", source.path("name"));
        common.set("volume", source.path("volume"));
        common.set("signal", run.path("input").path("kind"));
        String kind = switch (run.path("input").path("kind").asText()) {
            case "mic" -> "microphone";
            case "instrument" -> "instrument";
            default -> "synth";
        };
        Owned owned = device(source.path("name").asText(), kind, common);
        if (source.has("volume") && owned.node.path("controls").isEmpty()) {
            owned.node.withArray("controls").add(DescribedGear.control(source.path("volume"), "volume", "volume"));
        }
        return owned;
    }

    private Owned recorder(JsonNode run) {
        JsonNode converter = run.path("converter");
        ObjectNode common = NODES.objectNode().put("as", "recorder");
        common.set("name", run.path("input").path("device"));
        common.set("bits", converter.path("bits"));
        common.set("rate", converter.path("sampleRateHz"));
        Owned owned = device(run.path("input").path("device").asText(), "recorder", common);
        owned.node.putArray("sampleRatesHz").add(converter.path("sampleRateHz").asInt());
        owned.node.putArray("bitDepths").add(converter.path("bits").asInt());
        return owned;
    }

    /** The lead of a run: one that is so and that the setup has not plugged yet, or another one. */
    private ObjectNode lead(String setupId, JsonPlace run) {
        JsonNode described = run.get("lead").node();
        int number = 1;
        ObjectNode key = without(described).put("number", number).put("mic", DescribedGear.isMic(run.node()));
        while (leads.containsKey(key)
                && !pluggedLeads.add(List.of(setupId, leads.get(key).path("id").asText()))) {
            number++;
            key = without(described).put("number", number).put("mic", DescribedGear.isMic(run.node()));
        }
        ObjectNode lead = leads.computeIfAbsent(key, each -> named(run.get("lead"), DescribedGear.isMic(run.node())));
        pluggedLeads.add(List.of(setupId, lead.path("id").asText()));
        return lead;
    }

    private ObjectNode named(JsonPlace lead, boolean isMic) {
        String name = lead.text("name");
        return DescribedGear.lead(lead.node(), isMic, mark(name), free(name, names, " "), perMetre(lead));
    }

    /** The resistance was told of both wires together, there and back. */
    private Optional<String> perMetre(JsonPlace lead) {
        Optional<Impedance> both = Words.of(Quantity.IMPEDANCE).read(lead.get("resistance"), problems);
        return metres(lead)
                .filter(metres -> metres > 0)
                .flatMap(metres -> both.map(told -> new Impedance(told.ohms() / 2 / metres))
                        .map(Quantity.RESISTANCE_PER_METRE::write));
    }

    private static Optional<Double> metres(JsonPlace lead) {
        try {
            return Optional.of(Quantity.LENGTH.read(lead.text("length")).metres());
        } catch (UnreadableQuantity e) {
            // Told when the lead is read.
            return Optional.empty();
        }
    }

    private static ObjectNode without(JsonNode node, String... fields) {
        ObjectNode rest = NODES.objectNode();
        rest.setAll((ObjectNode) (node.isObject() ? node.deepCopy() : NODES.objectNode()));
        rest.remove(List.of(fields));
        return rest;
    }

    private String mark(String name) {
        String plain =
                name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return free(plain.isEmpty() ? "gear" : plain.substring(0, Math.min(plain.length(), 40)), marks, "-");
    }

    /** What is wanted, or it with a number; taken from now on. */
    private static String free(String wanted, Set<String> taken, String between) {
        String free = wanted;
        for (int number = 2; !taken.add(free); number++) {
            free = wanted + between + number;
        }
        return free;
    }
}
