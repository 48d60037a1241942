package kalodyne.desktop;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import kalodyne.command.Output;
import kalodyne.core.setup.UnreadableSetup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Opens the window on the user's own studio, or on a setup that is named. */
@Command(
        name = "open",
        mixinStandardHelpOptions = true,
        description = "Open the window on your studio (as without a command).")
final class OpenCommand implements Callable<Integer> {
    @Parameters(arity = "0..1", paramLabel = "SETUP.json", description = "Another setup than your own.")
    private Path setup;

    private final Output output;

    OpenCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        Path folder = DataFolder.find();
        if (setup == null) {
            DesktopApp.show(folder, () -> OpenedSetup.of(folder.resolve("studio.json")));
            return Output.READ;
        }
        try {
            OpenedSetup opened = OpenedSetup.read(setup);
            DesktopApp.show(folder, () -> opened);
            return Output.READ;
        } catch (UnreadableSetup e) {
            output.complain(e.getMessage());
            return Output.NOT_READ;
        }
    }
}
