package kalodyne.desktop.shelf;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.Names;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.Powering;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Value;
import kalodyne.core.gear.catalogue.Ask;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.ContactWords;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;

/**
 * The few things that are asked about what is being added, and the thing as answered so far. A question that is passed over
 * keeps the typical answer.
 *
 * @param <T> {@link Device} or {@link Lead}
 */
final class Questions<T> extends VBox {
    private final Label problem = new Label();
    private final PlugDrawing drawing = new PlugDrawing();
    private final LocalDate today;
    private final Function<T, Chosen> answered;
    private T made;

    private Questions(T begun, Function<T, Chosen> answered, LocalDate today) {
        super(6);
        this.made = begun;
        this.answered = answered;
        this.today = today;
        getStyleClass().add("questions");
        Styled.of(problem).as("problem", "small").id("add-problem").wrap();
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        drawing.getStyleClass().add("small-drawing");
    }

    static Questions<Device> of(Profile<Device> profile, Device begun, LocalDate today) {
        Questions<Device> page = new Questions<>(begun, Chosen.OfDevice::new, today);
        page.text(
                "What do you call it?",
                "add-name",
                begun.name(),
                (device, typed) -> device.withName(Names.checked(typed)));
        profile.asks().forEach(ask -> page.ask(ask));
        page.finish();
        page.showSocket(begun.sockets().get(0));
        return page;
    }

    static Questions<Lead> ofLead(Profile<Lead> profile, Lead begun, LocalDate today) {
        Questions<Lead> page = new Questions<>(begun, Chosen.OfLead::new, today);
        page.text(
                "What is written on it?",
                "add-name",
                begun.name(),
                (lead, typed) -> lead.withName(Names.checked(typed)));
        profile.asks().forEach(ask -> {
            if (ask instanceof Ask.OfValue value) {
                page.value(value, Parts::of, Parts::with);
            }
        });
        page.text("Which colour is it? (optional)", "add-colour", "", Lead::withColour);
        page.text("How many of these are there?", "add-owned", "1", (lead, typed) -> lead.withOwned(number(typed)));
        page.getChildren().add(page.problem);
        begun.ends().forEach(end -> page.showEnd(begun, end));
        return page;
    }

    private static int number(String typed) {
        if (!typed.strip().matches("\\d{1,3}")) {
            throw new UnreadableQuantity(
                    "“" + Names.shown(typed) + "” is not a number of leads.", "Write for example 2.");
        }
        return Integer.parseInt(typed.strip());
    }

    /** The thing as answered so far. */
    Chosen made() {
        return answered.apply(made);
    }

    /** Whether nothing is typed that cannot be read. */
    boolean isAnswered() {
        return problem.getText().isEmpty();
    }

    private void finish() {
        Label looks = question("Compare its plug");
        getChildren().addAll(problem, looks, drawing);
    }

    private static Label question(String words) {
        Label label = Styled.of(new Label(words)).as("question").wrap().node();
        return label;
    }

    private void text(String question, String id, String present, BiFunction<T, String, T> answer) {
        add(
                question,
                field(id, present, typed -> {
                    made = answer.apply(made, typed);
                    return typed.strip();
                }),
                "");
    }

    /** Takes a text; gives back how it is shown from then on. */
    @FunctionalInterface
    private interface Answer {
        String take(String typed);
    }

    /**
     * A field whose text is taken while it is typed, so that the button takes what stands there.
     */
    private QuantityField field(String id, String present, Answer answer) {
        AtomicReference<QuantityField> self = new AtomicReference<>();
        QuantityField field = new QuantityField(typed -> self.get().show(answer.take(typed)), problem::setText);
        self.set(field);
        field.setId(id);
        field.show(present);
        field.textProperty().addListener((property, before, typed) -> take(() -> answer.take(typed)));
        return field;
    }

    private void take(Runnable answer) {
        try {
            answer.run();
            problem.setText("");
        } catch (UnreadableQuantity e) {
            problem.setText(e.getMessage());
        }
    }

    private void add(String question, Node control, String hint) {
        Label label = question(question);
        label.setLabelFor(control);
        getChildren().addAll(label, control);
        if (!hint.isEmpty()) {
            Label words =
                    Styled.of(new Label(hint)).as("second", "small").wrap().node();
            getChildren().add(words);
        }
    }

    @SuppressWarnings("unchecked") // only devices are asked about sockets and powering
    private void ask(Ask ask) {
        if (ask instanceof Ask.OfValue value) {
            Questions<Device> self = (Questions<Device>) this;
            self.value(value, Parts::of, Parts::with);
        } else if (ask instanceof Ask.OfSocket sockets) {
            Questions<Device> self = (Questions<Device>) this;
            self.choose(ask.question(), sockets.choices(), Ask.Choice::say, present(self.made, sockets), choice -> {
                self.made = sockets.answered(self.made, choice);
                self.made.sockets().stream()
                        .filter(socket -> sockets.sockets().contains(socket.id()))
                        .findFirst()
                        .ifPresent(self::showSocket);
            });
        } else if (ask instanceof Ask.OfPowering powering) {
            Questions<Device> self = (Questions<Device>) this;
            List<Powering> ways = self.made.powering();
            self.choose(
                    ask.question(),
                    ways,
                    each -> each.source().word(),
                    ways.get(0),
                    each -> self.made = powering.answered(self.made, each));
        }
    }

    private static Ask.Choice present(Device device, Ask.OfSocket ask) {
        return ask.choices().stream()
                .filter(choice -> device.socket(ask.sockets().get(0))
                        .map(Socket::connector)
                        .filter(connector -> connector == choice.connector())
                        .isPresent())
                .findFirst()
                .orElse(ask.choices().get(0));
    }

    /** Each end as it looks, with where its contacts lead. */
    private void showEnd(Lead lead, LeadEnd end) {
        PlugDrawing plug = new PlugDrawing();
        plug.getStyleClass().add("small-drawing");
        plug.show(end.connector(), end.form(), Map.of());
        Label wiring = Styled.of(new Label(ContactWords.wiring(lead, end.id())))
                .as("second", "small")
                .wrap()
                .node();
        getChildren().addAll(question("End " + end.id() + " · " + end.words()), plug, wiring);
    }

    private void showSocket(Socket socket) {
        drawing.show(socket.connector(), socket.form(), ContactWords.carriedBy(socket));
    }

    private <C> void choose(
            String question, List<C> choices, Function<C, String> words, C present, Consumer<C> answer) {
        Chooser<C> box = new Chooser<C>(words).offering(choices, present);
        box.setOnAction(event -> answer.accept(box.getValue()));
        add(question, box, "");
    }

    private void value(Ask.OfValue ask, Function<T, List<Part>> partsOf, ValueSetter<T> set) {
        value(ask.question(), ask.part(), ask.fact(), partsOf, set);
    }

    @FunctionalInterface
    private interface ValueSetter<T> {
        T with(T gear, String part, Facts facts);
    }

    private <Q> void value(
            String question, String part, Fact<Q> fact, Function<T, List<Part>> partsOf, ValueSetter<T> set) {
        Facts begun = Parts.find(partsOf.apply(made), part).orElseThrow().facts();
        String typical = begun.printed(fact).orElse("");
        QuantityField field = field("ask-" + fact.id(), typical, typed -> {
            Facts facts = Parts.find(partsOf.apply(made), part).orElseThrow().facts();
            // What is left as it was stays typical; what was typed was read somewhere.
            Facts after = typed.strip().equals(typical)
                    ? begun.get(fact).map(value -> facts.with(fact, value)).orElse(facts)
                    : facts.with(fact, new Value<>(fact.quantity().read(typed), Provenance.datasheet(today)));
            made = set.with(made, part, after);
            return after.printed(fact).orElse("");
        });
        String source = begun.get(fact).map(value -> value.from().source()).orElse("");
        add(question, field, "Not known? Leave it. " + source + (source.isEmpty() ? "" : "."));
    }
}
