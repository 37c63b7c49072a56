package org.opentrellis.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.opentrellis.cli.TrellisCommand;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Makes one of the demo's runs on the command line: the same file, cohort, seed and days. */
public final class CommandLineRun {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private CommandLineRun() {}

  /** Everything that it prints of the run whose number is the journey's. */
  public static JsonNode of(RunningApplication app, long journey, Path folder) throws IOException {
    JsonNode run = app.get("/api/dry-runs/" + journey).body();
    Files.writeString(
        folder.resolve("journey.json"), app.text("/api/journeys/" + journey + "/file"));
    Files.writeString(folder.resolve("cohort.json"), run.get("cohort").toString());
    return JSON.readTree(printed(folder, "--report"));
  }

  /** The same once more, as CSV. */
  public static String csv(Path folder) {
    return printed(folder, "--format=csv");
  }

  private static String printed(Path folder, String how) {
    StringWriter out = new StringWriter();
    StringWriter problems = new StringWriter();
    String[] command = {
      "dry-run",
      folder.resolve("journey.json").toString(),
      "--cohort",
      folder.resolve("cohort.json").toString(),
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
