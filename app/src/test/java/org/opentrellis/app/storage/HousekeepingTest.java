package org.opentrellis.app.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.opentrellis.app.RunningApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The file does not keep all that was ever written. */
class HousekeepingTest {
  private static final int BYTES = 1_000_000;
  private static final int KEPT_BYTES = 16_000;
  private static final int COMMITS = 45;

  /** Far fewer changes than it usually waits for, but much written: it does not wait then. */
  @Test
  void whatIsWrittenOverAndOverIsClearedUp(@TempDir Path data) throws Exception {
    try (ConfigurableApplicationContext application = RunningApplication.start(data)) {
      Housekeeping housekeeping = application.getBean(Housekeeping.class);
      JdbcClient database =
          JdbcClient.create(application.getBean(com.zaxxer.hikari.HikariDataSource.class));
      database.sql("create table heap (id int primary key, what varbinary)").update();
      Random random = new Random(1);
      for (int n = 0; n < COMMITS; n++) {
        // A little that stays, and much that is written over by the next one.
        database.sql("insert into heap values (?, ?)").param(n + 2).param(some(random, KEPT_BYTES)).update();
        database.sql("merge into heap key (id) values (1, ?)").param(some(random, BYTES)).update();
        housekeeping.afterChange();
      }
      Path file = application.getBean(DataFolder.class).database();
      await()
          .atMost(Duration.ofSeconds(20))
          .untilAsserted(
              () -> assertThat(Files.size(file)).isLessThan((long) COMMITS * BYTES / 2));
    }
  }

  private static byte[] some(Random random, int bytes) {
    byte[] some = new byte[bytes];
    random.nextBytes(some);
    return some;
  }
}
