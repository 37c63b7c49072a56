package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.app.RunningApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Lives that earlier versions of the machine led, each a demo of three weeks: lived once more by
 * this version they lead to the same standing. A version that means something else by a step has to
 * say in a migration what becomes of those who stand there. A new history is added beside the old
 * ones whenever the machine changes.
 */
class HistoriesTest {
  @TempDir Path data;

  @ParameterizedTest
  @CsvSource("demo-2026-11, 43, 572")
  void theyLeadToTheSameStanding(String name, long people, long lines) throws IOException {
    unpack(name);
    try (ConfigurableApplicationContext application =
        RunningApplication.start(data, "--trellis.rests=true")) {
      Audit.Audited audited = application.getBean(Audit.class).all();
      assertThat(audited.differences()).isEmpty();
      assertThat(audited.people()).isEqualTo(people);
      assertThat(audited.lines()).isEqualTo(lines);
    }
  }

  private void unpack(String name) throws IOException {
    InputStream file = HistoriesTest.class.getResourceAsStream("/histories/" + name + ".zip");
    try (ZipInputStream zip = new ZipInputStream(Objects.requireNonNull(file))) {
      zip.getNextEntry();
      Files.copy(zip, data.resolve("trellis.mv.db"));
    }
  }
}
