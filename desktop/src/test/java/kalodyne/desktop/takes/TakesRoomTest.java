package kalodyne.desktop.takes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicReference;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.TransferMode;
import javafx.stage.Stage;
import javafx.stage.StageStyle;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Provenance;
import kalodyne.core.joint.Spot;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.WavBytes;
import kalodyne.core.units.Gain;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TakesRoomTest {
    @TempDir
    Path folder;

    @TempDir
    Path elsewhere;

    private Desk desk;

    @BeforeEach
    void open() throws IOException {
        desk = Desk.demo(folder);
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT5);
    }

    @AfterEach
    void close() {
        desk.close();
    }

    private Path recording(String name, double peakDbfs) throws IOException {
        double[] sine = Signals.sine(110, new Gain(peakDbfs).ratio(), 96_000, 48_000);
        return WavBytes.integers(24, sine).write(elsewhere.resolve(name));
    }

    /** As the shell hands over a chosen or dropped file. */
    private void add(Path file) {
        Desk.onScreen(() -> {
            desk.workbench().takes().add(file);
            return null;
        });
        desk.rest();
    }

    private List<String> cells(String table) {
        return desk.robot().from(desk.<Node>find(table)).lookup(".cell").queryAllAs(Labeled.class).stream()
                .map(Labeled::getText)
                .toList();
    }

    @Test
    void the_demonstrations_second_take_is_too_hot_and_says_what_to_turn() {
        assertThat(desk.text("#takes-sentence")).isEqualTo("Cut off at 7 places: it would have reached about +1 dBFS");
        assertThat(desk.text("#next-step")).isEqualTo("Turn gain 3 on Interface from 12:00 to 9:30, then record again");
        assertThat(cells("#comparison")).containsSubsequence("loudest peak, dBFS", "−2.8", "0.0", "−12…−6");
        assertThat(cells("#channels")).containsSubsequence("1", "0.00", "−13.43", "1,353");
        assertThat(((Waveform) desk.<Node>find("#waveform")).getAccessibleText())
                .contains("7 places cut off");
        desk.click("#remedy-clip-digital");
        assertThat(desk.text("#next-step")).isEqualTo("The knobs stand as this take advises: record the next one");
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT3);
        assertThat(desk.text("#interface-gain-3-field")).isEqualTo("+2.0 dB · 9:30");
    }

    /** One take is cut off and says nothing; the other one corrects the synth, whose value becomes a measured one. */
    @Test
    void takes_correct_the_gear() {
        desk.click("#open-calibration");
        assertThat(desk.shows("#calibration")).isTrue();
        desk.click("#calibrate");
        var socket = desk.workbench()
                .studio()
                .studio()
                .device("bass-synth")
                .orElseThrow()
                .socket("out")
                .orElseThrow();
        var peak = socket.facts().get(Fact.LOUDEST_PEAK).orElseThrow();
        assertThat(peak.from().origin()).isEqualTo(Provenance.Origin.MEASURED);
        assertThat(peak.from().source()).startsWith("one take");
        assertThat(peak.is().dbu()).isCloseTo(6, within(0.1));
    }

    @Test
    void the_log_shows_an_earlier_take_again() {
        desk.robot().clickOn((Button) desk.robot()
                .lookup((Node node) -> node instanceof Button button
                        && String.valueOf(button.getText()).startsWith("Take 1, "))
                .query());
        desk.rest();
        assertThat(desk.text("#takes-sentence")).isEqualTo("Peaks at −8.8 dBFS: right in the aim");
        assertThat(desk.text("#remove-take")).isEqualTo("Remove Take 1 from the log");
    }

    /** A file from another window, really dragged over the room and dropped there. */
    @Test
    void a_dropped_recording_becomes_a_take_with_the_knobs_as_they_stand() throws IOException {
        Path file = recording("Probe mit Ümlaut.wav", -3.1);
        AtomicReference<Stage> other = new AtomicReference<>();
        Label source = Desk.onScreen(() -> {
            Label label = new Label("recordings");
            label.setMinSize(200, 120);
            label.setOnDragDetected(event -> {
                ClipboardContent content = new ClipboardContent();
                content.putFiles(List.of(file.toFile()));
                label.startDragAndDrop(TransferMode.COPY).setContent(content);
                event.consume();
            });
            Stage stage = new Stage(StageStyle.UNDECORATED);
            stage.setScene(new Scene(label));
            stage.setX(1400);
            stage.setY(100);
            stage.show();
            other.set(stage);
            return label;
        });
        Node room = desk.find("#waveform");
        desk.robot()
                .drag(source, MouseButton.PRIMARY)
                .moveBy(30, 30)
                .moveTo(room)
                .moveBy(10, 10)
                .drop();
        Desk.until(() -> desk.workbench().studio().setup().takes().size() == 3);
        desk.rest();
        assertThat(desk.text("#takes-sentence")).isEqualTo("Peaks at −3.1 dBFS: 2.9 dB too hot");
        assertThat(desk.text("#next-step"))
                .isEqualTo("Turn gain 3 on Interface from 12:00 to 10:30, then record again");
        assertThat(desk.workbench().studio().setup().takes().get(2))
                .returns("Take 3", take -> take.name())
                .returns(file.toString(), take -> take.file())
                .returns(0.5, take -> take.positions().get(Spot.read("interface.gain-3")));
        Desk.onScreen(() -> {
            other.get().close();
            return null;
        });
    }

    @Test
    void every_take_is_kept_and_can_be_undone() throws IOException {
        add(recording("one.wav", -9));
        Desk.until(() -> StudioFile.read(folder.resolve("boathouse.kalodyne"))
                        .setups()
                        .get(0)
                        .takes()
                        .size()
                == 3);
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(desk.text("#takes-sentence")).startsWith("Cut off at 7 places");
    }

    /** An earlier take is looked at when the adding of another one is undone: list, log and count are told. */
    @Test
    void undo_reaches_the_list_while_another_take_is_shown() throws IOException {
        add(recording("three.wav", -9));
        Desk.onScreen(() -> {
            desk.workbench()
                    .takes()
                    .select(desk.workbench().studio().setup().takes().get(0));
            return null;
        });
        desk.rest();
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(desk.<ComboBox<?>>find("#take-chooser").getItems()).hasSize(2);
        assertThat(desk.robot()
                        .lookup((Node node) -> node instanceof Button button
                                && String.valueOf(button.getText()).startsWith("Take 3, "))
                        .queryAll())
                .isEmpty();
        assertThat(desk.text("#takes-sentence")).isEqualTo("Peaks at −8.8 dBFS: right in the aim");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            notes.wav  | Dear diary, today we played | This is not a sound file that can be read. Choose a WAV
            empty.wav  | ''              | The file is empty. Copy it again
            cut.wav    | RIFFxxxxWAVE    | The file ends before its samples begin
            gone.wav   |                 | There is no such file. Check its name
            """)
    void what_cannot_be_read_is_told_in_place_and_nothing_is_lost(String name, String content, String message)
            throws IOException {
        Path file = elsewhere.resolve(name);
        if (content != null) {
            Files.writeString(file, content);
        }
        add(file);
        assertThat(desk.text("#notice-title")).isEqualTo("This take could not be read");
        assertThat(desk.text("#notice-text")).contains(file.toString()).contains(message);
        assertThat(desk.text("#takes-sentence")).startsWith("Cut off at 7 places");
        assertThat(desk.workbench().studio().setup().takes()).hasSize(2);
        desk.click("#notice-dismiss");
        assertThat(desk.shows("#notice-title")).isFalse();
    }

    @Test
    void a_take_whose_file_is_gone_says_so_and_can_be_removed() throws IOException {
        desk.close();
        Files.delete(folder.resolve("takes/bass-take-2.wav"));
        desk = Desk.on(folder, folder.resolve("boathouse.kalodyne"));
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT5);
        assertThat(desk.text("#takes-sentence")).isEqualTo("Take 2 cannot be read");
        assertThat(desk.text("#notice-text")).contains("bass-take-2.wav").contains("There is no such file.");
        desk.click("#remove-take");
        assertThat(desk.text("#takes-sentence")).isEqualTo("Peaks at −8.8 dBFS: right in the aim");
    }

    /** A recording of an hour and a half shows how far its reading is and can be left. */
    @Test
    void a_long_reading_can_be_cancelled() throws IOException {
        Path file = elsewhere.resolve("long.wav");
        WavBytes head = WavBytes.integers(24, new double[0], new double[0]);
        head.statedDataSize = 0xFFFFFFFFL;
        Files.write(file, head.bytes());
        try (RandomAccessFile grown = new RandomAccessFile(file.toFile(), "rw")) {
            grown.setLength(3_000_000_044L);
        }
        Desk.onScreen(() -> {
            desk.workbench().takes().add(file);
            return null;
        });
        Desk.until(() -> desk.shows("#job-cancel"));
        Desk.until(() -> desk.text("#takes-sentence").matches("long.wav is being read: peak .* in the first .*"));
        desk.robot().clickOn("#job-cancel");
        desk.rest();
        assertThat(desk.shows("#job-cancel")).isFalse();
        assertThat(desk.workbench().studio().setup().takes()).hasSize(2);
        assertThat(desk.text("#takes-sentence")).startsWith("Cut off at 7 places");
    }

    /** Whatever a file holds that can be read: it is shown, without an exception and without a number that is none. */
    @Test
    void shows_any_take() throws IOException {
        double[] sine = Signals.sine(440, 0.5, 4_800, 48_000);
        double[] broken = sine.clone();
        broken[7] = Double.NaN;
        double[][] many = new double[300][];
        Arrays.fill(many, Signals.sine(440, 1.2, 600, 48_000));
        WavBytes slow = WavBytes.integers(16, sine);
        slow.rate = 1;
        WavBytes fast = WavBytes.integers(16, sine);
        fast.rate = Integer.MAX_VALUE;
        List<WavBytes> odd = List.of(
                WavBytes.integers(8, new double[0]),
                WavBytes.integers(8, new double[] {1}),
                WavBytes.floats(new double[] {1e30, -1e30, 0}),
                WavBytes.floats(broken, sine),
                WavBytes.integers(16, many),
                slow,
                fast);
        for (int i = 0; i < odd.size(); i++) {
            add(odd.get(i).write(elsewhere.resolve("odd" + i + ".wav")));
            assertThat(desk.shows("#notice-title")).isFalse();
            assertThat(desk.workbench().takes().selection().take().orElseThrow().name())
                    .isEqualTo("Take " + (3 + i));
            Desk.onScreen(() -> desk.stage().getScene().snapshot(null));
            for (Node node :
                    desk.robot().lookup((Node each) -> each instanceof Labeled).queryAll()) {
                assertThat(String.valueOf(((Labeled) node).getText())).doesNotContain("NaN", "Infinity", "Optional");
            }
        }
    }

    @Test
    void a_take_with_many_channels_shows_each() throws IOException {
        double[] left = Signals.sine(440, 0.3, 48_000, 48_000);
        add(WavBytes.integers(16, left, new double[48_000], left).write(elsewhere.resolve("three.wav")));
        assertThat(desk.text("#takes-sentence")).startsWith("Nothing in channel 2");
        assertThat(cells("#channels")).contains("1", "2", "3", "−10.46", "−∞");
        assertThat(desk.shows("#finding-channel-dead")).isTrue();
    }

    /** Clicks at 120 beats a minute on one channel, and 700 samples later on the other. */
    @Test
    void a_loop_back_take_tells_the_round_trip_and_the_tempo() throws IOException {
        int rate = 48_000;
        double[] sent = new double[12 * rate];
        double[] back = new double[12 * rate];
        Random random = new Random(2);
        for (int at = rate / 2; at < 11 * rate; at += rate / 2) {
            for (int i = 0; i < 150; i++) {
                sent[at + i] = 0.2 * random.nextGaussian();
                back[at + i + 700] = sent[at + i] / 2;
            }
        }
        Path file = WavBytes.integers(24, sent, back).write(folder.resolve("loop.wav"));
        Desk.onScreen(() -> {
            desk.workbench().takes().add(file);
            return null;
        });
        Desk.until(() -> desk.workbench().studio().setup().takes().size() == 3);
        desk.rest();
        desk.click("#open-timing");
        desk.rest();
        desk.click("#trip-measure");
        desk.rest();
        // 700 / 48,000 s; sound goes 5.0 m meanwhile.
        assertThat(desk.text("#trip-result")).startsWith("14.58 ms, 700.0 samples: as late as from 5.0 m away.");
        desk.click("#trip-keep");
        assertThat(desk.workbench().studio().setup().sessionPlan().roundTripMilliseconds())
                .hasValueCloseTo(14.583, within(0.001));
        desk.click("#tempo-measure");
        desk.rest();
        assertThat(desk.text("#tempo-result")).startsWith("120.00 beats a minute: in step with the clock to its end.");
        desk.typeInto("#timing-tempo", "fast");
        assertThat(desk.text("#timing-tempo")).isEqualTo("fast");
        desk.press(KeyCode.ESCAPE);
    }
}
