package kalodyne.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.findings.Severity;
import kalodyne.core.runsheet.Act;
import kalodyne.core.runsheet.FaultSearch;
import kalodyne.core.runsheet.SheetProgress;
import kalodyne.core.runsheet.Step;
import kalodyne.core.runsheet.Symptom;
import kalodyne.core.runsheet.Task;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.studio.Studio;
import kalodyne.core.testing.Studios;
import kalodyne.desktop.testing.Models;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Going through the run sheet. */
class SheetModelTest {
    private static final long SECOND = 1_000_000_000;

    @TempDir
    Path folder;

    private final AtomicLong nanos = new AtomicLong();
    private Models models;
    private SheetModel sheet;

    @BeforeEach
    void open() throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        sheet = new SheetModel(models.studio(), Models.CLOCK, nanos::get);
    }

    @AfterEach
    void close() {
        models.close();
    }

    private SheetModel.State state() {
        return sheet.state();
    }

    private void doAll(int steps) {
        for (int i = 0; i < steps; i++) {
            if (sheet.isWaiting()) {
                nanos.addAndGet(600 * SECOND);
                sheet.pass();
            }
            sheet.done();
        }
    }

    @Test
    void it_is_made_when_somebody_looks() {
        assertThat(state().sheet().steps()).isEmpty();
        sheet.look();
        assertThat(state().sheet().steps()).hasSizeGreaterThan(20);
        assertThat(state().session()).isEmpty();
        assertThat(state().step())
                .as("the first one is looked at")
                .contains(state().sheet().steps().get(0));
    }

    @Test
    void ticking_goes_on_to_the_next_step_and_is_kept() throws IOException {
        sheet.look();
        sheet.begin();
        assertThat(state().session()).isPresent();
        Step first = state().step().orElseThrow();
        sheet.done();
        assertThat(state().progress().of(first)).isEqualTo(SheetProgress.State.DONE);
        assertThat(state().progress().done()).isEqualTo(1);
        assertThat(state().step()).hasValueSatisfying(now -> assertThat(now).isNotEqualTo(first));
        models.close();
        models = Models.on(folder.resolve("mine.kalodyne"), Studio.empty());
        sheet = new SheetModel(models.studio(), Models.CLOCK, nanos::get);
        sheet.look();
        assertThat(state().progress().of(first)).isEqualTo(SheetProgress.State.DONE);
        assertThat(state().session().orElseThrow().begun()).isEqualTo(Models.CLOCK.instant());
    }

    @Test
    void a_step_that_is_opened_again_is_to_be_done_again() {
        sheet.look();
        sheet.begin();
        doAll(3);
        assertThat(state().progress().done()).isEqualTo(3);
        Step second = state().sheet().tasks().get(1).parts().get(0);
        sheet.choose(Optional.of(second));
        sheet.undo();
        assertThat(state().progress().of(second)).isNotEqualTo(SheetProgress.State.DONE);
        assertThat(state().progress().now()).contains(second);
    }

    @Test
    void a_skipped_step_is_told_as_such() {
        sheet.look();
        sheet.begin();
        Step first = state().step().orElseThrow();
        sheet.skip();
        assertThat(state().tick(first))
                .hasValueSatisfying(tick -> assertThat(tick.outcome()).isEqualTo(Tick.Outcome.SKIPPED));
        assertThat(state().progress().now())
                .hasValueSatisfying(now -> assertThat(now).isNotEqualTo(first));
    }

    /** To the last step and home: the sheet is over, and its end is kept. */
    @Test
    void all_of_it_can_be_gone_through() {
        sheet.look();
        sheet.begin();
        int steps = state().sheet().steps().size();
        doAll(3 * steps);
        assertThat(state().isOver())
                .as("%d of %d", state().progress().done(), steps)
                .isTrue();
        sheet.finish();
        assertThat(state().session()).isEmpty();
        assertThat(models.studio().setup().sessions())
                .singleElement()
                .satisfies(session -> assertThat(session.isOver()).isTrue());
        assertThat(state().lastTime()).isPresent();
        int whole = state().sheet().tasks().size();
        List<Step> harmful = state().sheet().steps().stream()
                .filter(step -> step.caution()
                        .filter(caution -> caution.severity() == Severity.HARM)
                        .isPresent())
                .toList();
        sheet.showShort(true);
        assertThat(state().sheet().tasks()).hasSizeLessThan(whole * 3 / 4);
        assertThat(state().sheet().steps())
                .extracting(Step::id)
                .containsAll(harmful.stream().map(Step::id).toList());
        assertThat(state().sheet().tasks()).extracting(Task::title).contains("Plug as last time");
    }

    /** A wait goes by a counter that only goes forward; it can be passed over only when it is over. */
    @Test
    void a_wait_is_waited_for() throws IOException {
        models.close();
        models = Models.on(
                folder.resolve("condenser.kalodyne"),
                Studios.of(
                        "Mic",
                        "mic-condenser-large.out xlr-xlr interface-2.mic-1; interface-2.usb usb-a-c laptop-combo.usb-1"));
        sheet = new SheetModel(models.studio(), Models.CLOCK, nanos::get);
        sheet.look();
        sheet.begin();
        Step wait = state().sheet().steps().stream()
                .filter(step -> step.act() == Act.WAIT)
                .findFirst()
                .orElseThrow();
        while (!state().step().map(wait::equals).orElse(false)) {
            doAll(1);
        }
        sheet.done();
        assertThat(sheet.left(wait)).isPresent();
        assertThat(sheet.isWaiting()).isTrue();
        sheet.pass();
        sheet.done();
        assertThat(state().progress().of(wait)).as("too early").isNotEqualTo(SheetProgress.State.DONE);
        nanos.addAndGet(600 * SECOND);
        sheet.pass();
        assertThat(state().progress().of(wait)).isEqualTo(SheetProgress.State.DONE);
    }

    @Test
    void notes_and_photographs_belong_to_a_step() throws IOException {
        sheet.look();
        sheet.begin();
        Step step = state().step().orElseThrow();
        sheet.note(step, "Lead 7 crackles");
        Path photo = Files.write(folder.resolve("socket.png"), new byte[] {1, 2, 3});
        sheet.addPhoto(step, photo);
        Tick tick = state().tick(step).orElseThrow();
        assertThat(tick.note()).isEqualTo("Lead 7 crackles");
        assertThat(tick.photos())
                .singleElement()
                .satisfies(kept -> assertThat(sheet.fileOf(kept)).hasSameBinaryContentAs(photo));
        sheet.addPhoto(step, folder.resolve("gone.png"));
        assertThat(models.studio().noticeProperty().get())
                .hasValueSatisfying(notice -> assertThat(notice.title()).isEqualTo("The photograph was not added"));
    }

    /** What is noticed leads to questions; each answer leads on, back leads back, and in the end the step is tried again. */
    @Test
    void a_symptom_leads_to_questions() {
        sheet.look();
        sheet.begin();
        Step step = state().sheet().steps().stream()
                .filter(each -> each.symptoms().contains(Symptom.NO_SIGNAL))
                .findFirst()
                .orElseThrow();
        sheet.choose(Optional.of(step));
        sheet.notice(Symptom.NO_SIGNAL);
        assertThat(state().search()).isPresent();
        FaultSearch begun = state().search().orElseThrow();
        sheet.answer(true);
        assertThat(state().search().orElseThrow().at()).isEqualTo(1);
        sheet.backInSearch();
        assertThat(state().search()).contains(begun);
        sheet.answer(false);
        assertThat(state().search().orElseThrow().found())
                .contains(begun.asked().orElseThrow());
        sheet.endSearch();
        assertThat(state().search()).isEmpty();
    }
}
