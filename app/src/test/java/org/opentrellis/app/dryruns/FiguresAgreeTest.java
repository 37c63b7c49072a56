package org.opentrellis.app.dryruns;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.CommandLineRun;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** What the command line prints of a journey's file is what the application says of its run. */
@Tag("thorough")
class FiguresAgreeTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  @TempDir private Path folder;

  /** Welcome, nurture, cart and date-based: the demo's runs, with file, cohort and seed. */
  @ParameterizedTest
  @ValueSource(longs = {1, 3, 4, 5})
  void everyFigureIsTheSame(long journey) throws IOException {
    JsonNode run = APP.get("/api/dry-runs/" + journey).body();
    JsonNode printed = CommandLineRun.of(APP, journey, folder);
    assertThat(printed.at("/journeys/0")).isEqualTo(run.at("/journeys/0/report"));
    assertThat(printed.get("outgoing")).isEqualTo(run.get("outgoing"));
    assertThat(CommandLineRun.csv(folder))
        .isEqualTo(APP.text("/api/dry-runs/" + journey + "/steps.csv"));
  }
}
