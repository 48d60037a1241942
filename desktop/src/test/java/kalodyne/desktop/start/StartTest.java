package kalodyne.desktop.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.route.Wish;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is answered at the start is kept. */
class StartTest {
    @TempDir
    Path folder;

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

    private static Device device(Desk desk, String id) {
        return desk.workbench().studio().studio().device(id).orElseThrow();
    }
}
