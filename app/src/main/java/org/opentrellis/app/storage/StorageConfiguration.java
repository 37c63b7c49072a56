package org.opentrellis.app.storage;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Clock;
import java.util.function.Consumer;
import org.opentrellis.app.TrellisSettings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Wires what keeps the data: the folder is locked and brought up to date before it is opened. */
@Configuration
@EnableScheduling
class StorageConfiguration {
  private static final Logger LOG = LoggerFactory.getLogger(StorageConfiguration.class);

  @Bean
  DataFolder dataFolder(TrellisSettings settings, @Qualifier("wallClock") Clock clock) {
    DataFolder folder = DataFolder.open(settings.data().toAbsolutePath().normalize());
    Consumer<String> console = LOG::info;
    try {
      new WriteTest(folder).carryOut().ifPresent(kind -> LOG.warn(kind.sentence()));
      if (settings.demo() && settings.fresh()) {
        folder.empty();
      }
      new SchemaUpgrade(folder, clock, console).carryOut();
      return folder;
    } catch (RuntimeException refused) {
      folder.close();
      throw refused;
    }
  }

  @Bean
  HikariDataSource dataSource(DataFolder folder) {
    HikariDataSource pool = new HikariDataSource();
    pool.setPoolName("trellis");
    pool.setJdbcUrl(new DatabaseFile(folder.database()).url());
    pool.setUsername(DatabaseFile.USER);
    pool.setPassword("");
    return pool;
  }
}
