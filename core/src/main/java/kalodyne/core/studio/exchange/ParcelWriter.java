package kalodyne.core.studio.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import kalodyne.core.files.FileNames;
import kalodyne.core.files.Progress;
import kalodyne.core.files.WholeFile;
import kalodyne.core.joint.Patch;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;

/** Writes a setup with all that belongs to it as a {@link Parcel}. */
public final class ParcelWriter {
    private ParcelWriter() {}

    /**
     * Writes a setup of a studio.
     *
     * @param target where to
     * @param folder that the files of takes and photographs are relative to
     * @return the files that should be in it and were not there to be read
     * @throws CancellationException where the progress asked to stop; nothing is left then
     */
    public static List<Path> write(Path target, Studio studio, Setup setup, Path folder, Progress progress)
            throws IOException {
        Packing packing = new Packing(folder);
        Studio alone = used(studio, setup)
                .withSetups(List.of(setup))
                .withFiles(take -> packing.name(Parcel.TAKES, take), photo -> packing.name(Parcel.PHOTOS, photo));
        WholeFile.write(target, out -> packing.write(out, StudioWriter.write(alone), progress));
        return packing.missing;
    }

    /** Nothing but the gear that is plugged in the setup, or was when it was last gone through. */
    private static Studio used(Studio studio, Setup setup) {
        List<Patch> patches = new ArrayList<>(List.of(studio.patch(setup)));
        setup.sessions().forEach(session -> patches.add(studio.patch(setup.withWiring(session.wiring()))));
        Set<String> devices = new HashSet<>();
        Set<String> leads = new HashSet<>();
        for (Patch patch : patches) {
            devices.addAll(patch.devices().keySet());
            patch.leads().values().forEach(lead -> leads.add(lead.id()));
        }
        return studio.withDevices(studio.devices().stream()
                        .filter(device -> devices.contains(device.id()))
                        .toList())
                .withLeads(studio.leads().stream()
                        .filter(lead -> leads.contains(lead.id()))
                        .toList());
    }

    /** The files that go in, each once and under a name of its own. */
    private static final class Packing {
        private static final int LONGEST = 150;

        private final Path folder;
        private final Map<Path, String> names = new LinkedHashMap<>();
        private final List<Path> missing = new ArrayList<>();

        Packing(Path folder) {
            this.folder = folder.toAbsolutePath();
        }

        String name(String place, String file) {
            return names.computeIfAbsent(folder.resolve(file).normalize(), path -> {
                String own = harmless(String.valueOf(path.getFileName()));
                Set<String> taken = names.values().stream()
                        .map(each -> each.toLowerCase(Locale.ROOT))
                        .collect(Collectors.toSet());
                return Stream.iterate(1, number -> number + 1)
                        .map(number -> place + (number == 1 ? "" : number + "-") + own)
                        .filter(name -> !taken.contains(name.toLowerCase(Locale.ROOT)))
                        .findFirst()
                        .orElseThrow();
            });
        }

        private static String harmless(String name) {
            String plain = FileNames.allowed(name);
            return plain.length() > LONGEST ? plain.substring(plain.length() - LONGEST) : plain;
        }

        void write(OutputStream out, String json, Progress progress) throws IOException {
            long all = 1;
            for (Path path : names.keySet()) {
                all += Files.isRegularFile(path) ? Files.size(path) : 0;
            }
            CountedCopy copy = new CountedCopy(progress, all);
            ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
            zip.putNextEntry(entry(Parcel.STUDIO));
            zip.write(json.getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
            // Sound and photographs hardly get smaller however long one tries.
            zip.setLevel(Deflater.NO_COMPRESSION);
            for (Map.Entry<Path, String> each : names.entrySet()) {
                if (!Files.isReadable(each.getKey()) || !Files.isRegularFile(each.getKey())) {
                    missing.add(each.getKey());
                    continue;
                }
                zip.putNextEntry(entry(each.getValue()));
                try (InputStream in = Files.newInputStream(each.getKey())) {
                    copy.copy(in, zip, Long.MAX_VALUE);
                }
                zip.closeEntry();
            }
            zip.finish();
        }

        /** Always of the same time: the same setup gives the same bytes. */
        private static ZipEntry entry(String name) {
            ZipEntry entry = new ZipEntry(name);
            entry.setTimeLocal(LocalDateTime.of(1980, 1, 1, 0, 0));
            return entry;
        }
    }
}
