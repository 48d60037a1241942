package kalodyne.core.rigmap;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.joint.rules.Offers;
import kalodyne.core.joint.rules.Offers.Offer;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.rigmap.MapLayout.Box;
import kalodyne.core.rigmap.MapLayout.Placed;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RigMapTest {
    private static final Letters LETTERS = (words, size, isStrong) -> 0.55 * size * words.length();
    private static final MapLayout LAYOUT =
            new MapLayout(LETTERS, line -> line.row().lead());
    private static final Studio STUDIO = Boathouse.studio();

    private static RigMap map(Setup setup) {
        Patch patch = STUDIO.patch(setup);
        List<Checked> joints = JointRules.check(patch);
        return RigMap.of(SetupLevels.of(joints, patch, setup.settings()), joints);
    }

    private static Placed placed(RigMap map) {
        return LAYOUT.place(map);
    }

    /** What practice says of each lead of the demo: what goes through it, which side, how bad. */
    @ParameterizedTest
    @CsvSource({
        "Lead 7, SOUND, '', ",
        "Lead 2, SOUND, '', WEAK",
        "Lead 14, DATA, '', WRONG",
        "Lead 4 with Little adapter, SOUND, '', WRONG"
    })
    void a_line_tells_what_goes_through_it(String lead, RigMap.Kind kind, String side, Severity worst) {
        RigMap.Line line = map(STUDIO.setups().get(0)).lines().stream()
                .filter(each -> each.row().lead().equals(lead))
                .findFirst()
                .orElseThrow();
        assertThat(line.kind()).isEqualTo(kind);
        assertThat(line.row().side()).isEqualTo(side);
        assertThat(line.worst()).isEqualTo(Optional.ofNullable(worst));
        assertThat(line.peak().isPresent()).isEqualTo(kind == RigMap.Kind.SOUND);
    }

    /** Each device once and apart from all others, each lead from an edge of one to an edge of another. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1})
    void every_device_and_lead_has_its_place(int which) {
        Patch patch = STUDIO.patch(STUDIO.setups().get(which));
        List<PatchList.Row> rows = PatchList.of(patch, JointRules.check(patch));
        Placed placed = placed(RigMap.of(rows, patch));
        assertThat(placed.boxes())
                .extracting(box -> box.card().name())
                .containsExactlyInAnyOrderElementsOf(
                        patch.devices().values().stream().map(Device::name).toList());
        for (Box one : placed.boxes()) {
            assertThat(one.x() + one.width()).isLessThan(placed.width());
            assertThat(one.y() + one.height()).isLessThan(placed.height());
            assertThat(placed.boxes())
                    .filteredOn(other -> !other.equals(one))
                    .noneMatch(other -> one.x() < other.x() + other.width()
                            && other.x() < one.x() + one.width()
                            && one.y() < other.y() + other.height()
                            && other.y() < one.y() + one.height());
        }
        for (MapLayout.Line line : placed.lines()) {
            MapLayout.Corner from = line.corners().get(0);
            MapLayout.Corner to = line.corners().get(line.corners().size() - 1);
            PatchList.Row row = line.line().row();
            assertThat(placed.boxes())
                    .anyMatch(box -> box.card().name().equals(row.from().device())
                            && Math.abs(box.x() + box.width() - from.x()) < 0.1
                            && box.ports().stream().anyMatch(port -> Math.abs(box.y() + port.y() - from.y()) < 0.1));
            assertThat(placed.boxes())
                    .anyMatch(box -> row.to().stream()
                                    .anyMatch(end ->
                                            end.device().equals(box.card().name()))
                            && Math.abs(box.x() - to.x()) < 0.1);
        }
        assertThat(placed.lines())
                .hasSize(rows.stream().mapToInt(row -> row.to().size()).sum());
    }

    /** While one plugs lead after lead, no card that is there climbs over another one in its column. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void stays_as_it_is_while_one_plugs(long seed) {
        Random random = new Random(seed);
        Wiring wiring = STUDIO.setups().get(0).wiring();
        Placed before = placed(map(STUDIO.setups().get(0)));
        int plugged = 0;
        for (int i = 0; i < 60 && plugged < 5; i++) {
            Optional<Offer> offer = anOffer(wiring, random);
            if (offer.isPresent()) {
                wiring = wiring.plugging(offer.get().pluggings());
                Placed now = LAYOUT.place(map(STUDIO.setups().get(0).withWiring(wiring)), before);
                assertThat(climbed(before, now))
                        .as("plugged " + offer.get().words())
                        .isEmpty();
                before = now;
                plugged++;
            }
        }
        assertThat(plugged).isPositive();
    }

    private static Optional<Offer> anOffer(Wiring wiring, Random random) {
        Offers offers = new Offers(STUDIO.devices(), STUDIO.leads(), wiring.plugged());
        return offers.between(any(random), any(random)).stream().findFirst();
    }

    private static Spot any(Random random) {
        Device device = STUDIO.devices().get(random.nextInt(STUDIO.devices().size()));
        return new Spot(
                device.id(),
                device.sockets().get(random.nextInt(device.sockets().size())).id());
    }

    /** Pairs of cards that lie above each other both times, and the other way round. */
    private static List<String> climbed(Placed before, Placed now) {
        List<String> climbed = new ArrayList<>();
        for (Box one : before.boxes()) {
            for (Box other : before.boxes()) {
                if (isAbove(one, other) && isAbove(again(other, now), again(one, now))) {
                    climbed.add(one.card().name() + " and " + other.card().name());
                }
            }
        }
        return climbed;
    }

    private static boolean isAbove(Box one, Box other) {
        return one.y() + one.height() <= other.y()
                && one.x() < other.x() + other.width()
                && other.x() < one.x() + one.width();
    }

    private static Box again(Box box, Placed now) {
        return now.boxes().stream()
                .filter(each -> each.card().id().equals(box.card().id()))
                .findFirst()
                .orElseThrow();
    }

    /** Free sockets come beneath those in use; every one of the shelf is there, once. */
    @Test
    void shows_where_else_one_could_plug() {
        Setup setup = STUDIO.setups().get(0);
        RigMap all = map(setup).withFree(STUDIO.devices(), setup.wiring()::isFree);
        assertThat(all.cards())
                .extracting(RigMap.Card::id)
                .containsExactlyElementsOf(
                        STUDIO.devices().stream().map(Device::id).toList());
        for (RigMap.Card card : all.cards()) {
            List<Boolean> free = card.ports().stream().map(RigMap.Port::isFree).toList();
            assertThat(free).isSorted();
            assertThat(card.ports()).doesNotHaveDuplicates();
        }
        assertThat(placed(all).boxes()).hasSameSizeAs(STUDIO.devices());
    }

    @Test
    void of_one_lead_only_what_it_joins_is_left() {
        RigMap one = map(STUDIO.setups().get(0)).only(line -> line.row().lead().equals("Lead 7"));
        assertThat(one.cards().stream().map(RigMap.Card::name).collect(Collectors.joining(" > ")))
                .isEqualTo("Bass synth > Interface");
        assertThat(one.cards().stream().flatMap(card -> card.ports().stream()).map(RigMap.Port::name))
                .containsExactly("Output", "Line in 3");
        assertThat(one.lines()).hasSize(1);
    }
}
