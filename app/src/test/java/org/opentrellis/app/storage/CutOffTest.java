package org.opentrellis.app.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A file as a kill leaves it in the middle of a change that is larger than what fits into memory.
 */
@Tag("thorough")
public class CutOffTest {
  private static final int ROWS = 100_000;

  @TempDir Path folder;

  /** What the other process does: it dies in the middle of a large change. */
  public static void main(String[] file) throws Exception {
    DatabaseFile database = new DatabaseFile(Path.of(file[0]));
    database.migrate();
    Connection connection = DriverManager.getConnection(database.url(), DatabaseFile.USER, "");
    Statement statement = connection.createStatement();
    statement.execute(
        "create table many (id int primary key, name varchar(100) unique, words varchar(400))");
    connection.setAutoCommit(false);
    statement.execute(
        "insert into many select x, random_uuid() || x, repeat('x', 200) from system_range(1, %d)"
            .formatted(ROWS));
    Runtime.getRuntime().halt(9);
  }

  @Test
  void aLargeChangeThatWasCutOffIsUndone() throws Exception {
    Path file = folder.resolve("cut.mv.db");
    Process process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                CutOffTest.class.getName(),
                file.toString())
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    assertThat(process.waitFor()).isEqualTo(9);
    DatabaseFile cut = new DatabaseFile(file);
    assertThat(cut.schema()).hasValue(DatabaseFile.schemaOfThisVersion());
    try (Connection connection = DriverManager.getConnection(cut.url(), DatabaseFile.USER, "");
        Statement statement = connection.createStatement();
        var rows = statement.executeQuery("select count(*) from many")) {
      rows.next();
      assertThat(rows.getInt(1)).isZero();
    }
  }
}
