package kalodyne.desktop.convert;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.sums.Field;
import kalodyne.core.sums.Sum;
import kalodyne.core.sums.Sums;
import kalodyne.desktop.control.BesideOrBelow;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.Styled;

/** The questions at the left, by their groups; at the right what is known and what comes of it. */
final class ConvertView extends VBox {
    private static final double LIST_EM = 21;
    private static final double LIST_HIGH_EM = 9;
    private static final double SHEET_EM = 30;

    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");

    private final ConvertModel model;
    private final Label sentence = new Label();
    private final GridPane known = new GridPane();
    private final GridPane answers = new GridPane();
    private final Button copy = new Button("Copy the result");
    private final FlowPane sketches = new FlowPane(12, 12);
    private final Label source = new Label();
    private final Map<String, TextField> fields = new HashMap<>();
    private final Map<String, Label> problems = new HashMap<>();
    private final ToggleGroup group = new ToggleGroup();

    ConvertView(ConvertModel model) {
        this.model = model;
        getStyleClass().add("room");
        sentence.setId("convert-sentence");
        known.getStyleClass().add("convert-known");
        Styled.of(answers).as("convert-answers").id("convert-answers");
        Styled.of(source).as("second", "small").wrap();
        Styled.of(copy)
                .id("copy-answers")
                .tip("To paste them into a note or a message")
                .action(this::copyAnswers);
        VBox sheet = new VBox(18, known, answers, copy, sketches, source);
        sheet.getStyleClass().add("convert-sheet");
        BesideOrBelow both =
                new BesideOrBelow(questions(), new DownScroll(sheet).shrinking(), LIST_EM, LIST_HIGH_EM, SHEET_EM);
        VBox.setVgrow(both, Priority.ALWAYS);
        getChildren().addAll(new RoomHeader(sentence), both);
        model.sumProperty().addListener(change -> showSum());
        model.workedProperty().addListener(change -> showAnswers());
        showSum();
    }

    // --- questions ---------------------------------------------------------------------------------------------

    private Region questions() {
        VBox list = new VBox(1);
        for (Sum.Group each : Sum.Group.values()) {
            List<Sum> sums =
                    Sums.all().stream().filter(sum -> sum.group() == each).toList();
            Label head = Styled.of(new Label(each.word()))
                    .as("section", "convert-group")
                    .node();
            list.getChildren().add(head);
            sums.forEach(sum -> list.getChildren().add(question(sum)));
        }
        return new DownScroll(list).shrinking();
    }

    private ToggleButton question(Sum sum) {
        ToggleButton button = Styled.of(new ToggleButton(sum.title()))
                .as("question")
                .id("sum-" + sum.id())
                .node();
        button.setToggleGroup(group);
        button.setUserData(sum);
        button.setMaxWidth(Double.MAX_VALUE);
        button.setOnAction(event -> {
            // One of them is always chosen.
            button.setSelected(true);
            model.choose(sum);
        });
        return button;
    }

    // --- the sum -----------------------------------------------------------------------------------------------

    private void showSum() {
        Sum sum = model.sum();
        sentence.setText(sum.title());
        source.setText(sum.source() + ".");
        group.getToggles().stream()
                .filter(toggle -> toggle.getUserData().equals(sum))
                .forEach(toggle -> toggle.setSelected(true));
        known.getChildren().clear();
        fields.clear();
        problems.clear();
        int row = 0;
        for (Field<?> field : sum.fields()) {
            TextField input = new TextField(model.typed(field));
            input.setId("field-" + field.id());
            input.setPrefColumnCount(12);
            input.textProperty().addListener((property, before, text) -> model.type(field, text));
            Label problem = new Label();
            Styled.of(problem).as("problem", "small").wrap();
            fields.put(field.id(), input);
            problems.put(field.id(), problem);
            Label label = new Label(field.label());
            label.setLabelFor(input);
            label.setMinWidth(Region.USE_PREF_SIZE);
            input.setMinWidth(Region.USE_PREF_SIZE);
            known.addRow(row++, label, input, problem);
        }
        showAnswers();
    }

    private void showAnswers() {
        Sum.Worked worked = model.workedProperty().get();
        problems.forEach((id, label) -> label.setText(worked.problems().getOrDefault(id, "")));
        fields.forEach((id, field) ->
                field.pseudoClassStateChanged(REFUSED, worked.problems().containsKey(id)));
        answers.getChildren().clear();
        copy.setDisable(worked.answers().isEmpty());
        sketches.getChildren()
                .setAll(worked.sketches().stream().map(SketchView::new).toList());
        int row = 0;
        for (Sum.Answer answer : worked.answers()) {
            Label label = new Label(answer.label());
            label.getStyleClass().add("second");
            Label value = new Label(answer.value());
            value.getStyleClass().add("convert-value");
            label.setMinWidth(Region.USE_PREF_SIZE);
            value.setWrapText(true);
            answers.addRow(row++, label, value);
        }
    }

    /** What was asked and what came of it, as text. */
    private void copyAnswers() {
        Copying.text(model.words());
    }
}
