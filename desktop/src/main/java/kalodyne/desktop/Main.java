package kalodyne.desktop;

import java.util.logging.Level;
import java.util.logging.Logger;
import kalodyne.command.AnalyseCommand;
import kalodyne.command.LevelsCommand;
import kalodyne.command.Output;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/**
 * The program's one entry point. Does not extend Application, so that it starts from the class path, and touches no
 * JavaFX for commands that need no window.
 */
@Command(
        name = "kalodyne",
        mixinStandardHelpOptions = true,
        versionProvider = Main.Version.class,
        description = "Plans, sets and checks the way from an instrument to a clean recording.",
        subcommands = {DemoCommand.class, PictureCommand.class},
        footer = {"", "Kalodyne advises. Makers' manuals, local electrical codes and licensed technicians decide."})
public final class Main implements Runnable {
    @CommandLine.Option(
            names = "--debug",
            hidden = true,
            scope = CommandLine.ScopeType.INHERIT,
            description = "Print the cause of a failure.")
    private boolean debug;

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

    /** Held, since loggers that nobody holds forget their level. */
    private static final Logger JAVAFX_LOG = Logger.getLogger("javafx");

    public static void main(String[] arguments) {
        // JavaFX warns at every start that it runs from the class path, which is meant so.
        JAVAFX_LOG.setLevel(Level.SEVERE);
        System.exit(run(Output.standard(), arguments));
    }

    static int run(Output output, String... arguments) {
        Main main = new Main(output);
        return new CommandLine(main)
                .addSubcommand(new OpenCommand(output))
                .addSubcommand(new LevelsCommand(output))
                .addSubcommand(new AnalyseCommand(output))
                .setExecutionExceptionHandler((failure, commandLine, parsed) -> {
                    if (main.debug) {
                        throw failure;
                    }
                    output.complain("Something went wrong inside Kalodyne: " + failure + ". Run again with --debug.");
                    return 1;
                })
                .execute(arguments);
    }

    @Override
    public void run() {
        new OpenCommand(output).call();
    }
}
