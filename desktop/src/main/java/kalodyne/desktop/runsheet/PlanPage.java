package kalodyne.desktop.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.runsheet.LeadReach;
import kalodyne.core.runsheet.Standing.Side;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.Paragraphs;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.PlanModel;
import kalodyne.desktop.model.SheetModel;

/** All that is planned: the format, the room on cards and disks, what gear runs on, where it stands. */
final class PlanPage extends VBox {
    private static final double WIDTH = 620;
    private static final double HEIGHT = 640;
    private static final int SHORT_FIELD = 6;
    private static final List<Integer> RATES = List.of(44_100, 48_000, 88_200, 96_000);
    private static final List<Integer> BITS = List.of(16, 24, 32);

    private final PlanModel plan;
    private final Paragraphs content = new Paragraphs(6);
    private final Label problem = new Label();
    private final Paragraphs reaches = new Paragraphs(3);
    private final Button done = new Button("Done");
    private final List<Runnable> shown = new ArrayList<>();

    PlanPage(PlanModel plan, SheetModel sheet, Runnable closed) {
        this.plan = plan;
        getStyleClass().addAll("palette", "plan-page");
        setId("plan-page");
        setMaxSize(WIDTH, HEIGHT);
        Label head = Styled.of(new Label("What is planned")).as("card-title").node();
        Styled.of(problem).as("problem", "small").wrap().id("plan-problem");
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        build();
        DownScroll scroll = new DownScroll(content);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        Styled.of(done).id("plan-done").as("primary").action(() -> closed.run());
        getChildren().addAll(head, scroll, problem, done);
        sheet.stateProperty().addListener(change -> show());
        show();
    }

    void focus() {
        done.requestFocus();
    }

    private void build() {
        content.section("Format");
        GridPane format = grid();
        format.addRow(
                0,
                new Label("Sample rate"),
                whole("plan-rate", RATES, plan::rate, rate -> plan.record(rate, plan.bits()), " Hz"));
        format.addRow(
                1, new Label("Bits"), whole("plan-bits", BITS, plan::bits, bits -> plan.record(plan.rate(), bits), ""));
        content.section("Free space on");
        GridPane space = grid();
        for (Device recorder : plan.recorders()) {
            space.addRow(
                    space.getRowCount(),
                    new Label(recorder.name()),
                    field(
                            "free-" + recorder.id(),
                            () -> plan.free(recorder),
                            typed -> plan.free(recorder, typed),
                            "not known"));
        }
        content.section("What it runs on");
        GridPane power = grid();
        for (Device device : plan.powered()) {
            power.addRow(power.getRowCount(), new Label(device.name()), source(device));
        }
        content.section("Film");
        grid().addRow(0, new Label("Filmed by"), camera());
        content.line("It is lined up with the recording afterwards, by a clap.", "second", "small");
        content.section("From an input through the computer to an output");
        grid().addRow(
                        0,
                        new Label("Round trip"),
                        field("plan-round-trip", plan::roundTrip, plan::roundTrip, "not measured"));
        content.line("A loop-back take measures it: in Takes, “Time in this take”.", "second", "small");
        content.section("Where things stand");
        content.line(
                "Metres from one corner of the room, along one wall and along the other, and how high the sockets are. It tells how long each lead must be.",
                "second",
                "small");
        standings();
        content.getChildren().add(reaches);
    }

    private void standings() {
        GridPane grid = grid();
        grid.addRow(0, new Label(""), new Label("along"), new Label("across"), new Label("height"));
        for (Device device : plan.devices()) {
            List<Node> row = new ArrayList<>(List.of(new Label(device.name())));
            for (Side side : Side.values()) {
                QuantityField field = field(
                        "stand-" + device.id() + "-" + side.name().toLowerCase(Locale.ROOT),
                        () -> plan.standing(device, side),
                        typed -> plan.stand(device, side, typed),
                        "");
                field.setPrefColumnCount(SHORT_FIELD);
                row.add(field);
            }
            grid.addRow(grid.getRowCount(), row.toArray(new Node[0]));
        }
    }

    // --- parts -------------------------------------------------------------------------------------------------

    private GridPane grid() {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("plan-grid");
        content.getChildren().add(grid);
        return grid;
    }

    private QuantityField field(String id, Supplier<String> present, Consumer<String> take, String prompt) {
        QuantityField field =
                Styled.of(new QuantityField(take, problem::setText)).id(id).node();
        field.setPromptText(prompt);
        shown.add(() -> field.show(present.get()));
        return field;
    }

    private Chooser<OptionalInt> whole(
            String id, List<Integer> offered, Supplier<OptionalInt> present, Consumer<OptionalInt> take, String unit) {
        Chooser<OptionalInt> chooser =
                new Chooser<>(choice -> choice.isEmpty() ? "as usual" : Print.count(choice.getAsInt()) + unit);
        List<OptionalInt> choices = new ArrayList<>(List.of(OptionalInt.empty()));
        offered.forEach(each -> choices.add(OptionalInt.of(each)));
        if (!choices.contains(present.get())) {
            choices.add(present.get());
        }
        chooser.setId(id);
        chooser.offering(choices, present.get());
        chooser.valueProperty().addListener((property, before, chosen) -> take.accept(chosen));
        shown.add(() -> chooser.setValue(present.get()));
        return chooser;
    }

    private Chooser<Optional<Device>> camera() {
        Chooser<Optional<Device>> chooser =
                new Chooser<>(device -> device.map(Device::name).orElse("nobody"));
        chooser.setId("plan-film");
        List<Optional<Device>> choices = new ArrayList<>(List.of(Optional.empty()));
        plan.cameras().forEach(device -> choices.add(Optional.of(device)));
        chooser.offering(choices, plan.film());
        chooser.valueProperty().addListener((property, before, chosen) -> plan.film(chosen));
        shown.add(() -> chooser.setValue(plan.film()));
        return chooser;
    }

    private Chooser<PowerSource> source(Device device) {
        Chooser<PowerSource> chooser = new Chooser<>(PowerSource::word);
        chooser.setId("power-" + device.id());
        chooser.offering(plan.sources(device), plan.source(device));
        chooser.valueProperty().addListener((property, before, chosen) -> plan.run(device, chosen));
        shown.add(() -> chooser.setValue(plan.source(device)));
        return chooser;
    }

    private void show() {
        shown.forEach(Runnable::run);
        reaches.getChildren().clear();
        for (LeadReach reach : plan.reaches()) {
            String words = reach.name() + ", " + reach.from() + " to " + reach.to() + ": " + reach.words();
            if (reach.isShort()) {
                reaches.line(words + ". Too short.", "off", "small");
            } else {
                reaches.line(words, "small");
            }
        }
    }
}
