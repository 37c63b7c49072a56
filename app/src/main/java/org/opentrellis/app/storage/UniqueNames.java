package org.opentrellis.app.storage;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.opentrellis.core.format.Json;
import tools.jackson.databind.node.ObjectNode;

/**
 * Schema 6: journeys and messages have names of their own, held by the database. A journey's name
 * gets a column; doubles from before get a number behind, the oldest keeps its name.
 */
final class UniqueNames implements JavaMigration {
  private static final int LONGEST_NAME = 80;

  @Override
  public MigrationVersion getVersion() {
    return MigrationVersion.fromVersion("6");
  }

  @Override
  public String getDescription() {
    return "unique names";
  }

  @Override
  public Integer getChecksum() {
    return 1;
  }

  @Override
  public boolean canExecuteInTransaction() {
    return true;
  }

  @Override
  public void migrate(Context context) throws SQLException {
    Connection database = context.getConnection();
    try (Statement statement = database.createStatement()) {
      statement.execute("alter table journey add column name varchar_ignorecase(80)");
      nameJourneys(database);
      statement.execute("alter table journey alter column name set not null");
      statement.execute("alter table journey add constraint journey_name unique (name)");
      nameMessages(database);
      statement.execute("alter table message alter column name varchar_ignorecase(80) not null");
      statement.execute("alter table message add constraint message_name unique (name)");
    }
  }

  private static void nameJourneys(Connection database) throws SQLException {
    Set<String> taken = new HashSet<>();
    try (Statement all = database.createStatement();
        ResultSet rows = all.executeQuery("select id, version, document from journey order by id");
        PreparedStatement journey =
            database.prepareStatement("update journey set name = ?, document = ? where id = ?");
        PreparedStatement version =
            database.prepareStatement(
                "update journey_version set document = ? where journey_id = ? and version = ?")) {
      while (rows.next()) {
        ObjectNode document = (ObjectNode) Json.tree(rows.getString("document"));
        String name = free(document.path("name").asString("Journey"), taken);
        document.put("name", name);
        String written = Json.write(document);
        journey.setString(1, name);
        journey.setString(2, written);
        journey.setLong(3, rows.getLong("id"));
        journey.executeUpdate();
        version.setString(1, written);
        version.setLong(2, rows.getLong("id"));
        version.setInt(3, rows.getInt("version"));
        version.executeUpdate();
      }
    }
  }

  private static void nameMessages(Connection database) throws SQLException {
    Set<String> taken = new HashSet<>();
    try (Statement all = database.createStatement();
        ResultSet rows = all.executeQuery("select id, name from message order by created_at, id");
        PreparedStatement message =
            database.prepareStatement("update message set name = ? where id = ?")) {
      while (rows.next()) {
        message.setString(1, free(rows.getString("name"), taken));
        message.setString(2, rows.getString("id"));
        message.executeUpdate();
      }
    }
  }

  private static String free(String wanted, Set<String> taken) {
    String name = wanted;
    for (int n = 2; !taken.add(name.toLowerCase(Locale.ROOT)); n++) {
      String number = " " + n;
      name =
          wanted.substring(0, Math.min(wanted.length(), LONGEST_NAME - number.length())) + number;
    }
    return name;
  }
}
