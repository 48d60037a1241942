package kalodyne.desktop.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.runsheet.Act;
import kalodyne.core.runsheet.SheetProgress;
import kalodyne.core.runsheet.Step;
import kalodyne.core.runsheet.Task;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.studio.StudioFile;
import kalodyne.desktop.model.PaperModel;
import kalodyne.desktop.model.SheetModel;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SheetRoomTest {
    private static final byte[] PICTURE = Base64.getDecoder()
            .decode("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==");

    @TempDir
    Path folder;

    private Desk desk;

    @BeforeEach
    void open() throws IOException {
        desk = Desk.demo(folder);
        enter();
    }

    private void enter() {
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT4);
        Desk.onScreen(() -> {
            desk.<SheetView>find(".room").requestFocus();
            return null;
        });
    }

    @AfterEach
    void close() {
        desk.close();
    }

    private SheetModel sheet() {
        return desk.workbench().sheet();
    }

    private SheetModel.State state() {
        return Desk.onScreen(() -> sheet().state());
    }

    private List<Step> steps() {
        return state().sheet().steps();
    }

    private List<Task> tasks() {
        return state().sheet().tasks();
    }

    private Step first(Act act) {
        return steps().stream().filter(step -> step.act() == act).findFirst().orElseThrow();
    }

    private int place(Act act) {
        return tasks().indexOf(state().sheet().taskOf(first(act)).orElseThrow());
    }

    /** Space, as often as it takes; only the last presses are the system's own, which take their time. */
    private void tickUpTo(int count) {
        Desk.onScreen(() -> {
            for (int i = sheet().state().progress().done(); i < count - 1; i++) {
                sheet().done();
            }
            return null;
        });
        desk.press(KeyCode.SPACE);
        assertThat(state().progress().done()).isEqualTo(count);
    }

    @Test
    void it_is_ticked_by_keyboard_and_goes_on_after_a_restart() throws IOException {
        assertThat(desk.text("#sheet-sentence")).matches("[0-9]+ steps, about [0-9]+ min until the first take");
        desk.press(KeyCode.SPACE);
        assertThat(desk.text("#sheet-sentence")).startsWith("0 of ");
        desk.press(KeyCode.SPACE);
        desk.press(KeyCode.SPACE);
        assertThat(state().progress().done()).isEqualTo(2);
        assertThat(desk.text("#next-step")).isEqualTo(tasks().get(2).title()).isEqualTo(desk.text("#step-title"));
        desk.press(KeyCode.UP);
        assertThat(desk.text("#step-title")).isEqualTo(tasks().get(1).title());
        desk.press(KeyCode.BACK_SPACE);
        assertThat(state().progress().done()).isEqualTo(1);
        desk.press(KeyCode.HOME);
        tickUpTo(place(Act.PLUG));
        String next = desk.text("#step-title");
        List<Tick> ticks = state().session().orElseThrow().ticks();
        assertThat(ticks).extracting(Tick::outcome).contains(Tick.Outcome.DONE);

        desk.close();
        desk = Desk.on(folder, folder.resolve("boathouse.kalodyne"));
        assertThat(((Labeled) desk.robot().lookup("#room-runsheet .strong").query()).getText())
                .isEqualTo(place(Act.PLUG) + "/" + tasks().size());
        enter();
        assertThat(desk.text("#step-title")).isEqualTo(next);
        assertThat(state().session().orElseThrow().ticks()).isEqualTo(ticks);
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(state().progress().done()).isEqualTo(place(Act.PLUG) - 1);
    }

    /** Looking ahead is allowed, ticking ahead is not: what comes first is named. */
    @Test
    void what_is_not_safe_yet_cannot_be_ticked() {
        desk.press(KeyCode.SPACE);
        Step plug = first(Act.PLUG);
        choose(plug);
        assertThat(desk.text("#step-not-yet")).startsWith("Not yet. First “Speakers off");
        assertThat(desk.<Button>find("#step-done").isDisabled()).isTrue();
        desk.press(KeyCode.SPACE);
        assertThat(state().progress().done()).isZero();
        desk.press(KeyCode.HOME);
        tickUpTo(place(Act.PLUG) + 2);
        Step speakers = first(Act.SWITCH_OFF);
        choose(speakers);
        desk.click("#step-again");
        assertThat(Desk.onScreen(() -> sheet().state().progress().of(plug))).isEqualTo(SheetProgress.State.AGAIN);
        assertThat(desk.text("#step-title")).isEqualTo(speakers.title());
    }

    /** Of what is done in one go each part can be ticked alone; Space ticks the rest of it. */
    @Test
    void parts_are_ticked_one_by_one_or_together() {
        desk.press(KeyCode.SPACE);
        Task ready = tasks().get(0);
        assertThat(ready.parts()).hasSizeGreaterThan(2);
        desk.click("#part-2");
        assertThat(Desk.onScreen(
                        () -> sheet().state().progress().of(ready.parts().get(1))))
                .isEqualTo(SheetProgress.State.DONE);
        assertThat(state().progress().done()).isZero();
        desk.press(KeyCode.SPACE);
        assertThat(state().progress().done()).isEqualTo(1);
        desk.press(KeyCode.UP);
        desk.click("#part-1");
        assertThat(state().progress().done()).isZero();
        assertThat(desk.text("#step-title")).isEqualTo(ready.title());
    }

    /** A camera that nothing is plugged into films beside: it has its own steps, and a clap lines both up. */
    @Test
    void a_camera_films_beside() {
        desk.click("#plan-more");
        ComboBox<Optional<Device>> film = desk.find("#plan-film");
        Desk.onScreen(() -> {
            film.setValue(film.getItems().stream()
                    .filter(device ->
                            device.filter(each -> each.id().equals("camera")).isPresent())
                    .findFirst()
                    .orElseThrow());
            return null;
        });
        assertThat(steps().stream().map(step -> step.title() + " " + step.detail()))
                .anyMatch(words -> words.contains("Start the film first") && words.contains("clap once"))
                .anyMatch(words -> words.startsWith("Camera: full battery"))
                .anyMatch(words -> words.contains("By the clap") && words.contains("mute the sound of Camera"))
                .anyMatch(words -> words.contains("sunday-trio_film_1"));
        desk.press(KeyCode.ESCAPE);
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(steps()).noneMatch(step -> step.title().contains("Camera"));
    }

    private void choose(Step step) {
        Desk.onScreen(() -> {
            sheet().choose(java.util.Optional.of(step));
            return null;
        });
        desk.rest();
    }

    @Test
    void a_failed_check_leads_from_the_source_onward() {
        desk.press(KeyCode.SPACE);
        Step level = steps().stream()
                .filter(step -> step.title().contains("gain 3 on Interface"))
                .findFirst()
                .orElseThrow();
        choose(level);
        desk.click("#symptom-no-signal");
        assertThat(desk.text("#search-question")).isEqualTo("Is Bass synth on, turned up and playing?");
        desk.click("#search-yes");
        assertThat(desk.text("#search-question")).contains("meter of Interface move", "Line in 3");
        desk.click("#search-no");
        List<String> causes = desk.robot().lookup("#search-pane .step-detail").queryAllAs(Labeled.class).stream()
                .map(Labeled::getText)
                .toList();
        assertThat(causes).anyMatch(cause -> cause.contains("Lead 7"));
        desk.click("#search-back");
        desk.click("#search-yes");
        assertThat(desk.text("#search-question")).contains("track 3");
        desk.click("#search-end");
        assertThat(desk.shows("#search-pane")).isFalse();
        choose(level);
        assertThat(desk.text("#step-note")).isEqualTo("Noticed: No signal");
    }

    @Test
    void notes_photographs_and_what_is_planned_are_kept() throws Exception {
        desk.press(KeyCode.SPACE);
        Step first = steps().get(0);
        Path photo = Files.write(folder.resolve("desk.png"), PICTURE);
        Desk.onScreen(() -> {
            sheet().note(first, "the red lead is at the neighbour's");
            sheet().addPhoto(first, photo);
            sheet().addPhoto(first, photo);
            sheet().addPhoto(first, folder.resolve("gone.png"));
            return null;
        });
        desk.rest();
        assertThat(desk.text("#step-note")).isEqualTo("the red lead is at the neighbour's");
        assertThat(state().tick(first).orElseThrow().photos()).containsExactly("photos/desk.png", "photos/desk 2.png");
        assertThat(folder.resolve("photos/desk 2.png")).hasBinaryContent(PICTURE);
        assertThat(desk.workbench()
                        .studio()
                        .noticeProperty()
                        .get()
                        .orElseThrow()
                        .text())
                .contains("gone.png");

        desk.typeInto("#planned-minutes", "five");
        assertThat(Desk.onScreen(() -> sheet().sessionPlan().minutes())).isEqualTo(30);
        assertThat(desk.text("#planned-minutes")).isEqualTo("five");
        desk.typeInto("#planned-minutes", "90");
        desk.typeInto("#planned-parts", "Bass, , Snare");
        assertThat(steps()).filteredOn(step -> step.act() == Act.TAKE).hasSize(2);
        assertThat(steps().stream().map(Step::title)).anyMatch(title -> title.contains("for 1 h 30 min"));

        Desk.onScreen(() -> {
            sheet().finish();
            return null;
        });
        desk.rest();
        assertThat(state().lastTime()).isPresent();
        desk.close();
        assertThat(StudioFile.read(folder.resolve("boathouse.kalodyne"))
                        .setups()
                        .get(0)
                        .sessions())
                .singleElement()
                .satisfies(session -> {
                    assertThat(session.isOver()).isTrue();
                    assertThat(session.wiring().plugged()).isNotEmpty();
                });
        desk = Desk.on(folder, folder.resolve("boathouse.kalodyne"));
    }

    /** Everything that is planned is typed in one place; what cannot be read stays as typed and changes nothing. */
    @Test
    void format_space_power_and_places_are_planned() {
        desk.click("#plan-more");
        desk.typeInto("#free-laptop", "0,5 GB");
        assertThat(state().sheet().findings())
                .extracting(finding -> finding.mark())
                .contains("sheet.space-short");
        desk.typeInto("#free-laptop", "plenty");
        assertThat(desk.text("#plan-problem")).contains("Write for example 32 GB");
        assertThat(desk.text("#free-laptop")).isEqualTo("plenty");
        desk.typeInto("#free-laptop", "");
        desk.typeInto("#plan-round-trip", "14.6 ms");
        assertThat(steps()).anyMatch(step -> step.reason().contains("14.6 ms late"));
        desk.typeInto("#stand-bass-synth-along", "9");
        desk.typeInto("#stand-interface-along", "200 m");
        assertThat(desk.text("#plan-problem")).contains("too far away");
        desk.typeInto("#stand-interface-along", "1,5 m");
        // 7.5 m along and 15 % to spare: Lead 7 has 3 m.
        assertThat(state().sheet().findings())
                .filteredOn(finding -> finding.mark().equals("sheet.lead-short"))
                .singleElement()
                .satisfies(finding -> assertThat(finding.title()).isEqualTo("Lead 7 is too short"));
        desk.choose("#power-drum-box", PowerSource.ADAPTER_UNEARTHED);
        desk.choose("#plan-rate", OptionalInt.of(96_000));
        assertThat(steps().stream().map(Step::title))
                .noneMatch(title -> title.startsWith("Drum box: full battery"))
                .anyMatch(title -> title.startsWith("Laptop: 2.07 GB free"));
        desk.press(KeyCode.ESCAPE);
        assertThat(desk.shows("#plan-page")).isFalse();
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(Desk.onScreen(() -> sheet().sessionPlan().sampleRateHz())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"sheet.pdf, ready to print", "boathouse.kalodyne/sheet.pdf, was not written"})
    void it_is_printed_or_said_why_not(String name, String told) {
        List<PaperModel.Printable> all =
                Desk.onScreen(() -> desk.workbench().paper().printables());
        assertThat(all).extracting(PaperModel.Printable::name).contains("Run sheet", "Patch list", "Lead labels");
        for (PaperModel.Printable what : all) {
            Path file = folder.resolve(name);
            Desk.onScreen(() -> {
                desk.workbench().paper().print(file, what);
                return null;
            });
            assertThat(desk.workbench()
                            .studio()
                            .noticeProperty()
                            .get()
                            .orElseThrow()
                            .title())
                    .startsWith(what.name())
                    .contains(told);
            assertThat(Files.exists(file)).isEqualTo(told.contains("ready"));
        }
    }

    @Test
    void an_empty_setup_says_where_to_begin() {
        Desk.onScreen(() -> {
            desk.workbench().studio().setups().add();
            return null;
        });
        desk.rest();
        assertThat(desk.text("#sheet-sentence")).isEqualTo("Nothing is plugged in this setup yet");
        assertThat(desk.text("#next-step")).startsWith("Say what you want to record");
        desk.press(KeyCode.SPACE);
        assertThat(state().session()).isEmpty();
    }
}
