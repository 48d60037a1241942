package kalodyne.desktop.shell;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;
import javafx.stage.Window;
import kalodyne.core.findings.Place;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.setup.Setup;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.hearing.HearBar;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.HearModel;
import kalodyne.desktop.model.NextJob;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.start.StartModel;
import kalodyne.desktop.start.StartView;

/** The window's content: the bars, the list of rooms, the ribbon, the room that is entered, and its findings. */
public final class MainWindow {
    private final StudioModel studio;
    private final Appearance appearance;
    private final List<Room> rooms;
    private final Opener opener;

    private final StackPane root = new StackPane();
    private final ScrollPane page = new ScrollPane();
    private final Veil veil = new Veil();
    private final FindingsPane findings;
    private final HearBar hearBar;
    private final NextBar nextBar;
    private final RoomList roomList;
    private final Label waiting = waiting();
    private final StartModel beginning;
    private StartView start;
    private final Saving saving;
    private final Exchange exchange;
    private final HandingOn handingOn;
    private final List<Command> commands = new ArrayList<>();
    private final Finder finder;
    private final Scene scene;
    private final RibbonView run;
    private final StackPane ribbon = new StackPane();
    private Room entered;
    private Folding folding;
    private Menus menus;

    /** Opens other studios in this window. */
    public interface Opener {
        void open(Path file);

        /** Begins a studio in a file that is not there yet, and opens it. */
        void begin(Path file);

        /** Builds the demonstration studio where it is not there yet, and opens it. */
        void openDemo(boolean afresh);

        /** Studios that were open lately, the last one first. */
        List<Path> recent();
    }

    public MainWindow(
            StudioModel studio, Jobs jobs, HearModel hear, Appearance appearance, List<Room> rooms, Opener opener) {
        this.studio = studio;
        this.run = new RibbonView(studio);
        this.appearance = appearance;
        this.rooms = List.copyOf(rooms);
        this.opener = opener;
        hearBar = new HearBar(hear);
        findings = new FindingsPane(studio::apply, hear::hearRemedy, place -> {
            entered.show(place);
            folding.showRoom();
        });
        nextBar = new NextBar(jobs, studio.keptProperty());
        roomList = new RoomList(rooms, this::enter);
        beginning = new StartModel(studio);
        finder = new Finder(this::findable, veil::lift);
        saving = new Saving(studio, jobs, () -> scene().getWindow());
        exchange = new Exchange(studio, jobs, veil, saving);
        handingOn = new HandingOn(studio, saving);
        root.getChildren().addAll(frame(), veil);
        scene = new Scene(root, 1280, 800);
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        appearance.dress(scene);
        scene.widthProperty().addListener(change -> fold());
        appearance.lookProperty().addListener(change -> fold());
        fold();
        FocusInView.keep(scene);
        rooms.forEach(room -> {
            room.useOverlay(veil);
            room.reportProperty().addListener(change -> showReport());
        });
        studio.readingProperty().addListener((property, before, now) -> {
            if (before.isPresent() != now.isPresent()) {
                showRoom();
            }
        });
        studio.awaitedProperty().addListener(change -> showRoom());
        studio.revisionProperty().addListener(change -> follow());
        // Who has a run goes on with it.
        enter("levels");
    }

    public Scene scene() {
        return scene;
    }

    /** Shows what would come in from a file. */
    public void bringIn(Path file) {
        exchange.bringIn(file);
    }

    /** Writes the setup that is looked at, with all that belongs to it, as one file. */
    public void handOn(Path file) {
        handingOn.handOn(file);
    }

    private BorderPane frame() {
        Command find = Command.of("Find anything", "Shortcut+K", this::openFinder);
        Command help = Command.of("Help on this room", "F1", this::openHelp);
        Command next = Command.of("Go on with the next thing", "F8", nextBar::press);
        List<Command> setups = setupCommands();
        Menus.Groups groups = new Menus.Groups(
                List.of(studioCommands(), exchange.commands(), handingOn.commands(), windowCommands()),
                List.of(editCommands(), List.of(find)),
                List.of(viewCommands()),
                List.of(List.of(next), roomCommands()),
                List.of(
                        List.of(help),
                        List.of(
                                Command.of("Open the demonstration studio", null, () -> opener.openDemo(false)),
                                Command.of("Start the demonstration afresh", null, () -> opener.openDemo(true))),
                        List.of(Command.of("About Kalodyne and its licences", null, () -> openPage("about.txt")))));
        Stream.of(groups.file(), groups.editing(), groups.view(), groups.go(), groups.help())
                .flatMap(List::stream)
                .forEach(commands::addAll);
        commands.addAll(setups);
        menus = new Menus(groups, Menus.recent(opener::recent, opener::open));
        TopBar bar = new TopBar(studio, menus, setups, find, help);
        ribbon.getChildren().add(run);
        // A room that wants more height than there is scrolls; the run above it stays whole.
        ribbon.setMinHeight(Region.USE_PREF_SIZE);
        BorderPane frame = new BorderPane();
        frame.setTop(bar);
        frame.setLeft(roomList);
        VBox middle = new VBox(new NoticeBar(studio.noticeProperty()), ribbon, page);
        VBox.setVgrow(page, Priority.ALWAYS);
        // A room fills the window, and scrolls where the window is too small for it.
        page.setFitToWidth(true);
        page.setFitToHeight(true);
        frame.setCenter(middle);
        frame.setBottom(new VBox(hearBar, nextBar));
        folding = new Folding(frame, middle, page, findings, roomList, bar);
        return frame;
    }

    private void fold() {
        folding.fit(scene.getWidth() / appearance.lookProperty().get().em());
    }

    // --- commands ----------------------------------------------------------------------------------------------

    private List<Command> roomCommands() {
        List<Command> list = new ArrayList<>();
        for (int i = 0; i < rooms.size(); i++) {
            Room room = rooms.get(i);
            list.add(Command.of("Go to " + room.title(), RoomList.keys(rooms, i), () -> enter(room)));
        }
        return list;
    }

    private List<Command> setupCommands() {
        return List.of(
                Command.of("Add a setup", null, studio.setups()::add),
                Command.of("Duplicate this setup", null, studio.setups()::duplicate),
                Command.of("Remove this setup", null, studio.setups()::remove),
                Command.of(
                        "Rename this setup…",
                        null,
                        () -> rename("Rename this setup", studio.setup().name(), studio.setups()::rename)));
    }

    private List<Command> studioCommands() {
        return List.of(
                Command.of("New studio…", "Shortcut+N", this::beginStudio),
                Command.of("Open a studio…", "Shortcut+O", this::openStudio),
                Command.of(
                        "Rename the studio…",
                        null,
                        () -> rename("Rename the studio", studio.studio().name(), studio.setups()::renameStudio)));
    }

    private List<Command> windowCommands() {
        return List.of(
                Command.of("Preferences…", "Shortcut+Comma", this::openPreferences),
                Command.of("Quit", "Shortcut+Q", () -> scene().getWindow().hide()));
    }

    private List<Command> viewCommands() {
        return List.of(
                Command.of("Light or dark", "Shortcut+L", appearance::toggleDark),
                Command.of("Larger text", "Shortcut+Plus", () -> appearance.scaleText(1)),
                Command.of("Smaller text", "Shortcut+Minus", () -> appearance.scaleText(-1)),
                Command.of("Usual text", "Shortcut+0", () -> appearance.scaleText(0)));
    }

    private List<Command> editCommands() {
        return List.of(
                Command.of("Undo", "Shortcut+Z", () -> studio.undo()),
                Command.of("Redo", "Shortcut+Shift+Z", () -> studio.redo()));
    }

    /** Everywhere and in the room that is entered. */
    private List<Command> commandsHere() {
        List<Command> here = new ArrayList<>(commands);
        here.addAll(entered.commands());
        return here;
    }

    /** Runs a command by its name; whether there is one. */
    public boolean perform(String name) {
        Optional<Command> wanted = findable().stream()
                .filter(command -> command.name().equals(name))
                .findFirst();
        wanted.ifPresent(command -> command.run().run());
        return wanted.isPresent();
    }

    /** Everything that has a name: commands, stations of this run, other runs, what is in the rooms. */
    private List<Command> findable() {
        List<Command> all = commandsHere();
        studio.reading()
                .ifPresent(reading -> reading.plan()
                        .trace()
                        .stations()
                        .forEach(station ->
                                all.add(Command.of(station.words(), null, () -> studio.pointAt(station.index())))));
        studio.studio()
                .setups()
                .forEach(setup ->
                        all.add(Command.of("Setup: " + setup.name(), null, () -> studio.showSetup(setup.id()))));
        for (Room room : rooms) {
            room.findable()
                    .forEach(thing -> all.add(Command.of(thing.name(), null, () -> {
                        enter(room);
                        thing.run().run();
                    })));
        }
        studio.runs().forEach(run -> all.add(Command.of("Run: " + run.name(), null, () -> studio.showRun(run.key()))));
        return all;
    }

    private void key(KeyEvent event) {
        // An open list closes first, and what lies over the window with the next press.
        boolean isListOpen = Window.getWindows().stream().anyMatch(ContextMenu.class::isInstance);
        if (event.getCode() == KeyCode.ESCAPE && veil.isVisible() && !isListOpen) {
            veil.lift();
            event.consume();
            return;
        }
        // A field undoes its own typing first.
        boolean inText = scene.getFocusOwner() instanceof TextInputControl text && text.isUndoable();
        for (Command command : commandsHere()) {
            boolean undo = command.name().equals("Undo") || command.name().equals("Redo");
            if (command.keys() != null && command.keys().match(event) && !(undo && inText)) {
                command.run().run();
                event.consume();
                return;
            }
        }
        alternatives(event);
    }

    /** The same commands under other usual keys. */
    private void alternatives(KeyEvent event) {
        if (!event.isShortcutDown()) {
            return;
        }
        switch (event.getCode()) {
            case Y -> studio.redo();
            case EQUALS, ADD -> appearance.scaleText(1);
            case SUBTRACT -> appearance.scaleText(-1);
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void openStudio() {
        saving.chooseToRead("Open a studio", new ExtensionFilter("Kalodyne studios", "*" + StudioFile.EXTENSION))
                .ifPresent(opener::open);
    }

    private void beginStudio() {
        saving.choose("Begin a new studio", "Kalodyne studios", StudioFile.EXTENSION, "My studio")
                .ifPresent(opener::begin);
    }

    // --- rooms -------------------------------------------------------------------------------------------------

    /** Enters the room of this name, if there is one. */
    public void enter(String id) {
        room(id).ifPresent(this::enter);
    }

    /** The name of the room that one is in. */
    public String room() {
        return entered.id();
    }

    /** Enters the room of this name and shows a place in it. */
    public void show(String id, Place place) {
        room(id).ifPresent(room -> {
            enter(room);
            room.show(place);
        });
    }

    private Optional<Room> room(String id) {
        return rooms.stream().filter(room -> room.id().equals(id)).findFirst();
    }

    private void enter(Room room) {
        entered = room;
        roomList.select(room);
        menus.showRoom(room.commands());
        folding.showRoom();
        showRoom();
    }

    private void showRoom() {
        boolean empty = studio.isAwaited() || isWelcoming();
        boolean ribboned = entered.hasRibbon() && !empty && studio.reading().isPresent();
        Styled.of(ribbon).shown(ribboned);
        if (ribboned) {
            run.follow(entered.onRunProperty());
        }
        if (studio.isAwaited()) {
            page.setContent(waiting);
        } else if (empty) {
            page.setContent(start());
            start.show();
            Platform.runLater(start::focus);
        } else {
            page.setContent(entered.node());
            findings.showAside(entered.aside());
        }
        showReport();
    }

    /** After a change of the studio; rooms tell of their reports themselves. */
    private void follow() {
        boolean isShown = start != null && page.getContent() == start;
        if (!studio.isAwaited() && isWelcoming() != isShown) {
            showRoom();
        } else if (isShown) {
            start.show();
        }
        showNext();
    }

    /** Made when it is first seen: who has a run never sees it. */
    private StartView start() {
        if (start == null) {
            start = new StartView(
                    beginning,
                    nextBar::press,
                    () -> goOn(NextJob.toAdd()),
                    this::openStudio,
                    () -> opener.openDemo(false));
        }
        return start;
    }

    private boolean isWelcoming() {
        return entered.isAboutRun() && (studio.reading().isEmpty() || isBeginning());
    }

    /** A phone alone has a run already: that of its own microphone. */
    private boolean isBeginning() {
        Setup setup = studio.setup();
        return setup.wiring().plugged().isEmpty()
                && setup.takes().isEmpty()
                && setup.wish().isEmpty();
    }

    private static Label waiting() {
        Label waiting = new Label("Opening your studio…");
        Styled.of(waiting).id("waiting").as("room", "room-sentence");
        waiting.setMaxSize(Double.MAX_VALUE, Double.MAX_VALUE);
        waiting.setAlignment(Pos.TOP_LEFT);
        return waiting;
    }

    private void showNext() {
        String here = isWelcoming() ? "" : entered.reportProperty().getValue().nextStep();
        if (studio.isAwaited()) {
            nextBar.show("One moment: your studio is being opened");
        } else if (isWelcoming() && studio.setup().wiring().plugged().isEmpty()) {
            showBeginning();
        } else {
            showNext(here, NextJob.of(studio));
        }
    }

    /** What is to be done here, and the way on where the job goes on elsewhere and nothing here must be done first. */
    private void showNext(String here, NextJob next) {
        if (here.isEmpty()) {
            nextBar.show(next.words(), wayTo(next), () -> goOn(next));
        } else if (entered.isPassable() && !next.room().equals(entered.id())) {
            nextBar.show(here, wayTo(next), () -> goOn(next));
        } else {
            nextBar.show(here);
        }
    }

    private void showBeginning() {
        beginning
                .missing()
                .ifPresentOrElse(
                        nextBar::show,
                        () -> nextBar.show("See the ways to record it with what you have", "Find the ways", () -> {
                            beginning.wish();
                            goOn(NextJob.of(studio));
                        }));
    }

    private String wayTo(NextJob next) {
        if (next.room().equals(entered.id()) && !next.command().isEmpty()) {
            return next.command();
        }
        return "Go to " + room(next.room()).map(Room::title).orElse("");
    }

    /** Goes where the job goes on, and begins it there. */
    private void goOn(NextJob next) {
        enter(next.room());
        perform(next.command());
    }

    private void showReport() {
        if (entered != null) {
            Room.Report report = entered.reportProperty().getValue();
            findings.show(report);
            boolean isSilent = report.findingsTitle().isEmpty() && !findings.hasAside();
            folding.show(entered.title(), report.findings().size(), !isSilent && !studio.isAwaited() && !isWelcoming());
            showNext();
        }
    }

    // --- what lies over the window -----------------------------------------------------------------------------

    private void openFinder() {
        veil.lay(finder, Pos.TOP_CENTER);
        finder.open();
    }

    private void openHelp() {
        openPage(entered.helpResource());
    }

    private void openPreferences() {
        PreferencesPage page = new PreferencesPage(studio, appearance, saving, veil::lift);
        veil.lay(page, Pos.CENTER);
        page.focus();
    }

    private void openPage(String resource) {
        HelpPage page = new HelpPage(resource, veil::lift);
        veil.lay(page, Pos.CENTER);
        page.focus();
    }

    private void rename(String title, String present, Function<String, Optional<String>> rename) {
        NamePage page = new NamePage(title, present, "Rename", rename, veil::lift);
        veil.lay(page, Pos.TOP_CENTER);
        page.focus();
    }
}
