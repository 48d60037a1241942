package kalodyne.desktop.levels;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Device;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;
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
    /** How a player is called that is what a device plays back. */
    private static final String PLAYBACK = " playback";

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

    /** A bus at which several players are heard; of a stereo pair its first side. */
    private record Meeting(int point, List<String> players, String station) {
        boolean isSideOf(Meeting other) {
            return players.equals(other.players) && station.equals(other.station);
        }
    }

    void show() {
        SetupLevels levels = studio.levels();
        List<Meeting> meetings = meetings(levels.levels());
        List<List<String>> now = meetings.stream().map(Meeting::players).toList();
        if (!now.equals(shown) || refreshes.isEmpty()) {
            shown.clear();
            shown.addAll(now);
            build(meetings);
        }
        refreshes.forEach(Runnable::run);
    }

    private static List<Meeting> meetings(FlowLevels levels) {
        List<Meeting> meetings = new ArrayList<>();
        for (int i = 0; i < levels.flow().points().size(); i++) {
            List<String> players = levels.players(i);
            if (levels.flow().points().get(i).isBus() && players.size() > 1) {
                Meeting here = new Meeting(
                        i,
                        players.stream().sorted().toList(),
                        levels.flow().points().get(i).station());
                if (meetings.stream().noneMatch(here::isSideOf)) {
                    meetings.add(here);
                }
            }
        }
        return meetings;
    }

    private void build(List<Meeting> meetings) {
        content.getChildren().clear();
        refreshes.clear();
        refreshes.add(() -> {});
        if (meetings.isEmpty()) {
            Label none = new Label("No two sources come together in this setup: each has a track of its own.");
            Styled.of(none).as("second").wrap();
            content.getChildren().add(none);
        }
        meetings.forEach(meeting -> content.getChildren().add(block(meeting)));
        content.getChildren().add(problem);
    }

    private Node block(Meeting meeting) {
        Label title = Styled.of(new Label()).as("strong").node();
        Label together = Styled.of(new Label()).as("second", "small").node();
        GridPane rows = new GridPane();
        rows.setHgap(12);
        rows.setVgap(4);
        ColumnConstraints name = new ColumnConstraints();
        name.setMinWidth(140);
        name.setHgrow(Priority.SOMETIMES);
        rows.getColumnConstraints().add(name);
        int row = 0;
        for (String head : List.of("", "loudest peak here", "", "should be louder than the others by")) {
            Label label =
                    Styled.of(new Label(head)).as("second", "small").wrap().node();
            rows.add(label, row++, 0);
        }
        row = 1;
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
        QuantityField wish = new QuantityField(text -> balance(player, text), problem::setText);
        wish.setId("balance-" + player);
        wish.setPrefColumnCount(6);
        wish.setMaxWidth(USE_PREF_SIZE);
        wish.setTooltip(new Tooltip("How much louder than the others it should be; the advice then sets it so"));
        wish.setAccessibleText("Balance of " + name(player));
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
            wish.show(Quantity.GAIN.print(new kalodyne.core.units.Gain(
                    studio.setup().settings().balanceDb().getOrDefault(player, 0.0))));
        });
    }

    private String name(String player) {
        boolean isPlayback = player.endsWith(PLAYBACK);
        String mark = isPlayback ? player.substring(0, player.length() - PLAYBACK.length()) : player;
        return studio.studio().device(mark).map(Device::name).orElse(mark) + (isPlayback ? "," + PLAYBACK : "");
    }

    private void balance(String player, String text) {
        double db = Quantity.GAIN
                .read(text.matches("[+\\-−]?\\d+([.,]\\d+)?") ? text + " dB" : text)
                .db();
        if (!(Math.abs(db) <= 60)) {
            throw new kalodyne.core.units.UnreadableQuantity(
                    "A balance lies between −60 and +60 dB.", "Write for example −7 dB.");
        }
        studio.editSettings("change the balance", settings -> settings.balanced(player, db));
    }
}
