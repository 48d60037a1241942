package kalodyne.desktop.hookup;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.findings.Finding;
import kalodyne.core.route.Missing;
import kalodyne.core.route.PlaceChange;
import kalodyne.core.route.SideTask;
import kalodyne.core.route.Software;
import kalodyne.core.route.Spending;
import kalodyne.core.route.Way;
import kalodyne.core.route.WayWords;
import kalodyne.core.route.Wish;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;

/** All there is to know of one way: drawn as a run, with what is heard, fed and bought, why it stands there, and what to choose. */
final class WayPane extends ScrollPane {
    private static final int MOST_FINDINGS = 4;

    private final WayModel ways;
    private final VBox content = new VBox(8);
    private final ToggleButton change = Styled.of(new ToggleButton("What would change its place?"))
            .id("way-change")
            .tip("What would put it first or push it back, and what each thing counts")
            .node();
    private final VBox changes = Styled.of(new VBox(4)).id("way-changes").node();
    private final BiConsumer<String, String> priced;
    private GridPane facts;

    /**
     * A pane.
     *
     * @param priced is given the id of a thing to get and what somebody typed as its price
     */
    WayPane(WayModel ways, BiConsumer<String, String> priced) {
        this.ways = ways;
        this.priced = priced;
        getStyleClass().add("way-pane");
        setId("way-detail");
        setFitToWidth(true);
        setContent(content);
        changes.visibleProperty().bind(change.selectedProperty());
        changes.managedProperty().bind(change.selectedProperty());
    }

    void clear() {
        content.getChildren().clear();
        setAccessibleText("");
    }

    void show(Wish wish, Way way, List<Way> all) {
        facts = facts();
        way.strands().forEach(strand -> fact(wish.isHeardOnly() ? "Signal" : "Recorded", WayWords.recorded(strand)));
        fact("Heard", WayWords.heard(way.monitoring()));
        way.sideTasks().forEach(this::sideTask);
        String gone = WayWords.unplugged(way, ways::device);
        if (!gone.isEmpty()) {
            fact("Unplugs", gone);
        }
        if (way.missing().isEmpty()) {
            fact("To get", "nothing, all of it is owned");
        }
        for (Missing each : way.missing()) {
            toGet(each);
        }
        fact("Why here", WayWords.place(way, all) + ".");
        Label title = new Label(way.title());
        title.getStyleClass().addAll("strong");
        showChanges(wish, way, all);
        content.getChildren().setAll(title, new RunDrawing(way, true), facts, change, changes);
        way.findings().stream().limit(MOST_FINDINGS).map(WayPane::finding).forEach(content.getChildren()::add);
        List<String> choices = Software.of(wish, way);
        if (!choices.isEmpty()) {
            content.getChildren().add(section(wish.isHeardOnly() ? "On the computer" : "On the recorder"));
            choices.forEach(line -> content.getChildren().add(wrapped("· " + line + ".")));
        }
        setVvalue(0);
        setAccessibleText(title.getText() + ". "
                + way.strands().stream()
                        .map(strand -> WayWords.path(way, strand))
                        .collect(Collectors.joining("; ")));
    }

    private void showChanges(Wish wish, Way way, List<Way> all) {
        changes.getChildren().clear();
        PlaceChange.of(way, all, wish).forEach(line -> changes.getChildren().add(wrapped(line)));
        changes.getChildren().add(section("What counts against it"));
        PlaceChange.points(way, wish).forEach(line -> changes.getChildren().add(wrapped("· " + line)));
    }

    private static GridPane facts() {
        GridPane grid = new GridPane();
        grid.setHgap(10);
        grid.setVgap(4);
        ColumnConstraints keys = new ColumnConstraints();
        keys.setMinWidth(Region.USE_PREF_SIZE);
        ColumnConstraints values = new ColumnConstraints();
        values.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(keys, values);
        return grid;
    }

    private void sideTask(SideTask sideTask) {
        fact(sideTask.of().word(), (sideTask.isDone() ? "" : "Not as wished. ") + sideTask.words());
    }

    private void fact(String key, String value) {
        fact(key, wrapped(value));
    }

    private void fact(String key, Node value) {
        Label name = Styled.of(new Label(key)).as("second", "small").node();
        GridPane.setValignment(name, VPos.TOP);
        facts.addRow(facts.getRowCount(), name, value);
    }

    /** What to buy by, with a field for what it costs where somebody lives: it may stay empty. */
    private void toGet(Missing each) {
        Label words = wrapped(each.words() + " · " + each.cost());
        QuantityField price = new QuantityField(typed -> priced.accept(each.id(), typed), reason -> {});
        price.show(each.ownPrice().isPresent() ? Spending.write(each.ownPrice().getAsDouble()) : "");
        price.setPromptText("your price");
        price.setPrefColumnCount(6);
        price.setMinWidth(Region.USE_PREF_SIZE);
        Styled.of(price).as("small").id("price-" + each.id()).spoken("your price of " + each.words());
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        fact("To get", new HBox(8, words, price));
    }

    static Label wrapped(String words) {
        Label label = Styled.of(new Label(words)).as("small").wrap().node();
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    static Label section(String words) {
        Label label = Styled.of(new Label(words)).as("section").node();
        return label;
    }

    static Node finding(Finding finding) {
        SeverityMark mark = new SeverityMark();
        mark.show(Optional.of(finding.severity()));
        Label words = wrapped(finding.title() + ". " + finding.text());
        HBox.setHgrow(words, Priority.ALWAYS);
        return new HBox(8, mark, words);
    }
}
