package kalodyne.core.studio;

import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;

/** A program that opens a studio that {@link EditingProcess} edited, and prints its last edit and why it is only read. */
final class ReadingProcess {
    private ReadingProcess() {}

    public static void main(String[] arguments) throws Exception {
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        try (OpenStudio studio = StudioFile.open(Path.of(arguments[0]), Studio.empty(), Clock.systemUTC())) {
            out.print(EditingProcess.last(studio.studio()) + ": " + studio.readOnlyBecause());
        }
    }
}
