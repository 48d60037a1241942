package kalodyne.command;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.OptionalDouble;
import kalodyne.core.findings.Finding;

/** Where the commands print to: UTF-8 whatever the terminal's locale, results and complaints apart. */
public final class Output {
    /** Everything was read. */
    public static final int READ = 0;

    /** Something could not be read, or was not understood. */
    public static final int NOT_READ = 2;

    private final PrintStream results;
    private final PrintStream complaints;

    public Output(PrintStream results, PrintStream complaints) {
        this.results = results;
        this.complaints = complaints;
    }

    /** The terminal. */
    public static Output standard() {
        return new Output(utf8(FileDescriptor.out), utf8(FileDescriptor.err));
    }

    private static PrintStream utf8(FileDescriptor descriptor) {
        return new PrintStream(new FileOutputStream(descriptor), true, StandardCharsets.UTF_8);
    }

    void line(String text) {
        results.println(text);
    }

    /** What was noticed, under what it belongs to. */
    void finding(Finding finding) {
        line("  " + finding.inOneLine() + ". " + finding.text());
    }

    public void complain(String text) {
        complaints.println(text);
    }

    /** Written by hand from the tree: the mapper that could do it takes longer to start than a take to measure. */
    void json(JsonNode node) {
        try (JsonGenerator generator = new JsonFactory().createGenerator(results)) {
            generator.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
            generator.useDefaultPrettyPrinter();
            write(generator, node);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        results.println();
    }

    private static void write(JsonGenerator generator, JsonNode node) throws IOException {
        if (node.isObject()) {
            generator.writeStartObject();
            for (Map.Entry<String, JsonNode> field : node.properties()) {
                generator.writeFieldName(field.getKey());
                write(generator, field.getValue());
            }
            generator.writeEndObject();
        } else if (node.isArray()) {
            generator.writeStartArray();
            for (JsonNode element : node) {
                write(generator, element);
            }
            generator.writeEndArray();
        } else if (node.isTextual()) {
            generator.writeString(node.textValue());
        } else if (node.isIntegralNumber()) {
            generator.writeNumber(node.longValue());
        } else if (node.isNumber()) {
            generator.writeNumber(node.doubleValue());
        } else if (node.isBoolean()) {
            generator.writeBoolean(node.booleanValue());
        } else {
            generator.writeNull();
        }
    }

    /** Puts a number with enough digits for any use; what is not finite becomes null. */
    static void put(ObjectNode node, String field, double value) {
        if (Double.isFinite(value)) {
            node.put(field, Math.rint(value * 1e6) / 1e6);
        } else {
            node.putNull(field);
        }
    }

    /** Puts a number that may not be known: null where it is not. */
    static void put(ObjectNode node, String field, OptionalDouble value) {
        put(node, field, value.orElse(Double.NaN));
    }

    /** Puts what all findings have. */
    static void putFinding(ObjectNode node, Finding finding) {
        put(node, "value", finding.figure().value());
        node.put("unit", finding.figure().unit());
        node.put("title", finding.title());
        node.put("text", finding.text());
        finding.remedy().ifPresentOrElse(remedy -> node.put("remedy", remedy.words()), () -> node.putNull("remedy"));
    }
}
