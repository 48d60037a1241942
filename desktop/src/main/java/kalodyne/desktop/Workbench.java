package kalodyne.desktop;

import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import kalodyne.core.findings.Place;
import kalodyne.core.joint.Spot;
import kalodyne.core.recording.Speakers;
import kalodyne.core.recording.SystemInputs;
import kalodyne.core.studio.Whereabouts;
import kalodyne.core.studio.log.Entry;
import kalodyne.core.units.LevelUnit;
import kalodyne.desktop.convert.ConvertModel;
import kalodyne.desktop.convert.ConvertRoom;
import kalodyne.desktop.hookup.HookupRoom;
import kalodyne.desktop.hookup.JointsModel;
import kalodyne.desktop.hookup.MapModel;
import kalodyne.desktop.hookup.PlugModel;
import kalodyne.desktop.hookup.WayModel;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.levels.LevelsRoom;
import kalodyne.desktop.lineup.LineupModel;
import kalodyne.desktop.lineup.LineupRoom;
import kalodyne.desktop.lineup.TidyModel;
import kalodyne.desktop.log.LogModel;
import kalodyne.desktop.log.LogRoom;
import kalodyne.desktop.model.HearModel;
import kalodyne.desktop.model.PaperModel;
import kalodyne.desktop.model.PlanModel;
import kalodyne.desktop.model.SheetModel;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.model.TakesModel;
import kalodyne.desktop.practise.PractiseModel;
import kalodyne.desktop.practise.PractiseRoom;
import kalodyne.desktop.runsheet.SheetRoom;
import kalodyne.desktop.shelf.ShelfModel;
import kalodyne.desktop.shelf.ShelfRoom;
import kalodyne.desktop.shell.Appearance;
import kalodyne.desktop.shell.MainWindow;
import kalodyne.desktop.takes.PlaybackModel;
import kalodyne.desktop.takes.RecordingModel;
import kalodyne.desktop.takes.TakesRoom;
import kalodyne.desktop.takes.TimingModel;

/** Builds every part of the program and joins them: the one place where all meet. */
public final class Workbench implements AutoCloseable {
    private final StudioModel studio;
    private final Clock clock = Clock.system(ZoneId.systemDefault());
    private ShelfModel shelf;
    private JointsModel joints;
    private PlugModel plugs;
    private final TakesModel takes;
    private final SheetModel sheet;
    private final PaperModel paper;
    private final LogModel log;
    private final PlanModel plan;
    private final RecordingModel recording;
    private final PlaybackModel playback;
    private final HearModel hear;
    private final LineupModel lineup;
    private final TidyModel tidy;
    private final PractiseModel practise;
    private final Jobs jobs = new Jobs();
    private final Appearance appearance = new Appearance();
    private final ViewSettings settings;
    private final StudioOpener opener;
    private final MainWindow window;

    /**
     * Builds the program for a studio.
     *
     * @param dataFolder for the demonstration studio, should it be asked for
     */
    public Workbench(Path dataFolder, OpenedStudio opened) {
        this.settings = new ViewSettings(dataFolder);
        LevelUnit.use(settings.preferences().levels());
        this.studio = new StudioModel(opened.studio(), clock);
        studio.preferencesProperty().set(settings.preferences());
        studio.preferencesProperty().addListener((property, before, now) -> settings.keep(now));
        studio.noticeProperty().set(opened.notice());
        jobs.onBriefFailure(failure -> studio.notice(
                "This could not be worked out",
                "Something went wrong inside Kalodyne. What you have is kept as it is."));
        this.takes = new TakesModel(studio, jobs, clock);
        this.sheet = new SheetModel(studio, clock, System::nanoTime);
        this.paper = new PaperModel(studio, sheet, clock);
        this.log = new LogModel(studio, jobs);
        this.plan = new PlanModel(studio, sheet);
        this.recording = new RecordingModel(studio, takes, SystemInputs::all);
        Speakers speakers = Speakers.system(() -> studio.preferences().speakers());
        this.playback = new PlaybackModel(studio, speakers);
        this.hear = new HearModel(studio, jobs, speakers, System::nanoTime);
        hearOneThing();
        this.lineup = new LineupModel(studio, takes, jobs, speakers);
        this.tidy = new TidyModel(studio, takes, jobs);
        this.practise = new PractiseModel(studio, jobs, hear, clock, System::nanoTime);
        opener = new StudioOpener(studio, jobs, dataFolder, settings, clock);
        this.window = new MainWindow(
                studio,
                jobs,
                hear,
                appearance,
                List.of(
                        new ShelfRoom(this::shelf, this::showPlugged),
                        new HookupRoom(
                                this::joints,
                                () -> new MapModel(studio, joints(), jobs),
                                this::plugs,
                                () -> new WayModel(studio, joints(), jobs),
                                hear),
                        new LevelsRoom(studio, jobs, hear),
                        new SheetRoom(studio, sheet, plan, paper),
                        new TakesRoom(studio, takes, recording, playback, () -> new TimingModel(takes, plan, jobs)),
                        new LineupRoom(lineup, tidy, () -> window().enter("lineup")),
                        new LogRoom(log, paper, this::showTake, this::practise, () -> window().enter("log")),
                        new PractiseRoom(practise),
                        new ConvertRoom(new ConvertModel(), () -> window().enter("convert"))),
                opener);
    }

    /** One thing sounds at a time, and nothing while something is recorded. */
    private void hearOneThing() {
        hear.hearingProperty().addListener((property, before, now) -> {
            if (now.isPresent()) {
                playback.stop();
            }
        });
        playback.playingProperty().addListener((property, before, isPlaying) -> {
            if (isPlaying) {
                hear.stop();
            }
        });
        recording.stateProperty().addListener((property, before, now) -> {
            if (now != RecordingModel.State.IDLE) {
                hear.stop();
            }
        });
    }

    /** Goes on where one left off in the studio that the program began with. */
    void takeUp() {
        settings.opened(studio.file());
        settings.looked(studio.file()).ifPresent(studio::look);
    }

    /** Remembers what is looked at; of a studio that never arrived, nothing was. */
    void leave() {
        if (!studio.isAwaited()) {
            settings.keep(studio.file(), studio.looked());
        }
    }

    private void showPlugged(Whereabouts there) {
        studio.showSetup(there.setup().id());
        Spot socket = there.row().from().spot();
        window().show("hookup", new Place.Plugged(socket.item(), socket.part()));
    }

    private void practise(String topic) {
        window().enter("practise");
        practise.begin(topic);
    }

    private void showTake(Entry entry) {
        entry.take().ifPresent(take -> {
            studio.showSetup(entry.setupId());
            studio.showRun(take.run());
            takes.select(take);
            window().enter("takes");
        });
    }

    /** Shows another studio than the present one, which is closed. */
    public void show(OpenedStudio opened) {
        opener.show(opened);
    }

    /** What is kept of the window from one start to the next. */
    ViewSettings settings() {
        return settings;
    }

    public MainWindow.Opener opener() {
        return opener;
    }

    public MainWindow window() {
        return window;
    }

    public StudioModel studio() {
        return studio;
    }

    /** Made when it is first asked for: making a large shelf ready for searching takes a moment. */
    public ShelfModel shelf() {
        if (shelf == null) {
            shelf = new ShelfModel(studio, clock);
        }
        return shelf;
    }

    /** Made when it is first asked for: computing many joints takes a moment. */
    public JointsModel joints() {
        if (joints == null) {
            joints = new JointsModel(studio);
        }
        return joints;
    }

    /** Made when it is first asked for, like the joints. */
    public PlugModel plugs() {
        if (plugs == null) {
            plugs = new PlugModel(studio, joints(), jobs);
        }
        return plugs;
    }

    public TakesModel takes() {
        return takes;
    }

    public SheetModel sheet() {
        return sheet;
    }

    public PaperModel paper() {
        return paper;
    }

    public LogModel log() {
        return log;
    }

    public LineupModel lineup() {
        return lineup;
    }

    public TidyModel tidy() {
        return tidy;
    }

    public PractiseModel practise() {
        return practise;
    }

    public HearModel hear() {
        return hear;
    }

    public RecordingModel recording() {
        return recording;
    }

    public Appearance appearance() {
        return appearance;
    }

    public Jobs jobs() {
        return jobs;
    }

    @Override
    public void close() {
        recording.close();
        hear.close();
        playback.close();
        lineup.close();
        jobs.close();
        studio.close();
    }
}
