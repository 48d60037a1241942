package kalodyne.core.hearing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class BlindTestTest {
    private static BlindTest answered(int tries, int hits) {
        BlindTest test = BlindTest.begun(7, tries);
        for (int i = 0; i < tries; i++) {
            test = test.answered(i < hits == test.isSecond());
        }
        return test;
    }

    /** Upper tails of the binomial distribution with one in two, from printed tables; told apart from one in twenty on. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
             5 |  5 | 0.0313 | true  | 5 of 5 right. Mere guessing gets that far once in 32 times: you can tell them apart.
             5 |  4 | 0.1875 | false | 4 of 5 right. Mere guessing gets that far once in 5 times: you could not tell them apart.
             8 |  7 | 0.0352 | true  | 7 of 8 right. Mere guessing gets that far once in 28 times: you can tell them apart.
            10 |  9 | 0.0107 | true  | 9 of 10 right. Mere guessing gets that far once in 93 times: you can tell them apart.
            10 |  8 | 0.0547 | false | 8 of 10 right. Mere guessing gets that far once in 18 times: you could not tell them apart.
            10 |  6 | 0.3770 | false | 6 of 10 right. Mere guessing gets that far every second to third time: you could not
            10 |  5 | 0.6230 | false | 5 of 10 right. Mere guessing gets that far more often than not: you could not
            16 | 12 | 0.0384 | true  | 12 of 16 right. Mere guessing gets that far once in 26 times: you can tell them apart.
            16 |  0 | 1.0000 | false | 0 of 16 right. Mere guessing gets that far more often than not: you could not
            """)
    void tells_what_guessing_would_do(int tries, int hits, double chance, boolean isToldApart, String words) {
        BlindTest test = answered(tries, hits);
        assertThat(test.isOver()).isTrue();
        assertThat(test.hits()).isEqualTo(hits);
        assertThat(test.chance()).isCloseTo(chance, within(0.00005));
        assertThat(test.isToldApart()).isEqualTo(isToldApart);
        assertThat(test.words()).startsWith(words);
    }

    /** Whoever always says the same is right about half the time, and the same seed draws the same. */
    @Test
    void draws_both_about_as_often() {
        int second = 0;
        for (int seed = 0; seed < 200; seed++) {
            BlindTest test = BlindTest.begun(seed, 10);
            BlindTest again = BlindTest.begun(seed, 10);
            while (!test.isOver()) {
                assertThat(again.isSecond()).isEqualTo(test.isSecond());
                second += test.isSecond() ? 1 : 0;
                test = test.answered(true);
                again = again.answered(false);
            }
        }
        // 2000 fair draws: 5 standard deviations are 112.
        assertThat(second).isBetween(888, 1112);
    }

    @ParameterizedTest
    @ValueSource(ints = {4, 17, 0, -1})
    void takes_five_to_sixteen_tries(int tries) {
        assertThatThrownBy(() -> BlindTest.begun(1, tries)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> answered(5, 5).answered(true)).isInstanceOf(IllegalStateException.class);
    }
}
