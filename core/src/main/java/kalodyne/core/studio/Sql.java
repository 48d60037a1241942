package kalodyne.core.studio;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The few things that a studio file asks of its connection. Statements that write are kept ready: an import runs the same
 * ones thousands of times.
 */
final class Sql implements AutoCloseable {
    private final Connection connection;
    private final Map<String, PreparedStatement> ready = new HashMap<>();

    Sql(Connection connection) {
        this.connection = connection;
    }

    @FunctionalInterface
    interface RowReader<T> {
        T read(ResultSet row) throws SQLException;
    }

    @FunctionalInterface
    interface Work {
        void run() throws SQLException;
    }

    <T> List<T> query(String sql, RowReader<T> reader, Object... parameters) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            bind(statement, parameters);
            List<T> rows = new ArrayList<>();
            try (ResultSet result = statement.executeQuery()) {
                while (result.next()) {
                    rows.add(reader.read(result));
                }
            }
            return rows;
        }
    }

    /** Runs a statement that writes. */
    void execute(String sql, Object... parameters) throws SQLException {
        PreparedStatement statement = ready.get(sql);
        if (statement == null) {
            statement = connection.prepareStatement(sql);
            ready.put(sql, statement);
        }
        bind(statement, parameters);
        statement.executeUpdate();
    }

    private static void bind(PreparedStatement statement, Object... parameters) throws SQLException {
        for (int i = 0; i < parameters.length; i++) {
            statement.setObject(i + 1, parameters[i]);
        }
    }

    /** Runs work in one transaction: all of it is done, or nothing. */
    void inTransaction(Work work) throws SQLException {
        connection.setAutoCommit(false);
        try {
            work.run();
            connection.commit();
        } catch (SQLException | RuntimeException e) {
            takeBack(e);
            throw e;
        }
        // Else the lock that the transaction began with would stay.
        connection.setAutoCommit(true);
    }

    /** On some failures, a full disk among them, SQLite has taken the transaction back already and refuses to do so again. */
    private void takeBack(Exception failure) {
        try {
            connection.rollback();
            connection.setAutoCommit(true);
        } catch (SQLException e) {
            failure.addSuppressed(e);
        }
    }

    @Override
    public void close() throws SQLException {
        for (PreparedStatement statement : ready.values()) {
            statement.close();
        }
        connection.close();
    }
}
