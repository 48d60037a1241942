package kalodyne.desktop.takes;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import kalodyne.core.findings.Finding;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.model.TakesModel;
import kalodyne.desktop.shell.Command;
import kalodyne.desktop.shell.Overlay;
import kalodyne.desktop.shell.Room;

/** The Takes room: read a test take, be told what to turn. */
public final class TakesRoom implements Room {
    private final StudioModel studio;
    private final TakesModel takes;
    private final RecordingModel recording;
    private final PlaybackModel playback;
    private final Supplier<TimingModel> timing;
    private final ReadOnlyObjectWrapper<Report> report = new ReadOnlyObjectWrapper<>(this, "report");
    private TakesView view;
    private TakesAside aside;
    private Overlay overlay;

    /**
     * A room.
     *
     * @param timing what a take says about time, asked for when somebody looks at it
     */
    public TakesRoom(
            StudioModel studio,
            TakesModel takes,
            RecordingModel recording,
            PlaybackModel playback,
            Supplier<TimingModel> timing) {
        this.timing = timing;
        this.studio = studio;
        this.takes = takes;
        this.recording = recording;
        this.playback = playback;
        takes.selectionProperty().addListener(change -> report.set(report()));
        report.set(report());
    }

    @Override
    public String id() {
        return "takes";
    }

    @Override
    public String title() {
        return "Takes";
    }

    @Override
    public Node node() {
        return view();
    }

    private TakesView view() {
        if (view == null) {
            view = new TakesView(takes, recording, playback, this::calibrate, this::time, () -> report.set(report()));
        }
        return view;
    }

    @Override
    public Optional<Node> aside() {
        if (aside == null) {
            aside = new TakesAside(studio, takes);
        }
        return Optional.of(aside);
    }

    @Override
    public ObservableValue<Report> reportProperty() {
        return report.getReadOnlyProperty();
    }

    private Report report() {
        String recordingWords = view == null ? "" : view.recordingWords();
        if (!recordingWords.isEmpty()) {
            return new Report("", List.of(), recordingWords, Optional.empty(), counted());
        }
        int count = takes.selection().takes().size();
        String counted = counted();
        return takes.selection()
                .shown()
                .map(shown -> new Report(
                        "What was noticed in this take",
                        shown.verdict().findings(),
                        shown.verdict().instruction(),
                        Finding.worst(shown.verdict().findings()),
                        counted))
                .orElseGet(() -> new Report("", List.of(), waitingFor(count), Optional.empty(), counted));
    }

    private String counted() {
        int count = takes.selection().takes().size();
        return count == 0 ? "" : String.valueOf(count);
    }

    private String waitingFor(int count) {
        return count == 0
                ? "Record a take of the loudest part"
                : takes.selection().sentence();
    }

    @Override
    public List<Command> commands() {
        return List.of(
                Command.of("Record a take", "Shortcut+R", () -> view().record()),
                Command.of("Play or stop the take", "Shortcut+P", () -> view().playOrStop()),
                Command.of("Add a file as a take…", "Shortcut+T", () -> view().chooseFile()),
                Command.of("Copy the numbers of this take as a table", Copying.KEYS, () -> view().copyNumbers()),
                Command.of("Copy the recording of this take", null, this::copyRecording),
                Command.of("Time in this take: round trip, tempo…", "Shortcut+Shift+T", this::time),
                Command.of("Correct the gear from these takes…", "Shortcut+Shift+K", this::calibrate));
    }

    private void copyRecording() {
        takes.recording().ifPresent(Copying::file);
    }

    @Override
    public void useOverlay(Overlay windowsOverlay) {
        overlay = windowsOverlay;
    }

    private void calibrate() {
        takes.readAll(() -> {
            CalibrationPage page = new CalibrationPage(takes, overlay);
            overlay.lay(page, Pos.TOP_CENTER);
            page.focus();
        });
    }

    private void time() {
        takes.readAll(() -> {
            TimingPage page = new TimingPage(timing.get(), overlay::lift);
            overlay.lay(page, Pos.TOP_CENTER);
            page.focus();
        });
    }

    @Override
    public String helpResource() {
        return "takes.txt";
    }
}
