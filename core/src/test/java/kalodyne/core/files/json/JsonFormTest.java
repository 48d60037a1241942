package kalodyne.core.files.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Quantity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A form that names every field once, of a box that is made up here: what it writes it reads, and what is wrong it tells with its place. */
class JsonFormTest {
    private enum Colour {
        DARK_RED,
        BLUE
    }

    private record Label(String text, Optional<Colour> colour) {}

    private record Box(
            String name,
            Gain gain,
            int owned,
            boolean isLocked,
            OptionalInt year,
            OptionalDouble weight,
            String note,
            List<Label> labels,
            Map<Colour, Double> marks,
            Label front) {
        Box {
            if (owned < 1) {
                throw new IllegalArgumentException("one at least must be owned");
            }
        }
    }

    private static final ObjectForm<Label> LABEL = ObjectForm.of(fields ->
            new Label(fields.text("text", Label::text), fields.maybe("colour", Words.of(Colour.class), Label::colour)));

    private static final ObjectForm<Box> BOX = ObjectForm.of(fields -> new Box(
            fields.text("name", Box::name),
            fields.value("gain", Words.of(Quantity.GAIN), Box::gain),
            fields.valueOr("owned", JsonForm.WHOLE, 1, Box::owned),
            fields.valueOr("locked", JsonForm.FLAG, false, Box::isLocked),
            fields.maybeWhole("year", Box::year),
            fields.maybeNumber("weight", Box::weight),
            fields.textIfAny("note", Box::note),
            fields.listIfAny("labels", LABEL, Box::labels),
            fields.mapIfAny("marks", Words.of(Colour.class), JsonForm.NUMBER, Box::marks),
            fields.among(LABEL, Box::front)));

    private static final Box PLAIN = new Box(
            "Box",
            new Gain(6),
            1,
            false,
            OptionalInt.empty(),
            OptionalDouble.empty(),
            "",
            List.of(),
            Map.of(),
            new Label("front", Optional.empty()));

    private static final Box FULL = new Box(
            "Box, full",
            new Gain(-3.5),
            2,
            true,
            OptionalInt.of(1974),
            OptionalDouble.of(0.25),
            "Crackles",
            List.of(new Label("a", Optional.of(Colour.BLUE)), new Label("b", Optional.empty())),
            Map.of(Colour.DARK_RED, 0.5),
            new Label("front", Optional.of(Colour.DARK_RED)));

    private static JsonPlace place(String json) throws JsonProcessingException {
        return new JsonPlace(new JsonMapper().readTree(json.replace('\'', '"')));
    }

    /** What is as usual is left out; everything else stands in the order in which it is named. */
    @Test
    void writes_what_is_not_as_usual() {
        assertThat(BOX.write(PLAIN).toString().replace('"', '\''))
                .isEqualTo("{'name':'Box','gain':'6 dB','text':'front'}");
        assertThat(BOX.write(FULL).toString().replace('"', '\''))
                .isEqualTo("{'name':'Box, full','gain':'-3.5 dB','owned':2,'locked':true,'year':1974,'weight':0.25,"
                        + "'note':'Crackles','labels':[{'text':'a','colour':'blue'},{'text':'b'}],"
                        + "'marks':{'dark-red':0.5},'text':'front','colour':'dark-red'}");
    }

    @Test
    void reads_what_it_writes() throws JsonProcessingException {
        for (Box box : List.of(PLAIN, FULL)) {
            Problems problems = new Problems();
            assertThat(BOX.read(place(BOX.write(box).toString()), problems)).contains(box);
            assertThat(problems.isEmpty()).isTrue();
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            {'name':'Box','gain':'loud','text':'front'} | gain: “loud” | no
            {'name':'Box','gain':'1 dB','text':'front','labels':[{'text':'a'},{'text':'b','colour':'green'}]} | labels › 2 › colour: This is not a choice here. Check its spelling. | no
            {'name':'Box','gain':'1 dB','text':'front','marks':{'green':1}} | marks › green: This is not a choice here. Check its spelling. | no
            {'name':'Box','gain':'1 dB','text':'front','owned':0} | the whole of it: One at least must be owned. Correct it. | no
            {'name':'Box','gain':'1 dB','text':'front','colour':'blue'} | none | yes
            """)
    void tells_what_is_wrong_with_its_place(String json, String problem, String isRead) throws JsonProcessingException {
        Problems problems = new Problems();
        assertThat(BOX.read(place(json), problems).isPresent()).isEqualTo(isRead.equals("yes"));
        if (problem.equals("none")) {
            assertThat(problems.all()).isEmpty();
        } else {
            assertThat(problems.all())
                    .singleElement()
                    .satisfies(each -> assertThat(each.toString()).startsWith(problem));
        }
    }

    /** Whoever mends a file by hand wants to know of all mistakes at once. */
    @Test
    void tells_all_that_is_wrong() throws JsonProcessingException {
        Problems problems = new Problems();
        BOX.read(
                place("{'name':'Box','gain':'loud','text':'front','labels':[{'text':'a','colour':'x'}],'owned':0}"),
                problems);
        assertThat(problems.all()).extracting(Problem::place).containsExactly("gain", "labels › 1 › colour");
    }

    @Test
    void words_are_those_of_the_files() {
        assertThat(Words.name(Colour.DARK_RED)).isEqualTo("dark-red");
        assertThat(Words.named(Colour.class, "dark-red")).contains(Colour.DARK_RED);
        assertThat(Words.named(Colour.class, "DARK_RED")).isEmpty();
        assertThat(Words.of(Colour.class, Colour.BLUE).of().apply("green")).isEqualTo(Colour.BLUE);
        assertThatThrownBy(() -> Words.MOMENT.of().apply("Sunday"))
                .hasMessageContaining("Write it as 2026-03-01T18:30:00Z.");
    }
}
