package org.opentrellis.cli;

import java.io.StringReader;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calibrate.Calibrator;
import org.opentrellis.core.calibrate.SendRecord;
import org.opentrellis.core.format.HistoryCsv;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "calibrate",
    description =
        "Fits the model's values to a CSV of what happened, and prints them with their intervals.",
    mixinStandardHelpOptions = true)
final class CalibrateCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(
      paramLabel = "CSV",
      description =
          "Columns person, message, sent and any of delivered, opened, clicked, unsubscribed, bought, zone.")
  Path file;

  @Option(
      names = "--until",
      paramLabel = "MOMENT",
      description = "When the history was looked at (default: its last moment).")
  @Nullable Instant until;

  @Override
  public Integer call() {
    try {
      List<SendRecord> history = HistoryCsv.read(new StringReader(JourneyFiles.text(file)));
      Instant end =
          until != null
              ? until
              : history.stream()
                  .map(SendRecord::last)
                  .max(Comparator.naturalOrder())
                  .orElse(Instant.EPOCH);
      spec.commandLine().getOut().println(Json.pretty(Calibrator.fit(history, end)));
      return 0;
    } catch (ProblemsFound found) {
      throw new TrellisCommand.BadFile(file.toString(), found);
    } catch (Refused tooLittle) {
      String text = String.valueOf(tooLittle.getMessage());
      throw JourneyFiles.refused(
          file, Character.toUpperCase(text.charAt(0)) + text.substring(1) + ".");
    }
  }
}
