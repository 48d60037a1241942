package kalodyne.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Locale;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.shelf.SearchIndex;
import kalodyne.core.gear.shelf.SearchText;
import kalodyne.core.studio.OpenStudio;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;

/** Opens a studio once in a fresh program, and searches it for the first time; prints the milliseconds of each. */
public final class StudioOpening {
    private StudioOpening() {}

    public static void main(String[] arguments) throws IOException {
        long begun = System.nanoTime();
        try (OpenStudio open = StudioFile.open(Path.of(arguments[0]), Studio.empty(), Clock.systemUTC())) {
            long opened = System.nanoTime();
            SearchIndex<Device> devices = new SearchIndex<>(open.studio().devices(), SearchText::of);
            SearchIndex<Lead> leads = new SearchIndex<>(open.studio().leads(), SearchText::of);
            long indexed = System.nanoTime();
            int found = devices.find("phone ad").size() + leads.find("phone ad").size();
            long searched = System.nanoTime();
            System.out.printf(
                    Locale.ROOT,
                    "%.0f %.0f %.2f %d%n",
                    (opened - begun) / 1e6,
                    (indexed - opened) / 1e6,
                    (searched - indexed) / 1e6,
                    found);
        }
    }
}
