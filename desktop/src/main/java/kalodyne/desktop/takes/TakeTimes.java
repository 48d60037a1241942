package kalodyne.desktop.takes;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import kalodyne.core.studio.setup.Take;

/** When a take was added, as the log tells it. */
final class TakeTimes {
    private static final DateTimeFormatter FORM = DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH);

    private TakeTimes() {}

    static String of(Take take) {
        return FORM.format(take.at().atZone(ZoneId.systemDefault()));
    }
}
