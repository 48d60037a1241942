package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import kalodyne.core.files.Progress;
import kalodyne.core.lineup.Alignment;
import kalodyne.core.lineup.LineUp;
import kalodyne.core.lineup.LineUpWords;
import kalodyne.core.lineup.tidy.AlignedCopy;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.UnreadableSound;
import kalodyne.core.sound.copies.Copy;
import kalodyne.core.sound.copies.CopyWriter;
import kalodyne.core.sound.copies.UnwritableCopy;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Finds where two recordings belong to each other: "kalodyne lineup FILM.mp4 INTERFACE.wav". */
@Command(
        name = "lineup",
        mixinStandardHelpOptions = true,
        description = "Find where two recordings of the same sound fit together, and write the second so that it fits.",
        footer = {
            "",
            "Exit status: 0 when they belong together and all was written, 1 when they do not belong together,",
            "2 when something could not be read or written."
        })
public final class LineupCommand implements Callable<Integer> {
    private static final int NOT_TOGETHER = 1;
    private static final double NANO = 1e9;

    @Parameters(index = "0", paramLabel = "REFERENCE", description = "What stays as it is: the film, or its sound.")
    private Path reference;

    @Parameters(index = "1", paramLabel = "OTHER", description = "What is to fit it. It is never altered.")
    private Path other;

    @Option(
            names = "--write",
            paramLabel = "COPY",
            description = "Write the other one as long as the reference and in time with it, as WAV or FLAC.")
    private Path target;

    @Option(
            names = "--format",
            paramLabel = "FORMAT",
            description = "How the copy is kept: wav16, wav24 (if nothing is said), wavfloat, flac16, flac24.")
    private String format;

    @Option(names = "--replace", description = "Replace the copy if there is one already.")
    private boolean replaces;

    @Option(names = "--json", description = "Print JSON, as docs/formats/lineup.md describes.")
    private boolean json;

    private final Output output;

    public LineupCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        try {
            CopyFormat kept = kept();
            LineUp.Result result = LineUp.of(reference, other, done -> true);
            ObjectNode node = node(result);
            print(result);
            if (target != null && result.belongTogether()) {
                write(result, kept, node);
            }
            if (json) {
                output.json(node);
            }
            return result.belongTogether() ? Output.READ : NOT_TOGETHER;
        } catch (UnreadableSound | UnwritableCopy | IllegalArgumentException e) {
            output.complain(e.getMessage());
        } catch (IOException e) {
            output.complain("Reading failed: " + e.getMessage() + ". Check the disk and try again.");
        }
        return Output.NOT_READ;
    }

    private CopyFormat kept() {
        CopyFormat kept = asked();
        if (target != null && !target.toString().toLowerCase(Locale.ROOT).endsWith("." + kept.ending())) {
            throw new IllegalArgumentException(
                    target + ": A " + kept.words() + " is called something." + kept.ending() + ". Choose such a name.");
        }
        return kept;
    }

    private CopyFormat asked() {
        if (format != null) {
            return CopyFormat.of(format)
                    .orElseThrow(() -> new IllegalArgumentException("--format: \"" + format
                            + "\" is not a format. Choose wav16, wav24, wavfloat, flac16 or flac24."));
        }
        boolean isFlac =
                target != null && target.toString().toLowerCase(Locale.ROOT).endsWith(".flac");
        return isFlac ? CopyFormat.FLAC_24 : CopyFormat.WAV_24;
    }

    private void write(LineUp.Result result, CopyFormat kept, ObjectNode node) throws IOException {
        CopyWriter.Written written = AlignedCopy.write(
                reference,
                other,
                result.alignment().orElseThrow().clock(),
                result.referenceSeconds(),
                target,
                Copy.as(kept).replacing(replaces),
                Progress.NONE);
        DigitalLevel peak = DigitalLevel.ofPeak(written.peak());
        node.putObject("written")
                .put("file", target.toString())
                .put("format", kept.id())
                .put("frames", written.frames())
                .put("clippedSamples", written.clipped());
        if (!json) {
            output.line("  written: " + target + ", " + kept.words() + ", peak " + peak
                    + (written.clipped() == 0
                            ? ""
                            : ", " + Print.counted(written.clipped(), "sample") + " cut off at full scale"));
        }
    }

    private void print(LineUp.Result result) {
        if (json) {
            return;
        }
        if (!result.belongTogether()) {
            output.line(other + " and " + reference + " do not belong together for certain. " + result.reason());
        }
        result.alignment().ifPresent(alignment -> {
            output.line(LineUpWords.sentence(alignment));
            output.line("  offset " + Print.decimal(alignment.offsetSeconds(), 6) + " s ± "
                    + Print.decimal(1e6 * alignment.offsetUncertaintySeconds(), 0) + " µs, drift "
                    + Print.decimal(alignment.driftPpm(), 3) + " ppm ± "
                    + Print.decimal(alignment.driftUncertaintyPpm(), 3) + " ppm");
            output.line("  " + alignment.agreeing() + " of " + alignment.heard() + " places agree; the other one is "
                    + (alignment.isInverted() ? "upside down" : "the right way up") + " and has what both have at "
                    + alignment.levelDifference());
            output.line("  " + LineUpWords.forEditor(alignment.clock()));
        });
    }

    private static ObjectNode node(LineUp.Result result) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        result.alignment().ifPresentOrElse(alignment -> put(node, alignment), () -> {
            for (String field : new String[] {
                "offsetSeconds", "driftPpm", "offsetUncertaintySeconds", "driftUncertaintyPpm",
            }) {
                node.putNull(field);
            }
            node.put("confidence", 0).putNull("polarity").putNull("levelDifferenceDb");
        });
        node.put("belongTogether", result.belongTogether());
        node.put("reason", result.reason());
        ArrayNode places = node.putArray("places");
        result.places().forEach(each -> places.add(rounded(each)));
        return node;
    }

    private static void put(ObjectNode node, Alignment alignment) {
        node.put("offsetSeconds", rounded(alignment.offsetSeconds()));
        node.put("driftPpm", rounded(alignment.driftPpm()));
        node.put("offsetUncertaintySeconds", rounded(alignment.offsetUncertaintySeconds()));
        node.put("driftUncertaintyPpm", rounded(alignment.driftUncertaintyPpm()));
        Output.put(node, "confidence", alignment.confidence());
        node.put("polarity", alignment.isInverted() ? -1 : 1);
        Output.put(node, "levelDifferenceDb", alignment.levelDifference().db());
    }

    /** To the nanosecond. */
    private static double rounded(double value) {
        return Math.rint(value * NANO) / NANO;
    }
}
