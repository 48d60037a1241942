package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Opens the window on the demonstration studio. */
@Command(name = "demo", mixinStandardHelpOptions = true, description = "Open the window on the demonstration studio.")
final class DemoCommand implements Callable<Integer> {
    @Option(names = "--afresh", description = "Forget what was changed in it.")
    private boolean afresh;

    @Override
    public Integer call() throws IOException {
        Path folder = DataFolder.find();
        DesktopApp.show(folder, Workbench.demoFile(folder.resolve("demo"), afresh));
        return 0;
    }
}
