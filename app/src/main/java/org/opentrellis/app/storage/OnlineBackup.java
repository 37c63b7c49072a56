package org.opentrellis.app.storage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Makes backups while the application runs, by the database's own means. */
@Component
public class OnlineBackup {
  private static final Logger LOG = LoggerFactory.getLogger(OnlineBackup.class);

  private final JdbcTemplate database;
  private final DataFolder folder;
  private final Backups backups;

  OnlineBackup(DataSource database, DataFolder folder, @Qualifier("wallClock") Clock clock) {
    this.database = new JdbcTemplate(database);
    this.folder = folder;
    this.backups = new Backups(folder, clock);
  }

  /**
   * Makes a backup of everything as it is now, to be handed out.
   *
   * @return a file that whoever asked removes
   */
  public Path make() throws IOException {
    Path file = Files.createTempFile(folder.path(), "backup", ".part");
    into(file);
    return file;
  }

  private void into(Path file) {
    database.execute("backup to '" + file.toString().replace("'", "''") + "'");
  }

  /**
   * Once a night, or when the machine is next awake: looked at every hour, since a laptop sleeps.
   */
  @Scheduled(initialDelay = 1, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
  void nightly() {
    try {
      if (backups.keepNightly(this::into)) {
        LOG.info("Today's backup has been made in {}.", folder.backups());
      }
    } catch (IOException | DataAccessException refused) {
      LOG.warn("Today's backup could not be made: {}", refused.getMessage());
    }
  }
}
