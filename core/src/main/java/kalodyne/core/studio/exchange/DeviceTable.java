package kalodyne.core.studio.exchange;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.files.json.Problem;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.file.GearForms;
import kalodyne.core.units.UnreadableQuantity;

/**
 * Devices as a table of one line for each thing known: which device, what, its value, where that is from. What is known is
 * named as in JSON, with dots between: "sockets.out.values.maximumLevel"; members of a list by their id, or by their number
 * where they have none.
 */
final class DeviceTable {
    static final List<String> COLUMNS = List.of("device", "id", "what", "is", "from");

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private DeviceTable() {}

    // --- out ---------------------------------------------------------------------------------------------------

    static String write(List<Device> devices) {
        List<List<String>> rows = new ArrayList<>();
        for (Device device : devices) {
            ObjectNode node = new GearForms().device().write(device);
            node.remove(List.of("id", "name"));
            flatten(node, "", (what, is, from) -> rows.add(List.of(device.name(), device.id(), what, is, from)));
        }
        return CsvTable.write(COLUMNS, rows);
    }

    @FunctionalInterface
    private interface Line {
        void add(String what, String is, String from);
    }

    private static void flatten(JsonNode node, String path, Line lines) {
        String head = path.isEmpty() ? "" : path + ".";
        if (node.isObject() && node.has("is")) {
            lines.add(path, node.get("is").asText(), provenance(node));
        } else if (node.isObject()) {
            node.properties().forEach(field -> {
                if (!(field.getKey().equals("id") && !path.isEmpty())) {
                    flatten(field.getValue(), head + field.getKey(), lines);
                }
            });
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                JsonNode member = node.get(i);
                flatten(member, head + (member.has("id") ? member.get("id").asText() : String.valueOf(i + 1)), lines);
            }
        } else {
            lines.add(path, node.asText(), "");
        }
    }

    private static String provenance(JsonNode value) {
        return (value.get("from").asText()
                + (value.has("ground") ? " (" + value.get("ground").asText() + ")" : "")
                + (value.has("date") ? " " + value.get("date").asText() : "")
                + (value.has("source") ? ": " + value.get("source").asText() : ""));
    }

    // --- in ----------------------------------------------------------------------------------------------------

    /** Devices as JSON, in the order of their first lines; values of the profile that a device names come first. */
    static ArrayNode read(CsvTable table, LineNumbers lines, List<Problem> problems) {
        Map<String, ObjectNode> devices = new LinkedHashMap<>();
        Map<String, Place> places = new HashMap<>();
        for (CsvTable.Row row : table.rows()) {
            ObjectNode device = devices.computeIfAbsent(
                    key(row), id -> NODES.objectNode().put("id", id).put("name", row.get("device")));
            places.computeIfAbsent(key(row), id -> new Place("devices › " + devices.size(), lines))
                    .isOn(row);
            if (row.get("what").equals("profile")) {
                begin(device, row.get("is"));
            }
        }
        for (CsvTable.Row row : table.rows()) {
            try {
                put(devices.get(key(row)), row, places.get(key(row)));
            } catch (UnreadableQuantity e) {
                problems.add(new Problem("line " + row.line(), e.problem(), e.remedy()));
            }
        }
        ArrayNode all = NODES.arrayNode();
        devices.values().forEach(all::add);
        return all;
    }

    private static String key(CsvTable.Row row) {
        return row.get("id").isEmpty() ? LeadTable.idOf(row.get("device")) : row.get("id");
    }

    private static void begin(ObjectNode device, String profile) {
        Catalogue.shipped().device(profile).ifPresent(known -> {
            ObjectNode node = new GearForms().device().write(known.gear());
            node.remove(List.of("id", "name"));
            node.properties().forEach(field -> {
                if (!device.has(field.getKey())) {
                    device.set(field.getKey(), field.getValue());
                }
            });
        });
    }

    /** Where in the JSON something is put, for messages. */
    private record Place(String path, LineNumbers lines) {
        Place into(String step) {
            return new Place(path + " › " + step, lines);
        }

        void isOn(CsvTable.Row row) {
            lines.put(path, row.line());
        }
    }

    private static void put(ObjectNode device, CsvTable.Row row, Place place) {
        String[] steps = row.get("what").split("\\.", -1);
        if (!row.get("what").isEmpty()) {
            put(device, steps, 0, row, place);
        }
    }

    private static void put(JsonNode node, String[] steps, int at, CsvTable.Row row, Place place) {
        String step = steps[at];
        boolean isLast = at == steps.length - 1;
        if (node instanceof ArrayNode list) {
            int index = indexIn(list, step);
            Place here = place.into(String.valueOf(index + 1));
            here.isOn(row);
            if (isLast) {
                setIn(list, index, scalar(steps, row));
            } else {
                if (index == list.size()) {
                    list.add(
                            isNumber(step)
                                    ? NODES.objectNode()
                                    : NODES.objectNode().put("id", step));
                }
                put(list.get(index), steps, at + 1, row, here);
            }
        } else if (node instanceof ObjectNode object) {
            Place here = place.into(step);
            here.isOn(row);
            if (isLast) {
                object.set(step, scalar(steps, row));
            } else {
                JsonNode next = object.get(step);
                if (next == null || !next.isContainerNode()) {
                    next = LISTS.contains(step) ? NODES.arrayNode() : NODES.objectNode();
                    object.set(step, next);
                }
                put(next, steps, at + 1, row, here);
            }
        }
    }

    /** The fields of a device, at any depth, that are lists. */
    private static final List<String> LISTS = List.of(
            "sockets",
            "stages",
            "controls",
            "powering",
            "power",
            "channels",
            "states",
            "from",
            "positions",
            "steps",
            "points",
            "sampleRatesHz",
            "bitDepths");

    private static void setIn(ArrayNode list, int index, JsonNode value) {
        if (index == list.size()) {
            list.add(value);
        } else {
            list.set(index, value);
        }
    }

    /** The place of a member by its id or its number; the place behind the last for one that is not there yet. */
    private static int indexIn(ArrayNode list, String step) {
        for (int i = 0; i < list.size(); i++) {
            if (list.get(i).path("id").asText("").equals(step)) {
                return i;
            }
        }
        boolean hasIds = list.size() > 0 && list.get(0).has("id");
        return isNumber(step) && !hasIds ? Math.min(Integer.parseInt(step) - 1, list.size()) : list.size();
    }

    private static boolean isNumber(String step) {
        return step.matches("[1-9]\\d{0,3}");
    }

    private static JsonNode scalar(String[] steps, CsvTable.Row row) {
        String is = row.get("is");
        if (steps.length > 1 && steps[steps.length - 2].equals("values")) {
            return value(is, row.get("from"));
        }
        boolean isNumber =
                List.of("sampleRatesHz", "bitDepths").contains(steps[0]) || steps[steps.length - 1].equals("position");
        return isNumber ? number(is) : NODES.textNode(is);
    }

    private static JsonNode number(String text) {
        try {
            double number = Double.parseDouble(text.replace(',', '.'));
            return number == Math.rint(number) && Math.abs(number) < Integer.MAX_VALUE
                    ? NODES.numberNode((int) number)
                    : NODES.numberNode(number);
        } catch (NumberFormatException e) {
            // The schema will say that it is of the wrong kind, with its line.
            return NODES.textNode(text);
        }
    }

    /** Without a word on where it is from, somebody typed it from somewhere: an estimate. */
    static ObjectNode value(String is, String from) {
        Provenance provenance = Optional.of(from)
                .filter(text -> !text.isEmpty())
                .map(Provenance::read)
                .orElse(Provenance.typical(Provenance.Ground.ESTIMATE, "From a table without a source"));
        ObjectNode node = NODES.objectNode().put("is", is);
        node.put("from", provenance.origin().word());
        provenance.ground().ifPresent(ground -> node.put("ground", ground.word()));
        provenance.date().ifPresent(date -> node.put("date", date.toString()));
        return provenance.source().isEmpty() ? node : node.put("source", provenance.source());
    }
}
