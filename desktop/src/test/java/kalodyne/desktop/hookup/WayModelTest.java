package kalodyne.desktop.hookup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.route.Missing;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Priority;
import kalodyne.core.route.Way;
import kalodyne.core.route.Wish;
import kalodyne.core.studio.Studio;
import kalodyne.desktop.testing.Models;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Finding ways and looking at joints without a window. */
class WayModelTest {
    @TempDir
    Path folder;

    private Models models;
    private JointsModel joints;
    private WayModel ways;

    @BeforeEach
    void open() throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        joints = new JointsModel(models.studio());
        ways = new WayModel(models.studio(), joints, models.jobs());
    }

    @AfterEach
    void close() {
        models.close();
    }

    private Plan found(Wish wish) {
        List<Plan> plans = new ArrayList<>();
        List<List<Way>> early = new ArrayList<>();
        ways.find(wish, early::add, plans::add);
        assertThat(plans).isEmpty();
        models.tell();
        assertThat(plans).hasSize(1);
        return plans.get(0);
    }

    @Test
    void only_what_can_be_played_recorded_or_heard_is_offered() {
        assertThat(ways.sources())
                .extracting(Device::name)
                .contains("Bass synth", "Drum box", "Laptop")
                .doesNotContain("Left speaker");
        assertThat(ways.recorders()).extracting(Device::name).contains("Tablet").doesNotContain("Headphones");
        assertThat(ways.headphones()).extracting(Device::id).contains("headphones");
        assertThat(ways.speakers()).allMatch(device -> ways.device(device.id()).isPresent());
        assertThat(ways.device("nobody")).isEmpty();
    }

    /** What was looked for stays with the setup; all of one search is one step to take back. */
    @Test
    void a_wish_stays_with_the_setup() {
        Wish before = ways.wish().orElseThrow();
        ways.begin();
        found(before.withMatters(Priority.CHEAP, Priority.CLEAN));
        found(before.withMatters(Priority.CHEAP, Priority.FEW_BREAKS));
        assertThat(ways.wish().orElseThrow().then()).isEqualTo(Priority.FEW_BREAKS);
        assertThat(ways.usuallyFirst()).isEqualTo(Priority.CHEAP);
        assertThat(ways.usuallyThen()).isEqualTo(Priority.FEW_BREAKS);
        models.studio().undo();
        assertThat(ways.wish()).contains(before);
    }

    /** Only the newest search is delivered, and none where nobody waits any more. */
    @Test
    void what_nobody_waits_for_is_not_delivered() {
        List<String> delivered = new ArrayList<>();
        Wish wish = ways.wish().orElseThrow();
        ways.find(wish, early -> {}, plan -> delivered.add("old"));
        ways.find(wish.withHeadphones(), early -> {}, plan -> delivered.add("new"));
        models.tell();
        assertThat(delivered).containsExactly("new");
        ways.find(wish, early -> delivered.add("early"), plan -> delivered.add("late"));
        ways.stop();
        models.tell();
        assertThat(delivered).containsExactly("new");
    }

    /** A way that is used is plugged in one step; its run and its joint are looked at. */
    @Test
    void a_way_is_used_in_one_step() {
        Plan plan = found(ways.wish().orElseThrow());
        Way owned = plan.ways().stream()
                .filter(way -> way.missing().isEmpty())
                .findFirst()
                .orElseThrow();
        var before = models.studio().setup().wiring();
        ways.use(owned);
        assertThat(models.studio().setup().wiring().plugged())
                .containsAll(owned.patch().pluggings());
        assertThat(models.studio().reading().orElseThrow().plan().trace().key()).startsWith("drum-box.");
        assertThat(joints.chosen().orElseThrow().patch().devices()).containsKey("drum-box");
        models.studio().undo();
        assertThat(models.studio().setup().wiring()).isEqualTo(before);
    }

    /** What was missing is on the shelf and plugged, as often as the way needs it; undo takes all of it back. */
    @Test
    void what_a_way_lacked_is_put_on_the_shelf() {
        Studio before = models.studio().studio();
        // A cartridge needs its preamp, and there is none on the shelf.
        Wish records =
                ways.wish().orElseThrow().withSources(List.of("turntable")).withTarget("camera");
        Way lacking = found(records).ways().stream()
                .filter(way -> !way.missing().isEmpty())
                .findFirst()
                .orElseThrow();
        ways.use(lacking);
        Studio after = models.studio().studio();
        assertThat(after.devices().size() + after.leads().size())
                .isEqualTo(before.devices().size()
                        + before.leads().size()
                        + lacking.missing().size());
        assertThat(models.studio().setup().wiring().plugged())
                .anyMatch(each -> each.socket().item().equals("turntable")
                        || each.plug().item().equals("turntable"))
                .noneMatch(each -> Missing.is(each.plug().item())
                        || Missing.is(each.socket().item()));
        assertThat(models.studio().joints()).isNotEmpty();
        models.studio().undo();
        assertThat(models.studio().studio().leads()).isEqualTo(before.leads());
    }

    /** What is only heard is plugged the same way, and stays with the setup. */
    @Test
    void what_is_only_heard_is_plugged_too() throws IOException {
        Wish wish = ways.wish()
                .orElseThrow()
                .withSources(List.of("interface"))
                .withTarget(Wish.NOBODY)
                .withHeadphones();
        Plan plan = found(wish.withHeard(wish.heard().withSpeakers(List.of("left-speaker", "right-speaker"))));
        Way way = plan.ways().stream()
                .filter(each -> each.missing().isEmpty())
                .findFirst()
                .orElseThrow();
        ways.use(way);
        assertThat(models.studio().setup().wiring().plugged())
                .containsAll(way.patch().pluggings());
        assertThat(ways.wish())
                .hasValueSatisfying(kept -> assertThat(kept.isHeardOnly()).isTrue());
    }

    @Test
    void the_simplest_lead_between_two_sockets_is_offered_with_what_comes_of_it() {
        Device synth = ways.device("bass-synth").orElseThrow();
        Device recorder = ways.device("interface").orElseThrow();
        List<Integer> counts = new ArrayList<>();
        ways.obvious(
                synth,
                synth.socket("out").orElseThrow(),
                recorder,
                recorder.socket("line-3").orElseThrow(),
                found -> counts.add(found.size()));
        models.tell();
        assertThat(counts).hasSize(1).allMatch(count -> count > 0);
    }

    // --- joints --------------------------------------------------------------------------------------------------

    /** The worst joint is looked at first; the run follows the joint, and the joint the run. */
    @Test
    void a_joint_and_its_run_are_looked_at_together() {
        assertThat(joints.joints()).isNotEmpty();
        int worst = joints.joints().stream().mapToInt(Checked::rank).min().orElseThrow();
        JointsModel anew = new JointsModel(models.studio());
        assertThat(anew.chosen().orElseThrow().rank()).isEqualTo(worst);
        Checked bass = joints.joints().stream()
                .filter(joint -> joint.patch().devices().containsKey("bass-synth"))
                .findFirst()
                .orElseThrow();
        joints.choose(bass);
        assertThat(models.studio().reading().orElseThrow().plan().trace().key()).startsWith("bass-synth.");
        assertThat(joints.isOfRun()).isTrue();
        String cello = models.studio().runs().stream()
                .filter(run -> run.key().startsWith("cello"))
                .findFirst()
                .orElseThrow()
                .key();
        models.studio().showRun(cello);
        assertThat(joints.chosen().orElseThrow().patch().devices()).containsKey("cello");
    }

    @Test
    void what_to_do_first_is_about_the_worst() {
        assertThat(joints.findings()).isSortedAccordingTo((a, b) -> a.severity().compareTo(b.severity()));
        var worst = joints.findings().get(0);
        assertThat(worst.severity()).isNotEqualTo(Severity.NOTE);
        String next = joints.next(Optional.empty()).orElseThrow();
        String remedy = worst.remedy().orElseThrow().words();
        assertThat(next).contains(": ").endsWith(remedy.substring(1));
        Checked joint = joints.joints().stream()
                .filter(each -> each.findings().contains(worst))
                .findFirst()
                .orElseThrow();
        joints.choose(joint);
        assertThat(joints.next(Optional.of("Use Lead 4 instead"))).contains(joint.title() + ": use Lead 4 instead");
    }

    /** An edit elsewhere keeps the joint that is looked at; where it is unplugged another one is. */
    @Test
    void the_chosen_joint_stays_the_same_one() {
        Checked bass = joints.joints().stream()
                .filter(joint -> joint.patch().devices().containsKey("bass-synth"))
                .findFirst()
                .orElseThrow();
        joints.choose(bass);
        models.studio().edit("rename", setup -> setup.withName("Another"));
        assertThat(joints.chosen().orElseThrow().patch().pluggings())
                .isEqualTo(bass.patch().pluggings());
        models.studio()
                .edit(
                        "unplug",
                        setup -> setup.withWiring(
                                setup.wiring().unplugged(bass.patch().pluggings())));
        assertThat(joints.chosen().map(joint -> joint.patch().devices().containsKey("bass-synth")))
                .isNotEqualTo(Optional.of(true));
        assertThat(JointsModel.through(bass)).startsWith("Lead ");
        assertThat(models.studio().studio().devices()).isNotEmpty();
    }
}
