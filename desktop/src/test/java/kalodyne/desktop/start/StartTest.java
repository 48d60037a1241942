package kalodyne.desktop.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.route.Way;
import kalodyne.core.route.Wish;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The first five minutes in a real window: from an empty studio to a way that is used. */
class StartTest {
    /** So many clicks and keys at the most until the first way is seen. */
    private static final int MOST_PRESSED = 15;

    @TempDir
    Path folder;

    /**
     * Five musicians, with what most of them have at home. What the best way goes through is common practice.
     *
     * @param ticked pictures
     * @param leads kinds of which there is one, with how many
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            groovebox phone            | mini-mini headset-splitter-ctia      | Straight into Phone
            voice interface laptop     | xlr-xlr usb-a-c                      | Two-input interface
            electric interface tablet  | ts-ts usb-c-c                        | Two-input interface
            records interface laptop   | rca-2ts usb-a-c                      | Phono preamp
            band camera                | mini-2ts mini-mini                   | Straight into Camera
            """)
    void leads_to_a_way_by_mouse(String ticked, String leads, String through) {
        try (Desk desk = Desk.own(folder)) {
            int pressed = 0;
            for (String picture : ticked.split(" ", -1)) {
                desk.click("#start-" + picture);
                pressed++;
            }
            for (String lead : leads.split(" ", -1)) {
                desk.click("#start-more-" + lead);
                pressed++;
            }
            assertThat(desk.workbench().studio().studio().leads()).hasSize(leads.split(" ", -1).length);
            desk.click("#next-go");
            pressed++;
            Desk.until(() -> !ways(desk).isEmpty());
            assertThat(pressed).isLessThanOrEqualTo(MOST_PRESSED);
            assertThat(ways(desk).get(0).title()).contains(through);
        }
    }

    /** Arrows lead from picture to picture, Space ticks, Enter goes on. */
    @Test
    void leads_to_a_way_by_keyboard_alone() {
        try (Desk desk = Desk.own(folder)) {
            int pressed = 0;
            for (KeyCode key : List.of(
                    KeyCode.RIGHT,
                    KeyCode.RIGHT,
                    KeyCode.SPACE, // electric guitar
                    KeyCode.DOWN,
                    KeyCode.DOWN,
                    KeyCode.SPACE, // laptop
                    KeyCode.RIGHT,
                    KeyCode.RIGHT,
                    KeyCode.SPACE, // interface
                    KeyCode.ENTER)) {
                desk.press(key);
                pressed++;
            }
            Desk.until(() -> !ways(desk).isEmpty());
            assertThat(pressed).isLessThanOrEqualTo(MOST_PRESSED);
            assertThat(desk.workbench().studio().studio().devices())
                    .extracting(device -> device.kind())
                    .containsExactlyInAnyOrder(DeviceKind.INSTRUMENT, DeviceKind.COMPUTER, DeviceKind.INTERFACE);
        }
    }

    /** What is ticked is on the shelf at once, is there after a restart, and goes when it is not ticked any more. */
    @Test
    void what_is_ticked_is_kept_and_taken_up_again() {
        try (Desk desk = Desk.own(folder)) {
            assertThat(desk.text("#next-step")).isEqualTo("Choose what you play or sing");
            desk.click("#start-voice");
            assertThat(desk.text("#next-step")).isEqualTo("Choose what you record with");
            desk.click("#start-phone");
            desk.click("#start-more-ts-ts");
            desk.click("#start-more-ts-ts");
            assertThat(desk.text("#start-count-ts-ts")).isEqualTo("2");
        }
        try (Desk desk = Desk.own(folder)) {
            assertThat(desk.text("#start-count-ts-ts")).isEqualTo("2");
            assertThat(desk.workbench().studio().studio().devices())
                    .extracting(Device::name)
                    .containsExactly("Dynamic voice microphone", "Phone with a four-pole headset socket");
            desk.click("#start-voice");
            assertThat(desk.workbench().studio().studio().devices()).hasSize(1);
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.workbench().studio().studio().devices()).hasSize(2);
            assertThat(desk.workbench().studio().studio().leads())
                    .extracting(Lead::owned)
                    .containsExactly(2);
            desk.click("#next-go");
            Wish wish = desk.workbench().studio().setup().wish().orElseThrow();
            assertThat(device(desk, wish.target()).name()).startsWith("Phone");
        }
    }

    @SuppressWarnings("unchecked")
    private static List<Way> ways(Desk desk) {
        return List.copyOf(((ListView<Way>) desk.<ListView<?>>find("#ways")).getItems());
    }

    private static Device device(Desk desk, String id) {
        return desk.workbench().studio().studio().device(id).orElseThrow();
    }
}
