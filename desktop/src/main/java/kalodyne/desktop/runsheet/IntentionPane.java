package kalodyne.desktop.runsheet;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import kalodyne.core.runsheet.Intention;
import kalodyne.core.units.Print;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.model.PlanModel;
import kalodyne.desktop.model.SheetModel;

/** What is planned: how long, in which tempo, part by part. */
final class IntentionPane extends VBox {
    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");

    private final SheetModel sheet;
    private final TextField minutes = field("planned-minutes", "30");
    private final TextField tempo = field("planned-tempo", "none");
    private final TextField parts = field("planned-parts", "all at once");
    private final Label refused = new Label();

    /**
     * A pane.
     *
     * @param more shows all that can be planned
     */
    IntentionPane(SheetModel sheet, Runnable more) {
        super(6);
        this.sheet = sheet;
        Label title = new Label("What is planned");
        title.getStyleClass().add("section");
        refused.getStyleClass().addAll("problem", "small");
        refused.setWrapText(true);
        refused.managedProperty().bind(refused.textProperty().isNotEmpty());
        GridPane grid = new GridPane();
        grid.setHgap(8);
        grid.setVgap(5);
        grid.addRow(0, new Label("Minutes in all"), minutes);
        grid.addRow(1, new Label("Beats a minute"), tempo);
        grid.addRow(2, new Label("Parts, one by one"), parts);
        grid.getStyleClass().add("small");
        Button all = new Button("Format, space, power, places…");
        all.setId("plan-more");
        all.setOnAction(event -> more.run());
        getChildren().addAll(title, grid, refused, all);
        commit(minutes, this::readMinutes);
        commit(tempo, this::readTempo);
        commit(parts, this::readParts);
        sheet.stateProperty().addListener(change -> show());
        show();
    }

    private static TextField field(String id, String prompt) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(prompt);
        field.setPrefColumnCount(9);
        return field;
    }

    /** What was typed is read when it is left or confirmed; what cannot be read stays as typed and is said. */
    private void commit(TextField field, Function<String, String> read) {
        Runnable reading = () -> {
            String problem = read.apply(field.getText().strip());
            refused.setText(problem);
            field.pseudoClassStateChanged(REFUSED, !problem.isEmpty());
        };
        field.setOnAction(event -> reading.run());
        field.focusedProperty().addListener((property, before, isFocused) -> {
            if (!isFocused) {
                reading.run();
            }
        });
    }

    private void show() {
        Intention intention = sheet.intention();
        put(minutes, String.valueOf(intention.minutes()));
        put(
                tempo,
                intention.beatsPerMinute().isPresent()
                        ? Print.plain(intention.beatsPerMinute().getAsDouble())
                        : "");
        put(parts, intention.passes().stream().map(Intention.Pass::part).collect(Collectors.joining(", ")));
    }

    private void put(TextField field, String text) {
        if (!field.isFocused() && !field.getPseudoClassStates().contains(REFUSED)) {
            field.setText(text);
        }
    }

    private String readMinutes(String text) {
        if (!text.matches("[0-9]{1,4}")) {
            return "Write whole minutes, 1 to " + Intention.MOST_MINUTES + ".";
        }
        int number = Integer.parseInt(text);
        if (number < 1 || number > Intention.MOST_MINUTES) {
            return "Write whole minutes, 1 to " + Intention.MOST_MINUTES + ".";
        }
        sheet.intend("plan " + number + " minutes", intention -> intention.withMinutes(number));
        return "";
    }

    private String readTempo(String text) {
        if (text.isEmpty()) {
            sheet.intend("plan no tempo", intention -> intention.withBeatsPerMinute(OptionalDouble.empty()));
            return "";
        }
        try {
            double beats = PlanModel.readTempo(text);
            sheet.intend("plan the tempo", intention -> intention.withBeatsPerMinute(OptionalDouble.of(beats)));
            return "";
        } catch (UnreadableQuantity e) {
            return e.getMessage();
        }
    }

    /** "Bass, snare, hats": each is a take of its own. */
    private String readParts(String text) {
        List<String> names = List.of(text.split(",", -1)).stream()
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .toList();
        if (names.stream().anyMatch(name -> name.length() > 60) || names.size() > 50) {
            return "Write up to 50 short names with commas between.";
        }
        sheet.intend(
                "plan the parts",
                intention -> intention.withPasses(names.stream()
                        .map(name -> new Intention.Pass(sheet.playedInParts(), name))
                        .toList()));
        return "";
    }
}
