package kalodyne.core.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.gain.FlowLevels;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Trace;
import kalodyne.core.rig.Rig;
import kalodyne.core.route.Wish;
import kalodyne.core.setup.Setup;
import kalodyne.core.setup.SetupReader;
import kalodyne.core.setup.Take;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.units.Gain;

/** The studio "The Boathouse", with two takes of its bass synth that are played and recorded here. */
public final class Boathouse {
    private static final double REHEARSAL_GAIN_POSITION = 0.35;

    /** In the second take the filter was opened: the accents come this much above what the synth is described with. */
    private static final Gain OPENED_FILTER = new Gain(5);

    private static final Instant REHEARSAL = Instant.parse("2026-03-01T11:33:00Z");
    private static final Instant LOUD_TAKE = Instant.parse("2026-03-01T11:52:00Z");

    private static final String BASS_SYNTH = "bass-synth.out>interface.adc-3";
    private static final String GAIN = "interface.gain-3";

    private static final String NAME = "The Boathouse";

    /** What its owner looked for last. */
    private static final Wish WISH = Wish.of("drum-box", "tablet").withHeadphones(Optional.of("headphones"));

    private Boathouse() {}

    /** A run as it is described without gear, for a setup that stands by itself. */
    public static Setup setup() {
        try (InputStream in = Boathouse.class.getResourceAsStream("boathouse.json")) {
            return SetupReader.shipped(new String(in.readAllBytes(), StandardCharsets.UTF_8), Path.of("boathouse.json"))
                    .setup();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

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
        Path takes = Files.createDirectories(folder.resolve("takes"));
        Studio studio = studio();
        LevelPlan run = bassSynth(studio);
        LevelPlan rehearsal = run.turned(Map.of(GAIN, REHEARSAL_GAIN_POSITION));
        MadeTake.record(rehearsal, Gain.NONE, takes.resolve("bass-take-1.wav"));
        MadeTake.record(run, OPENED_FILTER, takes.resolve("bass-take-2.wav"));
        Setup complete = studio.setups()
                .get(0)
                .with(new Take("Take 1", BASS_SYNTH, "takes/bass-take-1.wav", REHEARSAL, rehearsal.positions()))
                .with(new Take("Take 2", BASS_SYNTH, "takes/bass-take-2.wav", LOUD_TAKE, run.positions()));
        Path file = folder.resolve("boathouse" + StudioFile.EXTENSION);
        StudioFile.write(file, studio.with(complete));
        return file;
    }
}
