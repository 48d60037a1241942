package kalodyne.core.files;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Tables with a head that ship with the program, beside the classes that read them. */
public final class Table {
    private Table() {}

    public static List<CSVRecord> rows(Class<?> reader, String name) {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        try (Reader in = new InputStreamReader(reader.getResourceAsStream(name), StandardCharsets.UTF_8)) {
            return format.parse(in).getRecords();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
