package kalodyne.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.text.Text;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What holds in every room: words are whole and apart from each other in any size of window and text, and everything has a name. */
class EveryRoomTest {
    private static final List<String> ROOMS =
            List.of("shelf", "hookup", "levels", "runsheet", "takes", "lineup", "log", "practise", "convert");

    /** Of letters that touch: lines of a text overlap by as much without being illegible. */
    private static final double TOUCHING = 3;

    @TempDir
    Path folder;

    /** Nothing is cut to an ellipsis, nothing lies over something else, nothing is named by its looks alone. */
    @ParameterizedTest(name = "{0} x {1} at {2} %, empty: {3}")
    @CsvSource({
        "1280, 800, 100, false",
        "1100, 700, 100, false",
        "1920, 1080, 100, false",
        "1280, 800, 150, false",
        "1280, 800, 200, false",
        "1280, 800, 100, true",
        "1280, 800, 200, true"
    })
    void all_words_are_whole_and_apart(int width, int height, int textPercent, boolean isEmpty) throws IOException {
        try (Desk desk = isEmpty ? Desk.own(folder) : Desk.demo(folder)) {
            List<String> wrong = new ArrayList<>();
            for (boolean dark : List.of(false, true)) {
                Desk.onScreen(() -> {
                    desk.stage().setWidth(width);
                    desk.stage().setHeight(height);
                    desk.workbench()
                            .appearance()
                            .lookProperty()
                            .set(new Appearance.Look(
                                    dark ? Appearance.Theme.DARK : Appearance.Theme.LIGHT, textPercent));
                    return null;
                });
                for (String room : ROOMS) {
                    Desk.onScreen(() -> {
                        desk.workbench().window().enter(room);
                        return null;
                    });
                    desk.rest();
                    wrong.addAll(
                            Desk.onScreen(() -> wrongIn(desk.stage().getScene().getRoot(), room, dark)));
                }
            }
            assertThat(wrong).isEmpty();
        }
    }

    private static List<String> wrongIn(Parent root, String room, boolean dark) {
        root.applyCss();
        root.layout();
        List<Seen> texts = new ArrayList<>();
        List<String> wrong = new ArrayList<>();
        Bounds window = root.localToScene(root.getLayoutBounds());
        walk(root, window, texts, wrong);
        for (int i = 0; i < texts.size(); i++) {
            for (int j = i + 1; j < texts.size(); j++) {
                if (texts.get(i).isOver(texts.get(j))) {
                    wrong.add("over each other: " + texts.get(i).words() + " / "
                            + texts.get(j).words());
                }
            }
        }
        return wrong.stream()
                .distinct()
                .map(each -> room + (dark ? " dark: " : ": ") + each)
                .toList();
    }

    /** A text as far as it is seen. */
    private record Seen(String words, Bounds bounds) {
        boolean isOver(Seen other) {
            double across = Math.min(bounds.getMaxX(), other.bounds.getMaxX())
                    - Math.max(bounds.getMinX(), other.bounds.getMinX());
            double down = Math.min(bounds.getMaxY(), other.bounds.getMaxY())
                    - Math.max(bounds.getMinY(), other.bounds.getMinY());
            return across > TOUCHING && down > TOUCHING;
        }
    }

    private static void walk(Node node, Bounds clip, List<Seen> texts, List<String> wrong) {
        if (!node.isVisible()) {
            return;
        }
        Bounds here = node.localToScene(node.getLayoutBounds());
        Bounds seen = node instanceof ScrollPane || node.getClip() != null ? common(clip, here) : clip;
        if (node instanceof Labeled labeled && isCutShort(labeled)) {
            wrong.add("cut short: " + labeled.getText());
        }
        if (node instanceof Text text && !text.getText().isBlank()) {
            Bounds shown = common(seen, here);
            boolean isInSight = shown.getWidth() > 1 && shown.getHeight() > 1;
            if (isInSight) {
                texts.add(new Seen(text.getText(), shown));
            }
            if (isInSight && here.getMaxX() > clip.getMaxX() + 1 && seen == clip && !scrollsAcross(node)) {
                wrong.add("beyond the edge: " + text.getText());
            }
        }
        if (node.isFocusTraversable() && isUnnamed(node)) {
            wrong.add("without a name: " + node);
        }
        if (node instanceof Parent parent && !(node instanceof TextInputControl)) {
            parent.getChildrenUnmodifiable().forEach(child -> walk(child, seen, texts, wrong));
        }
    }

    /** Whether what is beyond the edge can be brought into sight. */
    private static boolean scrollsAcross(Node node) {
        for (Node each = node; each != null; each = each.getParent()) {
            if (each instanceof ScrollPane pane && pane.getHbarPolicy() != ScrollPane.ScrollBarPolicy.NEVER) {
                return !pane.isFitToWidth();
            }
        }
        return false;
    }

    private static boolean isUnnamed(Node node) {
        boolean hasText = node instanceof Labeled labeled
                && labeled.getText() != null
                && !labeled.getText().isBlank();
        boolean isSpoken =
                node.getAccessibleText() != null && !node.getAccessibleText().isBlank();
        boolean isScrolling = node instanceof ScrollPane;
        boolean isLabelled = node instanceof Control
                && node.getScene().getRoot().lookupAll(".label").stream()
                        .anyMatch(label ->
                                label instanceof javafx.scene.control.Label named && named.getLabelFor() == node);
        return !hasText && !isSpoken && !isScrolling && !isLabelled;
    }

    private static Bounds common(Bounds one, Bounds other) {
        double x = Math.max(one.getMinX(), other.getMinX());
        double y = Math.max(one.getMinY(), other.getMinY());
        return new BoundingBox(
                x,
                y,
                Math.max(0, Math.min(one.getMaxX(), other.getMaxX()) - x),
                Math.max(0, Math.min(one.getMaxY(), other.getMaxY()) - y));
    }

    private static boolean isCutShort(Labeled label) {
        return label.getText() != null
                && label.lookupAll(".text").stream()
                        .filter(Text.class::isInstance)
                        .filter(node -> isOwn(node, label))
                        .map(node -> ((Text) node).getText())
                        .anyMatch(text -> isCut(text) && !isCut(label.getText()));
    }

    private static boolean isCut(String text) {
        return text.endsWith("…") || text.endsWith("...");
    }

    /** What a button shows beside its own words has words of its own. */
    private static boolean isOwn(Node text, Labeled label) {
        Parent parent = text.getParent();
        while (!(parent instanceof Labeled)) {
            parent = parent.getParent();
        }
        return parent == label;
    }
}
