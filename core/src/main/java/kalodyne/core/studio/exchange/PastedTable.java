package kalodyne.core.studio.exchange;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;

/** A table as spreadsheets take it from the clipboard: the same cells, apart by tabs. */
public final class PastedTable {
    private PastedTable() {}

    /** Of a table that was written with commas. */
    public static String of(String csv) {
        StringWriter tabbed = new StringWriter();
        CSVFormat tabs = CSVFormat.RFC4180.builder().setDelimiter('\t').get();
        try (CSVParser cells = CSVParser.parse(csv, CSVFormat.RFC4180);
                CSVPrinter printer = new CSVPrinter(tabbed, tabs)) {
            printer.printRecords(cells);
            return tabbed.toString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
