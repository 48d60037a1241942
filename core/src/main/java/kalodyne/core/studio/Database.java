package kalodyne.core.studio;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Properties;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConfig.JournalMode;
import org.sqlite.SQLiteConfig.SynchronousMode;
import org.sqlite.SQLiteConfig.TransactionMode;
import org.sqlite.SQLiteOpenMode;

/** Connections to a studio file. */
final class Database {
    /** The version of the file that this program writes; files of a higher one are not touched. */
    static final int VERSION = 5;

    /** "KALO". */
    static final int APPLICATION_ID = 1262570575;

    private static final int BUSY_MILLISECONDS = 5000;

    private Database() {}

    /** A connection that writes. A commit is on the disk when it returns, even if the power fails. */
    static Connection forWriting(Path file) throws SQLException {
        SQLiteConfig config = common();
        config.setJournalMode(JournalMode.WAL);
        config.setSynchronous(SynchronousMode.FULL);
        config.setTransactionMode(TransactionMode.IMMEDIATE);
        return connect(config, file);
    }

    /** A connection that only reads; it works while another process writes. */
    static Connection forReading(Path file) throws SQLException {
        SQLiteConfig config = common();
        config.setReadOnly(true);
        config.resetOpenMode(SQLiteOpenMode.CREATE);
        return connect(config, file);
    }

    private static SQLiteConfig common() {
        SQLiteConfig config = new SQLiteConfig();
        config.enforceForeignKeys(true);
        config.setBusyTimeout(BUSY_MILLISECONDS);
        return config;
    }

    private static Connection connect(SQLiteConfig config, Path file) throws SQLException {
        Properties properties = config.toProperties();
        return new org.sqlite.JDBC().connect(url(file), properties);
    }

    static String url(Path file) {
        return "jdbc:sqlite:" + file.toAbsolutePath();
    }
}
