package kalodyne.core.studio.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import kalodyne.core.files.Progress;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.studio.Studio;
import kalodyne.core.units.Print;

/**
 * One setup with all that belongs to it as one zip file, after docs/formats/studio.md: the gear and leads that it uses, its
 * recordings and its photographs.
 */
public final class Parcel {
    public static final String EXTENSION = ".zip";

    static final String STUDIO = "studio.json";
    static final String TAKES = "takes/";
    static final String PHOTOS = "photos/";

    private static final long MOST_STUDIO_BYTES = 64L << 20;

    /** Names that every system takes: without what separates folders, drives, or is not seen. */
    private static final Pattern HARMLESS = Pattern.compile("(takes|photos)/[^/\\\\:*?\"<>|\\p{Cntrl}]{1,200}");

    private final Path file;
    private final Studio studio;
    private final Set<String> enclosed;

    private Parcel(Path file, Studio studio, Set<String> enclosed) {
        this.file = file;
        this.studio = studio;
        this.enclosed = enclosed;
    }

    /** Whether a file begins as a zip does. */
    public static boolean isOne(Path file) {
        if (!Files.isRegularFile(file)) {
            return false;
        }
        try (InputStream in = Files.newInputStream(file)) {
            return ByteBuffer.wrap(in.readNBytes(4)).equals(ByteBuffer.wrap(new byte[] {'P', 'K', 3, 4}));
        } catch (IOException e) {
            // Reading it will say why not.
            return false;
        }
    }

    /**
     * Opens a parcel. Nothing of it is unpacked yet.
     *
     * @throws UnreadableFile where it is damaged, is something else, or holds what could land elsewhere than in its folder
     */
    public static Parcel open(Path file) throws UnreadableFile {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            ZipEntry json = zip.getEntry(STUDIO);
            if (json == null) {
                throw new UnreadableFile(
                        file,
                        Problem.ofWhole(
                                "It is a zip file, but there is no " + STUDIO + " in it.",
                                "Choose one that was written with “Hand this setup on as one file”."));
            }
            Set<String> enclosed = new LinkedHashSet<>();
            List<Problem> problems = new ArrayList<>();
            zip.stream()
                    .map(ZipEntry::getName)
                    .filter(name -> !name.equals(STUDIO))
                    .forEach(name -> {
                        if (!isHarmless(name)) {
                            problems.add(new Problem(
                                    "“" + name.replaceAll("\\p{Cntrl}", "?") + "”",
                                    "It would land outside of the folder for takes and photographs.",
                                    "Nothing was unpacked. Ask who gave it to you for another one."));
                        } else if (!enclosed.add(name)) {
                            problems.add(new Problem(
                                    name, "It is in there twice.", "Ask who gave it to you for another one."));
                        }
                    });
            if (!problems.isEmpty()) {
                throw new UnreadableFile(file, problems);
            }
            Studio studio = StudioReader.read(text(zip, json, file), Path.of(file + "/" + STUDIO));
            Set<String> named = files(studio);
            Optional<String> outside =
                    named.stream().filter(name -> !isHarmless(name)).findFirst();
            if (outside.isPresent()) {
                throw new UnreadableFile(
                        file,
                        new Problem(
                                STUDIO,
                                "It names a file that is not in it: “" + outside.get() + "”.",
                                "Nothing was unpacked. Ask who gave it to you for another one."));
            }
            enclosed.retainAll(named);
            return new Parcel(file, studio, enclosed);
        } catch (UnreadableFile e) {
            throw e;
        } catch (IOException | UncheckedIOException | IllegalArgumentException e) {
            throw new UnreadableFile(
                    file,
                    Problem.ofWhole("It is damaged, or not a zip file.", "Get it again from where it came from."));
        }
    }

    private static boolean isHarmless(String name) {
        return HARMLESS.matcher(name).matches() && !name.endsWith(".") && !name.endsWith(" ");
    }

    /** Whatever its takes and its log name; nothing else is unpacked. */
    private static Set<String> files(Studio studio) {
        Set<String> files = new HashSet<>();
        UnaryOperator<String> look = name -> {
            files.add(name);
            return name;
        };
        studio.withFiles(look, look);
        return files;
    }

    private static String text(ZipFile zip, ZipEntry json, Path file) throws IOException {
        try (InputStream in = zip.getInputStream(json)) {
            byte[] bytes = in.readNBytes((int) MOST_STUDIO_BYTES + 1);
            if (bytes.length > MOST_STUDIO_BYTES) {
                throw new UnreadableFile(
                        file, new Problem(STUDIO, "It is far too large.", "Ask who gave it to you for another one."));
            }
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            throw new UnreadableFile(
                    file, new Problem(STUDIO, "It is not a text in UTF-8.", "Ask who gave it to you for another one."));
        }
    }

    /** What is in it; files are named as they are in the parcel. */
    public Studio studio() {
        return studio;
    }

    /**
     * Unpacks the files into a new folder. What is named and is not in it is looked for there too: a recording of the same name
     * that lies here already is another one.
     *
     * @param folder of the studio that it comes into
     * @return what is in it, files named as they lie now, relative to the folder
     * @throws CancellationException where the progress asked to stop; nothing is left then
     */
    public Studio unpack(Path folder, Progress progress) throws IOException {
        Path own = free(folder);
        if (!enclosed.isEmpty()) {
            unpackInto(own, progress);
        }
        UnaryOperator<String> now = name -> own.getFileName() + "/" + name;
        return studio.withFiles(now, now);
    }

    private void unpackInto(Path own, Progress progress) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            long all = enclosed.stream()
                    .mapToLong(name -> Math.max(0, zip.getEntry(name).getSize()))
                    .sum();
            Files.createDirectories(own);
            long room = Files.getFileStore(own).getUsableSpace();
            if (all > room) {
                throw new IOException("it needs " + Print.prefixed((double) all, "B") + ", and "
                        + Print.prefixed((double) room, "B") + " are free in " + own.getParent());
            }
            CountedCopy copy = new CountedCopy(progress, all);
            for (String name : enclosed) {
                Path target = own.resolve(name);
                Files.createDirectories(target.getParent());
                ZipEntry entry = zip.getEntry(name);
                try (InputStream in = zip.getInputStream(entry);
                        OutputStream out = Files.newOutputStream(target)) {
                    copy.copy(in, out, entry.getSize());
                }
            }
        } catch (IOException | CancellationException e) {
            remove(own);
            throw e;
        }
    }

    /** A folder that is not there yet, named after the parcel. */
    private Path free(Path folder) {
        String name = file.getFileName().toString();
        String plain = Optional.of(name.endsWith(EXTENSION) ? name.substring(0, name.length() - 4) : name)
                .map(String::strip)
                .filter(each -> !each.isEmpty())
                .orElse("parcel");
        return IntStream.iterate(1, number -> number + 1)
                .mapToObj(number -> folder.resolve("from " + plain + (number == 1 ? "" : " " + number)))
                .filter(path -> !Files.exists(path))
                .findFirst()
                .orElseThrow();
    }

    private static void remove(Path folder) throws IOException {
        if (Files.exists(folder)) {
            try (Stream<Path> all = Files.walk(folder)) {
                for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(path);
                }
            }
        }
    }
}
