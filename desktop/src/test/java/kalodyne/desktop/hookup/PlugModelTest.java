package kalodyne.desktop.hookup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.joint.rules.Offers.Offer;
import kalodyne.core.studio.Studio;
import kalodyne.core.testing.Studios;
import kalodyne.desktop.testing.Models;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Looking at joints and plugging, without a window. */
class PlugModelTest {
    @TempDir
    Path folder;

    private Models models;
    private JointsModel joints;
    private PlugModel plugs;

    private void on(Studio studio) throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), studio);
        joints = new JointsModel(models.studio());
        plugs = new PlugModel(models.studio(), joints, models.jobs());
        models.tell();
    }

    @AfterEach
    void close() {
        models.close();
    }

    @Test
    void where_most_is_wrong_is_looked_at_first() throws IOException {
        on(Boathouse.studio());
        Checked first = joints.chosen().orElseThrow();
        assertThat(joints.joints()).allMatch(joint -> joint.rank() >= first.rank());
        assertThat(first.findings()).isNotEmpty();
        assertThat(joints.findings()).isNotEmpty();
        assertThat(models.studio().studio().devices()).isNotEmpty();
    }

    /** A cure that is followed is one edit; the joint it mended is no longer the worst, and undo brings it back. */
    @Test
    void the_best_cure_mends_what_is_looked_at() throws IOException {
        on(Boathouse.studio());
        Checked before = joints.joints().stream()
                .filter(joint -> {
                    joints.choose(joint);
                    models.tell();
                    return plugs.best().isPresent();
                })
                .findFirst()
                .orElseThrow();
        plugs.follow(plugs.best().orElseThrow());
        models.tell();
        assertThat(joints.joints()).noneMatch(joint -> joint.patch().equals(before.patch()));
        models.studio().undo();
        models.tell();
        assertThat(joints.joints()).anyMatch(joint -> joint.patch().equals(before.patch()));
    }

    @Test
    void what_is_unplugged_is_gone_and_the_next_is_looked_at() throws IOException {
        on(Boathouse.studio());
        int before = joints.joints().size();
        Checked chosen = joints.chosen().orElseThrow();
        plugs.unplug();
        models.tell();
        assertThat(joints.joints()).hasSize(before - 1).doesNotContain(chosen);
        assertThat(joints.chosen()).isPresent();
    }

    /** Leads of the drawer that join two sockets, the good ones first; plugging one makes the joint. */
    @Test
    void offers_what_fits_and_plugs_it() throws IOException {
        on(Studios.of("Two", "synth-analogue.out ts-ts interface-2.line-1")
                .changing("setup-1", setup -> setup.withWiring(Wiring.NONE)));
        assertThat(joints.joints()).isEmpty();
        assertThat(joints.chosen()).isEmpty();
        Spot out = Spot.read("synth-analogue.out");
        Spot in = Spot.read("interface-2.line-1");
        List<Offer> offers = new ArrayList<>();
        plugs.offers(out, in, offers::addAll);
        models.tell();
        assertThat(offers).isNotEmpty();
        plugs.plug(offers.get(0));
        models.tell();
        assertThat(joints.joints()).hasSize(1);
        Device synth = models.studio().studio().device("synth-analogue").orElseThrow();
        assertThat(plugs.isFree(synth, synth.socket("out").orElseThrow())).isFalse();
        assertThat(models.studio().runs()).isNotEmpty();
    }

    @Test
    void switches_stand_as_somebody_says_or_nobody_knows() throws IOException {
        on(Studios.of("Mic", "mic-condenser-large.out xlr-xlr interface-1.mic-1"));
        PlugModel.Switch phantom = plugs.switches().stream()
                .filter(each -> each.control().equals(Spot.read("interface-1.phantom")))
                .findFirst()
                .orElseThrow();
        assertThat(phantom.at()).isEmpty();
        assertThat(phantom.positions()).containsExactly("off", "on");
        assertThat(joints.chosen().orElseThrow().findings())
                .as("what can be on counts as on")
                .noneMatch(finding -> finding.mark().equals("power.missing"));
        plugs.stands(phantom, Optional.of("off"));
        models.tell();
        assertThat(joints.chosen().orElseThrow().findings())
                .anyMatch(finding -> finding.mark().equals("power.missing"));
        assertThat(models.studio().undoable())
                .hasValueSatisfying(words -> assertThat(words).endsWith("48 V to “off”"));
        plugs.stands(
                plugs.switches().stream()
                        .filter(each -> each.control().equals(phantom.control()))
                        .findFirst()
                        .orElseThrow(),
                Optional.empty());
        models.tell();
        assertThat(models.studio().setup().wiring().switches()).isEmpty();
    }

    @Test
    void a_joint_and_its_run_are_looked_at_together() throws IOException {
        on(Boathouse.studio());
        for (Checked joint : joints.joints()) {
            joints.choose(joint);
            assertThat(joints.chosen()).contains(joint);
            assertThat(JointsModel.through(joint)).isNotBlank();
            if (joints.isOfRun()) {
                assertThat(models.studio().reading()).isPresent();
            }
        }
    }
}
