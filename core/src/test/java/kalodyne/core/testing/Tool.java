package kalodyne.core.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** General-purpose sound tools of the system (SoX, ffmpeg), to make files with and to measure against. */
public final class Tool {
    private Tool() {}

    /** Runs a command and gives all that it printed; fails the test where the command fails. */
    public static String run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(List.of(command))
                .redirectErrorStream(true)
                .redirectInput(ProcessBuilder.Redirect.from(new File("/dev/null")))
                .start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(process.exitValue())
                .as(String.join(" ", command) + "\n" + printed)
                .isZero();
        return printed;
    }

    /** A number of a table: in the row that begins with a label, the one of a column, counted from 0. */
    public static double column(String table, String row, int index) {
        String line =
                table.lines().filter(each -> each.startsWith(row)).findFirst().orElseThrow();
        String number = line.substring(row.length()).strip().split("\\s+", -1)[index];
        return Double.parseDouble(number.replace("inf", "Infinity"));
    }

    /** All numbers that are printed behind a label and a colon, in their order. */
    public static List<Double> numbers(String text, String label) {
        Matcher matcher = Pattern.compile(label + ": (\\S+)").matcher(text);
        List<Double> found = new ArrayList<>();
        while (matcher.find()) {
            found.add(Double.parseDouble(matcher.group(1)));
        }
        return found;
    }
}
