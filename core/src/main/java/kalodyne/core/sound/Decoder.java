package kalodyne.core.sound;

import java.io.IOException;
import java.io.InputStream;
import java.net.JarURLConnection;
import java.net.URL;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Enumeration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.stream.Stream;

/**
 * The program that knows compressed sound, which ships inside a library. It is unpacked once, into the user's cache, and runs
 * as a process of its own: a damaged file can make it fall over, but never this program.
 */
final class Decoder {
    /** What may be inside a container: sound of phones, cameras, recorders and the web. Nothing that refers to elsewhere. */
    private static final String CONTAINERS = String.join(
            ",",
            "mov,mp4,m4a,3gp,3g2,mj2",
            "matroska,webm",
            "ogg,mp3,flac,aac,wav,w64,aiff,caf,au,amr,ape,wv,tta,asf,avi,mpegts,mpeg,ac3,eac3,dsf,voc,loas");

    private static final String UNPACKED_FOR = "unpacked";

    private Decoder() {}

    /** The command that writes the first sound of a file, from a place on, to its output, as an AU of floats. */
    static List<String> command(Path file, double fromSeconds) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                program().toString(),
                "-nostdin",
                "-hide_banner",
                "-nostats",
                "-loglevel",
                "level+info",
                "-protocol_whitelist",
                "file",
                "-format_whitelist",
                CONTAINERS));
        if (fromSeconds > 0) {
            // Asked to begin at 0, it would leave in what encoders put before the beginning.
            command.addAll(List.of("-ss", String.format(Locale.ROOT, "%.6f", fromSeconds)));
        }
        command.addAll(List.of("-i", "file:" + file.toAbsolutePath(), "-map", "0:a:0", "-map_metadata", "-1"));
        command.addAll(List.of("-c:a", "pcm_f32be", "-f", "au", "pipe:1"));
        return command;
    }

    /** The command that packs plain samples from its input into a FLAC. */
    static List<String> packing(Path file, int channels, int sampleRateHz, int bits) throws IOException {
        List<String> command = new ArrayList<>(List.of(program().toString()));
        command.addAll(List.of("-nostats", "-hide_banner", "-loglevel", "level+error"));
        command.addAll(List.of("-protocol_whitelist", "pipe,file"));
        command.addAll(List.of("-f", bits > 16 ? "s24le" : "s16le"));
        command.addAll(List.of("-ar", Integer.toString(sampleRateHz), "-ac", Integer.toString(channels)));
        command.addAll(List.of("-i", "pipe:0", "-c:a", "flac"));
        if (bits > 16) {
            command.addAll(List.of("-sample_fmt", "s32", "-bits_per_raw_sample", "24"));
        }
        command.addAll(List.of("-f", "flac", "-n", "file:" + file.toAbsolutePath()));
        return command;
    }

    private static synchronized Path program() throws IOException {
        String name = isWindows() ? "ffmpeg.exe" : "ffmpeg";
        String inside = "org/bytedeco/ffmpeg/" + platform() + "/";
        URL found = Decoder.class.getClassLoader().getResource(inside + name);
        if (found == null || !(found.openConnection() instanceof JarURLConnection connection)) {
            throw new IOException("no decoder ships for this system (" + platform() + ")");
        }
        connection.setUseCaches(false);
        try (JarFile jar = connection.getJarFile()) {
            Path folder = cache().resolve("decoder-" + Path.of(jar.getName()).getFileName());
            if (!Files.exists(folder.resolve(UNPACKED_FOR))) {
                unpack(jar, inside, folder);
            }
            return folder.resolve(name);
        }
    }

    private static void unpack(JarFile jar, String inside, Path folder) throws IOException {
        Files.createDirectories(folder.getParent());
        Path beside = Files.createTempDirectory(folder.getParent(), "unpacking");
        for (Enumeration<JarEntry> entries = jar.entries(); entries.hasMoreElements(); ) {
            JarEntry entry = entries.nextElement();
            boolean forJava = entry.getName().contains("jni");
            if (entry.getName().startsWith(inside) && !entry.isDirectory() && !forJava) {
                Path file = beside.resolve(entry.getName().substring(inside.length()));
                try (InputStream content = jar.getInputStream(entry)) {
                    Files.copy(content, file);
                }
                file.toFile().setExecutable(true);
            }
        }
        Files.createFile(beside.resolve(UNPACKED_FOR));
        try {
            Files.move(beside, folder, StandardCopyOption.ATOMIC_MOVE);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(beside, folder);
        } catch (IOException e) {
            // Another start was quicker; its folder serves as well.
            delete(beside);
            if (!Files.exists(folder.resolve(UNPACKED_FOR))) {
                throw e;
            }
        }
    }

    private static void delete(Path folder) throws IOException {
        try (Stream<Path> inside = Files.list(folder)) {
            for (Path file : inside.toList()) {
                Files.delete(file);
            }
        }
        Files.delete(folder);
    }

    private static Path cache() {
        String variable = isWindows() ? "LOCALAPPDATA" : "XDG_CACHE_HOME";
        return Optional.ofNullable(System.getenv(variable))
                .filter(set -> !set.isBlank())
                .map(Path::of)
                .orElseGet(() -> Path.of(System.getProperty("user.home"), isMac() ? "Library/Caches" : ".cache"))
                .resolve("kalodyne");
    }

    /** As the library names the systems that it is made for. */
    private static String platform() {
        String machine = System.getProperty("os.arch").toLowerCase(Locale.ROOT);
        String processor = machine.equals("aarch64") || machine.equals("arm64") ? "arm64" : "x86_64";
        return (isWindows() ? "windows-" : isMac() ? "macosx-" : "linux-") + processor;
    }

    private static boolean isWindows() {
        return system().contains("windows");
    }

    private static boolean isMac() {
        return system().contains("mac");
    }

    private static String system() {
        return System.getProperty("os.name").toLowerCase(Locale.ROOT);
    }
}
