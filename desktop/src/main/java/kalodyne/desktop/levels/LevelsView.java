package kalodyne.desktop.levels;

import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.GainSchool;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.HearModel;
import kalodyne.desktop.model.StudioModel;

/** The Levels room's surface: what is the case, how it should be, the corridor, and the controls under it. */
final class LevelsView extends VBox {
    private static final double ZOOM_STEP = 1.25;
    private static final double GAP = 10;

    /** What the bar under the corridor and the gap in it take. */
    private static final double ROOM_FOR_BAR = GAP + 12;

    private static final double LEAST_ZOOM = 0.5;
    private static final double MOST_ZOOM = 4;

    private final StudioModel studio;
    private final Jobs jobs;
    private final HearModel hear;
    private final Label sentence = new Label();
    private final ComboBox<AimSchool> aim = new ComboBox<>();
    private final ComboBox<GainSchool> school = new ComboBox<>();
    private final Label reason = new Label();
    private final Button setAll = new Button("Set all as advised");
    private final ToggleButton others = new ToggleButton("Other runs");
    private final ToggleButton meetings = new ToggleButton("Where runs meet");
    private final ToggleButton hearIt = new ToggleButton("Hear it");
    private final Corridor corridor = new Corridor();
    private final ControlStrip strip;
    private final MeetingsView meetingsView;
    private final ScrollPane along = new ScrollPane();
    /** Shows what the choice comes to for this run. */
    private final ListCell<AimSchool> aimCell = new ListCell<>();

    private double zoom = 1;
    private boolean isShowing;

    /** What the choice costs takes as long as advising, and is worked out beside the screen's thread. */
    private boolean isWorkingOut;

    LevelsView(StudioModel studio, Jobs jobs, HearModel hear) {
        this.studio = studio;
        this.jobs = jobs;
        this.hear = hear;
        getStyleClass().addAll("room", "levels-room");
        strip = new ControlStrip(corridor, studio);
        meetingsView = new MeetingsView(studio);
        VBox picture = new VBox(GAP, corridor, strip);
        VBox.setVgrow(corridor, Priority.ALWAYS);
        picture.minWidthProperty().bind(corridor.minWidthProperty());
        along.setContent(picture);
        along.setFitToWidth(true);
        along.setFitToHeight(true);
        along.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        // It scrolls sideways alone: where there is no room for its height, the room scrolls.
        along.minHeightProperty()
                .bind(corridor.minHeightProperty().add(strip.heightProperty()).add(ROOM_FOR_BAR));
        along.setFocusTraversable(false);
        along.getStyleClass().add("along");
        along.hvalueProperty().addListener(change -> followScrolling());
        along.viewportBoundsProperty().addListener(change -> followScrolling());
        StackPane pages = new StackPane(along, meetingsView);
        VBox.setVgrow(pages, Priority.ALWAYS);
        getChildren().addAll(header(), tools(), pages);
        PeakDrag.install(corridor, studio::turn);
        studio.readingProperty().addListener(change -> show());
        studio.focusProperty().addListener(change -> show());
        show();
    }

    private void followScrolling() {
        double seen = along.getViewportBounds().getWidth();
        corridor.scrolled(Math.max(0, (corridor.getWidth() - seen) * along.getHvalue()), seen);
    }

    private RoomHeader header() {
        sentence.setId("levels-sentence");
        Styled.of(aim).id("aim").spoken("Where the loudest peaks should lie");
        aim.getItems().setAll(AimSchool.values());
        aim.setConverter(Words.of(each -> "Aim: " + aimWords(each)));
        aim.setButtonCell(aimCell);
        Styled.of(aim)
                .tip("Where the signal should lie in the recording")
                .action(() -> chooseAim())
                .whole();
        setAll.getStyleClass().add("primary");
        setAll.setId("set-all");
        setAll.setMinWidth(Region.USE_PREF_SIZE);
        setAll.setTooltip(new Tooltip("Turn every knob of this setup to its advised place (Ctrl+Enter)"));
        setAll.setOnAction(event -> studio.setAllAsAdvised());
        return new RoomHeader(sentence, aim, setAll);
    }

    private Node tools() {
        Styled.of(school).id("gain-school").spoken("How much room above the loudest peaks");
        school.getItems().setAll(GainSchool.values());
        school.setConverter(Words.of(GainSchool::title));
        Styled.of(school)
                .tip("Where the gain is made")
                .action(() -> chooseSchool())
                .whole();
        Styled.of(reason).as("second", "small").tip("").id("school-reason");
        reason.setMinWidth(0);
        reason.setWrapText(true);
        reason.setMinHeight(Region.USE_PREF_SIZE);
        others.setId("overlay-runs");
        others.getStyleClass().add("quiet");
        others.setTooltip(new Tooltip("Show the loudest peaks of the other runs behind this one (Ctrl+Shift+O)"));
        others.setOnAction(event -> show());
        meetings.setId("show-meetings");
        meetings.getStyleClass().add("quiet");
        Styled.of(meetings)
                .tip("Who comes together on each bus, and how loud (Ctrl+Shift+M)")
                .action(() -> show());
        hearIt.setId("hear-it");
        hearIt.getStyleClass().add("quiet");
        Styled.of(hearIt)
                .tip("Hear what this run does to a sound, knobs and all (Ctrl+Shift+H). Headphones down first.")
                .action(hear::toggle);
        hear.hearingProperty().addListener((property, before, now) -> hearIt.setSelected(now.isPresent()));
        Button wider = zoomButton("+", "zoom-in", "Wider columns (Ctrl+Shift+Right)", ZOOM_STEP);
        Button narrower = zoomButton("−", "zoom-out", "Narrower columns (Ctrl+Shift+Left)", 1 / ZOOM_STEP);
        for (Region each : List.of(hearIt, others, meetings, wider, narrower)) {
            each.setMinWidth(Region.USE_PREF_SIZE);
        }
        FlowPane controls = new FlowPane(8, 8, school, hearIt, others, meetings, narrower, wider);
        controls.setRowValignment(VPos.CENTER);
        return new VBox(4, controls, reason);
    }

    private Button zoomButton(String words, String id, String help, double factor) {
        Button button = new Button(words);
        Styled.of(button).id(id).as("quiet").tip(help).spoken(help).action(() -> zoomBy(factor));
        return button;
    }

    void zoomIn() {
        zoomBy(ZOOM_STEP);
    }

    void zoomOut() {
        zoomBy(1 / ZOOM_STEP);
    }

    private void zoomBy(double factor) {
        zoom = Math.max(LEAST_ZOOM, Math.min(MOST_ZOOM, zoom * factor));
        corridor.zoom(zoom);
    }

    void toggleOthers() {
        others.fire();
    }

    void toggleMeetings() {
        meetings.fire();
    }

    private static String aimWords(AimSchool each) {
        return Print.withinSentence(each.title());
    }

    // --- choices -------------------------------------------------------------------------------------------------

    private void chooseAim() {
        AimSchool chosen = aim.getValue();
        if (isShowing || chosen == null) {
            return;
        }
        studio.editSettings("change the aim", settings -> settings.with(chosen));
    }

    private void chooseSchool() {
        GainSchool chosen = school.getValue();
        if (!isShowing && chosen != null) {
            studio.editSettings("change the school of gain", settings -> settings.with(chosen));
        }
    }

    // --- showing -------------------------------------------------------------------------------------------------

    private void show() {
        Optional<RunLevels> reading = studio.reading();
        if (reading.isEmpty()) {
            return;
        }
        RunLevels run = reading.get();
        sentence.setText(run.verdict().sentence());
        isShowing = true;
        showAim(run.plan());
        showSchool(run);
        isShowing = false;
        setAll.setDisable(studio.levels().advised().isFollowed());
        boolean isMeeting = meetings.isSelected();
        along.setVisible(!isMeeting);
        meetingsView.setVisible(isMeeting);
        others.setDisable(isMeeting);
        if (isMeeting) {
            meetingsView.show();
        } else {
            corridor.show(run.plan(), studio.focus(), overlaid(run.plan()));
            strip.show(run);
        }
    }

    /** The runs that end like this one: tracks with tracks, ears with ears. */
    private List<LevelPlan> overlaid(LevelPlan shown) {
        if (!others.isSelected()) {
            return List.of();
        }
        return studio.levels().traces().stream()
                .filter(trace -> !trace.key().equals(shown.trace().key()))
                .filter(trace -> studio.levels().isRecorded(trace) == shown.isRecorded())
                .map(studio.levels()::plan)
                .toList();
    }

    private void showAim(LevelPlan plan) {
        boolean isChosen = plan.isRecorded();
        Styled.of(aim).shown(isChosen);
        AimSchool present = studio.setup().settings().aim();
        if (aim.getValue() != present) {
            aim.setValue(present);
        }
        aimCell.setText("Aim: " + plan.aim() + (plan.end().line() == End.Line.AVERAGE ? " on average" : ""));
        aim.getTooltip().setText(present.title() + ". " + present.reason() + " Here: " + plan.aim() + ".");
    }

    private void showSchool(RunLevels run) {
        GainSchool present = studio.setup().settings().school();
        if (school.getValue() != present) {
            school.setValue(present);
        }
        SetupLevels levels = studio.levels();
        boolean isKnown = levels.isCostKnown();
        reason.setText((isKnown ? levels.costOfPractice(run.plan()) + " " : "") + present.reason());
        reason.getTooltip().setText(reason.getText());
        if (!isKnown && !isWorkingOut) {
            isWorkingOut = true;
            jobs.runBriefly(progress -> levels.costOfPractice(run.plan()), words -> {
                isWorkingOut = false;
                show();
            });
        }
    }
}
