package kalodyne.desktop.control;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TimeViewTest {
    /** Whatever is done, it stays inside the take, and what one looks at stays where it is as far as the ends allow. */
    @ParameterizedTest
    @ValueSource(longs = {0, 1, 10, 48_000, 172_800_000, 1_000_000_000_000L})
    void one_never_looks_beyond_the_take(long frames) {
        Random random = new Random(3);
        TimeView view = TimeView.whole(frames);
        for (int i = 0; i < 500; i++) {
            double share = random.nextDouble();
            double at = view.frameAt(share);
            TimeView next = random.nextBoolean()
                    ? view.zoomed(Math.exp(random.nextGaussian()), share)
                    : view.moved(random.nextGaussian());
            assertThat(next.from()).isGreaterThanOrEqualTo(0);
            assertThat(next.to()).isLessThanOrEqualTo(Math.max(1, frames) * (1 + 1e-12));
            assertThat(next.frames()).isPositive();
            TimeView nearer = next.zoomed(2, 0.5);
            if (nearer.frames() < next.frames()) {
                assertThat(nearer.share(next.frameAt(0.5))).isCloseTo(0.5, within(1e-6));
            }
            assertThat(at).isNotNaN();
            view = next;
        }
        assertThat(view.zoomed(1e-18, 0.5).isWhole()).isTrue();
    }

    @Test
    void a_place_takes_a_third_of_what_is_seen() {
        TimeView view = TimeView.whole(480_000).round(100_000, 103_000);
        assertThat(view.frames()).isEqualTo(9_000);
        assertThat(view.share(100_000)).isCloseTo(1 / 3.0, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            0      | 12     | 8 | 0:00, 0:02, 0:04, 0:06, 0:08, 0:10, 0:12
            0      | 3600   | 8 | 0:00, 10:00, 20:00, 30:00, 40:00, 50:00, 1:00:00
            1.69   | 0.3    | 8 | 1.70 s, 1.75 s, 1.80 s, 1.85 s, 1.90 s, 1.95 s
            31.2   | 0.0005 | 5 | 31.2000 s, 31.2001 s, 31.2002 s, 31.2003 s, 31.2004 s, 31.2005 s
            """)
    void marks_stand_at_round_times(double begin, double seconds, double most, String labels) {
        assertThat(String.join(
                        ", ",
                        new TimeAxis(begin, seconds)
                                .marks(most).stream().map(TimeAxis.Mark::label).toList()))
                .isEqualTo(labels);
    }
}
