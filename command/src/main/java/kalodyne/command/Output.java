package kalodyne.command;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import kalodyne.core.findings.Finding;

/** Where the commands print to: UTF-8 whatever the terminal's locale, results and complaints apart. */
public final class Output {
    /** Everything was read. */
    public static final int READ = 0;

    /** Something could not be read, or was not understood. */
    public static final int NOT_READ = 2;

    private static final JsonMapper MAPPER = new JsonMapper();

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

    public void complain(String text) {
        complaints.println(text);
    }

    void json(JsonNode node) {
        try {
            results.println(MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(node));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
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

    /** Puts what all findings have. */
    static void putFinding(ObjectNode node, Finding finding) {
        put(node, "value", finding.figure().value());
        node.put("unit", finding.figure().unit());
        node.put("title", finding.title());
        node.put("text", finding.text());
        finding.remedy().ifPresentOrElse(remedy -> node.put("remedy", remedy.words()), () -> node.putNull("remedy"));
    }
}
