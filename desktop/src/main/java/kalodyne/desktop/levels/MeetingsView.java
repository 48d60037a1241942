package kalodyne.desktop.levels;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.levels.LaterMix;
import kalodyne.core.levels.Meeting;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.StudioModel;

/**
 * Where runs meet: for each bus who comes together there, how loud each is, how loud all are, and how much louder or quieter than
 * the others each should be.
 */
final class MeetingsView extends DownScroll {
    /** A bar is full for the loudest and empty so far below it. */
    private static final double BAR_DB = 40;

    private static final double BAR_EM = 14;

    private final StudioModel studio;
    private final VBox content = new VBox(18);
    private final Label problem = new Label();
    private final List<List<String>> shown = new ArrayList<>();
    private final List<Runnable> refreshes = new ArrayList<>();

    MeetingsView(StudioModel studio) {
        this.studio = studio;
        setId("meetings");
        setContent(content);
        problem.getStyleClass().addAll("problem", "small");
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
    }

    void show() {
        List<Meeting> meetings = Meeting.all(studio.levels().levels());
        List<LaterMix> mixes = studio.levels().laterMixes();
        List<List<String>> now = Stream.concat(
                        meetings.stream().map(Meeting::players), mixes.stream().map(LaterMix::players))
                .toList();
        if (!now.equals(shown) || refreshes.isEmpty()) {
            shown.clear();
            shown.addAll(now);
            build(meetings, mixes);
        }
        refreshes.forEach(Runnable::run);
    }

    private void build(List<Meeting> meetings, List<LaterMix> mixes) {
        content.getChildren().clear();
        refreshes.clear();
        refreshes.add(() -> {});
        if (meetings.isEmpty()) {
            Label none = new Label("No two sources come together in this setup: each has a track of its own.");
            Styled.of(none).as("second").wrap();
            content.getChildren().add(none);
        }
        meetings.forEach(meeting -> content.getChildren().add(block(meeting)));
        for (int i = 0; i < mixes.size(); i++) {
            content.getChildren().add(later(i, mixes.get(i)));
        }
        content.getChildren().add(problem);
    }

    private static GridPane rows(String... heads) {
        GridPane rows = new GridPane();
        rows.setHgap(12);
        rows.setVgap(4);
        ColumnConstraints name = new ColumnConstraints();
        name.setMinWidth(140);
        name.setHgrow(Priority.SOMETIMES);
        rows.getColumnConstraints().add(name);
        for (int i = 0; i < heads.length; i++) {
            rows.add(Styled.of(new Label(heads[i])).as("second", "small").wrap().node(), i, 0);
        }
        return rows;
    }

    // --- separate tracks ---------------------------------------------------------------------------------------

    /** Tracks that are mixed afterwards: what each fader has to do then. */
    private Node later(int index, LaterMix mix) {
        Label title = Styled.of(new Label("Separate tracks, mixed afterwards"))
                .as("strong")
                .node();
        Label words = Styled.of(
                        new Label(
                                "Each track is recorded as loud as it should be. The balance is made by the faders of the mix."))
                .as("second", "small")
                .wrap()
                .node();
        GridPane rows = rows("", "loudest peak, as advised", "should be louder than the others by", "fader in the mix");
        int row = 1;
        for (LaterMix.Fader fader : mix.faders()) {
            Label level = Styled.of(new Label()).as("small").whole().node();
            Label gain = Styled.of(new Label())
                    .as("small", "strong")
                    .whole()
                    .id("later-" + fader.player())
                    .node();
            QuantityField wish = wish(fader.player());
            rows.addRow(row++, new Label(fader.name()), level, wish, gain);
            refreshes.add(() -> now(index, fader.player()).ifPresent(now -> {
                level.setText(Print.decimal(now.peak(), 1) + " dBFS");
                gain.setText(Print.signed(now.gain().db(), 1) + " dB");
                showWish(wish, fader.player());
            }));
        }
        return new VBox(4, title, words, rows);
    }

    private Optional<LaterMix.Fader> now(int index, String player) {
        List<LaterMix> mixes = studio.levels().laterMixes();
        return index < mixes.size() ? mixes.get(index).of(player) : Optional.empty();
    }

    // --- buses -------------------------------------------------------------------------------------------------

    private Node block(Meeting meeting) {
        Label title = Styled.of(new Label()).as("strong").node();
        Label together = Styled.of(new Label()).as("second", "small").node();
        GridPane rows = rows("", "loudest peak here", "", "should be louder than the others by");
        int row = 1;
        for (String player : meeting.players()) {
            player(rows, row++, meeting, player);
        }
        refreshes.add(() -> {
            FlowLevels levels = studio.levels().levels();
            Point point = levels.flow().points().get(meeting.point());
            title.setText(studio.levels().rig().station(point) + ", " + point.label());
            Level all = levels.peak(meeting.point());
            String room = levels.headroom(meeting.point())
                    .map(db -> db.db() < 0
                            ? "; that is " + Print.decimal(-db.db(), 1) + " dB more than it can take"
                            : "; " + Print.decimal(db.db(), 1) + " dB are left")
                    .orElse("");
            together.setText("Together their loudest peaks reach " + all + room
                    + ". If all peak at once they could reach " + levels.worstPeak(meeting.point()) + ".");
            together.setWrapText(true);
        });
        return new VBox(4, title, together, rows);
    }

    private void player(GridPane rows, int row, Meeting meeting, String player) {
        Label name = new Label(name(player));
        Region bar = new Region();
        bar.getStyleClass().add("noise-bar");
        Region ground = new Region();
        ground.setMinWidth(0);
        Label level = Styled.of(new Label()).as("small").whole().node();
        QuantityField wish = wish(player);
        rows.add(name, 0, row);
        rows.add(bar, 1, row);
        rows.add(level, 2, row);
        rows.add(wish, 3, row);
        GridPane.setFillHeight(bar, false);
        rows.setAlignment(Pos.CENTER_LEFT);
        refreshes.add(() -> {
            FlowLevels levels = studio.levels().levels();
            Level peak = levels.peak(meeting.point(), player);
            double below = meeting.players().stream()
                            .mapToDouble(
                                    each -> levels.peak(meeting.point(), each).dbu())
                            .max()
                            .orElse(0)
                    - peak.dbu();
            double share = Math.max(0, 1 - below / BAR_DB);
            double width = Math.max(1, share * BAR_EM * 14);
            bar.setMinWidth(width);
            bar.setPrefWidth(width);
            bar.setMaxWidth(width);
            level.setText(peak.isSilence() ? "silent" : peak.toString());
            showWish(wish, player);
        });
    }

    private String name(String player) {
        return studio.levels().rig().playerName(player);
    }

    // --- wishes ------------------------------------------------------------------------------------------------

    private QuantityField wish(String player) {
        QuantityField wish = new QuantityField(text -> balance(player, text), problem::setText);
        wish.setId("balance-" + player);
        wish.setPrefColumnCount(6);
        wish.setMaxWidth(USE_PREF_SIZE);
        wish.setTooltip(new Tooltip("How much louder than the others it should be; the advice then sets it so"));
        wish.setAccessibleText("Balance of " + name(player));
        return wish;
    }

    private void showWish(QuantityField wish, String player) {
        wish.show(Quantity.GAIN.print(
                new Gain(studio.setup().settings().balanceDb().getOrDefault(player, 0.0))));
    }

    private void balance(String player, String text) {
        double db = Quantity.GAIN
                .read(text.matches("[+\\-−]?\\d+([.,]\\d+)?") ? text + " dB" : text)
                .db();
        if (!(Math.abs(db) <= 60)) {
            throw new UnreadableQuantity("A balance lies between −60 and +60 dB.", "Write for example −7 dB.");
        }
        studio.editSettings("change the balance", settings -> settings.balanced(player, db));
    }
}
