package kalodyne.desktop.hookup;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import kalodyne.core.gear.Device;
import kalodyne.core.route.Also;
import kalodyne.core.route.Budget;
import kalodyne.core.route.Extras;
import kalodyne.core.route.ListeningWish;
import kalodyne.core.route.MonitorPath;
import kalodyne.core.route.Priority;
import kalodyne.core.route.Spending;
import kalodyne.core.route.Stereo;
import kalodyne.core.route.Wish;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.ManyChooser;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;

/** A sentence with blanks that says what is to be recorded; it can be read aloud, and filled by keyboard alone. */
final class WishSentence extends FlowPane {
    private final WayModel ways;
    private final ManyChooser<Device> sources = new ManyChooser<>(Device::name, "…");
    private final Chooser<Optional<Device>> recorder =
            new Chooser<>(device -> device.map(Device::name).orElse("nothing, only hear it"));
    private final Chooser<Stereo> stereo = new Chooser<>(Stereo::word);
    private final ManyChooser<Device> headphones = new ManyChooser<>(Device::name, "no headphones");
    private final ManyChooser<Device> by = new ManyChooser<>(Device::name, "whatever is best");
    private final ManyChooser<Device> speakers = new ManyChooser<>(Device::name, "no speakers");
    private final Chooser<MonitorPath> through = new Chooser<>(MonitorPath::words);
    private final Chooser<Boolean> tempo =
            new Chooser<>(inTempo -> inTempo ? "one tempo, by MIDI clock" : "their own tempo");
    private final Chooser<Boolean> charging =
            new Chooser<>(charged -> charged ? "is charged meanwhile" : "runs on what it has");
    private final ManyChooser<Also> also = new ManyChooser<>(Also::words, "nothing more");
    private final Chooser<Boolean> beside = new Chooser<>(stays -> stays ? "stays where it is" : "may be pulled out");
    private final Chooser<Budget> budget = new Chooser<>(Budget::words);
    private final QuantityField most = new QuantityField(this::takeMost, reason -> {});
    private final Chooser<Priority> first = new Chooser<>(Priority::words);
    private final Chooser<Priority> then = new Chooser<>(Priority::words);
    private final ToggleButton more = new ToggleButton();
    private final List<Node> what;
    private final List<Node> moreOfIt;
    private Consumer<Wish> changed = wish -> {};
    private Spending spending = Spending.UNKNOWN;
    private boolean isFilling;

    WishSentence(WayModel ways) {
        super(6, 6);
        this.ways = ways;
        getStyleClass().add("wish-sentence");
        recorder.setPromptText("…");
        Styled.of(more).id("wish-more").as("plain");
        more.selectedProperty().addListener(change -> unfold());
        what = List.of(
                words("Record"),
                blank(sources, "wish-source", "what is played", ""),
                words("into"),
                blank(recorder, "wish-recorder", "what records", ","),
                words("as"),
                blank(stereo, "wish-stereo", "mono or stereo", ","),
                words("heard on"),
                blank(headphones, "wish-headphones", "headphones", "."),
                more);
        moreOfIt = List.of(
                words("Go by"),
                blank(by, "wish-by", "what it has to go through", ","),
                words("let it be heard on"),
                blank(speakers, "wish-speakers", "speakers", ","),
                blank(through, "wish-through", "heard by which way", "."),
                words("Capture also"),
                blank(also, "wish-also", "what else is captured", ";"),
                words("source and recorder keep"),
                blank(tempo, "wish-tempo", "tempo", ","),
                words("the recorder"),
                blank(charging, "wish-charging", "charging", "."),
                words("What is plugged"),
                blank(beside, "wish-beside", "what is plugged", "."),
                words("Buy"),
                blank(budget, "wish-budget", "what may be bought", ","),
                words("for"),
                blank(most, "wish-most", "how much it may cost in all, in your own money", ";"),
                words("what counts most is"),
                blank(first, "wish-first", "what counts most", ","),
                words("then"),
                blank(then, "wish-then", "what counts next", "."));
        unfold();
        Stream.of(recorder, stereo, through, tempo, charging, beside, budget, first, then)
                .forEach(each -> each.valueProperty().addListener(change -> tell()));
        Stream.of(sources, by, headphones, speakers, also).forEach(each -> each.setOnChange(this::tell));
        most.setPromptText("any sum");
        most.setPrefColumnCount(5);
        explain(first, Priority::reason);
        explain(then, Priority::reason);
        explain(through, MonitorPath::reason);
    }

    /** What hardly anybody wishes is there for who asks for it. */
    private void unfold() {
        more.setText(more.isSelected() ? "Fewer wishes" : "More wishes");
        getChildren()
                .setAll(Stream.concat(what.stream(), more.isSelected() ? moreOfIt.stream() : Stream.empty())
                        .toList());
    }

    private static Label words(String words) {
        Label label = Styled.of(new Label(words)).whole().node();
        return label;
    }

    /** A blank with the mark that follows it. */
    private static Node blank(Region chooser, String id, String what, String mark) {
        Styled.of(chooser).id(id).spoken(what);
        chooser.setMaxWidth(Region.USE_PREF_SIZE);
        HBox pair = new HBox(mark.length() > 1 ? 5 : 1, chooser, words(mark));
        pair.setAlignment(Pos.CENTER_LEFT);
        return pair;
    }

    /** Why somebody would choose what is chosen. */
    private static <C> void explain(ComboBox<C> chooser, Function<C, String> reason) {
        chooser.valueProperty()
                .addListener((property, before, now) ->
                        chooser.setTooltip(now == null ? null : new Tooltip(reason.apply(now))));
    }

    void setOnChange(Consumer<Wish> newChanged) {
        changed = newChanged;
    }

    /** Fills the blanks with what was wished last, as far as it is still on the shelf. */
    void fill(Optional<Wish> wish) {
        isFilling = true;
        ListeningWish heard = wish.map(Wish::heard).orElse(ListeningWish.NOT);
        Extras extras = wish.map(Wish::extras).orElse(Extras.NONE);
        sources.offering(
                ways.sources(),
                wish.map(each -> devices(each.sources()))
                        .orElseGet(() -> ways.onlySource().stream().toList()));
        recorder.offering(
                Stream.concat(ways.recorders().stream().map(Optional::of), Stream.of(Optional.<Device>empty()))
                        .toList(),
                wish.map(each -> ways.device(each.target()))
                        .or(() -> Optional.of(ways.onlyRecorder()).filter(Optional::isPresent))
                        .filter(each -> each.isPresent()
                                || wish.filter(Wish::isHeardOnly).isPresent())
                        .orElse(null));
        stereo.offering(List.of(Stereo.values()), wish.map(Wish::stereo).orElse(Stereo.NO_MATTER));
        List<Device> heads = ways.headphones();
        headphones.offering(
                heads,
                wish.isPresent()
                        ? devices(heard.headphones())
                        : heads.subList(Math.max(0, heads.size() - 1), heads.size()));
        by.offering(ways.between(), devices(extras.by()));
        speakers.offering(ways.speakers(), devices(heard.speakers()));
        through.offering(List.of(MonitorPath.values()), heard.through());
        also.offering(List.of(Also.values()), extras.also().stream().sorted().toList());
        tempo.offering(List.of(false, true), extras.inTempo());
        charging.offering(List.of(false, true), extras.charging());
        beside.offering(List.of(false, true), extras.isBeside());
        budget.offering(List.of(Budget.values()), extras.budget());
        spending = ways.prices(extras.spending());
        most.show(spending.most().isPresent() ? Spending.write(spending.most().getAsDouble()) : "");
        first.offering(List.of(Priority.values()), wish.map(Wish::first).orElse(ways.usuallyFirst()));
        then.offering(List.of(Priority.values()), wish.map(Wish::then).orElse(ways.usuallyThen()));
        more.setSelected(wish.filter(each -> !isUsual(each)).isPresent());
        isFilling = false;
    }

    /** Whether the blanks that are always seen say all of it; prices are kept beside it. */
    private static boolean isUsual(Wish wish) {
        Extras extras = wish.extras();
        return extras.spending().most().isEmpty()
                && extras.withSpending(Spending.UNKNOWN).equals(Extras.NONE)
                && wish.heard().withHeadphones(List.of()).equals(ListeningWish.NOT);
    }

    private List<Device> devices(List<String> marks) {
        return marks.stream().flatMap(mark -> ways.device(mark).stream()).toList();
    }

    /** What the sentence says; empty while the first two blanks are not filled. */
    Optional<Wish> wish() {
        if (sources.chosen().isEmpty() || recorder.getValue() == null) {
            return Optional.empty();
        }
        return Optional.of(new Wish(
                sources.chosen().stream().map(Device::id).toList(),
                recorder.getValue().map(Device::id).orElse(Wish.NOBODY),
                stereo.getValue(),
                new ListeningWish(
                        headphones.chosen().stream().map(Device::id).toList(),
                        speakers.chosen().stream().map(Device::id).toList(),
                        through.getValue()),
                new Extras(
                        tempo.getValue(),
                        charging.getValue(),
                        Set.copyOf(also.chosen()),
                        beside.getValue(),
                        by.chosen().stream().map(Device::id).toList(),
                        budget.getValue(),
                        spending),
                first.getValue(),
                then.getValue()));
    }

    private void takeMost(String typed) {
        spending = spending.withMost(Spending.read(typed));
        most.show(typed.strip());
        tell();
    }

    /** What something to get costs where somebody lives, as typed; the ways are looked for again. */
    void takePrice(String id, String typed) {
        spending = spending.withPrice(id, Spending.read(typed));
        tell();
    }

    private void tell() {
        if (!isFilling) {
            wish().ifPresent(changed);
        }
    }

    /** To the first blank that is not filled. */
    void focus() {
        if (sources.chosen().isEmpty() || recorder.getValue() != null) {
            sources.requestFocus();
        } else {
            recorder.requestFocus();
        }
    }
}
