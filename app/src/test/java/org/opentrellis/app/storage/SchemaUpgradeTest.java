package org.opentrellis.app.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.app.StartRefused;
import org.opentrellis.torture.OldFolder;

/** Folders of every earlier version, later ones, damaged ones, and those left half way. */
@Tag("thorough")
@Order(1)
class SchemaUpgradeTest {
  @TempDir Path folder;

  private final List<String> said = new ArrayList<>();

  static Stream<OldFolder> oldFolders() {
    return OldFolder.all().stream();
  }

  private void upgrade() {
    try (DataFolder held = DataFolder.open(folder)) {
      new SchemaUpgrade(held, Clock.systemUTC(), said::add).carryOut();
    }
  }

  private Path database() {
    return folder.resolve("trellis.mv.db");
  }

  private static Connection connect(Path database) throws Exception {
    return DriverManager.getConnection(
        new DatabaseFile(database).url() + ";IFEXISTS=TRUE", DatabaseFile.USER, "");
  }

  private List<String> journeys() throws Exception {
    List<String> names = new ArrayList<>();
    try (Connection connection = connect(database());
        Statement statement = connection.createStatement();
        ResultSet rows =
            statement.executeQuery("select name from journey where kind = 'JOURNEY' order by id")) {
      while (rows.next()) {
        names.add(rows.getString(1));
      }
    }
    return names;
  }

  @ParameterizedTest
  @MethodSource("oldFolders")
  void aFolderOfEachEarlierVersionIsBroughtUpToDateAndKeptAsItWas(OldFolder old) throws Exception {
    old.unpack(folder);
    byte[] before = Files.readAllBytes(database());
    upgrade();
    assertThat(new DatabaseFile(database()).schema()).hasValue(DatabaseFile.schemaOfThisVersion());
    assertThat(journeys()).isEqualTo(old.journeys());
    assertThat(said).anyMatch(line -> line.contains("from schema %d to ".formatted(old.schema())));
    Path kept = only(folder.resolve("backups"));
    assertThat(kept.getFileName().toString()).startsWith("before-schema-");
    Path aside = Files.createDirectories(folder.resolve("aside"));
    try (DataFolder other = DataFolder.open(aside)) {
      new ClosedFolder(other).restore(kept, Clock.systemUTC(), said::add);
    }
    assertThat(Files.readAllBytes(aside.resolve("trellis.mv.db"))).isEqualTo(before);
  }

  @ParameterizedTest
  @MethodSource("oldFolders")
  void aBackupOfEachEarlierVersionIsBroughtBack(OldFolder old) throws Exception {
    upgrade();
    Path backup = folder.resolve("theirs.zip");
    Files.copy(old.zip(), backup);
    try (DataFolder held = DataFolder.open(folder)) {
      new ClosedFolder(held).restore(backup, Clock.systemUTC(), said::add);
    }
    upgrade();
    assertThat(journeys()).isEqualTo(old.journeys());
    try (Stream<Path> kept = Files.list(folder.resolve("backups"))) {
      assertThat(kept.map(file -> file.getFileName().toString()))
          .anyMatch(name -> name.startsWith("before-restore-"));
    }
  }

  @Test
  void anUpgradeThatWasInterruptedIsBegunAgain() throws Exception {
    new OldFolder(4).unpack(folder);
    Files.writeString(folder.resolve("trellis-next.mv.db"), "half a copy");
    upgrade();
    assertThat(journeys()).hasSize(8);
    assertThat(folder.resolve("trellis-next.mv.db")).doesNotExist();
  }

  @Test
  void doublesFromBeforeGetNumbers() throws Exception {
    new OldFolder(5).unpack(folder);
    try (Connection connection = connect(database());
        Statement statement = connection.createStatement()) {
      statement.execute(
          """
          insert into journey (document, version, saved_at, behaviour, behaviour_version)
          select replace(document, '"First frames"', '"first Frames"'), 1, saved_at, behaviour, 1
          from journey where id = 1
          """);
      statement.execute(
          """
          insert into message (id, name, subject, links, version, created_at)
          select 'double', name, subject, links, 1, created_at from message limit 1
          """);
    }
    upgrade();
    assertThat(journeys()).hasSize(9).contains("First frames", "first Frames 2");
  }

  @Test
  void aFolderOfALaterVersionIsRefusedAndLeftAsItIs() throws Exception {
    upgrade();
    try (Connection connection = connect(database());
        Statement statement = connection.createStatement()) {
      statement.execute("update \"flyway_schema_history\" set \"version\" = '99'");
    }
    refused("belongs to a later version of Open Trellis (its schema is 99, this one's is ");
  }

  @Test
  void whatAnEarlierVersionLeftHalfWayIsRefusedAndLeftAsItIs() throws Exception {
    new OldFolder(4).unpack(folder);
    try (Connection connection = connect(database());
        Statement statement = connection.createStatement()) {
      statement.execute("create table cohort (id int)");
    }
    refused("could not be brought from schema 4 to ");
  }

  @Test
  void aDamagedDatabaseIsRefusedInASentence() throws Exception {
    Files.writeString(database(), "this is no database. ".repeat(1_000));
    refused("is damaged, or not one of Open Trellis");
  }

  private void refused(String sentence) throws IOException {
    byte[] before = Files.readAllBytes(database());
    assertThatThrownBy(this::upgrade)
        .isInstanceOf(StartRefused.class)
        .hasMessageContaining(sentence)
        .hasMessageContaining("--data");
    assertThat(Files.readAllBytes(database())).isEqualTo(before);
    assertThat(folder.resolve("trellis-next.mv.db")).doesNotExist();
  }

  @Test
  void aFolderIsForOneProcessAtATime() {
    try (DataFolder held = DataFolder.open(folder)) {
      assertThat(held.holdsData()).isFalse();
      assertThatThrownBy(() -> DataFolder.open(folder))
          .isInstanceOf(StartRefused.class)
          .hasMessageContaining("is in use by another Open Trellis");
    }
    DataFolder.open(folder).close();
  }

  private static Path only(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      List<Path> all = files.toList();
      assertThat(all).hasSize(1);
      return all.get(0);
    }
  }
}
