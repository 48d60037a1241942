package kalodyne.core.studio.exchange;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import kalodyne.core.files.json.Problem;
import kalodyne.core.gear.Conductor;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.Names;
import kalodyne.core.gear.Wire;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.file.GearForms;
import kalodyne.core.units.UnreadableQuantity;

/** Leads and adapters as a table of one line each. */
final class LeadTable {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final String FROM = " from";
    private static final Pattern END =
            Pattern.compile("([a-z0-9][a-z0-9-]*) (.+?) (plug|socket)(?: \"((?:[^\"]|\"\")*)\")?");
    private static final Pattern WIRE =
            Pattern.compile("(\\S+?)>(\\S+)( shield)?(?: ([^\"]+?))?(?: \"((?:[^\"]|\"\")*)\")?");

    private LeadTable() {}

    static List<String> columns() {
        List<String> columns =
                new ArrayList<>(List.of("lead", "id", "kind", "profile", "colour", "owned", "note", "ends", "wires"));
        for (Fact<?> fact : Fact.all(Fact.Of.LEAD)) {
            columns.add(fact.id());
            columns.add(fact.id() + FROM);
        }
        return columns;
    }

    // --- out ---------------------------------------------------------------------------------------------------

    static String write(List<Lead> leads) {
        return CsvTable.write(columns(), leads.stream().map(LeadTable::row).toList());
    }

    private static List<String> row(Lead lead) {
        List<String> row = new ArrayList<>(List.of(
                lead.name(),
                lead.id(),
                lead.kind().word(),
                lead.profile().orElse(""),
                lead.colour(),
                String.valueOf(lead.owned()),
                lead.note(),
                lead.ends().stream().map(LeadTable::write).collect(Collectors.joining("; ")),
                lead.wires().stream().map(LeadTable::write).collect(Collectors.joining("; "))));
        for (Fact<?> fact : Fact.all(Fact.Of.LEAD)) {
            row.add(lead.facts().written(fact).orElse(""));
            row.add(lead.facts().get(fact).map(value -> value.from().write()).orElse(""));
        }
        return row;
    }

    private static String write(LeadEnd end) {
        return end.id() + " " + end.connector().word() + " " + end.form().word()
                + (end.name().isEmpty() ? "" : " " + quoted(end.name()));
    }

    private static String write(Wire wire) {
        Facts facts = wire.facts();
        String resistor = facts.written(Fact.RESISTOR)
                .map(ohms -> " " + ohms + " "
                        + quoted(facts.get(Fact.RESISTOR).orElseThrow().from().write()))
                .orElse("");
        return wire.from().write() + ">" + wire.to().write() + (wire.conductor() == Conductor.SHIELD ? " shield" : "")
                + resistor;
    }

    private static String quoted(String text) {
        return "\"" + text.replace("\"", "\"\"") + "\"";
    }

    // --- in ----------------------------------------------------------------------------------------------------

    /** Leads as JSON, a line each; what a line leaves out comes from the profile that it names. */
    static ArrayNode read(CsvTable table, LineNumbers lines, List<Problem> problems) {
        ArrayNode leads = NODES.arrayNode();
        Set<String> taken = new LinkedHashSet<>();
        for (CsvTable.Row row : table.rows()) {
            lines.put("leads › " + (leads.size() + 1), row.line());
            try {
                leads.add(lead(row, taken));
            } catch (UnreadableQuantity e) {
                problems.add(new Problem("line " + row.line(), e.problem(), e.remedy()));
            }
        }
        return leads;
    }

    private static ObjectNode lead(CsvTable.Row row, Set<String> taken) {
        ObjectNode node = NODES.objectNode();
        if (!row.get("profile").isEmpty()) {
            Catalogue.shipped()
                    .lead(row.get("profile"))
                    .ifPresent(profile -> node.setAll(new GearForms().lead().write(profile.gear())));
            node.put("profile", row.get("profile"));
        }
        String wanted = row.get("id").isEmpty() ? idOf(row.get("lead")) : row.get("id");
        String id = wanted;
        for (int number = 2; !taken.add(id); number++) {
            id = wanted + "-" + number;
        }
        node.put("id", id).put("name", row.get("lead"));
        for (String field : List.of("kind", "colour", "note")) {
            if (!row.get(field).isEmpty()) {
                node.put(field, row.get(field));
            }
        }
        if (!row.get("owned").isEmpty()) {
            node.put("owned", owned(row.get("owned")));
        }
        if (!row.get("ends").isEmpty()) {
            ArrayNode ends = node.putArray("ends");
            split(row.get("ends")).forEach(text -> ends.add(end(text)));
        }
        if (!row.get("wires").isEmpty()) {
            ArrayNode wires = node.putArray("wires");
            split(row.get("wires")).forEach(text -> wires.add(wire(text)));
        }
        if (!node.has("ends") || !node.has("wires")) {
            throw new UnreadableQuantity(
                    "It says neither ends and wires nor a profile that is known.",
                    "Name a profile; `kalodyne catalogue` lists them.");
        }
        putValues(node, row);
        return node.has("kind") ? node : node.put("kind", "lead");
    }

    private static void putValues(ObjectNode node, CsvTable.Row row) {
        for (Fact<?> fact : Fact.all(Fact.Of.LEAD)) {
            String column = fact.id().toLowerCase(Locale.ROOT);
            if (!row.get(column).isEmpty()) {
                node.withObject("values").set(fact.id(), DeviceTable.value(row.get(column), row.get(column + FROM)));
            }
        }
    }

    private static int owned(String text) {
        if (!text.matches("\\d{1,3}")) {
            throw new UnreadableQuantity(
                    "“" + Names.shown(text) + "” is not a number of leads.", "Write a number from 0 to 999.");
        }
        return Integer.parseInt(text);
    }

    private static ObjectNode end(String text) {
        Matcher matcher = END.matcher(text);
        if (!matcher.matches()) {
            throw new UnreadableQuantity(
                    "“" + Names.shown(text) + "” is not an end.", "Write for example: a 6.35 mm two-pole plug.");
        }
        ObjectNode node = NODES.objectNode().put("id", matcher.group(1));
        unquoted(matcher.group(4)).ifPresent(name -> node.put("name", name));
        node.put("connector", matcher.group(2));
        return matcher.group(3).equals(Form.SOCKET.word()) ? node.put("form", Form.SOCKET.word()) : node;
    }

    private static ObjectNode wire(String text) {
        Matcher matcher = WIRE.matcher(text);
        if (!matcher.matches()) {
            throw new UnreadableQuantity(
                    "“" + Names.shown(text) + "” is not a wire.", "Write for example: a.T>b.T; a.S>b.S shield.");
        }
        ObjectNode node = NODES.objectNode().put("from", matcher.group(1)).put("to", matcher.group(2));
        if (matcher.group(3) != null) {
            node.put("conductor", Conductor.SHIELD.word());
        }
        if (matcher.group(4) != null) {
            node.putObject("values")
                    .set(
                            Fact.RESISTOR.id(),
                            DeviceTable.value(
                                    matcher.group(4), unquoted(matcher.group(5)).orElse("")));
        }
        return node;
    }

    private static Optional<String> unquoted(String text) {
        return Optional.ofNullable(text).map(each -> each.replace("\"\"", "\""));
    }

    /** At semicolons that stand outside of quotes. */
    private static List<String> split(String text) {
        List<String> parts = new ArrayList<>();
        boolean isQuoted = false;
        int start = 0;
        for (int i = 0; i <= text.length(); i++) {
            if (i == text.length() || (text.charAt(i) == ';' && !isQuoted)) {
                String part = text.substring(start, i).strip();
                if (!part.isEmpty()) {
                    parts.add(part);
                }
                start = i + 1;
            } else if (text.charAt(i) == '"') {
                isQuoted = !isQuoted;
            }
        }
        return parts;
    }

    /** An id for something that has only a name: "Lead 7" becomes "lead-7". */
    static String idOf(String name) {
        String id = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        String shown = id.isEmpty() ? "item-" + Integer.toHexString(name.hashCode()) : id;
        return shown.substring(0, Math.min(shown.length(), 50));
    }
}
