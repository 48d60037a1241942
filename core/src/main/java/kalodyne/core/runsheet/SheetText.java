package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** A run sheet as plain text, to be read in a terminal or pasted into a message. */
public final class SheetText {
    private final RunSheet sheet;
    private final boolean why;
    private final List<String> lines = new ArrayList<>();

    private SheetText(RunSheet sheet, boolean why) {
        this.sheet = sheet;
        this.why = why;
    }

    /**
     * The steps, section by section.
     *
     * @param why whether each step tells its reason, and why it does not come earlier
     */
    public static List<String> of(RunSheet sheet, boolean why) {
        return new SheetText(sheet, why).written();
    }

    private List<String> written() {
        Section section = null;
        int number = 0;
        for (Task task : sheet.tasks()) {
            if (task.section() != section) {
                section = task.section();
                lines.add("");
                lines.add(section.word());
            }
            write(task, ++number);
        }
        return lines;
    }

    private void write(Task task, int number) {
        String before = String.format(Locale.ROOT, "%4d  ", number);
        if (task.isSingle()) {
            write(task.parts().get(0), before);
        } else {
            lines.add(before + task.title());
            task.parts().forEach(part -> write(part, "      · "));
        }
    }

    private void write(Step step, String before) {
        String indent = " ".repeat(before.length());
        lines.add(before + step.title() + (step.tell().isEmpty() ? "" : "  [" + step.tell() + "]"));
        step.caution()
                .ifPresent(caution -> lines.add(indent + caution.severity().word() + ": " + caution.words()));
        if (!step.detail().isEmpty()) {
            lines.add(indent + step.detail());
        }
        if (why) {
            lines.add(indent + "Why: " + step.reason());
            sheet.whyNotEarlier(step).forEach(line -> lines.add(indent + line));
        }
    }
}
