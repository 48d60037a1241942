package kalodyne.desktop.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every pair of colours that carries words or meaning, by the contrast ratio of WCAG 2.1 (1.4.3 text, 1.4.11 graphics). */
class ContrastTest {
    private static final Pattern TOKEN = Pattern.compile("(-k-[a-z0-9-]+):\\s*(#[0-9A-Fa-f]{6});");

    private static Map<String, Color> tokens(boolean dark) throws IOException {
        String css;
        try (var in = ContrastTest.class.getResourceAsStream("/kalodyne/desktop/theme/tokens.css")) {
            css = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        int split = css.indexOf(".root.dark");
        Map<String, Color> tokens = new HashMap<>();
        Matcher matcher = TOKEN.matcher(dark ? css.substring(split) : css.substring(0, split));
        while (matcher.find()) {
            tokens.put(matcher.group(1), Color.web(matcher.group(2)));
        }
        return tokens;
    }

    private static double luminance(Color color) {
        return 0.2126 * linear(color.getRed()) + 0.7152 * linear(color.getGreen()) + 0.0722 * linear(color.getBlue());
    }

    private static double linear(double channel) {
        return channel <= 0.03928 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
    }

    private static double ratio(Color a, Color b) {
        double brighter = Math.max(luminance(a), luminance(b));
        double darker = Math.min(luminance(a), luminance(b));
        return (brighter + 0.05) / (darker + 0.05);
    }

    /** WCAG's own ends of the scale: black on white is 21 to 1. */
    @Test
    void measures_as_the_standard_does() {
        assertThat(ratio(Color.BLACK, Color.WHITE)).isEqualTo(21);
        assertThat(ratio(Color.web("#767676"), Color.WHITE)).isBetween(4.5, 4.6);
    }

    @ParameterizedTest
    @CsvSource({
        "ink, paper, 4.5", "ink, card, 4.5", "ink2, paper, 4.5", "ink2, card, 4.5", "ink, sunk, 4.5",
        "act, paper, 4.5", "act, card, 4.5", "on-act, act, 4.5", "aim-edge, paper, 4.5", "aim-edge, card, 4.5",
        "aim-edge, aim, 4.5", "peak, card, 4.5", "average, card, 4.5", "floor, card, 4.5", "wrong, paper, 4.5",
        "wrong, card, 4.5", "harm, paper, 3", "weak, paper, 3", "note, paper, 3", "peak, aim, 3"
    })
    void words_and_marks_stand_out(String front, String ground, double least) throws IOException {
        for (boolean dark : new boolean[] {false, true}) {
            Map<String, Color> tokens = tokens(dark);
            assertThat(ratio(tokens.get("-k-" + front), tokens.get("-k-" + ground)))
                    .as(front + " on " + ground + (dark ? ", dark" : ", light"))
                    .isGreaterThanOrEqualTo(least);
        }
    }
}
