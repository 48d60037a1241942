package kalodyne.desktop.convert;

import static org.assertj.core.api.Assertions.assertThat;

import kalodyne.core.sums.Field;
import kalodyne.core.sums.Sum;
import kalodyne.core.sums.Sums;
import org.junit.jupiter.api.Test;

/** Sums as somebody types into them. */
class ConvertModelTest {
    private final ConvertModel convert = new ConvertModel();

    /** Every sum works with what stands in its fields at first; nonsense in any field is told and what was typed stays. */
    @Test
    void every_sum_works_and_refuses_nonsense() {
        for (Sum sum : Sums.all()) {
            convert.choose(sum);
            assertThat(convert.workedProperty().get().problems())
                    .as(sum.title())
                    .isEmpty();
            for (Field<?> field : sum.fields()) {
                String before = convert.typed(field);
                assertThat(before).isEqualTo(field.initial());
                convert.type(field, "¿?");
                assertThat(convert.typed(field)).isEqualTo("¿?");
                assertThat(convert.workedProperty().get().problems())
                        .as(sum.title() + " " + field.id())
                        .isNotEmpty();
                convert.type(field, before);
                assertThat(convert.workedProperty().get().problems()).isEmpty();
            }
        }
    }

    @Test
    void what_was_typed_into_one_is_still_there_after_another() {
        Sum first = Sums.all().get(0);
        Sum second = Sums.all().get(1);
        convert.choose(first);
        convert.type(first.fields().get(0), "+6 dBu");
        convert.choose(second);
        assertThat(convert.sum()).isEqualTo(second);
        convert.choose(first);
        assertThat(convert.typed(first.fields().get(0))).isEqualTo("+6 dBu");
    }
}
