package kalodyne.desktop;

import java.nio.file.Path;
import java.util.concurrent.Callable;
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

    @Override
    public Integer call() {
        Path folder = DataFolder.find();
        DesktopApp.show(folder, setup == null ? folder.resolve("studio.json") : setup.toAbsolutePath());
        return 0;
    }
}
