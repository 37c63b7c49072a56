package org.opentrellis.app.storage;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Comparator;
import java.util.OptionalInt;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.h2.api.ErrorCode;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.MVStoreException;

/** A database as a file that nobody works with at the moment. */
record DatabaseFile(Path file) {
  /** The owner of a database that only this application opens; the folder's rights guard it. */
  static final String USER = "sa";

  private static final String MIGRATIONS = "classpath:db/migration";

  /** The file cannot be read as a database of ours. */
  static final class Unreadable extends Exception {
    private static final long serialVersionUID = 1L;

    Unreadable(String sentence, Throwable cause) {
      super(sentence, cause);
    }
  }

  /**
   * How this application opens it. What is committed is in the file, not in memory; and since each
   * commit is also forced onto the disk, space that has become free may be used at once. An eighth
   * of the memory keeps what was read: with 100,000 people, half of it makes finding them take
   * three times as long.
   */
  String url() {
    String path = file.toString().replaceFirst("\\.mv\\.db$", "");
    return "jdbc:h2:file:"
        + path
        + ";DB_CLOSE_ON_EXIT=FALSE;WRITE_DELAY=0;RETENTION_TIME=0"
        // So many statements of a connection need not be parsed again.
        + ";QUERY_CACHE_SIZE=500;LOCK_TIMEOUT=10000;CACHE_SIZE="
        + Runtime.getRuntime().maxMemory() / 1024 / 8;
  }

  /**
   * What keeps the data of a database that is open.
   *
   * @throws SQLException if the connection is closed
   */
  static MVStore store(Connection connection) throws SQLException {
    SessionLocal session = (SessionLocal) connection.unwrap(JdbcConnection.class).getSession();
    return session.getDatabase().getStore().getMvStore();
  }

  /** The schema that this application works with. */
  static int schemaOfThisVersion() {
    // It wants a database to tell; an empty one in memory will do.
    return Arrays.stream(flyway("jdbc:h2:mem:").info().all())
        .filter(one -> one.getVersion() != null)
        .map(one -> Integer.parseInt(one.getVersion().getVersion()))
        .max(Comparator.naturalOrder())
        .orElse(0);
  }

  /**
   * The schema that the file has; it is only read, unless a large change was cut off in the middle.
   *
   * @return nothing if it holds no data of ours
   * @throws Unreadable if it is no whole database
   */
  OptionalInt schema() throws Unreadable {
    try {
      return schema(url() + ";IFEXISTS=TRUE;ACCESS_MODE_DATA=r");
    } catch (Unreadable broken) {
      // What was under way when it was killed has to be undone first, which is a change.
      if (wantsToBeChanged(broken)) {
        return schema(url() + ";IFEXISTS=TRUE");
      }
      throw broken;
    }
  }

  private static boolean wantsToBeChanged(Throwable failure) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      if (cause instanceof MVStoreException store
          && store.getErrorCode() == DataUtils.ERROR_WRITING_FAILED) {
        return true;
      }
    }
    return false;
  }

  private OptionalInt schema(String reading) throws Unreadable {
    try (Connection connection = DriverManager.getConnection(reading, USER, "");
        Statement statement = connection.createStatement();
        ResultSet versions =
            statement.executeQuery(
                """
                select max(cast("version" as int)) from "flyway_schema_history"
                where "success" and "version" is not null
                """)) {
      versions.next();
      int version = versions.getInt(1);
      return versions.wasNull() ? OptionalInt.empty() : OptionalInt.of(version);
    } catch (SQLException refused) {
      if (refused.getErrorCode() == ErrorCode.TABLE_OR_VIEW_NOT_FOUND_1
          || refused.getErrorCode() == ErrorCode.TABLE_OR_VIEW_NOT_FOUND_DATABASE_EMPTY_1) {
        return OptionalInt.empty();
      }
      throw new Unreadable(
          "%s is damaged, or no database of Open Trellis.".formatted(file.getFileName()), refused);
    }
  }

  /**
   * Brings the file to the schema of this version, making it if it is not there.
   *
   * @throws FlywayException if a change of the schema does not fit what is there
   */
  void migrate() {
    flyway(url()).migrate();
  }

  private static Flyway flyway(String url) {
    return Flyway.configure()
        .dataSource(url, USER, "")
        .locations(MIGRATIONS)
        .javaMigrations(new UniqueNames())
        .load();
  }
}
