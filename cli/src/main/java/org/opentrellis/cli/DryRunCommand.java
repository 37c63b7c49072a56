package org.opentrellis.cli;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.elsewhere.Cluster;
import org.opentrellis.core.elsewhere.RunDocument;
import org.opentrellis.core.export.EventLog;
import org.opentrellis.core.export.SendPlan;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Circles;
import org.opentrellis.core.journey.Leads;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.report.RunReport;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "dry-run",
    description = "Sends a simulated cohort through a journey file, or through several together.",
    mixinStandardHelpOptions = true)
final class DryRunCommand implements Callable<Integer> {

  /** How figures are printed. */
  enum Format {
    JSON,
    CSV
  }

  @Spec CommandSpec spec;

  @Mixin CohortOptions who;

  @Mixin OnCluster on;

  @Parameters(
      arity = "1..*",
      paramLabel = "FILE",
      description =
          "Journey files; several run as one population, the first says who the people are.")
  List<Path> files;

  @Option(
      names = "--threads",
      paramLabel = "T",
      description =
          "In so many threads; the figures are the same for any number (default: one for each processor).")
  int threads = Runtime.getRuntime().availableProcessors();

  @Option(
      names = "--format",
      paramLabel = "json|csv",
      description = "How figures are printed (default ${DEFAULT-VALUE}).")
  Format format = Format.JSON;

  @Option(names = "--paths", description = "Also the distinct ways that people went; with json.")
  boolean paths;

  @Option(
      names = "--report",
      description =
          "Instead all that the screens show: measures with intervals, drop-off, days, curves, paths and what goes out; with json.")
  boolean report;

  @Option(
      names = "--xes",
      paramLabel = "OUT",
      description = "Also writes an event log (XES, IEEE 1849) to this file.")
  @Nullable Path xes;

  @Option(
      names = "--ics",
      paramLabel = "OUT",
      description = "Also writes the send plan (iCalendar, RFC 5545) to this file.")
  @Nullable Path ics;

  @Override
  public Integer call() throws IOException {
    Optional<CohortPlan> plan = who.plan();
    CohortSettings settings = who.settings(plan);
    if (threads < 1 || threads > 256) {
      throw badUse("--threads takes 1 to 256, not " + threads + ".");
    }
    if ((paths || report) && format == Format.CSV) {
      throw badUse((paths ? "--paths" : "--report") + " needs --format json.");
    }
    List<JourneyFile> read = JourneyFiles.read(files);
    refuseCircles(read);
    RunDocument document =
        RunDocument.of(
            read.stream().map(JourneyFile::journey).toList(),
            JourneyFile.catalogueOf(read),
            CohortOptions.behaviours(read, plan),
            settings);
    DryRun run = document.dryRun();
    Tallies tallies = tallies(document, run);
    List<RunMeasures> measures =
        IntStream.range(0, read.size()).mapToObj(i -> RunMeasures.of(tallies, i)).toList();
    var out = spec.commandLine().getOut();
    if (format == Format.CSV) {
      out.print(ResultTable.csv(run, measures));
      out.flush();
    } else {
      out.println(
          Json.pretty(
              report
                  ? RunReport.of(run, tallies, Texting.NONE)
                  : RunResult.of(run, tallies, measures, paths)));
    }
    if (xes != null) {
      try (OutputStream to = new BufferedOutputStream(java.nio.file.Files.newOutputStream(xes))) {
        EventLog.write(run, to);
      }
    }
    if (ics != null) {
      java.nio.file.Files.writeString(ics, SendPlan.of(run, measures), StandardCharsets.UTF_8);
    }
    return 0;
  }

  private Tallies tallies(RunDocument document, DryRun run) {
    PeopleThrough through = new PeopleThrough(spec.commandLine().getErr(), run.settings().people());
    if (!on.isAsked()) {
      return run.run(new Effort(threads, through));
    }
    try (Cluster cluster = on.open()) {
      return cluster.run(document, through);
    }
  }

  private void refuseCircles(List<JourneyFile> read) {
    var catalogue = JourneyFile.catalogueOf(read);
    Circles.find(
            read.stream().map(file -> Leads.of(Strands.expand(file.journey(), catalogue))).toList())
        .ifPresent(
            circle -> {
              throw JourneyFiles.refused(
                  files.get(0),
                  "People would go round in a circle without a wait: %s."
                      .formatted(
                          String.join(" to ", circle.stream().map(Object::toString).toList())));
            });
  }

  private ParameterException badUse(String sentence) {
    return new ParameterException(spec.commandLine(), sentence);
  }
}
