package kalodyne.core.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Spot;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A studio file on a real disk: what was edited is there again, whatever happens to the program or the file. */
class StudioFileTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-03-01T12:04:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    private Path file;

    @BeforeEach
    void name() {
        file = folder.resolve("mine.kalodyne");
    }

    private OpenStudio open() throws IOException {
        return StudioFile.open(file, Studio.empty(), CLOCK);
    }

    @Test
    void a_studio_that_is_only_looked_at_leaves_no_file() throws IOException {
        open().close();
        assertThat(file).doesNotExist();
    }

    @Test
    void keeps_edits_and_undoes_them_after_restarts() throws IOException {
        Studio one = Studio.empty().with(Numbered.device(1)).with(Numbered.lead(1));
        Studio two = one.changing("setup-1", setup -> setup.with(take("Take 1", "synth.out>interface.adc")));
        try (OpenStudio studio = open()) {
            studio.history().edit("add gear", one);
            studio.history().edit("add a take", two);
        }
        try (OpenStudio studio = open()) {
            assertThat(studio.studio()).isEqualTo(two);
            assertThat(studio.history().undoable()).contains("add a take");
            studio.history().undo();
            assertThat(studio.studio()).isEqualTo(one);
        }
        try (OpenStudio studio = open()) {
            assertThat(studio.studio()).isEqualTo(one);
            assertThat(studio.history().undoable()).contains("add gear");
            assertThat(studio.history().redoable()).contains("add a take");
            studio.history().redo();
            assertThat(studio.studio()).isEqualTo(two);
            studio.history().undo();
            studio.history().undo();
            assertThat(studio.studio()).isEqualTo(Studio.empty());
            studio.history().edit("add a lead", Studio.empty().with(Numbered.lead(2)));
        }
        try (OpenStudio studio = open()) {
            assertThat(studio.history().redoable()).isEmpty();
            studio.history().undo();
            assertThat(studio.studio()).isEqualTo(Studio.empty());
            assertThat(studio.history().undoable()).isEmpty();
        }
    }

    @Test
    void a_gesture_is_one_edit_and_one_that_returns_is_none() throws IOException {
        Object drag = new Object();
        try (OpenStudio studio = open()) {
            studio.history().edit("add a device", Studio.empty().with(Numbered.device(1)));
            for (int step = 0; step < 20; step++) {
                studio.history()
                        .gesture(
                                drag,
                                "rename",
                                Studio.empty().with(Numbered.device(1).withName("Step " + step)));
            }
            Object there = new Object();
            studio.history().gesture(there, "there and back", studio.studio().withName("Other"));
            studio.history()
                    .gesture(
                            there,
                            "there and back",
                            studio.studio().withName(Studio.empty().name()));
        }
        try (OpenStudio studio = open()) {
            assertThat(studio.studio().devices().get(0).name()).isEqualTo("Step 19");
            assertThat(studio.studio().name()).isEqualTo(Studio.empty().name());
            studio.history().undo();
            assertThat(studio.studio().devices().get(0).name()).isEqualTo("Device 1");
        }
    }

    /** Random edits, undos, redos and restarts against a plain list of whole studios. */
    @Test
    void agrees_with_a_plain_list_of_states() throws IOException {
        Random random = new Random(17);
        List<Studio> states = new ArrayList<>(List.of(Studio.empty()));
        int at = 0;
        OpenStudio studio = open();
        for (int step = 0; step < 400; step++) {
            switch (random.nextInt(6)) {
                case 0 -> {
                    studio.history().undo();
                    at = Math.max(0, at - 1);
                }
                case 1 -> {
                    studio.history().redo();
                    at = Math.min(states.size() - 1, at + 1);
                }
                case 2 -> {
                    if (random.nextInt(4) == 0) {
                        studio.close();
                        studio = open();
                    }
                }
                default -> {
                    Studio changed = anyChange(studio.studio(), random);
                    studio.history().edit("edit " + step, changed);
                    if (!changed.equals(states.get(at))) {
                        states.subList(at + 1, states.size()).clear();
                        states.add(changed);
                        at++;
                    }
                }
            }
            assertThat(studio.studio()).as("step " + step).isEqualTo(states.get(at));
        }
        studio.close();
        assertThat(StudioFile.read(file)).isEqualTo(states.get(at));
    }

    private static Studio anyChange(Studio studio, Random random) {
        int number = random.nextInt(12);
        return switch (random.nextInt(11)) {
            case 0, 1 -> studio.with(Numbered.device(number));
            case 2 -> studio.with(Numbered.device(number).withName("Renamed " + random.nextInt(9)));
            case 3 -> studio.withoutDevice("device-" + number);
            case 4 -> studio.with(Numbered.lead(number));
            case 5 -> studio.withoutLead("lead-" + number);
            case 6 -> studio.withName("Studio " + number);
            case 7 -> {
                List<Device> moved = new ArrayList<>(studio.devices());
                Collections.shuffle(moved, random);
                yield studio.withDevices(moved);
            }
            case 8 -> studio.with(Setup.empty().withId("setup-" + number).named("Setup " + number));
            case 9 ->
                studio.setups().size() > 1
                        ? studio.withoutSetup(studio.setups().get(0).id())
                        : studio;
            default -> studio.changing(studio.setups().get(0).id(), setup -> anyChange(setup, random));
        };
    }

    private static Setup anyChange(Setup setup, Random random) {
        if (setup.takes().isEmpty() || random.nextInt(3) == 0) {
            return setup.with(
                    take("Take " + random.nextInt(1_000_000), "device-1.out>device-" + random.nextInt(9) + ".adc"));
        }
        Take take = setup.takes().get(random.nextInt(setup.takes().size()));
        return switch (random.nextInt(3)) {
            case 0 -> setup.without(take);
            case 1 -> setup.replacing(take, take.withNote("Note " + random.nextInt(1_000_000)));
            default ->
                setup.withSettings(setup.settings().turned(Map.of(Spot.read("device-1.gain"), random.nextDouble())));
        };
    }

    private static Take take(String name, String run) {
        return new Take(name, run, "x.wav", Instant.EPOCH, Map.of(Spot.read("device-1.gain"), 0.5));
    }

    @Test
    void a_second_window_only_reads_and_says_why() throws IOException {
        try (OpenStudio first = open()) {
            first.history().edit("add a device", Studio.empty().with(Numbered.device(3)));
            first.flush();
            try (OpenStudio second = open()) {
                assertThat(second.isReadOnly()).isTrue();
                assertThat(second.readOnlyBecause())
                        .isEqualTo("It is already open: process "
                                + ProcessHandle.current().pid()
                                + ", since 2026-03-01 12:04. Close it there to edit it here.");
                assertThat(second.studio()).isEqualTo(first.studio());
            }
        }
        try (OpenStudio later = open()) {
            assertThat(later.isReadOnly()).isFalse();
        }
    }

    @Test
    void an_open_studio_is_not_written_over() throws IOException {
        try (OpenStudio open = open()) {
            open.history().edit("add a device", Studio.empty().with(Numbered.device(3)));
            open.flush();
            assertThatThrownBy(() -> StudioFile.write(file, Studio.empty())).hasMessageContaining("It is already open");
        }
        assertThat(StudioFile.read(file).devices()).hasSize(1);
        StudioFile.write(file, Studio.empty());
        assertThat(StudioFile.read(file)).isEqualTo(Studio.empty());
    }

    /** After its file was let go nothing may change in memory that is not kept. */
    @Test
    void a_closed_studio_is_only_read() throws IOException {
        OpenStudio studio = open();
        studio.history().edit("add a device", Studio.empty().with(Numbered.device(1)));
        assertThat(studio.isReadOnly()).isFalse();
        studio.close();
        assertThat(studio.isReadOnly()).isTrue();
        assertThat(studio.readOnlyBecause()).contains("Try again in a moment");
        assertThat(studio.studio().devices()).hasSize(1);
    }

    /** A mistake of ours while writing is told like a full disk: "all kept" must not be untrue. */
    @Test
    void tells_of_whatever_keeps_it_from_writing() {
        List<Kept> kept = Collections.synchronizedList(new ArrayList<>());
        try (Keeper keeper = new Keeper(file, List.of())) {
            keeper.onKept(kept::add);
            Item broken = new Item.OfDevice(null);
            Change change = new Change(
                    new Item.Key(Item.Kind.DEVICE, List.of("none")),
                    Optional.empty(),
                    Optional.of(new Placed(broken, 0)));
            keeper.keep(new Commit(
                    List.of(change), new Commit.Log.Made(1, Instant.EPOCH, "add a device", List.of(change))));
            keeper.flush();
        }
        assertThat(kept)
                .isNotEmpty()
                .allSatisfy(each -> assertThat(each.isKept()).isFalse());
    }

    /** What cannot be written now is written as soon as it can be; nothing is lost and the editing goes on. */
    @Test
    void tries_again_what_could_not_be_written() throws IOException {
        Path away = folder.resolve("stick");
        Files.writeString(away, "a file where the folder should be");
        file = away.resolve("mine.kalodyne");
        List<Kept> kept = Collections.synchronizedList(new ArrayList<>());
        try (OpenStudio studio = open()) {
            studio.onKept(kept::add);
            studio.history().edit("add a device", Studio.empty().with(Numbered.device(1)));
            studio.flush();
            assertThat(kept)
                    .isNotEmpty()
                    .allSatisfy(each -> assertThat(each.isKept()).isFalse());
            Files.delete(away);
            studio.history().edit("add a lead", studio.studio().with(Numbered.lead(1)));
            studio.flush();
            assertThat(kept.get(kept.size() - 1).isKept()).isTrue();
        }
        Studio again = StudioFile.read(file);
        assertThat(again.devices()).hasSize(1);
        assertThat(again.leads()).hasSize(1);
    }

    @Test
    void what_could_not_be_written_gets_a_last_chance_at_the_end() throws IOException {
        Path away = Files.writeString(folder.resolve("stick"), "a file where the folder should be");
        file = away.resolve("mine.kalodyne");
        try (OpenStudio studio = open()) {
            studio.history().edit("add a device", Studio.empty().with(Numbered.device(1)));
            studio.flush();
            Files.delete(away);
        }
        assertThat(StudioFile.read(file).devices()).hasSize(1);
    }
}
