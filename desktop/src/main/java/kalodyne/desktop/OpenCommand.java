package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.concurrent.Callable;
import kalodyne.command.Output;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Opens the window on the user's own studio, or on one that is named. */
@Command(
        name = "open",
        mixinStandardHelpOptions = true,
        description = "Open the window on your studio (as without a command).")
final class OpenCommand implements Callable<Integer> {
    @Parameters(arity = "0..1", paramLabel = "STUDIO", description = "Another studio than your own.")
    private Path studio;

    private final Output output;

    OpenCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        Path folder = DataFolder.find();
        Clock clock = Clock.system(ZoneId.systemDefault());
        try {
            DesktopApp.show(
                    folder, () -> studio == null ? OpenedStudio.own(folder, clock) : OpenedStudio.named(studio, clock));
            return Output.READ;
        } catch (IOException e) {
            output.complain(e.getMessage());
            return Output.NOT_READ;
        }
    }
}
