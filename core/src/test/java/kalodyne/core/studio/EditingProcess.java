package kalodyne.core.studio;

import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.catalogue.Catalogue;

/**
 * A program that edits a studio as fast as it can until it is killed. Prints the number of every edit that it was told is
 * kept. Edit number n sets the note of one device, in turn, to n.
 */
final class EditingProcess {
    static final int DEVICES = 5;

    private EditingProcess() {}

    public static void main(String[] arguments) throws Exception {
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        OpenStudio studio = StudioFile.open(Path.of(arguments[0]), Studio.empty(), Clock.systemUTC());
        long[] kept = {last(studio.studio())};
        studio.onKept(outcome -> {
            if (!outcome.isKept()) {
                out.println("failed: " + outcome.trouble());
            }
        });
        while (true) {
            for (int i = 0; i < 7; i++) {
                long number = ++kept[0];
                studio.history().edit("edit " + number, studio.studio().with(device(number)));
            }
            studio.flush();
            out.println(kept[0]);
        }
    }

    static Device device(long number) {
        long which = number % DEVICES;
        return Catalogue.shipped()
                .device("drum-box-headphone")
                .orElseThrow()
                .gear()
                .withId("device-" + which)
                .withName("Device " + which)
                .withNote(String.valueOf(number));
    }

    /** The number of the last edit that is in a studio. */
    static long last(Studio studio) {
        return studio.devices().stream()
                .mapToLong(device -> Long.parseLong(device.note()))
                .max()
                .orElse(0);
    }
}
