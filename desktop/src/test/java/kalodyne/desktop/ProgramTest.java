package kalodyne.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import kalodyne.core.studio.StudioFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The program as a process of its own. */
class ProgramTest {
    /** The demonstration is built in it once, for all pictures. */
    @TempDir
    static Path home;

    @TempDir
    Path folder;

    private static ProcessBuilder java(Class<?> main, String... arguments) {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Dprism.order=sw",
                "-Xmx512m",
                "-cp",
                System.getProperty("java.class.path"),
                main.getName()));
        command.addAll(List.of(arguments));
        return new ProcessBuilder(command).redirectErrorStream(true);
    }

    private record Ended(int status, String printed) {}

    private Ended run(String... arguments) throws IOException, InterruptedException {
        return runIn(folder, arguments);
    }

    private static Ended runIn(Path data, String... arguments) throws IOException, InterruptedException {
        ProcessBuilder builder = java(Main.class, arguments);
        builder.environment().put("KALODYNE_HOME", data.toString());
        Process process = builder.start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        return new Ended(process.exitValue(), printed);
    }

    @ParameterizedTest
    @CsvSource({
        "levels, 1280x800, light, 1, demo",
        "takes, 900x650, dark, 1.5, demo",
        "levels, 1000x700, light, 1, empty"
    })
    void makes_pictures_of_its_rooms(String room, String size, String theme, String text, String studio)
            throws Exception {
        Path picture = folder.resolve("pictures/room.png");
        Ended ended = runIn(
                home,
                "picture",
                room,
                picture.toString(),
                "--size",
                size,
                "--theme",
                theme,
                "--text",
                text,
                "--studio",
                studio);
        assertThat(ended.printed()).isEmpty();
        assertThat(ended.status()).isZero();
        BufferedImage image = ImageIO.read(picture.toFile());
        assertThat(image.getWidth() + "x" + image.getHeight()).isEqualTo(size);
        int corner = image.getRGB(image.getWidth() / 2, image.getHeight() - 3) & 0xFF;
        assertThat(corner < 0x40).as("dark").isEqualTo(theme.equals("dark"));
        long colours = java.util.stream.IntStream.range(0, image.getWidth() * image.getHeight())
                .map(i -> image.getRGB(i % image.getWidth(), i / image.getWidth()))
                .distinct()
                .count();
        assertThat(colours).isGreaterThan(50);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            picture kitchen x.png                   | There is no room “kitchen”; choose shelf, hookup, levels, runsheet, takes, lineup, log, practise or convert.
            picture levels x.png --size wide        | “wide” is not a size; write for example 1280x800.
            picture levels x.png --text 9           | 0.8 to 2 times its usual size
            picture levels x.png --studio gone.kalodyne | gone.kalodyne, the whole of it: There is no such file.
            picture levels /proc/x.png --studio empty | /proc/x.png: the picture could not be written.
            analyse /dev/null                       | /dev/null, the whole of it: This is a stream, not a file.
            open gone.kalodyne                      | gone.kalodyne, the whole of it: There is no such file.
            analyse gone.wav                        | gone.wav, the whole of it: There is no such file.
            levels                                  | Missing required parameter
            levles                                  | Did you mean: kalodyne levels
            """)
    void complains_with_status_2(String arguments, String complaint) throws Exception {
        Ended ended = run(arguments.split(" "));
        assertThat(ended.printed()).contains(complaint).doesNotContain("Exception", "\tat ");
        assertThat(ended.status()).isEqualTo(2);
    }

    @Test
    void the_demonstration_says_where_it_cannot_be_written() throws Exception {
        Files.writeString(folder.resolve("demo"), "a file where the folder should be");
        Ended ended = run("demo");
        assertThat(ended.printed())
                .contains("the demonstration studio cannot be written there.")
                .doesNotContain("Exception");
        assertThat(ended.status()).isEqualTo(2);
    }

    @Test
    void the_demonstration_can_be_begun_afresh() throws IOException {
        Path file = StudioOpener.demoFile(folder.resolve("demo"), false);
        Files.writeString(file, "changed");
        assertThat(StudioOpener.demoFile(folder.resolve("demo"), false)).hasContent("changed");
        assertThat(StudioFile.read(StudioOpener.demoFile(folder.resolve("demo"), true))
                        .setups()
                        .get(0)
                        .takes())
                .hasSize(2);
    }
}
