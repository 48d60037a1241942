package kalodyne.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Why one way goes before another: what differs most, in points that were added up by hand. */
class ReasonTest {
    /** "BREAKS 2 two breaks, TO_GET 0 all of it is owned". */
    private static List<Reason> reasons(String line) {
        return line == null
                ? List.of()
                : Arrays.stream(line.split(", ", -1))
                        .map(part -> part.split(" ", 3))
                        .map(word -> new Reason(about(word[0]), word[2], 1, Double.parseDouble(word[1])))
                        .toList();
    }

    private static Weight about(String of) {
        return Arrays.stream(Weight.values())
                .filter(weight -> weight.row().of().name().equals(of))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', emptyValue = "", textBlock = """
            BREAKS 1 one break                             | BREAKS 3 three breaks                                | one break, not three breaks (2 points)
            BREAKS 3 three breaks                          | BREAKS 1 one break                                   | ''
            TO_GET 0 all of it is owned                    | TO_GET 4 a lead to get                               | all of it is owned, not a lead to get (4 points)
                                                           | FAULTS 10 it clips                                   | none of this: it clips (10 points)
            SOUND 1 some hiss, SOUND 2 some hum            | SOUND 2 some hum, SOUND 3 dull                       | some hiss, not dull (2 points)
            BREAKS 2 breaks                                | BREAKS 3 breaks                                      | fewer breaks (1 point)
            DEVICES 1 one box                              | DEVICES 1 one box                                    | ''
            BREAKS 1 one break, DEVICES 1 one box          | BREAKS 2 two, DEVICES 5 five boxes, SOUND 9 hum      | none of this: hum (9 points); one box, not five boxes (4 points)
            BREAKS 2 two breaks, TO_GET 0 owned            | BREAKS 1 one, TO_GET 3 to get                        | owned, not to get (3 points)
            BREAKS 1 one                                   | BREAKS 1.04 hardly more                              | ''
            """)
    void the_greatest_differences_are_told_first(String way, String other, String expected) {
        assertThat(Reason.better(reasons(way), reasons(other))).isEqualTo(expected);
    }
}
