package kalodyne.desktop.lineup;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import kalodyne.core.recording.PairPlayback.Voice;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Command;
import kalodyne.desktop.shell.Room;

/** The Line-up room: two recordings of the same sound, in time with each other. */
public final class LineupRoom implements Room {
    private static final List<String> ABOUT_LINING_UP = List.of(
            "Two recorders never keep exactly the same time. One part in 28,000 is 126 ms an hour: by the end of a long film the sound comes late, though it was right at the beginning.",
            "So check two places: where both begin, and where both end. Listen to both together. A little off sounds hollow or like an echo; spot on, it sounds like one.",
            "The recordings stay as they are. In the film, mute the camera's own sound when the copy lies under it.");

    private static final List<String> ABOUT_TIDYING = List.of(
            "Nothing is cut inside a sound that dies away, and no copy is driven above −1 dBTP: encoding for listening makes peaks a little higher.",
            "A little too soft can be raised later. What was cut off when it was recorded stays cut off: record that again.",
            "The recordings stay as they are. What was done stands beside each copy. Clear a card only when all of it is safe in two places.");

    private final LineupModel model;
    private final Runnable enter;
    private final ReadOnlyObjectWrapper<Report> report = new ReadOnlyObjectWrapper<>(this, "report");
    private final TidyModel tidy;
    private LineupView view;
    private LineupPages pages;

    /**
     * A room.
     *
     * @param enter goes there
     */
    public LineupRoom(LineupModel model, TidyModel tidy, Runnable enter) {
        this.model = model;
        this.tidy = tidy;
        tidy.stateProperty().addListener(change -> report.set(report()));
        this.enter = enter;
        model.stateProperty().addListener(change -> report.set(report()));
        report.set(report());
    }

    @Override
    public String id() {
        return "lineup";
    }

    @Override
    public String title() {
        return "Line-up";
    }

    @Override
    public Node node() {
        return pages();
    }

    private LineupPages pages() {
        if (pages == null) {
            view = new LineupView(model);
            model.begin();
            pages = new LineupPages(view, new TidyView(tidy, model), () -> report.set(report()));
        }
        return pages;
    }

    private LineupView view() {
        pages().showLineUp();
        return view;
    }

    private void tidyUp() {
        enter.run();
        pages().showTidyUp();
    }

    @Override
    public Optional<Node> aside() {
        VBox aside = new VBox(10);
        fill(aside);
        report.addListener(change -> fill(aside));
        return Optional.of(aside);
    }

    private void fill(VBox aside) {
        List<String> texts = isTidyUp() ? ABOUT_TIDYING : ABOUT_LINING_UP;
        aside.getChildren().setAll(texts.stream().map(LineupRoom::words).toList());
    }

    private boolean isTidyUp() {
        return pages != null && pages.isTidyUp();
    }

    private static Label words(String text) {
        Label label = Styled.of(new Label(text)).as("finding-text").wrap().node();
        return label;
    }

    @Override
    public ObservableValue<Report> reportProperty() {
        return report.getReadOnlyProperty();
    }

    private Report report() {
        return new Report("", List.of(), next(), Optional.empty(), "");
    }

    private String next() {
        return isTidyUp() ? nextOfTidy() : nextOfLineUp();
    }

    private String nextOfTidy() {
        TidyModel.State state = tidy.state();
        if (state.files().isEmpty()) {
            return "Add the recordings that are to be cleaned up";
        }
        return state.writable() > 0 ? "Read what would be written, then write it" : "Say what you want, then measure";
    }

    private String nextOfLineUp() {
        LineupState state = model.state();
        if (state.isSearching()) {
            return "Wait until they are lined up";
        }
        if (state.reference().isEmpty()) {
            return "Choose the film, or the recording that stays as it is";
        }
        if (state.other().isEmpty()) {
            return "Choose the recording that is to fit it";
        }
        if (state.clock().isEmpty()) {
            return "Choose another recording";
        }
        return state.problem().isEmpty()
                ? "Listen to both at the end, then write the copy"
                : "Pick the right place by something that does not repeat";
    }

    @Override
    public List<Command> commands() {
        return List.of(
                Command.of("Line up again", null, model::search),
                Command.of("Hear both together", null, () -> view().hear(Voice.BOTH)),
                Command.of("Write the lined-up copy…", "Shortcut+E", () -> view().chooseCopy()),
                Command.of("Copy the words for an editing program", Copying.KEYS, () -> view().copyWords()),
                Command.of("Back to what was found", null, model::asFound),
                Command.of("Tidy up recordings", null, this::tidyUp),
                Command.of("Measure what is to be tidied", null, tidy::measure));
    }

    @Override
    public List<Command> findable() {
        return model.offered().stream()
                .flatMap(each -> Stream.of(
                        Command.of("Fit " + each.name(), null, () -> entered(() -> model.chooseOther(each.file()))),
                        Command.of("Tidy " + each.name(), null, () -> {
                            tidyUp();
                            tidy.add(List.of(each.file()));
                        }),
                        Command.of(
                                "Fit to " + each.name(),
                                null,
                                () -> entered(() -> model.chooseReference(each.file())))))
                .toList();
    }

    private void entered(Runnable choosing) {
        enter.run();
        pages().showLineUp();
        choosing.run();
    }

    @Override
    public boolean isAboutRun() {
        return false;
    }

    @Override
    public String helpResource() {
        return "lineup.txt";
    }
}
