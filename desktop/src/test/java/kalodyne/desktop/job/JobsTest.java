package kalodyne.desktop.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;

class JobsTest {
    private final List<String> heard = Collections.synchronizedList(new ArrayList<>());
    private Jobs jobs;

    @BeforeAll
    static void startToolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
    }

    @BeforeEach
    void begin() {
        jobs = Desk.onScreen(Jobs::new);
    }

    @AfterEach
    void end() {
        Desk.onScreen(() -> {
            jobs.close();
            return null;
        });
    }

    private <T> void run(String name, Jobs.Work<T> work) {
        Desk.onScreen(() -> {
            jobs.run(name, work)
                    .then(result -> heard.add(
                            name + " gave " + result + (Platform.isFxApplicationThread() ? "" : ", on a wrong thread")))
                    .otherwise(failure -> heard.add(name + " failed: " + failure.getMessage()))
                    .whenStopped(() -> heard.add(name + " was stopped"));
            return null;
        });
    }

    private void rest() {
        Desk.until(() -> Desk.onScreen(jobs::isIdle));
    }

    @Test
    void works_one_after_the_other_and_tells_each_on_the_screens_thread() {
        run("first", progress -> 1);
        run("second", progress -> {
            throw new IllegalStateException("no disk");
        });
        run("third", progress -> 3);
        rest();
        assertThat(heard).containsExactly("first gave 1", "second failed: no disk", "third gave 3");
    }

    /** A recording too large for the memory must not be "being read" for ever. */
    @Test
    void tells_that_there_is_too_little_memory_and_goes_on() {
        run("huge", progress -> {
            throw new OutOfMemoryError("Java heap space");
        });
        run("next", progress -> 2);
        rest();
        assertThat(heard)
                .containsExactly(
                        "huge failed: There is not enough memory for it. Close other programs, or try a shorter recording.",
                        "next gave 2");
    }

    @Test
    void brief_work_that_fails_is_told_too() {
        Desk.onScreen(() -> {
            jobs.onBriefFailure(failure -> heard.add("told: " + failure.getMessage()));
            jobs.runBriefly(
                    progress -> {
                        throw new IllegalStateException("no way");
                    },
                    result -> heard.add("delivered"));
            return null;
        });
        rest();
        assertThat(heard).containsExactly("told: no way");
    }

    /** What was handed in before the cancelling stops, waiting work too; what comes after runs. */
    @Test
    void cancels_what_was_handed_in_so_far_and_nothing_later() throws InterruptedException {
        CountDownLatch begun = new CountDownLatch(1);
        run("running", progress -> {
            begun.countDown();
            while (progress.report(0.5)) {
                Thread.onSpinWait();
            }
            throw new CancellationException();
        });
        run("waiting", progress -> 2);
        begun.await();
        Desk.onScreen(() -> {
            jobs.cancel();
            return null;
        });
        run("later", progress -> 3);
        rest();
        assertThat(heard).containsExactly("running was stopped", "waiting was stopped", "later gave 3");
    }

    @Test
    void shows_how_far_it_is() throws InterruptedException {
        CountDownLatch half = new CountDownLatch(1);
        CountDownLatch go = new CountDownLatch(1);
        run("reading", progress -> {
            progress.report(0.5);
            half.countDown();
            go.await();
            return 0;
        });
        half.await();
        Desk.until(() -> Desk.onScreen(() -> jobs.statusProperty().get().equals(new Jobs.Status("reading", 0.5))));
        go.countDown();
        rest();
        assertThat(Desk.<Boolean>onScreen(() -> jobs.statusProperty().get().isIdle()))
                .isTrue();
    }
}
