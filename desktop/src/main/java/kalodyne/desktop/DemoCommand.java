package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.concurrent.Callable;
import kalodyne.command.Output;
import kalodyne.core.files.json.UnreadableFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Opens the window on the demonstration studio. */
@Command(name = "demo", mixinStandardHelpOptions = true, description = "Open the window on the demonstration studio.")
final class DemoCommand implements Callable<Integer> {
    @Option(names = "--afresh", description = "Forget what was changed in it.")
    private boolean afresh;

    private final Output output;

    DemoCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        Path folder = DataFolder.find();
        Path demo = folder.resolve("demo");
        Clock clock = Clock.system(ZoneId.systemDefault());
        try {
            DesktopApp.show(folder, () -> OpenedStudio.named(StudioOpener.demoFile(demo, afresh), clock));
            return Output.READ;
        } catch (UnreadableFile e) {
            output.complain(e.getMessage());
        } catch (IOException e) {
            output.complain(demo + ": the demonstration studio cannot be written there. "
                    + "Free some space, or set KALODYNE_HOME to another folder.");
        }
        return Output.NOT_READ;
    }
}
