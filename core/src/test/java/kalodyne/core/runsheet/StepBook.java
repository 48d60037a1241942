package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.testing.Plugged;

/** Books of steps: what is plugged, or a shelf and a wish, then steps of its sheet in their order. */
final class StepBook {
    private StepBook() {}

    /** Whether the sheet of a rig has the steps that the book has, word by word. */
    static void check(List<String> rig) {
        SheetRig sheetRig = rig(rig.get(0));
        List<String> expected = steps(rig.get(1));
        List<String> said =
                SheetMaker.of(sheetRig).steps().stream().map(StepBook::words).toList();
        assertThat(said).containsAll(expected);
        assertThat(said.stream().filter(expected::contains)).containsExactlyElementsOf(expected);
    }

    /** "what is plugged", or "shelf | wish | what becomes of stereo". */
    static SheetRig rig(String line) {
        String[] asked = (line + " ").split(" \\| ?", -1);
        return asked.length == 1 || asked[1].isBlank()
                ? Sheets.rig(Plugged.of(asked[0].strip()), SessionPlan.USUAL)
                : Sheets.planned(asked[0], asked[1].strip(), asked[2].isBlank() ? null : asked[2].strip());
    }

    /** A step begins where a line is not indented. */
    private static List<String> steps(String text) {
        List<String> steps = new ArrayList<>();
        for (String line : text.split("\n", -1)) {
            if (line.startsWith("    ")) {
                steps.set(steps.size() - 1, steps.get(steps.size() - 1) + "\n" + line);
            } else {
                steps.add(line);
            }
        }
        return steps;
    }

    private static String words(Step step) {
        return Stream.of(
                        step.id() + ": " + step.title(),
                        step.detail().isEmpty() ? "" : "    " + step.detail(),
                        step.reason().isEmpty() ? "" : "    because " + step.reason(),
                        step.tell().isEmpty() ? "" : "    tells " + step.tell())
                .filter(line -> !line.isEmpty())
                .collect(Collectors.joining("\n"));
    }
}
