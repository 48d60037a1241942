package kalodyne.desktop.control;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeoutException;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.AccessibleAttribute;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.StackPane;
import kalodyne.core.gear.AudioTaper;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.gear.Taper;
import kalodyne.core.units.Gain;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.testfx.api.FxToolkit;

/**
 * A knob under mouse, wheel and keys. It turns from 7:00 to 5:00, ten hours: a quarter of an hour is 0.025 of its travel, three o'clock
 * 0.8. It gives 0 to 60 dB, so that a decibel is 1/60.
 */
class ClockFaceTest {
    private static final Taper GAIN = new LinearTaper(new Gain(0), new Gain(60));
    private static final double ADVISED = 0.3;
    private static final int SIZE = 100;

    private final List<Double> turned = new ArrayList<>();
    private final List<Object> gestures = new ArrayList<>();

    @BeforeAll
    static void start() throws TimeoutException {
        FxToolkit.registerPrimaryStage();
    }

    private ClockFace face(Taper taper, double position) {
        return Desk.onScreen(() -> {
            ClockFace face = new ClockFace((gesture, to) -> {
                gestures.add(gesture);
                turned.add(to);
            });
            Control control = new Control("gain", taper, Dial.USUAL, position);
            face.show(control, control.at(ADVISED), false);
            new Scene(new StackPane(face), SIZE, SIZE);
            face.resize(SIZE, SIZE);
            return face;
        });
    }

    private double last() {
        return turned.get(turned.size() - 1);
    }

    private static void fire(ClockFace face, Event event) {
        Desk.onScreen(() -> {
            Event.fireEvent(face, event);
            return null;
        });
    }

    private static KeyEvent key(String keys) {
        boolean shift = keys.contains("Shift+");
        boolean control = keys.contains("Ctrl+");
        KeyCode code = KeyCode.valueOf(keys.substring(keys.lastIndexOf('+') + 1));
        return new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, shift, control, false, false);
    }

    private static MouseEvent mouse(EventType<MouseEvent> type, double x, double y, boolean shift) {
        MouseButton button = MouseButton.PRIMARY;
        return new MouseEvent(
                type, x, y, x, y, button, 1, shift, false, false, false, true, false, false, true, false, false, null);
    }

    @ParameterizedTest(name = "{1} from {0}")
    @CsvSource({
        "0.5, UP, 0.525",
        "0.5, RIGHT, 0.525",
        "0.5, DOWN, 0.475",
        "0.5, LEFT, 0.475",
        "0.51, UP, 0.525",
        "0.5, Shift+UP, 0.501667",
        "0.51, Shift+DOWN, 0.508333",
        "0.5, HOME, 0",
        "0.5, END, 1",
        "0.5, ENTER, 0.3",
        "0.5, Ctrl+UP, 0.516667",
        "0.5, Ctrl+DOWN, 0.483333",
        "1, UP, 1",
        "0, DOWN, 0",
        "0.995, Ctrl+UP, 1"
    })
    void keys_turn_it(double from, String keys, double to) {
        fire(face(GAIN, from), key(keys));
        assertThat(last()).isCloseTo(to, within(1e-6));
    }

    /** Steps of 20 dB, three of them: one key is one click, however small its step. */
    @ParameterizedTest(name = "{1} from {0}")
    @CsvSource({"0, UP, 0.5", "0.5, UP, 1", "1, DOWN, 0.5", "0.5, Ctrl+DOWN, 0", "0, Shift+UP, 0.5"})
    void a_switch_goes_from_click_to_click(double from, String keys, double to) {
        Taper steps = new SteppedTaper(List.of(new Gain(-40), new Gain(-20), new Gain(0)));
        fire(face(steps, from), key(keys));
        assertThat(steps.rest(last())).isCloseTo(to, within(1e-9));
    }

    /** A volume that is shut has no decibel to count from: it opens by a quarter of an hour. */
    @Test
    void what_is_shut_opens_a_little() {
        fire(face(new AudioTaper(Gain.NONE), 0), key("Ctrl+UP"));
        assertThat(last()).isCloseTo(0.025, within(1e-9));
    }

    @Test
    void other_keys_are_left_to_others() {
        ClockFace face = face(GAIN, 0.5);
        fire(face, key("A"));
        fire(face, key("Ctrl+HOME"));
        assertThat(turned).isEmpty();
    }

    /** Of a knob of which nobody knows where it stands, pointing to where it is taken to stand tells that it does. */
    @ParameterizedTest
    @CsvSource({"true, 1", "false, 0"})
    void pointing_to_where_it_stands_tells_so_only_where_nobody_knew(boolean isMissed, int told) {
        ClockFace face = face(GAIN, 0.5);
        Control control = new Control("gain", GAIN, Dial.USUAL, 0.5);
        Desk.onScreen(() -> {
            face.show(control, control.at(ADVISED), isMissed);
            return null;
        });
        fire(face, mouse(MouseEvent.MOUSE_PRESSED, 50, 10, false));
        fire(face, mouse(MouseEvent.MOUSE_DRAGGED, 50, 10, false));
        fire(face, mouse(MouseEvent.MOUSE_RELEASED, 50, 10, false));
        assertThat(turned).hasSize(told);
    }

    /** Twelve o'clock is above, three to the right; between five and seven the hand cannot go, and takes the nearer end. */
    @ParameterizedTest(name = "to {0}, {1}")
    @CsvSource({
        "50, 10, false, 0.5",
        "90, 50, false, 0.8",
        "10, 50, false, 0.2",
        "60, 95, false, 1",
        "40, 95, false, 0",
        "52, 10, false, 0.5",
        "53, 10, true, 0.514297"
    })
    void the_hand_follows_the_mouse(double x, double y, boolean shift, double to) {
        ClockFace face = face(GAIN, 0.35);
        fire(face, mouse(MouseEvent.MOUSE_DRAGGED, x, y, shift));
        assertThat(turned).as("it was not taken hold of").isEmpty();
        fire(face, mouse(MouseEvent.MOUSE_PRESSED, 50, 20, shift));
        fire(face, mouse(MouseEvent.MOUSE_DRAGGED, 70, 20, shift));
        fire(face, mouse(MouseEvent.MOUSE_DRAGGED, x, y, shift));
        fire(face, mouse(MouseEvent.MOUSE_RELEASED, x, y, shift));
        assertThat(last()).isCloseTo(to, within(1e-5));
        // Once a frame at the most: it may have been one or two.
        assertThat(gestures.stream().distinct()).as("one drag is one edit").hasSize(1);
        int before = turned.size();
        fire(face, mouse(MouseEvent.MOUSE_DRAGGED, 50, 10, shift));
        fire(face, mouse(MouseEvent.MOUSE_RELEASED, 50, 10, shift));
        assertThat(turned).as("it was let go").hasSize(before);
    }

    @ParameterizedTest
    @CsvSource({"40, false, 0.525", "-40, false, 0.475", "40, true, 0.501667"})
    void the_wheel_turns_it(double delta, boolean shift, double to) {
        ScrollEvent wheel = new ScrollEvent(
                ScrollEvent.SCROLL,
                50,
                50,
                50,
                50,
                shift,
                false,
                false,
                false,
                false,
                false,
                0,
                delta,
                0,
                delta,
                ScrollEvent.HorizontalTextScrollUnits.NONE,
                0,
                ScrollEvent.VerticalTextScrollUnits.NONE,
                0,
                0,
                null);
        fire(face(GAIN, 0.5), wheel);
        assertThat(last()).isCloseTo(to, within(1e-6));
    }

    @Test
    void who_cannot_see_it_is_told() {
        ClockFace face = face(GAIN, 0.5);
        assertThat(face.getAccessibleText()).isEqualTo("gain, +30.0 dB · 12:00, advised +18.0 dB · 10:00");
        assertThat(face.queryAccessibleAttribute(AccessibleAttribute.VALUE)).isEqualTo(0.5);
        assertThat(face.queryAccessibleAttribute(AccessibleAttribute.MIN_VALUE)).isEqualTo(0.0);
        assertThat(face.queryAccessibleAttribute(AccessibleAttribute.MAX_VALUE)).isEqualTo(1.0);
    }
}
