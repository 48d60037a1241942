package kalodyne.desktop.hookup;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Way;
import kalodyne.core.route.Wish;
import kalodyne.desktop.control.BesideOrBelow;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.hearing.HearBar;
import kalodyne.desktop.model.HearModel;
import kalodyne.desktop.shell.Overlay;

/** A sentence with blanks that says what is to be recorded, and the ways to do it, the best first. */
final class WishPage extends VBox {
    private final WayModel ways;
    private final HearModel hear;
    private final Overlay overlay;
    private final WishSentence sentence;
    private final Label told = new Label();
    private final Button stop = new Button("Stop looking");
    private final ListView<Way> list = new ListView<>();
    private final WayPane detail;
    private final ObviousPane obvious;
    private final WayColumns columns = new WayColumns(this::choose);
    private final ToggleButton compare = new ToggleButton("Compare side by side");
    private final ToggleButton why = new ToggleButton("Why not the obvious one?");
    private final Button hearIt = new Button("Hear it");
    private final Button use = new Button("Use this");

    WishPage(WayModel ways, HearModel hear, Overlay overlay) {
        super(8);
        this.ways = ways;
        this.hear = hear;
        this.overlay = overlay;
        sentence = new WishSentence(ways);
        detail = new WayPane(ways, sentence::takePrice);
        obvious = new ObviousPane(ways);
        getStyleClass().addAll("palette", "wish-page");
        setId("wish-page");
        Label head = Styled.of(new Label("What do you want to record, or to hear?"))
                .as("card-title")
                .node();
        Styled.of(told).as("second", "small").id("wish-told").wrap();
        told.setMinHeight(Region.USE_PREF_SIZE);
        Styled.of(stop).id("wish-stop").action(() -> stopLooking());
        stop.managedProperty().bind(stop.visibleProperty());
        HBox.setHgrow(told, Priority.ALWAYS);
        told.setMaxWidth(Double.MAX_VALUE);
        list.setId("ways");
        list.setCellFactory(view -> new WayCell());
        list.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> show(now));
        obvious.visibleProperty().bind(why.selectedProperty());
        detail.visibleProperty().bind(why.selectedProperty().not());
        BesideOrBelow listed = new BesideOrBelow(list, new StackPane(detail, obvious), 30, 14, 30);
        listed.visibleProperty().bind(compare.selectedProperty().not());
        columns.visibleProperty().bind(compare.selectedProperty());
        StackPane results = new StackPane(listed, columns);
        VBox.setVgrow(results, Priority.ALWAYS);
        // Large text in a small window: what does not fit is scrolled to.
        ScrollPane body = new ScrollPane(new VBox(8, sentence, new HBox(10, told, stop), results));
        body.getStyleClass().add("wish-body");
        body.setFitToWidth(true);
        body.setFitToHeight(true);
        VBox.setVgrow(body, Priority.ALWAYS);
        getChildren().addAll(head, body, new HearBar(hear), buttons());
        sentence.setOnChange(this::find);
        addEventFilter(KeyEvent.KEY_PRESSED, this::enter);
    }

    /** Enter uses the chosen way wherever one is on the page: lists and blanks would keep it for themselves. */
    private void enter(KeyEvent event) {
        boolean isTaken = event.getTarget() instanceof Button
                || event.getTarget() instanceof ToggleButton
                || event.getTarget() instanceof TextInputControl
                || (event.getTarget() instanceof MenuButton many && many.isShowing())
                || (event.getTarget() instanceof ComboBoxBase<?> blank && blank.isShowing());
        if (event.getCode() == KeyCode.ENTER && !isTaken && !use.isDisabled()) {
            use();
            event.consume();
        }
    }

    private HBox buttons() {
        Styled.of(use).id("use-way").as("primary").action(() -> use());
        use.setDefaultButton(true);
        Styled.of(hearIt)
                .id("hear-way")
                .as("plain")
                .tip("Hear this way, and the one that is told first beside it")
                .action(this::hear);
        Styled.of(why).id("why-obvious").as("plain");
        Styled.of(compare).id("compare-ways").as("plain").action(this::showColumns);
        why.setOnAction(event -> {
            if (why.isSelected()) {
                compare.setSelected(false);
                sentence.wish().ifPresent(obvious::offer);
                obvious.focus();
            }
        });
        Button leave =
                Styled.of(new Button("Cancel")).action(() -> overlay.lift()).node();
        Region between = new Region();
        HBox.setHgrow(between, Priority.ALWAYS);
        return new HBox(10, use, hearIt, leave, between, compare, why);
    }

    void open() {
        ways.begin();
        why.setSelected(false);
        sentence.fill(ways.wish());
        overlay.lay(this, Pos.CENTER);
        // What can be scrolled is there only after the first layout, and cannot have the focus before.
        applyCss();
        layout();
        sentence.focus();
        clear(
                ways.sources().isEmpty() || ways.recorders().isEmpty()
                        ? "Nothing on your shelf can be played, or nothing can record. Add your gear there first (Ctrl+1)."
                        : "Fill the blanks: what is played, and what records.");
        sentence.wish().ifPresent(this::find);
    }

    private void clear(String words) {
        list.getItems().clear();
        columns.show(List.of(), null);
        list.setPlaceholder(placeholder(words));
        told.setText("");
        stop.setVisible(false);
        show((Way) null);
        why.setDisable(sentence.wish().isEmpty());
        compare.setDisable(true);
    }

    private static Label placeholder(String words) {
        Label label = Styled.of(new Label(words)).as("wish-placeholder").wrap().node();
        return label;
    }

    // --- looking -----------------------------------------------------------------------------------------------

    private void find(Wish wish) {
        clear("Looking through shelf and drawer…");
        if (why.isSelected()) {
            obvious.offer(wish);
        }
        told.setText("Looking through shelf and drawer…");
        stop.setVisible(true);
        ways.find(wish, this::showEarly, this::show);
    }

    private void showEarly(List<Way> early) {
        told.setText("The first " + early.size() + " are here, more are looked for…");
        fill(early);
    }

    private void stopLooking() {
        ways.stop();
        stop.setVisible(false);
        told.setText(
                list.getItems().isEmpty()
                        ? "Stopped before anything was found."
                        : "Stopped: what was found so far is below.");
        list.setPlaceholder(placeholder("Change a blank to look again."));
    }

    private void show(Plan plan) {
        stop.setVisible(false);
        list.setPlaceholder(placeholder("There is no way."));
        fill(plan.ways());
        told.setText(Stream.of(
                        plan.impossible(),
                        Optional.of(plan.looked() + " joints computed"
                                + (plan.dropped().isEmpty()
                                        ? "."
                                        : ", " + plan.dropped().size() + " would not work or do harm.")),
                        plan.dropped().stream().findFirst().map(each -> "Not " + each.words() + ": " + each.reason()))
                .flatMap(Optional::stream)
                .collect(Collectors.joining(" ")));
    }

    /** What was chosen stays chosen. */
    private void fill(List<Way> found) {
        int before = Math.max(0, list.getSelectionModel().getSelectedIndex());
        String title =
                before < list.getItems().size() ? list.getItems().get(before).title() : "";
        list.getItems().setAll(found);
        compare.setDisable(found.size() < 2);
        int now = 0;
        for (int i = 0; i < found.size(); i++) {
            now = before > 0 && found.get(i).title().equals(title) ? i : now;
        }
        list.getSelectionModel().clearAndSelect(now);
        showColumns();
    }

    /** The chosen way, beside the one that is told first, or the second beside that. */
    private void hear() {
        List<Way> all = list.getItems();
        Way chosen = list.getSelectionModel().getSelectedItem();
        List<Way> heard = Stream.concat(Stream.of(chosen), all.stream().filter(way -> !way.equals(chosen)))
                .limit(2)
                .toList();
        hear.hearWays(heard);
    }

    private void choose(Way way) {
        list.getSelectionModel().select(way);
    }

    private void showColumns() {
        if (compare.isSelected()) {
            why.setSelected(false);
            columns.show(List.copyOf(list.getItems()), list.getSelectionModel().getSelectedItem());
        }
    }

    private void show(Way way) {
        use.setDisable(way == null);
        hearIt.setDisable(way == null);
        use.setText(way != null && !way.missing().isEmpty() ? "I have these too: use this" : "Use this");
        if (way == null) {
            detail.clear();
        } else {
            sentence.wish().ifPresent(wish -> detail.show(wish, way, List.copyOf(list.getItems())));
        }
    }

    private void use() {
        Way chosen = list.getSelectionModel().getSelectedItem();
        if (chosen != null) {
            overlay.lift();
            ways.use(chosen);
        }
    }
}
