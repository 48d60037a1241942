package kalodyne.core.studio.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.TextFile;
import kalodyne.core.files.json.UnreadableFile;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table as spreadsheets write and read it: UTF-8, a line of names first, cells apart by commas, semicolons or tabs.
 *
 * @param columns the names in the first line, in lower case
 * @param rows below it, without empty ones
 */
record CsvTable(List<String> columns, List<Row> rows) {
    /** That spreadsheets put before a text in UTF-8. */
    private static final String MARK = "\ufeff";

    private static final long MOST_BYTES = 64L << 20;

    /**
     * A row.
     *
     * @param line in the file, from 1
     * @param cells by the names of their columns, without blanks around
     */
    record Row(long line, Map<String, String> cells) {
        /** An empty text where there is no such column. */
        String get(String column) {
            return cells.getOrDefault(column, "");
        }
    }

    static CsvTable read(Path file) throws UnreadableFile {
        return read(TextFile.read(file, "table", MOST_BYTES), file);
    }

    static CsvTable read(String text, Path file) throws UnreadableFile {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter(text))
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(text.startsWith(MARK) ? text.substring(1) : text, format)) {
            List<String> columns = new ArrayList<>();
            List<Row> rows = new ArrayList<>();
            for (CSVRecord record : parser) {
                if (columns.isEmpty()) {
                    record.forEach(name -> columns.add(name.strip().toLowerCase(Locale.ROOT)));
                } else if (!isEmpty(record)) {
                    rows.add(new Row(parser.getCurrentLineNumber(), cells(columns, record)));
                }
            }
            return new CsvTable(columns, rows);
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new UnreadableFile(
                    file,
                    Problem.ofWhole("It is not a table that can be read: quotes do not match.", "Save it as CSV."));
        }
    }

    private static Map<String, String> cells(List<String> columns, CSVRecord record) {
        Map<String, String> cells = new LinkedHashMap<>();
        for (int i = 0; i < Math.min(columns.size(), record.size()); i++) {
            cells.putIfAbsent(columns.get(i), SafeCells.read(record.get(i).strip()));
        }
        return cells;
    }

    private static boolean isEmpty(CSVRecord record) {
        return record.stream().allMatch(String::isBlank);
    }

    /** Spreadsheets of countries with a decimal comma write semicolons. The first line tells. */
    private static char delimiter(String text) {
        String head = text.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
        return Stream.of(',', ';', '\t')
                .max((a, b) -> Long.compare(count(head, a), count(head, b)))
                .orElse(',');
    }

    private static long count(String text, char wanted) {
        return text.chars().filter(c -> c == wanted).count();
    }

    /** The table as text, every cell harmless. */
    static String write(List<String> columns, List<List<String>> rows) {
        StringBuilder text = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180;
        text.append(format.format(columns.toArray())).append("\r\n");
        for (List<String> row : rows) {
            text.append(format.format(row.stream().map(SafeCells::write).toArray()))
                    .append("\r\n");
        }
        return text.toString();
    }
}
