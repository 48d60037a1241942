package kalodyne.core.studio.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.exchange.ImportPlan.Mode;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.units.Level;
import org.junit.jupiter.api.Test;

/** What an import says that it will do, and what comes of it. */
class ImportPlanTest {
    private final Studio boathouse = Boathouse.studio();

    @Test
    void the_same_again_changes_nothing() {
        ImportPlan plan = ImportPlan.of(boathouse, boathouse, Mode.MERGE);
        assertThat(plan.result()).isEqualTo(boathouse);
        assertThat(plan.summary()).isEqualTo("0 new, 0 changed, 32 the same");
    }

    @Test
    void a_new_studio_becomes_the_one_that_comes_in() {
        assertThat(ImportPlan.of(Studio.empty(), boathouse, Mode.MERGE).result())
                .isEqualTo(boathouse);
    }

    @Test
    void merging_tells_what_changes() {
        Device synth = boathouse.device("bass-synth").orElseThrow();
        Device louder = Parts.with(
                synth,
                "socket out",
                synth.socket("out")
                        .orElseThrow()
                        .facts()
                        .with(
                                Fact.LOUDEST_PEAK,
                                new Value<>(new Level(9), Provenance.typical(Provenance.Ground.ESTIMATE, "guessed"))));
        Studio incoming = new Studio("Other", List.of(louder), List.of(), List.of());
        ImportPlan plan = ImportPlan.of(boathouse, incoming, Mode.MERGE);
        assertThat(plan.lines())
                .singleElement()
                .satisfies(line -> assertThat(line)
                        .hasToString("device Bass synth: changed (Output: Loudest peak +6.0 dBu → +9.0 dBu)"));
        assertThat(plan.result()).isEqualTo(boathouse.with(louder));
        assertThat(plan.result().name()).isEqualTo("The Boathouse");
    }

    /** A table that somebody wrote has no ids: one thing of that name is meant; of two nobody knows which. */
    @Test
    void without_an_id_the_name_decides() {
        Lead lead = boathouse.lead("lead-7").orElseThrow();
        Studio incoming =
                new Studio("Other", List.of(), List.of(lead.withId("typed").withColour("pink")), List.of());
        Studio merged = ImportPlan.of(boathouse, incoming, Mode.MERGE).result();
        assertThat(merged.leads()).hasSameSizeAs(boathouse.leads());
        assertThat(merged.lead("lead-7").orElseThrow().colour()).isEqualTo("pink");
        Studio two = boathouse.with(lead.withId("second"));
        assertThat(ImportPlan.of(two, incoming, Mode.MERGE).result().leads())
                .hasSize(two.leads().size() + 1);
    }

    @Test
    void copies_are_new_under_free_names() {
        ImportPlan plan = ImportPlan.of(boathouse, boathouse, Mode.COPY);
        assertThat(plan.count(ImportPlan.Effect.ADDED)).isEqualTo(32);
        Studio result = plan.result();
        assertThat(result.leads()).extracting(Lead::id).doesNotHaveDuplicates();
        assertThat(result.leads())
                .extracting(Lead::name)
                .doesNotHaveDuplicates()
                .contains("Lead 7", "Lead 7 2");
        assertThat(result.setups())
                .extracting(Setup::name)
                .containsExactly("Sunday trio", "Through the mixer", "Sunday trio 2", "Through the mixer 2");
    }

    @Test
    void runs_and_takes_that_are_there_stay() {
        Setup here = boathouse.setups().get(0);
        Take mine = new Take("Mine", "bass-synth.out>interface.adc-3", "m.wav", Instant.EPOCH, Map.of());
        Studio present = boathouse.with(here.with(mine));
        Take theirs = new Take("Theirs", "bass-synth.out>interface.adc-3", "t.wav", Instant.EPOCH, Map.of());
        Studio result = ImportPlan.of(present, Studio.of("Other", here.with(theirs)), Mode.MERGE)
                .result();
        assertThat(result.setups().get(0).takes()).containsExactly(mine, theirs);
    }

    /** What comes in as new has new ids; what is plugged follows. */
    @Test
    void what_is_plugged_follows_copied_gear() {
        Studio present = Boathouse.studio();
        Studio after = ImportPlan.of(present, present, ImportPlan.Mode.COPY).result();
        Setup copy = after.setups().get(2);
        assertThat(copy.wiring().plugged())
                .hasSameSizeAs(present.setups().get(0).wiring().plugged());
        assertThat(copy.wiring().plugged())
                .doesNotContainAnyElementsOf(present.setups().get(0).wiring().plugged());
        assertThat(after.patch(copy).pluggings()).isEqualTo(copy.wiring().plugged());
        assertThat(after.withoutDevice("interface")
                        .patch(present.setups().get(0))
                        .pluggings())
                .noneMatch(plugging -> plugging.socket().item().equals("interface"))
                .isNotEmpty();
    }
}
