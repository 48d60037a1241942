package kalodyne.desktop.model;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.units.LevelUnit;

/**
 * How one likes to work, in whatever studio.
 *
 * @param levels what voltages are told in
 * @param aim of setups that are begun from now on
 * @param takes where recordings are put; beside the studio where empty
 * @param papers where dialogs begin that write something out; beside the studio where empty
 * @param speakers the output that everything is heard through; the system's own where empty
 */
public record Preferences(
        LevelUnit levels, AimSchool aim, Optional<Path> takes, Optional<Path> papers, Optional<String> speakers) {
    public static final Preferences USUAL =
            new Preferences(LevelUnit.DBU, AimSchool.PLAYER, Optional.empty(), Optional.empty(), Optional.empty());

    /** A setup that is begun, as one likes it. */
    public Setup begun(Setup setup) {
        return setup.withSettings(setup.settings().with(aim));
    }

    /** With another output. */
    public Preferences heardThrough(String output) {
        return new Preferences(levels, aim, takes, papers, Optional.of(output));
    }

    /** Where recordings are put; a folder that is no longer there, on a disk that was unplugged, does not count. */
    public Path takesOf(Path studioFolder) {
        return takes.filter(Files::isDirectory).orElse(studioFolder.resolve("takes"));
    }

    /** Where dialogs begin. */
    public Path papersOf(Path studioFolder) {
        return papers.filter(Files::isDirectory).orElse(studioFolder);
    }
}
