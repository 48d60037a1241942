package kalodyne.command;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import kalodyne.core.files.Progress;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.hearing.Auralisation;
import kalodyne.core.hearing.HeardStream;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.MadeUpPlayer;
import kalodyne.core.hearing.Material;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.UnreadableSound;
import kalodyne.core.sound.copies.Copy;
import kalodyne.core.sound.copies.CopyWriter;
import kalodyne.core.sound.copies.UnwritableCopy;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Writes what a run makes of a sound: "kalodyne hear SETUP.json --run RUN --write OUT.wav". */
@Command(
        name = "hear",
        mixinStandardHelpOptions = true,
        description =
                "Write what is heard at the end of a run: a take or a made-up player through its joints, knobs and stages.",
        footer = {
            "",
            "The loudest peak of what is played is as loud as the run's source is described. Ears: full scale is "
                    + (int) Auralisation.EARS_FULL_SCALE_DB_SPL + " dB SPL.",
            "Exit status: 0 when it was written, 2 when something could not be read or written."
        })
public final class HearCommand implements Callable<Integer> {
    private static final int USUAL_RATE_HZ = 48_000;

    @Parameters(paramLabel = "SETUP", description = "A setup or a studio in JSON, or a studio file.")
    private Path file;

    @Option(names = "--setup", paramLabel = "NAME", description = "Which setup of a studio; else its first.")
    private String setupName;

    @Option(names = "--run", paramLabel = "RUN", required = true, description = "Which run: \"Bass synth → track 3\".")
    private String runName;

    @Option(
            names = "--with",
            paramLabel = "TAKE",
            description = "What is played. It is never altered. Else a made-up player plays.")
    private Path take;

    @Option(names = "--seconds", paramLabel = "SECONDS", description = "How long a made-up player plays; else 12.")
    private double seconds = 12;

    @Option(names = "--advised", description = "With every knob set as advised, in place of where it stands.")
    private boolean advised;

    @Option(
            names = "--write",
            paramLabel = "OUT.wav",
            required = true,
            description = "Where it is written, as WAV, 24-bit.")
    private Path target;

    @Option(names = "--replace", description = "Write over a file that is there.")
    private boolean replace;

    private final Output output;

    public HearCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        try {
            if (!(seconds > 0 && seconds <= 3600)) {
                output.complain("--seconds: more than 0 and up to 3600, not " + Print.plain(seconds) + ".");
                return Output.NOT_READ;
            }
            SetupLevels levels =
                    ChosenSetup.read(file, Optional.ofNullable(setupName)).levels();
            Trace trace = chosen(levels);
            LevelPlan plan = levels.plan(trace);
            if (advised) {
                plan = LevelPlan.of(trace, levels.onceAdvised());
            }
            refuseOwnTake();
            write(Listening.to(levels.rig(), plan), levels, plan);
            return Output.READ;
        } catch (UnreadableFile | UnreadableSound | UnwritableCopy e) {
            output.complain(e.getMessage());
        } catch (IOException e) {
            output.complain("Reading or writing failed: " + e.getMessage() + ". Check the disk and try again.");
        }
        return Output.NOT_READ;
    }

    private Trace chosen(SetupLevels levels) throws UnreadableFile {
        List<Trace> traces = levels.traces();
        return traces.stream()
                .filter(each -> each.isCalled(runName))
                .findFirst()
                .orElseThrow(() -> new UnreadableFile(
                        file,
                        Problem.ofWhole(
                                "There is no run “" + runName + "” in it.",
                                traces.isEmpty()
                                        ? "Plug something first."
                                        : "Choose one of: "
                                                + traces.stream()
                                                        .map(Trace::name)
                                                        .collect(Collectors.joining(", "))
                                                + ".")));
    }

    private void refuseOwnTake() throws IOException {
        if (take != null && Files.exists(target) && Files.exists(take) && Files.isSameFile(take, target)) {
            throw new UnwritableCopy(target, "That is the take that is played.", "Choose another name.");
        }
    }

    private void write(Listening listening, SetupLevels levels, LevelPlan plan) throws IOException {
        Copy copy = Copy.as(CopyFormat.WAV_24).undithered().replacing(replace);
        try (HeardStream heard = new HeardStream(material(levels, plan), listening)) {
            CopyWriter.Written written = CopyWriter.write(heard, target, copy, Progress.NONE);
            output.line(plan.name() + ", as heard: " + target);
            output.line("  " + Print.moment(heard.header().seconds()) + " · "
                    + Print.plain(heard.header().sampleRateHz() / 1000.0) + " kHz · WAV, 24-bit · "
                    + (listening.channels() == 1 ? "1 channel" : "2 channels"));
            output.line("  peak " + Print.decimal(Gain.ofRatio(written.peak()).db(), 1) + " dBFS; the run says "
                    + plan.onScale(plan.endPeak()));
        }
    }

    private Material material(SetupLevels levels, LevelPlan plan) throws IOException {
        return take == null
                ? Material.played(MadeUpPlayer.of(levels.rig(), plan).round(USUAL_RATE_HZ)::at, USUAL_RATE_HZ, seconds)
                : Material.of(take);
    }
}
