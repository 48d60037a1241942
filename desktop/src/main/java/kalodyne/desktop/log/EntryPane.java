package kalodyne.desktop.log;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Control;
import kalodyne.core.runsheet.Recall;
import kalodyne.core.studio.log.Entry;
import kalodyne.core.studio.log.Trend;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.ClockFace;
import kalodyne.desktop.control.Paragraphs;
import kalodyne.desktop.control.Styled;

/** One entry: what came of it, how everything stood, what brings it back, what is different to another one. */
final class EntryPane extends Paragraphs {
    /** More is not compared by eye. */
    private static final int MOST_OFFERED = 200;

    private final LogModel log;
    private final Consumer<Entry> showTake;
    private Optional<Entry> waveOf = Optional.empty();
    private SmallWave wave;

    EntryPane(LogModel log, Consumer<Entry> showTake) {
        super(0);
        this.log = log;
        this.showTake = showTake;
        getStyleClass().add("entry-pane");
        setId("log-entry");
        log.stateProperty().addListener(change -> show());
        show();
    }

    private void show() {
        getChildren().clear();
        LogModel.State state = log.state();
        state.chosen().ifPresent(entry -> {
            head(entry);
            entry.take().ifPresent(take -> wave(entry));
            back(state);
            Map<String, Control> knobs = log.knobs(entry);
            dials(knobs);
            trend(entry);
            points(entry, knobs.keySet());
            compare(state, entry);
        });
    }

    private void head(Entry entry) {
        line(EntryCell.words(entry), "entry-title");
        line(EntryCell.time(entry.at()) + " · " + entry.setup(), "second", "small");
        line(entry.sentence()).setId("log-entry-sentence");
        if (!entry.note().isEmpty()) {
            line("“" + entry.note() + "”");
        }
        entry.take().ifPresent(take -> {
            Button look = new Button("Look at it in Takes");
            Styled.of(look).id("log-to-take").action(() -> showTake.accept(entry));
            getChildren().add(look);
        });
    }

    /** Reading a long take takes a while: it is done once for as long as that take is looked at. */
    private void wave(Entry entry) {
        if (!Optional.of(entry).equals(waveOf)) {
            waveOf = Optional.of(entry);
            wave = new SmallWave();
            log.shape(entry, wave::show);
        }
        getChildren().add(wave);
    }

    /** The knobs as clocks: a look says more than a list of times. */
    private void dials(Map<String, Control> knobs) {
        FlowPane row = new FlowPane(10, 6);
        knobs.forEach((name, control) -> {
            ClockFace face = new ClockFace((gesture, position) -> {});
            face.show(control, control, false);
            face.setAccessibleText(name + ", " + control.reading());
            face.setFocusTraversable(false);
            face.setMouseTransparent(true);
            Label words = Styled.of(new Label(name)).as("small").wrap().node();
            Label place =
                    Styled.of(new Label(control.place())).as("second", "small").node();
            VBox dial =
                    Styled.of(new VBox(1, face, words, place)).as("log-dial").node();
            row.getChildren().add(dial);
        });
        if (!row.getChildren().isEmpty()) {
            section("How the knobs stood");
            getChildren().add(row);
        }
    }

    private void trend(Entry entry) {
        Trend trend = log.trend();
        if (trend.points().size() > 1) {
            section("From take to take, dBFS");
            getChildren().add(new TrendView(trend, entry.name()));
        }
    }

    private void back(LogModel.State state) {
        List<String> steps = state.back().steps();
        String know = log.knowsPlugs()
                ? "Everything is plugged and set as it was then."
                : "The knobs are set as they were then.";
        section(steps.isEmpty() ? know : "To bring it back");
        for (int i = 0; i < steps.size(); i++) {
            Label number = new Label(String.valueOf(i + 1));
            Styled.of(number).as("entry-number").whole();
            Label words = Styled.of(new Label(steps.get(i))).wrap().node();
            HBox.setHgrow(words, Priority.ALWAYS);
            HBox row = Styled.of(new HBox(10, number, words)).as("entry-step").node();
            getChildren().add(row);
        }
        if (!steps.isEmpty()) {
            Button set = new Button("Done by hand: set all here too");
            Styled.of(set).id("log-set-as-then").as("primary").action(() -> log.setAsThen());
            getChildren().add(set);
        }
    }

    /** What is kept of it, but for the knobs that are drawn. */
    private void points(Entry entry, Set<String> dials) {
        List<String> points = entry.points().stream()
                .filter(point -> dials.stream().noneMatch(point::startsWith))
                .toList();
        if (!points.isEmpty()) {
            section(entry.isTake() ? "What was wrong" : "Anything to remember");
            points.forEach(point -> line(point, "finding-text"));
        }
    }

    private void compare(LogModel.State state, Entry entry) {
        List<Entry> others = state.shown().stream()
                .filter(each -> !each.equals(entry))
                .limit(MOST_OFFERED)
                .toList();
        if (others.isEmpty() && state.other().isEmpty()) {
            return;
        }
        section("Compare with");
        Chooser<Entry> chooser = new Chooser<>(each -> EntryCell.words(each) + ", " + EntryCell.time(each.at()));
        Styled.of(chooser).id("log-compare").spoken("Compare with");
        chooser.offering(others, state.other().orElse(null));
        chooser.setPromptText("another take or session");
        chooser.valueProperty().addListener((property, before, chosen) -> log.compareWith(Optional.ofNullable(chosen)));
        getChildren().add(chooser);
        state.other().ifPresent(other -> getChildren().add(differences(state.apart(), entry, other)));
    }

    private static Region differences(Recall apart, Entry one, Entry two) {
        GridPane table = new GridPane();
        Styled.of(table).id("log-differences").as("entry-table");
        ColumnConstraints what = new ColumnConstraints();
        what.setHgrow(Priority.ALWAYS);
        table.getColumnConstraints().add(what);
        table.addRow(0, cell(""), cell(one.name(), "medium"), cell(two.name(), "medium"));
        table.addRow(1, cell("What came of it"), cell(one.sentence()), cell(two.sentence()));
        for (Recall.Difference each : apart.differences()) {
            table.addRow(table.getRowCount(), cell(each.what()), cell(each.then()), cell(each.now()));
        }
        if (apart.differences().isEmpty()) {
            Label same = cell("What is known of both was the same", "second");
            table.add(same, 0, table.getRowCount(), 3, 1);
        }
        return table;
    }

    private static Label cell(String words, String... styles) {
        Label cell = Styled.of(new Label(words)).wrap().as(styles).node();
        cell.setAlignment(Pos.TOP_LEFT);
        return cell;
    }
}
