package kalodyne.desktop.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.findings.Finding;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.testing.Models;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The shelf without a window. */
class ShelfModelTest {
    @TempDir
    Path folder;

    private Models models;
    private ShelfModel shelf;

    @BeforeEach
    void open() throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        shelf = new ShelfModel(models.studio(), Models.CLOCK);
    }

    @AfterEach
    void close() {
        models.close();
    }

    private Device chosen() {
        return ((Chosen.OfDevice) shelf.chosen().orElseThrow()).device();
    }

    private static Device profile(String id) {
        return Catalogue.shipped().device(id).orElseThrow().gear().withProfile(id);
    }

    @ParameterizedTest
    @CsvSource({"'', true, true", "lead 7, false, true", "balanced, true, true", "no such thing anywhere, false, false"
    })
    void finds_gear_and_leads_by_words(String words, boolean gear, boolean leads) {
        shelf.queryProperty().set(words);
        assertThat(!shelf.shownProperty().get().devices().isEmpty()).isEqualTo(gear);
        assertThat(!shelf.shownProperty().get().leads().isEmpty()).isEqualTo(leads);
        assertThat(shelf.shownProperty().get().deviceCount())
                .isEqualTo(models.studio().studio().devices().size());
    }

    /** A copy is kept beside the studio, a second of the same name under another one; a restart and undo keep both. */
    @Test
    void a_photograph_is_kept_with_gear_and_leads() throws IOException {
        Path picture = Files.writeString(
                Files.createDirectories(folder.resolve("camera")).resolve("img.png"), "one");
        shelf.choose("bass-synth");
        shelf.addPhoto(picture);
        Files.writeString(picture, "another");
        shelf.choose("lead-7");
        shelf.addPhoto(picture);
        assertThat(shelf.fileOf(shelf.chosen().orElseThrow().photo().orElseThrow()))
                .hasContent("another");
        shelf.choose("bass-synth");
        assertThat(shelf.fileOf(chosen().photo().orElseThrow())).hasContent("one");
        shelf.removePhoto();
        models.studio().undo();
        assertThat(chosen().photo()).contains("photos/img.png");
        shelf.addPhoto(folder.resolve("nowhere.png"));
        assertThat(chosen().photo()).contains("photos/img.png");
        assertThat(models.studio().noticeProperty().get().orElseThrow().title())
                .isEqualTo("The photograph was not added");
        models.close();
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        assertThat(models.studio().studio().lead("lead-7").orElseThrow().photo())
                .contains("photos/img 2.png");
    }

    /** In which setup, from where to where, as somebody would say it who looks at the back of the gear. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "bass-synth | Sunday trio: Output → Interface, Line in 3, with Lead 7",
                "lead-7 | Sunday trio: Bass synth, Output → Interface, Line in 3",
                "headphones | Sunday trio: Interface, Headphones → Plug",
                "camera | nowhere"
            })
    void tells_where_something_is_plugged(String id, String words) {
        shelf.choose(id);
        assertThat(shelf.whereabouts().stream()
                        .findFirst()
                        .map(each -> each.setup().name() + ": " + each.words(id))
                        .orElse("nowhere"))
                .isEqualTo(words);
    }

    @Test
    void several_things_are_removed_in_one_step() {
        int before = models.studio().studio().devices().size();
        shelf.remove(List.of("bass-synth", "cello", "lead-7"));
        assertThat(models.studio().studio().devices()).hasSize(before - 2);
        assertThat(models.studio().studio().lead("lead-7")).isEmpty();
        assertThat(models.studio().undoable()).contains("remove 3 things");
        models.studio().undo();
        assertThat(models.studio().studio().devices()).hasSize(before);
    }

    /** What is added has a mark of its own, is looked at, and is seen whatever was searched for. */
    @Test
    void what_is_added_is_looked_at() {
        shelf.queryProperty().set("lead 7");
        shelf.add(profile("synth-analogue"));
        assertThat(chosen().name()).isEqualTo("Analogue synth, mono output");
        String mark = chosen().id();
        assertThat(shelf.queryProperty().get()).isEmpty();
        shelf.duplicate();
        assertThat(chosen().name()).isEqualTo("Analogue synth, mono output 2");
        assertThat(chosen().id()).isNotEqualTo(mark);
        shelf.duplicate();
        assertThat(chosen().name()).isEqualTo("Analogue synth, mono output 2 2");
        shelf.remove();
        assertThat(models.studio().studio().devices())
                .extracting(Device::name)
                .doesNotContain("Analogue synth, mono output 2 2");
        assertThat(shelf.chosen()).as("something else is looked at").isPresent();
        assertThat(models.studio().undoable()).contains("remove Analogue synth, mono output 2 2");
    }

    @Test
    void the_next_lead_has_the_next_number() {
        String next = shelf.nextLeadName();
        assertThat(next).matches("Lead \\d+");
        shelf.add(Catalogue.shipped().lead("ts-ts").orElseThrow().gear().withName(next));
        assertThat(shelf.nextLeadName()).isEqualTo("Lead " + (Integer.parseInt(next.substring(5)) + 1));
    }

    /** What somebody types was read somewhere today; what was measured and is typed anew was measured anew; nothing is unknown. */
    @Test
    void a_typed_value_knows_where_it_is_from() {
        shelf.add(profile("synth-analogue"));
        String out = "socket out";
        shelf.value(out, Fact.LOUDEST_PEAK, "+9 dBu");
        assertThat(chosen().sockets().get(0).facts().get(Fact.LOUDEST_PEAK)).hasValueSatisfying(value -> {
            assertThat(value.is().dbu()).isEqualTo(9);
            assertThat(value.from().origin()).isEqualTo(Provenance.Origin.DATASHEET);
            assertThat(value.from().date()).contains(shelf.today());
        });
        shelf.provenance(out, Fact.LOUDEST_PEAK, from -> Provenance.measured(shelf.today()));
        shelf.value(out, Fact.LOUDEST_PEAK, "+10 dBu");
        assertThat(chosen().sockets()
                        .get(0)
                        .facts()
                        .get(Fact.LOUDEST_PEAK)
                        .orElseThrow()
                        .from()
                        .origin())
                .isEqualTo(Provenance.Origin.MEASURED);
        shelf.value(out, Fact.LOUDEST_PEAK, " ");
        assertThat(chosen().sockets().get(0).facts().get(Fact.LOUDEST_PEAK)).isEmpty();
    }

    @Test
    void what_cannot_be_read_is_refused_and_changes_nothing() {
        shelf.add(profile("synth-analogue"));
        Device before = chosen();
        assertThatThrownBy(() -> shelf.value("socket out", Fact.LOUDEST_PEAK, "loud"))
                .isInstanceOf(UnreadableQuantity.class);
        assertThatThrownBy(() -> shelf.value("socket out", Fact.LOUDEST_PEAK, "9"))
                .hasMessageContaining("no unit");
        assertThatThrownBy(() -> shelf.rename("  ")).hasMessageContaining("A name has 1 to 120 letters");
        assertThatThrownBy(() -> shelf.range("volume", "loud")).hasMessageContaining("has not two ends");
        assertThat(chosen()).isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource({"3, true", "0, true", "999, true", "1000, false", "-1, false", "two, false", "'', false"})
    void one_owns_so_many_of_a_lead(String typed, boolean isNumber) {
        shelf.choose(models.studio().studio().leads().get(0).id());
        int before = models.studio().studio().leads().get(0).owned();
        if (isNumber) {
            shelf.owned(typed);
            assertThat(models.studio().studio().leads().get(0).owned()).isEqualTo(Integer.parseInt(typed));
        } else {
            assertThatThrownBy(() -> shelf.owned(typed)).hasMessageContaining("is not a number of leads");
            assertThat(models.studio().studio().leads().get(0).owned()).isEqualTo(before);
        }
    }

    @Test
    void leads_and_gear_carry_notes_and_leads_a_colour() {
        Lead lead = models.studio().studio().leads().get(0);
        shelf.choose(lead.id());
        shelf.colour("green");
        shelf.note("Crackles at one end");
        shelf.rename("Long one");
        Lead now = models.studio().studio().leads().get(0);
        assertThat(now.colour()).isEqualTo("green");
        assertThat(now.note()).isEqualTo("Crackles at one end");
        assertThat(now.name()).isEqualTo("Long one");
        shelf.colour("");
        assertThat(models.studio().studio().leads().get(0).colour()).isEmpty();
        assertThat(shelf.named()).containsEntry(lead.id(), "Long one");
    }

    /** A guitar lead of 300 m is doubted and kept; one of 3 m is not. */
    @Test
    void what_is_out_of_the_usual_is_doubted_and_kept() {
        shelf.add(Catalogue.shipped().lead("ts-ts").orElseThrow().gear().withName("Odd one"));
        shelf.value("lead", Fact.LENGTH, "900 m");
        assertThat(shelf.findingsProperty().get())
                .extracting(Finding::title)
                .anyMatch(title -> title.contains("Odd one"));
        shelf.value("lead", Fact.LENGTH, "3 m");
        assertThat(shelf.findingsProperty().get())
                .extracting(Finding::title)
                .noneMatch(title -> title.contains("Odd one"));
    }
}
