package kalodyne.desktop.hookup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Device;
import kalodyne.core.route.Matters;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Stereo;
import kalodyne.core.route.Way;
import kalodyne.core.route.Wish;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.model.WayModel;
import kalodyne.desktop.shell.Overlay;

/** A sentence with blanks that says what is to be recorded, and the ways to do it, the best first. */
final class WishPage extends VBox {
    private final WayModel ways;
    private final Overlay overlay;
    private final Chooser<Device> source = new Chooser<>(Device::name);
    private final Chooser<Device> recorder = new Chooser<>(Device::name);
    private final Chooser<Stereo> stereo = new Chooser<>(Stereo::word);
    private final Chooser<Optional<Device>> headphones =
            new Chooser<>(device -> device.map(Device::name).orElse("nothing"));
    private final Chooser<Matters> first = new Chooser<>(Matters::words);
    private final Chooser<Matters> then = new Chooser<>(Matters::words);
    private final Label told = new Label();
    private final ListView<Way> list = new ListView<>();
    private final Label detail = new Label();
    private final Button use = new Button("Use this");

    WishPage(WayModel ways, Overlay overlay) {
        super(8);
        this.ways = ways;
        this.overlay = overlay;
        getStyleClass().addAll("palette", "wish-page");
        setId("wish-page");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        Label head = new Label("What do you want to record?");
        head.getStyleClass().add("card-title");
        told.getStyleClass().addAll("second", "small");
        told.setId("wish-told");
        told.setWrapText(true);
        told.setMinHeight(Region.USE_PREF_SIZE);
        list.setId("ways");
        list.setCellFactory(view -> new MarkedCell<>(Way::title, WishPage::about, Way::worst));
        list.setPlaceholder(new Label("Fill the blanks."));
        list.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> show(now));
        VBox.setVgrow(list, Priority.ALWAYS);
        detail.setId("way-detail");
        detail.getStyleClass().add("small");
        detail.setWrapText(true);
        detail.setMinHeight(Region.USE_PREF_SIZE);
        use.setId("use-way");
        use.getStyleClass().add("primary");
        use.setOnAction(event -> use());
        Button leave = new Button("Leave it");
        leave.setOnAction(event -> overlay.lift());
        getChildren().addAll(head, sentence(), told, list, detail, new HBox(10, use, leave));
        show((Way) null);
    }

    private FlowPane sentence() {
        source.offering(ways.sources(), null).setId("wish-source");
        recorder.offering(ways.recorders(), null).setId("wish-recorder");
        stereo.offering(List.of(Stereo.values()), Stereo.NO_MATTER).setId("wish-stereo");
        List<Optional<Device>> heard = new ArrayList<>(List.of(Optional.empty()));
        ways.headphones().forEach(device -> heard.add(Optional.of(device)));
        headphones.offering(heard, heard.get(heard.size() - 1)).setId("wish-headphones");
        first.offering(List.of(Matters.values()), Matters.CLEAN).setId("wish-first");
        then.offering(List.of(Matters.values()), Matters.CHEAP).setId("wish-then");
        FlowPane sentence = new FlowPane(
                6,
                6,
                words("Record"),
                blank(source, "what is played", ""),
                words("into"),
                blank(recorder, "what records", ","),
                words("left and right"),
                blank(stereo, "left and right", ","),
                words("heard on"),
                blank(headphones, "headphones", "."),
                words("What counts most is"),
                blank(first, "what counts most", ","),
                words("then"),
                blank(then, "what counts next", "."));
        sentence.getStyleClass().add("wish-sentence");
        Stream.of(source, recorder, stereo, headphones, first, then)
                .forEach(each -> each.valueProperty().addListener(change -> find()));
        return sentence;
    }

    private static Label words(String words) {
        Label label = new Label(words);
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    /** A blank with the mark that follows it. */
    private static Node blank(Chooser<?> chooser, String what, String mark) {
        chooser.setAccessibleText(what);
        chooser.setMaxWidth(Region.USE_PREF_SIZE);
        HBox pair = new HBox(1, chooser, words(mark));
        pair.setAlignment(Pos.CENTER_LEFT);
        return pair;
    }

    void open() {
        overlay.lay(this, Pos.CENTER);
        source.requestFocus();
    }

    private void find() {
        if (source.getValue() == null || recorder.getValue() == null) {
            return;
        }
        list.getItems().clear();
        list.setPlaceholder(new Label("Looking through shelf and drawer…"));
        told.setText("");
        Wish wish = Wish.of(source.getValue().id(), recorder.getValue().id())
                .withStereo(stereo.getValue())
                .withHeadphones(headphones.getValue().map(Device::id))
                .withMatters(first.getValue(), then.getValue());
        ways.find(wish, this::show);
    }

    private void show(Plan plan) {
        list.setPlaceholder(new Label("There is no way."));
        list.getItems().setAll(plan.ways());
        list.getSelectionModel().selectFirst();
        told.setText(Stream.of(
                        plan.impossible(),
                        Optional.of(plan.looked() + " joints computed, "
                                + plan.dropped().size() + " ways would not work or do harm."),
                        plan.dropped().stream().findFirst().map(each -> "Not " + each.words() + ": " + each.reason()))
                .flatMap(Optional::stream)
                .collect(Collectors.joining(" ")));
    }

    private void show(Way way) {
        use.setDisable(way == null || !way.missing().isEmpty());
        detail.setText(way == null ? "" : detail(way));
    }

    private static String about(Way way) {
        return way.strands().stream().map(WishPage::about).collect(Collectors.joining("; "))
                + (way.missing().isEmpty()
                        ? " · all of it is owned"
                        : " · to get: "
                                + way.missing().stream()
                                        .map(each -> each.words())
                                        .collect(Collectors.joining(", ")));
    }

    private static String about(Way.Strand strand) {
        return strand.track() + (strand.channels() == 1 ? ", mono" : ", stereo") + " · " + strand.breaks() + " breaks"
                + strand.prediction()
                        .map(each -> " · peak " + Print.decimal(each.peak().dbfs(), 0) + " dBFS, noise "
                                + Print.decimal(each.noise().dbfs(), 0) + " dBFS")
                        .orElse("");
    }

    private static String detail(Way way) {
        String strands = way.strands().stream().map(strand -> path(way, strand)).collect(Collectors.joining("\n"));
        String minded = way.findings().stream()
                .limit(2)
                .map(finding -> "\n" + finding.title() + ". " + finding.text())
                .collect(Collectors.joining());
        return strands + "\nHeard: " + way.monitoring().words() + ".\nWhy here: " + String.join(", ", way.reasons())
                + "." + minded;
    }

    private static String path(Way way, Way.Strand strand) {
        StringBuilder path =
                new StringBuilder(WayModel.name(way, strand.stations().get(0)));
        for (int i = 1; i < strand.stations().size(); i++) {
            String leads = String.join(", ", strand.leads().get(i - 1));
            path.append(leads.isEmpty() ? " → " : " – " + leads + " → ")
                    .append(WayModel.name(way, strand.stations().get(i)));
        }
        return path.toString();
    }

    private void use() {
        Way chosen = list.getSelectionModel().getSelectedItem();
        if (chosen != null) {
            overlay.lift();
            ways.use(chosen);
        }
    }
}
