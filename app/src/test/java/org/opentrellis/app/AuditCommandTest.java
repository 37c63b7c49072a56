package org.opentrellis.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.opentrellis.app.journeys.JourneyShelf;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.CrowdOrder;
import org.opentrellis.app.live.Crowds;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * The audit of a folder: clean for what the application left, and not for what somebody changed.
 */
@Tag("thorough")
class AuditCommandTest {
  @TempDir Path data;

  private int audit() {
    return AuditCommand.run(new String[] {"audit", data.toString()});
  }

  @Test
  void itFindsWhatIsMissingFromTheLog() {
    assertThat(audit()).as("no data").isEqualTo(1);
    try (ConfigurableApplicationContext application =
        RunningApplication.start(data, "--trellis.demo=true")) {
      Journeys journeys = application.getBean(Journeys.class);
      long id = journeys.names().getFirst().id();
      for (Journeys.Named one : journeys.names()) {
        if (one.name().equals("First frames")) {
          id = one.id();
        }
      }
      application.getBean(JourneyShelf.class).open(id);
      application.getBean(Crowds.class).come(new CrowdOrder(List.of(id), 5, 2, 1));
      Answers over = Answers.of(application);
      over.post("/api/live/clock", "{\"seconds\": 1000000}");
      over.until("/api/live", live -> live.at("/clock/turning").isNull());
    }
    assertThat(audit()).as("as it was left").isZero();
    try (ConfigurableApplicationContext application =
        RunningApplication.start(data, "--trellis.rests=true")) {
      int gone =
          application
              .getBean(JdbcTemplate.class)
              .update("delete from happening where kind = 'SENT' and rownum() = 1");
      assertThat(gone).isEqualTo(1);
    }
    assertThat(audit()).as("a line of the log is gone").isEqualTo(1);
  }
}
