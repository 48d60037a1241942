package kalodyne.core.lineup.tidy;

import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import kalodyne.core.files.WholeFile;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.sound.copies.CopyWriter;

/** What was done to a copy, beside it as JSON: docs/formats/copy.md. */
public final class CopyRecord {
    private static final double MILLION = 1e6;

    private CopyRecord() {}

    /** Where it lies: "take.wav.json". */
    static Path file(Path copy) {
        return copy.resolveSibling(copy.getFileName() + ".json");
    }

    /** Writes what was done beside a copy. */
    static void write(Path copy, ObjectNode done, CopyWriter.Written written) throws IOException {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("format", "kalodyne-copy").put("version", 1);
        node.setAll(done);
        node.put("frames", written.frames()).put("clippedSamples", written.clipped());
        String text = new JsonMapper().writerWithDefaultPrettyPrinter().writeValueAsString(node) + "\n";
        WholeFile.write(file(copy), ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8)));
    }

    /** What is told of every copy: which stretch of which recording it is, by which clock. */
    static ObjectNode of(Path source, Path copy, ClockLine clock, double seconds) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("source", source.toString());
        node.put("copy", copy.toString());
        put(node, "fromSeconds", clock.offsetSeconds());
        put(node, "toSeconds", clock.inOther(seconds));
        put(node, "tempoPpm", MILLION * clock.drift());
        return node;
    }

    /** What is to be done, as JSON. */
    public static ObjectNode node(Proposal proposal) {
        ObjectNode node = of(proposal.source(), proposal.target(), proposal.clock(), proposal.seconds());
        node.put("part", proposal.part().name());
        ArrayNode channels = node.putArray("channels");
        proposal.part().picks().forEach(pick -> channels.add((pick.isInverted() ? -1 : 1) * (pick.channel() + 1)));
        node.put("mono", proposal.part().isMono());
        put(node, "gainDb", proposal.gain().db());
        node.put("as", proposal.format().id());
        node.put("sampleRateHz", proposal.sampleRateHz());
        put(node, "peakBeforeDbfs", proposal.heard().peak().dbfs());
        put(node, "peakAfterDbfs", proposal.peakAfter().dbfs());
        put(
                node,
                "truePeakAfterDbtp",
                proposal.heard().truePeak().plus(proposal.gain()).dbfs());
        put(node, "loudnessBeforeLufs", proposal.heard().lufs().orElse(Double.NaN));
        put(node, "loudnessAfterLufs", proposal.lufsAfter().orElse(Double.NaN));
        ArrayNode marks = node.putArray("marks");
        proposal.marks()
                .forEach(mark -> marks.addObject()
                        .put("seconds", (double) mark.frame() / proposal.sampleRateHz())
                        .put("name", mark.name()));
        ArrayNode notes = node.putArray("notes");
        proposal.notes().forEach(notes::add);
        return node;
    }

    /** To a millionth; what is not finite is null. */
    private static void put(ObjectNode node, String field, double value) {
        if (Double.isFinite(value)) {
            node.put(field, Math.rint(value * MILLION) / MILLION);
        } else {
            node.putNull(field);
        }
    }
}
