package kalodyne.desktop;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.logging.Level;
import java.util.logging.Logger;
import kalodyne.command.AnalyseCommand;
import kalodyne.command.CatalogueCommand;
import kalodyne.command.CircuitCommand;
import kalodyne.command.ExportCommand;
import kalodyne.command.HearCommand;
import kalodyne.command.ImportCommand;
import kalodyne.command.JointCommand;
import kalodyne.command.LevelsCommand;
import kalodyne.command.LineupCommand;
import kalodyne.command.Output;
import kalodyne.command.PlanCommand;
import kalodyne.command.RunsheetCommand;
import kalodyne.command.TidyCommand;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/**
 * The program's one entry point. Does not extend Application, so that it starts from the class path, and touches no
 * JavaFX for commands that need no window.
 */
@Command(
        name = Main.NAME,
        mixinStandardHelpOptions = true,
        versionProvider = Main.Version.class,
        description = "Plans, sets and checks the way from an instrument to a clean recording.",
        footer = {"", "Kalodyne advises. Makers' manuals, local electrical codes and licensed technicians decide."})
public final class Main implements Runnable {
    static final String NAME = "kalodyne";
    private static final String OPEN = "open";

    /** Held, since loggers that nobody holds forget their level. */
    private static final Logger JAVAFX_LOG = Logger.getLogger("javafx");

    private final Output output;

    private Main(Output output) {
        this.output = output;
    }

    /** As the jar says that it is; a program that runs from loose classes has no version. */
    static final class Version implements CommandLine.IVersionProvider {
        @Override
        public String[] getVersion() {
            String version = Main.class.getPackage().getImplementationVersion();
            return new String[] {"Kalodyne " + (version == null ? "(not packaged)" : version)};
        }
    }

    public static void main(String[] arguments) {
        // JavaFX warns at every start that it runs from the class path, which is meant so.
        JAVAFX_LOG.setLevel(Level.SEVERE);
        NativeDatabase.unpack(DataFolder.find());
        System.exit(run(Output.standard(), arguments));
    }

    static int run(Output output, String... arguments) {
        if (List.of(arguments).isEmpty() || List.of(arguments).equals(List.of(OPEN))) {
            // There is nothing to read in them, and the window is there a sixth of a second sooner.
            return open(output);
        }
        Map<String, Supplier<Object>> commands = commands(output);
        boolean named = arguments.length > 0 && commands.containsKey(arguments[0]);
        // A named one is built alone: building all of them takes longer than measuring a short take.
        CommandLine line = named
                ? new CommandLine(commands.get(arguments[0]).get()).setCommandName(NAME + " " + arguments[0])
                : whole(output, commands);
        String[] rest = named ? Arrays.copyOfRange(arguments, 1, arguments.length) : arguments;
        return line.setExecutionExceptionHandler((failure, commandLine, parsed) -> failed(output, failure))
                .execute(rest);
    }

    private static int open(Output output) {
        try {
            return new OpenCommand(output).call();
        } catch (RuntimeException e) {
            return failed(output, e);
        }
    }

    private static CommandLine whole(Output output, Map<String, Supplier<Object>> commands) {
        CommandLine line = new CommandLine(new Main(output));
        commands.forEach((name, command) -> line.addSubcommand(name, command.get()));
        return line;
    }

    private static Map<String, Supplier<Object>> commands(Output output) {
        Map<String, Supplier<Object>> commands = new LinkedHashMap<>();
        commands.put(OPEN, () -> new OpenCommand(output));
        commands.put("demo", () -> new DemoCommand(output));
        commands.put("levels", () -> new LevelsCommand(output));
        commands.put("runsheet", () -> new RunsheetCommand(output));
        commands.put("analyse", () -> new AnalyseCommand(output));
        commands.put("lineup", () -> new LineupCommand(output));
        commands.put("tidy", () -> new TidyCommand(output));
        commands.put("hear", () -> new HearCommand(output));
        commands.put("joint", () -> new JointCommand(output));
        commands.put("plan", () -> new PlanCommand(output));
        commands.put("circuit", () -> new CircuitCommand(output));
        commands.put("export", () -> new ExportCommand(output));
        commands.put("import", () -> new ImportCommand(output));
        commands.put("catalogue", () -> new CatalogueCommand(output));
        commands.put("picture", () -> new PictureCommand(output));
        return commands;
    }

    /** With KALODYNE_DEBUG set, the cause of a failure is printed whole. */
    private static <E extends Exception> int failed(Output output, E failure) throws E {
        if (System.getenv("KALODYNE_DEBUG") != null) {
            throw failure;
        }
        output.complain("Something went wrong inside Kalodyne: " + failure + ". Run again with KALODYNE_DEBUG=1 set.");
        return 1;
    }

    @Override
    public void run() {
        new OpenCommand(output).call();
    }
}
