package kalodyne.core.demo;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.route.Wish;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.setup.Setup;

/** The studio "The Boathouse", with takes that are played and recorded here. */
public final class Boathouse {
    static final String BASS_SYNTH = "bass-synth.out>interface.adc-3";

    private static final String NAME = "The Boathouse";

    /** What its owner looked for last. */
    private static final Wish WISH = Wish.of("drum-box", "tablet").withHeadphones("headphones");

    private Boathouse() {}

    /** The whole studio without its takes. */
    public static Studio studio() {
        Setup plugged = Setup.bare("setup-1", "Sunday trio").withWish(Optional.of(WISH));
        return BoathouseShelf.fill(Studio.of(NAME, plugged));
    }

    /** The run of the bass synth in a setup of the studio. */
    public static LevelPlan bassSynth(Studio studio) {
        Setup setup = studio.setups().get(0);
        Patch patch = studio.patch(setup);
        Rig rig = Rig.of(JointRules.check(patch), patch, setup.settings());
        Trace trace = Trace.all(rig).stream()
                .filter(each -> each.key().equals(BASS_SYNTH))
                .findFirst()
                .orElseThrow();
        return LevelPlan.of(trace, FlowLevels.of(rig.flow()));
    }

    /**
     * Builds the studio in a folder: its file and its takes.
     *
     * @return the studio file
     */
    public static Path build(Path folder) throws IOException {
        Files.createDirectories(folder.resolve("takes"));
        Studio studio = studio();
        Path file = folder.resolve("boathouse" + StudioFile.EXTENSION);
        StudioFile.write(file, BoathousePast.of(studio, folder));
        BoathouseFilm.record(folder.resolve("takes"));
        return file;
    }
}
