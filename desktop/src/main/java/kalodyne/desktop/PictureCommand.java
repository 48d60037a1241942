package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kalodyne.command.Output;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.desktop.shell.Appearance.Look;
import kalodyne.desktop.shell.Appearance.Theme;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Makes a picture of a room, with the real window. */
@Command(
        name = "picture",
        mixinStandardHelpOptions = true,
        description = "Make a picture of a room, for guides and for review.")
final class PictureCommand implements Callable<Integer> {
    private static final String ROOMS = "shelf, hookup, levels, runsheet, takes, lineup, log, practise or convert";
    private static final Pattern SIZE = Pattern.compile("(\\d{3,4})x(\\d{3,4})");

    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "ROOM", description = ROOMS + ".")
    private String room;

    @Parameters(index = "1", paramLabel = "FILE.png", description = "Where the picture goes.")
    private Path file;

    @Option(
            names = "--size",
            defaultValue = "1280x800",
            description = "Width and height in pixels, 100x100 to 9999x9999.")
    private String size;

    @Option(names = "--theme", defaultValue = "light", description = "light or dark.")
    private String theme;

    @Option(names = "--text", defaultValue = "1", description = "Size of the text, 0.8 to 2.")
    private double text;

    @Option(names = "--studio", defaultValue = "demo", description = "demo, empty, or a studio file.")
    private String studio;

    @Option(
            names = "--command",
            paramLabel = "NAME",
            description =
                    "A command of the window that is run first, by the name under which Find (Ctrl+K) lists it; several in turn.")
    private List<String> commands = List.of();

    @Option(
            names = "--after",
            paramLabel = "SECONDS",
            defaultValue = "0",
            description = "How long to wait then, 0 to 60: for what moves.")
    private double after;

    private final Output output;

    PictureCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() throws IOException {
        Matcher dimensions = SIZE.matcher(size);
        require(
                List.of(ROOMS.split(", | or ", -1)).contains(room),
                "There is no room “" + room + "”; choose " + ROOMS + ".");
        require(dimensions.matches(), "“" + size + "” is not a size; write for example 1280x800.");
        require(theme.equals("light") || theme.equals("dark"), "“" + theme + "” is not a theme; choose light or dark.");
        require(text >= 0.8 && text <= 2, "The text can be 0.8 to 2 times its usual size, not " + text + ".");
        require(after >= 0 && after <= 60, "One can wait 0 to 60 seconds, not " + after + ".");
        Path folder = Files.createTempDirectory("kalodyne-picture");
        try {
            return PictureApp.take(new PictureApp.Order(
                    folder,
                    studio(folder),
                    room,
                    commands,
                    after,
                    Integer.parseInt(dimensions.group(1)),
                    Integer.parseInt(dimensions.group(2)),
                    new Look(theme.equals("dark") ? Theme.DARK : Theme.LIGHT, (int) Math.round(100 * text)),
                    file.toAbsolutePath()));
        } catch (UnreadableFile e) {
            output.complain(e.getMessage());
            return Output.NOT_READ;
        } finally {
            delete(folder);
        }
    }

    private OpenedStudio studio(Path folder) throws IOException {
        Clock clock = Clock.system(ZoneId.systemDefault());
        return switch (studio.toLowerCase(Locale.ROOT)) {
            case "demo" -> OpenedStudio.named(StudioOpener.demoFile(folder, true), clock);
            case "empty" -> OpenedStudio.own(folder, clock);
            default -> OpenedStudio.named(Path.of(studio), clock);
        };
    }

    private void require(boolean condition, String otherwise) {
        if (!condition) {
            throw new ParameterException(spec.commandLine(), otherwise);
        }
    }

    private static void delete(Path folder) throws IOException {
        try (var paths = Files.walk(folder)) {
            for (Path path : paths.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(path);
            }
        }
    }
}
