package org.opentrellis.app.dryruns;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.cli.TrellisCommand;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the command line prints of a journey's file is what the application says of its run. */
class FiguresAgreeTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  private static final JsonMapper JSON = JsonMapper.builder().build();

  @TempDir private Path folder;

  /** Welcome, nurture, cart and date-based: the demo's runs, with file, cohort and seed. */
  @ParameterizedTest
  @ValueSource(longs = {1, 3, 4, 5})
  void everyFigureIsTheSame(long journey) throws IOException {
    JsonNode run = APP.get("/api/dry-runs/" + journey).body();
    Path file = folder.resolve("journey.json");
    Path cohort = folder.resolve("cohort.json");
    Files.writeString(file, APP.text("/api/journeys/" + journey + "/file"));
    Files.writeString(cohort, run.get("cohort").toString());
    JsonNode printed = JSON.readTree(dryRun(file, cohort, "--report"));
    assertThat(printed.at("/journeys/0")).isEqualTo(run.at("/journeys/0/report"));
    assertThat(printed.get("outgoing")).isEqualTo(run.get("outgoing"));
    assertThat(dryRun(file, cohort, "--format=csv"))
        .isEqualTo(APP.text("/api/dry-runs/" + journey + "/steps.csv"));
  }

  private static String dryRun(Path file, Path cohort, String how) {
    StringWriter out = new StringWriter();
    StringWriter problems = new StringWriter();
    String[] command = {
      "dry-run",
      file.toString(),
      "--cohort",
      cohort.toString(),
      "--seed",
      "2026",
      "--horizon",
      "60d",
      how
    };
    int status = TrellisCommand.run(command, new PrintWriter(out), new PrintWriter(problems));
    assertThat(problems.toString()).isEmpty();
    assertThat(status).isZero();
    return out.toString();
  }
}
