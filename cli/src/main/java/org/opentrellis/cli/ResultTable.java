package org.opentrellis.cli;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.Tallies;

/** The steps of a run as CSV (RFC 4180), a line each. */
final class ResultTable {
  private ResultTable() {}

  static String csv(DryRun run, Tallies tallies) {
    StringWriter text = new StringWriter();
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader(
                "journey",
                "id",
                "kind",
                "people",
                "entered",
                "sent",
                "delivered",
                "opened",
                "openedByPeople",
                "clicked",
                "buyers",
                "skipped",
                "held",
                "unsubscribed",
                "left",
                "waiting",
                "finished",
                "goal",
                "medianHours")
            .get();
    try (CSVPrinter printer = new CSVPrinter(text, format)) {
      for (JourneyTally tally : tallies.journeys()) {
        String journey = guarded(tally.program().journey().name());
        for (RunResult.StepResult step : RunResult.steps(tally)) {
          printer.printRecord(
              journey,
              guarded(step.id()),
              step.kind(),
              run.settings().people(),
              step.entered(),
              blank(step.sent()),
              blank(step.delivered()),
              blank(step.opened()),
              blank(step.openedByPeople()),
              blank(step.clicked()),
              blank(step.buyers()),
              step.skipped(),
              step.held(),
              step.unsubscribed(),
              step.left(),
              step.waiting(),
              step.finished(),
              step.goal(),
              blank(step.medianHours()));
        }
      }
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return text.toString();
  }

  private static Object blank(@Nullable Object value) {
    return value == null ? "" : value;
  }

  /** A spreadsheet takes what begins so for a formula. */
  static String guarded(String text) {
    return !text.isEmpty() && "=+-@\t\r".indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
  }
}
