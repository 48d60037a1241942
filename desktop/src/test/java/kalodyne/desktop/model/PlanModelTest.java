package kalodyne.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalInt;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BiConsumer;
import java.util.function.Function;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.runsheet.LeadReach;
import kalodyne.core.runsheet.Standing.Side;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.testing.Models;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is planned, as somebody types it. */
class PlanModelTest {
    @TempDir
    Path folder;

    private Models models;
    private PlanModel plan;

    @BeforeEach
    void open() throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        SheetModel sheet = new SheetModel(models.studio(), Models.CLOCK, new AtomicLong()::get);
        sheet.look();
        plan = new PlanModel(models.studio(), sheet);
    }

    @AfterEach
    void close() {
        models.close();
    }

    private static BiConsumer<PlanModel, String> typing(String field) {
        return switch (field) {
            case "minutes" -> PlanModel::minutes;
            case "tempo" -> PlanModel::tempo;
            case "parts" -> PlanModel::parts;
            case "round trip" -> PlanModel::roundTrip;
            case "free" -> (plan, typed) -> plan.free(plan.recorders().get(0), typed);
            default -> (plan, typed) -> plan.stand(plan.devices().get(0), Side.ALONG, typed);
        };
    }

    private static Function<PlanModel, String> showing(String field) {
        return switch (field) {
            case "minutes" -> PlanModel::minutes;
            case "tempo" -> PlanModel::tempo;
            case "parts" -> PlanModel::parts;
            case "round trip" -> PlanModel::roundTrip;
            case "free" -> plan -> plan.free(plan.recorders().get(0));
            default -> plan -> plan.standing(plan.devices().get(0), Side.ALONG);
        };
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            minutes    | 45         | 45
            minutes    | ' 90 '     | 90
            tempo      | 118        | 118
            tempo      | 97,5       | 97.5
            tempo      | ''         | ''
            parts      | Bass, snare ,, hats | Bass, snare, hats
            parts      | ''         | ''
            round trip | 12.3 ms    | 12.3 ms
            round trip | 12,34      | 12.3 ms
            round trip | ''         | ''
            free       | 32 GB      | 32.0 GB
            free       | 1,5 TB     | 1.50 TB
            free       | 500mb      | 500 MB
            free       | 8          | 8.00 GB
            free       | ''         | ''
            place      | 2.4 m      | 2.4 m
            place      | 2,4        | 2.4 m
            place      | 240 cm     | 2.4 m
            place      | ''         | ''
            """)
    void what_is_typed_is_kept_and_shown_again(String field, String typed, String shown) {
        typing(field).accept(plan, typed);
        assertThat(showing(field).apply(plan)).isEqualTo(shown);
        assertThat(models.studio().undoable().isPresent() || typed.isBlank() || typed.equals("45"))
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            minutes    | 0            | That is not a length.
            minutes    | -5           | That is not a length.
            minutes    | an hour      | That is not a length.
            minutes    | 99999        | That is not a length.
            tempo      | 19           | That is not a tempo.
            tempo      | 401          | That is not a tempo.
            tempo      | fast         | That is not a tempo.
            round trip | 2001         | That is not a round trip.
            round trip | soon         | That is not a round trip.
            free       | a lot        | That is not a free space.
            free       | 3 floppies   | That is not a free space.
            place      | 101 m        | That is too far away.
            place      | over there   | “over there m”
            """)
    void what_cannot_be_is_refused_and_changes_nothing(String field, String typed, String why) {
        String before = showing(field).apply(plan);
        assertThatThrownBy(() -> typing(field).accept(plan, typed))
                .isInstanceOf(UnreadableQuantity.class)
                .hasMessageContaining(why.equals("“over there m”") ? "does not begin with a number" : why);
        assertThat(showing(field).apply(plan)).isEqualTo(before);
    }

    @Test
    void more_than_fifty_parts_or_long_ones_are_none() {
        assertThatThrownBy(() -> plan.parts("x,".repeat(51))).hasMessageContaining("These are not parts.");
        assertThatThrownBy(() -> plan.parts("x".repeat(61))).hasMessageContaining("These are not parts.");
        plan.parts("x,".repeat(50));
        assertThat(plan.parts()).startsWith("x, x");
    }

    @Test
    void the_format_is_planned_or_left_open() {
        assertThat(plan.rate()).isEmpty();
        plan.record(OptionalInt.of(96_000), OptionalInt.of(24));
        assertThat(plan.rate()).hasValue(96_000);
        assertThat(plan.bits()).hasValue(24);
        plan.record(OptionalInt.empty(), OptionalInt.empty());
        assertThat(plan.rate()).isEmpty();
    }

    /** The usual source is not kept as something planned: it stays the usual one when the gear is described anew. */
    @Test
    void gear_runs_on_what_it_usually_does_unless_somebody_says_so() {
        Device device = plan.powered().get(0);
        List<PowerSource> sources = plan.sources(device);
        assertThat(plan.source(device)).isEqualTo(sources.get(0));
        plan.run(device, sources.get(1));
        assertThat(plan.source(device)).isEqualTo(sources.get(1));
        plan.run(device, sources.get(0));
        assertThat(models.studio().setup().sessionPlan().powering()).doesNotContainKey(device.id());
    }

    /** Two devices in opposite corners of a large room: no lead of the shelf reaches, and those that do not come first. */
    @Test
    void leads_that_do_not_reach_come_first() {
        assertThat(plan.reaches()).isEmpty();
        for (Device device : plan.devices()) {
            plan.stand(device, Side.ALONG, device.id().equals("bass-synth") ? "60" : "1");
        }
        List<LeadReach> reaches = plan.reaches();
        assertThat(reaches).isNotEmpty();
        assertThat(reaches.get(0).isShort()).isTrue();
        assertThat(reaches.stream().map(LeadReach::isShort).toList())
                .isSortedAccordingTo((a, b) -> Boolean.compare(b, a));
    }
}
