package kalodyne.desktop;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Whether the system's own windows are dark, as far as it says so. */
final class SystemTheme {
    private static final Logger LOG = LoggerFactory.getLogger(SystemTheme.class);
    private static final int LONGEST_SECONDS = 2;
    private static final int MOST_BYTES = 4000;

    private SystemTheme() {}

    /** What tells it on a kind of system, and by which word in the answer. */
    enum Asked {
        WINDOWS(
                "0x0",
                "reg",
                "query",
                "HKCU\\Software\\Microsoft\\Windows\\CurrentVersion\\Themes\\Personalize",
                "/v",
                "AppsUseLightTheme"),
        MAC("dark", "defaults", "read", "-g", "AppleInterfaceStyle"),
        OTHER("dark", "gsettings", "get", "org.gnome.desktop.interface", "color-scheme");

        private final String dark;
        private final String command;

        Asked(String dark, String... command) {
            this.dark = dark;
            this.command = String.join("\n", command);
        }

        static Asked on(String system) {
            String name = system.toLowerCase(Locale.ROOT);
            if (name.startsWith("windows")) {
                return WINDOWS;
            }
            return name.startsWith("mac") ? MAC : OTHER;
        }

        List<String> command() {
            return List.of(command.split("\n", -1));
        }

        boolean isDark(String answer) {
            return answer.toLowerCase(Locale.ROOT).contains(dark);
        }
    }

    /** Asks this system; light where it does not know, or does not answer. */
    static boolean isDark() {
        Asked asked = Asked.on(System.getProperty("os.name", ""));
        try {
            Process process = new ProcessBuilder(asked.command())
                    .redirectErrorStream(true)
                    .start();
            process.getOutputStream().close();
            if (!process.waitFor(LONGEST_SECONDS, TimeUnit.SECONDS)) {
                process.destroyForcibly();
                return false;
            }
            byte[] answer = process.getInputStream().readNBytes(MOST_BYTES);
            return process.exitValue() == 0 && asked.isDark(new String(answer, StandardCharsets.UTF_8));
        } catch (IOException e) {
            LOG.debug("the system does not tell its theme", e);
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
