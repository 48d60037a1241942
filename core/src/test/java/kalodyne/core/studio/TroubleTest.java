package kalodyne.core.studio;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** What SQLite's result codes mean to somebody whose work is at stake (sqlite.org, Result and Error Codes). */
class TroubleTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            SQLITE_FULL             | the disk is full                                                              | false
            SQLITE_READONLY         | it may only be read                                                           | false
            SQLITE_READONLY_DBMOVED | it may only be read                                                           | false
            SQLITE_CANTOPEN         | it cannot be opened, perhaps because the folder is gone or may not be written | false
            SQLITE_BUSY             | another program holds it                                                      | false
            SQLITE_LOCKED           | another program holds it                                                      | false
            SQLITE_CORRUPT          | it is damaged                                                                 | true
            SQLITE_NOTADB           | it is damaged                                                                 | true
            SQLITE_IOERR            | the disk reports an error                                                     | false
            SQLITE_IOERR_FSYNC      | the disk reports an error                                                     | false
            SQLITE_AUTH             | the system does not allow it                                                  | false
            SQLITE_PERM             | the system does not allow it                                                  | false
            SQLITE_MISMATCH         | it cannot be written (SQLITE_MISMATCH)                                        | false
            """)
    void each_code_has_its_words(SQLiteErrorCode code, String words, boolean isDamage) {
        Throwable failure = new IllegalStateException("wrapped", new SQLiteException("inside", code));
        assertThat(Trouble.reason(failure)).isEqualTo(words);
        assertThat(Trouble.isDamage(failure)).isEqualTo(isDamage);
    }

    @Test
    void what_is_none_of_them_is_named_by_its_kind() {
        assertThat(Trouble.reason(new IOException("x"))).isEqualTo("it cannot be written (IOException)");
        assertThat(Trouble.isDamage(new IOException("x"))).isFalse();
    }
}
