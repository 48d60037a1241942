package kalodyne.desktop.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.route.Way;
import kalodyne.core.studio.setup.Take;
import kalodyne.desktop.takes.RecordingModel;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Five musicians with what most of them have at home, from an empty studio to what the program says of a first take, with the simulated interface, by nothing but the mouse or
 * nothing but keys: each does what the line at the bottom says. What the best way goes through is common practice.
 */
class FirstVerdictTest {
    /** So many clicks or keys at the most until the first ways are seen. */
    private static final int MOST_TO_A_WAY = 15;

    /** As measured, with a tenth more: every step of the run sheet is one of them. */
    private static final int MOST_TO_A_VERDICT = 35;

    /** Nobody's run sheet is longer. */
    private static final int MOST_STEPS = 60;

    private static final double SECONDS = 1.5;

    @TempDir
    Path folder;

    private Desk desk;
    private int pressed;

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            groovebox phone            | mini-mini headset-splitter-ctia | Straight into Phone
            voice interface laptop     | xlr-xlr usb-a-c                 | Two-input interface
            electric interface tablet  | ts-ts usb-c-c                   | Two-input interface
            records interface laptop   | rca-2ts usb-a-c                 | Phono preamp
            band camera                | mini-2ts mini-mini              | Straight into Camera
            """)
    void by_mouse(String ticked, String leads, String through) {
        try (Desk own = Desk.own(folder)) {
            desk = own;
            for (String picture : ticked.split(" ", -1)) {
                click("#start-" + picture);
            }
            for (String lead : leads.split(" ", -1)) {
                click("#start-more-" + lead);
            }
            click("#next-go");
            int known = awaitWays(through);
            if (known > 0) {
                desk.click("#way-" + known);
                pressed++;
            }
            click("#use-way");
            goThroughTheSheet(
                    () -> click("#next-go"),
                    () -> click("#set-all"),
                    () -> click("#sheet-begin"),
                    () -> click("#step-done"));
            click("#record-first");
            record(() -> click("#record-start"));
            told("mouse, " + ticked);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "groovebox phone, Straight into Phone",
        "voice interface laptop, Two-input interface",
        "electric interface tablet, Two-input interface",
        "records interface laptop, Phono preamp",
        "band camera, Straight into Camera"
    })
    void by_keyboard(String ticked, String through) {
        try (Desk own = Desk.own(folder)) {
            desk = own;
            for (String picture : ticked.split(" ", -1)) {
                arrowTo("start-" + picture);
                press(KeyCode.SPACE);
            }
            press(KeyCode.ENTER);
            int known = awaitWays(through);
            while (known > 0 && !"ways".equals(focused())) {
                press(KeyCode.TAB);
            }
            for (int i = 0; i < known; i++) {
                press(KeyCode.DOWN);
            }
            press(KeyCode.ENTER);
            goThroughTheSheet(
                    () -> press(KeyCode.F8),
                    () -> press(KeyCode.CONTROL, KeyCode.ENTER),
                    () -> press(KeyCode.CONTROL, KeyCode.D),
                    () -> press(KeyCode.CONTROL, KeyCode.D));
            press(KeyCode.CONTROL, KeyCode.R);
            record(() -> press(KeyCode.CONTROL, KeyCode.R));
            told("keys, " + ticked);
        }
    }

    private void click(String query) {
        desk.click(query);
        pressed++;
    }

    private void press(KeyCode... keys) {
        desk.press(keys);
        pressed++;
    }

    /** Along the pictures, and down a row where that is nearer. */
    private void arrowTo(String picture) {
        for (int i = 0; i < 30 && !picture.equals(focused()); i++) {
            double here = desk.find("#" + focused()).localToScene(0, 0).getY();
            double there = desk.find("#" + picture).localToScene(0, 0).getY();
            press(there > here + 1 ? KeyCode.DOWN : there < here - 1 ? KeyCode.UP : towards(picture));
        }
        assertThat(focused()).isEqualTo(picture);
    }

    private KeyCode towards(String picture) {
        double here = desk.find("#" + focused()).localToScene(0, 0).getX();
        return desk.find("#" + picture).localToScene(0, 0).getX() > here ? KeyCode.RIGHT : KeyCode.LEFT;
    }

    private String focused() {
        return Desk.onScreen(() -> desk.stage().getScene().getFocusOwner().getId());
    }

    /** The place of the first way of which it is known how loud it comes in; of the first where that is none. What is missing is got. */
    @SuppressWarnings("unchecked")
    private int awaitWays(String through) {
        ListView<Way> ways = (ListView<Way>) desk.<ListView<?>>find("#ways");
        Desk.until(() -> Desk.onScreen(() -> !ways.getItems().isEmpty()));
        desk.rest();
        assertThat(pressed).isLessThanOrEqualTo(MOST_TO_A_WAY);
        assertThat(ways.getItems().get(0).title()).contains(through);
        List<Way> found = Desk.onScreen(() -> List.copyOf(ways.getItems()));
        return (int) found.stream()
                        .takeWhile(way -> way.strands().stream()
                                        .anyMatch(strand -> strand.prediction().isEmpty())
                                || way.joints().stream().anyMatch(Checked::cannotWork))
                        .count()
                % found.size();
    }

    /** Does what the line at the bottom says, until it says to record. */
    private void goThroughTheSheet(Runnable goOn, Runnable setKnobs, Runnable begin, Runnable done) {
        for (int i = 0; i < MOST_STEPS && !room().equals("takes"); i++) {
            String next = desk.text("#next-step").toLowerCase(Locale.ROOT);
            if (desk.shows("#next-go")) {
                goOn.run();
            } else if (room().equals("levels")) {
                setKnobs.run();
            } else if (next.contains("record")) {
                desk.press(KeyCode.CONTROL, KeyCode.DIGIT5);
            } else if (desk.shows("#sheet-begin")) {
                begin.run();
            } else {
                done.run();
            }
        }
        assertThat(room()).as(desk.text("#next-step")).isEqualTo("takes");
    }

    private String room() {
        return Desk.onScreen(() -> desk.workbench().window().room());
    }

    private void record(Runnable startOrStop) {
        RecordingModel recording = desk.workbench().recording();
        Desk.until(() -> Desk.onScreen(() -> recording.state() == RecordingModel.State.LISTENING));
        startOrStop.run();
        Desk.until(() -> Desk.onScreen(() -> recording
                        .meter()
                        .filter(meter -> recording.state() == RecordingModel.State.RECORDING)
                        .map(recording::seconds)
                        .orElse(0.0)
                > SECONDS));
        startOrStop.run();
        Desk.until(() -> Desk.onScreen(() -> recording.state() == RecordingModel.State.IDLE));
        desk.rest();
    }

    /** One take, with a verdict: where its peaks are, and what to do. */
    private void told(String who) {
        List<Take> takes = desk.workbench().studio().setup().takes();
        assertThat(takes).hasSize(1);
        assertThat(takes.get(0).judged()).isPresent();
        assertThat(desk.text("#takes-sentence")).contains("dBFS");
        assertThat(desk.text("#next-step")).isNotBlank();
        assertThat(pressed).as(who).isLessThanOrEqualTo(MOST_TO_A_VERDICT);
    }
}
