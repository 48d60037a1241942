package kalodyne.core.studio.exchange;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.studio.Studio;

/** Gear and leads as tables for a spreadsheet, after docs/formats/tables.md. */
public final class StudioTables {
    private StudioTables() {}

    public static String devices(List<Device> devices) {
        return DeviceTable.write(devices);
    }

    public static String leads(List<Lead> leads) {
        return LeadTable.write(leads);
    }

    /**
     * Reads a table of devices or of leads; its first line tells which.
     *
     * @throws UnreadableFile where it cannot be read; says everything that is wrong
     */
    public static Studio read(Path file) throws UnreadableFile {
        return read(CsvTable.read(file), file);
    }

    /** Reads the text of a table. */
    public static Studio read(String text, Path file) throws UnreadableFile {
        return read(CsvTable.read(text, file), file);
    }

    private static Studio read(CsvTable table, Path file) throws UnreadableFile {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", JsonFormat.STUDIO.mark()).put("version", JsonFormat.STUDIO.version());
        root.put("name", "From a table");
        LineNumbers lines = new LineNumbers();
        List<Problem> problems = new ArrayList<>();
        if (table.columns().contains("device") && table.columns().contains("what")) {
            root.set("devices", DeviceTable.read(table, lines, problems));
        } else if (table.columns().contains("lead")) {
            root.set("leads", LeadTable.read(table, lines, problems));
        } else {
            throw new UnreadableFile(
                    file,
                    new Problem(
                            "line 1",
                            "It is neither a table of devices nor of leads.",
                            "Begin it with: " + String.join(",", DeviceTable.COLUMNS) + " or with: "
                                    + String.join(",", LeadTable.columns().subList(0, 6)) + "…"));
        }
        if (!problems.isEmpty()) {
            throw new UnreadableFile(file, problems);
        }
        try {
            return StudioReader.read(root.toString(), file);
        } catch (UnreadableFile e) {
            throw new UnreadableFile(file, lines.translated(e.problems()));
        }
    }
}
