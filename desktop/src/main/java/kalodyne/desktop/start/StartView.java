package kalodyne.desktop.start;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.gear.shelf.Beginning;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.LeadSketch;
import kalodyne.desktop.control.Styled;

/** What somebody sees who has nothing plugged yet: two questions in pictures, the leads as drawings, and the way on. */
public final class StartView extends VBox {
    /** A row further counts more than any way to the side. */
    private static final double ROWS_FIRST = 100;

    private final StartModel start;
    private final Runnable goOn;
    private final List<ToggleButton> tiles = new ArrayList<>();
    private final List<Runnable> shown = new ArrayList<>();

    /**
     * The page.
     *
     * @param goOn what Enter does
     * @param addByName for what is on none of the pictures
     */
    public StartView(StartModel start, Runnable goOn, Runnable addByName, Runnable openStudio, Runnable openDemo) {
        this.start = start;
        this.goOn = goOn;
        getStyleClass().addAll("room", "start");
        setId("welcome");
        getChildren()
                .addAll(
                        answers("What do you play or sing?", Beginning.Asks.PLAYS),
                        answers("What do you record with?", Beginning.Asks.RECORDS),
                        question("Which leads do you have? Pass over it if you do not know yet."),
                        leads(),
                        others(addByName, openStudio, openDemo));
        show();
    }

    /** To the first picture: from there arrows lead on, and Space ticks. */
    public void focus() {
        tiles.get(0).requestFocus();
    }

    private static Label question(String words) {
        return Styled.of(new Label(words)).as("start-question").whole().node();
    }

    /** Ticks what is on the shelf now. */
    public void show() {
        shown.forEach(Runnable::run);
    }

    // --- pictures ----------------------------------------------------------------------------------------------

    private Node answers(String question, Beginning.Asks asks) {
        FlowPane pictures = new FlowPane(8, 8);
        // Beside the question, so that nothing moves under the mouse; beneath it where that is too narrow.
        FlowPane exact = new FlowPane(14, 6, question(question));
        exact.getStyleClass().add("start-exact");
        for (Beginning beginning : Beginning.of(asks)) {
            pictures.getChildren().add(tile(beginning));
            if (beginning.kinds().size() > 1) {
                Node kind = kind(beginning);
                shown.add(() -> {
                    boolean isThere = exact.getChildren().contains(kind);
                    boolean isOwned = start.owned(beginning).isPresent();
                    if (isOwned && !isThere) {
                        exact.getChildren().add(kind);
                    } else if (!isOwned && isThere) {
                        exact.getChildren().remove(kind);
                    }
                });
            }
        }
        return new VBox(6, exact, pictures);
    }

    private ToggleButton tile(Beginning beginning) {
        ToggleButton tile = new ToggleButton(beginning.words(), new Picture(beginning.picture()));
        tile.setContentDisplay(ContentDisplay.TOP);
        Styled.of(tile).id("start-" + beginning.picture()).as("start-tile").wrap();
        tiles.add(tile);
        tile.addEventFilter(KeyEvent.KEY_PRESSED, event -> step(tile, event));
        tile.setOnAction(event -> start.tick(beginning, tile.isSelected()));
        shown.add(() -> tile.setSelected(start.owned(beginning).isPresent()));
        return tile;
    }

    /** Arrows go from picture to picture, else they would move the page; Enter goes on. */
    private void step(ToggleButton from, KeyEvent event) {
        if (event.getCode() == KeyCode.ENTER) {
            goOn.run();
            event.consume();
            return;
        }
        Optional<ToggleButton> next = switch (event.getCode()) {
            case RIGHT -> beside(from, 1);
            case LEFT -> beside(from, -1);
            case DOWN -> beneath(from, 1);
            case UP -> beneath(from, -1);
            default -> Optional.empty();
        };
        next.ifPresent(tile -> {
            tile.requestFocus();
            event.consume();
        });
    }

    private Optional<ToggleButton> beside(ToggleButton from, int by) {
        int index = tiles.indexOf(from) + by;
        return index < 0 || index == tiles.size() ? Optional.empty() : Optional.of(tiles.get(index));
    }

    /** In the next row, the one that is the least to the side. */
    private Optional<ToggleButton> beneath(ToggleButton from, int by) {
        Bounds here = from.localToScene(from.getLayoutBounds());
        ToDoubleFunction<ToggleButton> away = tile -> {
            Bounds there = tile.localToScene(tile.getLayoutBounds());
            double rows = by * (there.getMinY() - here.getMinY());
            return rows < 1 ? Double.POSITIVE_INFINITY : ROWS_FIRST * rows + Math.abs(there.getMinX() - here.getMinX());
        };
        return tiles.stream()
                .filter(tile -> away.applyAsDouble(tile) < Double.POSITIVE_INFINITY)
                .min(Comparator.comparingDouble(away));
    }

    /** Which of them exactly. */
    private Node kind(Beginning beginning) {
        Chooser<Profile<Device>> kinds = new Chooser<>(kind -> kind.gear().name());
        kinds.offering(beginning.kinds(), beginning.kinds().get(0));
        Styled.of(kinds).id("start-kind-" + beginning.picture()).spoken(beginning.words() + ", which exactly");
        kinds.setMaxWidth(Region.USE_PREF_SIZE);
        boolean[] isShowing = {false};
        shown.add(() -> start.owned(beginning).flatMap(Device::profile).ifPresent(profile -> {
            isShowing[0] = true;
            beginning.kinds().stream()
                    .filter(kind -> kind.gear().id().equals(profile))
                    .findFirst()
                    .ifPresent(kinds::setValue);
            isShowing[0] = false;
        }));
        kinds.setOnAction(event -> {
            if (!isShowing[0]) {
                start.exactly(beginning, kinds.getValue());
            }
        });
        HBox row = new HBox(
                6,
                Styled.of(new Label(beginning.words() + ":"))
                        .as("small")
                        .whole()
                        .node(),
                kinds);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    // --- leads -------------------------------------------------------------------------------------------------

    private Node leads() {
        FlowPane all = new FlowPane(8, 8);
        Beginning.leads().forEach(usual -> all.getChildren().add(lead(usual.words(), usual.kind())));
        return all;
    }

    private Node lead(String words, Profile<Lead> kind) {
        LeadSketch sketch = new LeadSketch();
        sketch.getStyleClass().add("lead-sketch");
        sketch.show(kind.gear());
        Label name = Styled.of(new Label(words))
                .as("small", "start-lead-name")
                .wrap()
                .node();
        Label count = Styled.of(new Label())
                .as("start-count")
                .id("start-count-" + kind.gear().id())
                .node();
        Button less = step("−", "One less: " + words, kind, -1);
        Button more = step("+", "One more: " + words, kind, 1);
        more.setId("start-more-" + kind.gear().id());
        shown.add(() -> {
            count.setText(String.valueOf(start.count(kind)));
            less.setDisable(start.count(kind) == 0);
        });
        HBox counting = new HBox(4, less, count, more);
        counting.setAlignment(Pos.CENTER);
        VBox box = new VBox(2, sketch, name, counting);
        box.getStyleClass().add("start-lead");
        return box;
    }

    private Button step(String sign, String spoken, Profile<Lead> kind, int by) {
        return Styled.of(new Button(sign))
                .as("quiet", "start-step")
                .spoken(spoken)
                .action(() -> start.count(kind, start.count(kind) + by))
                .node();
    }

    // --- else ----------------------------------------------------------------------------------------------------

    private static Node others(Runnable addByName, Runnable openStudio, Runnable openDemo) {
        return new FlowPane(
                16,
                4,
                link("Something else: add it by its name…", "start-by-name", addByName),
                link("Open a studio…", "start-open", openStudio),
                link("Look at the demonstration, a made-up studio", "start-demo", openDemo));
    }

    private static Button link(String words, String id, Runnable action) {
        return Styled.of(new Button(words))
                .as("action-link")
                .id(id)
                .whole()
                .action(action)
                .node();
    }
}
