package kalodyne.core.studio.setup;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import kalodyne.core.levels.run.Run;

/** Runs to start from, with typical values (common practice) that their owner corrects. */
public final class Starters {
    private Starters() {}

    public static List<Run> runs() {
        try (InputStream in = Starters.class.getResourceAsStream("starters.json")) {
            return SetupReader.shipped(new String(in.readAllBytes(), StandardCharsets.UTF_8), Path.of("starters.json"))
                    .setup()
                    .runs();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
