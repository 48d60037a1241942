package kalodyne.command;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import kalodyne.core.files.WholeFile;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.exchange.AnyStudio;
import kalodyne.core.studio.exchange.StudioTables;
import kalodyne.core.studio.exchange.StudioWriter;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Writes a studio in open formats. */
@Command(
        name = "export",
        mixinStandardHelpOptions = true,
        description = "Write a studio, or a part of it, as JSON or as tables for a spreadsheet.",
        footer = {"", "Exit status: 0 when it was written, 2 when it could not be."})
public final class ExportCommand implements Callable<Integer> {
    @Parameters(paramLabel = "STUDIO", description = "A studio file; JSON and tables are read as well.")
    private Path file;

    @ArgGroup(multiplicity = "1")
    private Format format;

    @Option(
            names = "--only",
            paramLabel = "WHAT",
            description = "devices, leads, setups, or the name of one of them. Can be given several times.")
    private List<String> only = List.of();

    @Option(
            names = "--out",
            paramLabel = "PLACE",
            description =
                    "JSON: the file to write, instead of printing. Tables: the folder for them; else the present one.")
    private Path out;

    private final Output output;

    /** One of the two. */
    static final class Format {
        @Option(names = "--json", description = "One JSON text, as docs/formats/studio.md describes.")
        private boolean json;

        @SuppressWarnings("UnusedVariable") // it is this one where it is not the other
        @Option(names = "--csv", description = "Two tables, as docs/formats/tables.md describes.")
        private boolean csv;
    }

    public ExportCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        try {
            Studio whole = AnyStudio.read(file);
            Studio part = only.isEmpty() ? whole : part(whole);
            if (part.devices().isEmpty()
                    && part.leads().isEmpty()
                    && part.setups().isEmpty()
                    && !only.isEmpty()) {
                output.complain(file + ": there is nothing of " + String.join(", ", only) + " in it.");
                return Output.NOT_READ;
            }
            if (format.json) {
                json(part);
            } else {
                csv(part);
            }
            return Output.READ;
        } catch (UnreadableFile e) {
            output.complain(e.getMessage());
        } catch (IOException e) {
            output.complain((out == null ? Path.of("") : out).toAbsolutePath()
                    + ": it cannot be written there. Free some space, or choose another folder.");
        }
        return Output.NOT_READ;
    }

    private Studio part(Studio whole) {
        return new Studio(
                whole.name(),
                whole.devices().stream()
                        .filter(device -> isWanted("devices", device.name()))
                        .toList(),
                whole.leads().stream()
                        .filter(lead -> isWanted("leads", lead.name()))
                        .toList(),
                whole.setups().stream()
                        .filter(setup -> isWanted("setups", setup.name()))
                        .toList());
    }

    private boolean isWanted(String kind, String name) {
        return only.stream().anyMatch(wanted -> wanted.equalsIgnoreCase(kind) || wanted.equals(name));
    }

    private void json(Studio studio) throws IOException {
        String text = StudioWriter.write(studio);
        if (out == null) {
            output.line(text.stripTrailing());
        } else {
            write(out, text);
        }
    }

    private void csv(Studio studio) throws IOException {
        Path folder = out == null ? Path.of("") : out;
        String name = file.getFileName().toString().replaceFirst("(\\" + StudioFile.EXTENSION + "|\\.json)$", "");
        write(folder.resolve(name + "-devices.csv"), StudioTables.devices(studio.devices()));
        write(folder.resolve(name + "-leads.csv"), StudioTables.leads(studio.leads()));
    }

    private void write(Path place, String text) throws IOException {
        WholeFile.write(place, ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8)));
        output.line(place.toString());
    }
}
