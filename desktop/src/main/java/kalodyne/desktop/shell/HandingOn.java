package kalodyne.desktop.shell;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import kalodyne.core.paper.SetupPicture;
import kalodyne.core.rigmap.RigMap;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.exchange.Parcel;
import kalodyne.core.studio.exchange.ParcelWriter;
import kalodyne.core.studio.exchange.SetupTables;
import kalodyne.core.studio.setup.Setup;
import kalodyne.desktop.model.StudioModel;

/** Hands the setup that is looked at to somebody else: whole, as tables, as a picture. */
final class HandingOn {
    private final StudioModel studio;
    private final Saving saving;

    HandingOn(StudioModel studio, Saving saving) {
        this.studio = studio;
        this.saving = saving;
    }

    List<Command> commands() {
        return List.of(
                Command.of(
                        "Hand this setup on as one file…",
                        "Shortcut+Shift+E",
                        () -> saving.choose("Hand this setup on", "Parcels", Parcel.EXTENSION, name())
                                .ifPresent(this::handOn)),
                Command.of(
                        "Write out patch list and takes as tables…",
                        null,
                        () -> saving.chooseFolder("Write out patch list and takes")
                                .ifPresent(this::writeTables)),
                Command.of(
                        "Write out the setup as a picture…",
                        null,
                        () -> saving.choose("Write out as a picture", "Pictures in SVG", ".svg", name())
                                .ifPresent(this::writePicture)));
    }

    private String name() {
        return studio.setup().name();
    }

    void handOn(Path file) {
        Studio written = studio.studio();
        Setup setup = studio.setup();
        Path folder = studio.folder();
        saving.writeLong(file, progress -> ParcelWriter.write(file, written, setup, folder, progress));
    }

    void writeTables(Path folder) {
        Studio written = studio.studio();
        Setup setup = studio.setup();
        List<PatchList.Row> rows = rows();
        Map<String, String> runs = studio.levels().runNames();
        saving.write(folder, () -> {
            Saving.write(folder.resolve("patch-list.csv"), SetupTables.patch(rows));
            Saving.write(folder.resolve("takes.csv"), SetupTables.takes(setup, runs, written.words()));
        });
    }

    void writePicture(Path file) {
        RigMap map = RigMap.of(studio.levels(), studio.joints());
        String name = studio.studio().name();
        String setup = name();
        saving.write(file, () -> Saving.write(file, SetupPicture.of(map, name, setup)));
    }

    private List<PatchList.Row> rows() {
        return PatchList.of(studio.levels().rig().patch(), studio.joints());
    }
}
