package org.opentrellis.cli;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.export.EventLog;
import org.opentrellis.core.export.SendPlan;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Circles;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Leads;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.report.RunReport;
import picocli.CommandLine.Command;
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

  @Parameters(
      arity = "1..*",
      paramLabel = "FILE",
      description =
          "Journey files; several run as one population, the first says who the people are.")
  List<Path> files;

  @Option(
      names = "--people",
      paramLabel = "N",
      description = "How many people (default ${DEFAULT-VALUE}).")
  int people = 20_000;

  @Option(
      names = "--seed",
      paramLabel = "S",
      description = "The same seed gives the same figures (default ${DEFAULT-VALUE}).")
  long seed = 1;

  @Option(
      names = "--threads",
      paramLabel = "T",
      description =
          "In so many threads; the figures are the same for any number (default: one for each processor).")
  int threads = Runtime.getRuntime().availableProcessors();

  @Option(
      names = "--horizon",
      paramLabel = "DAYS",
      description = "How long each person is followed, such as 90d (default ${DEFAULT-VALUE}).")
  String horizon = "90d";

  @Option(
      names = "--start",
      paramLabel = "DATE",
      description = "When the first enter, such as 2027-03-01 (default: Monday of this week).")
  @Nullable LocalDate start;

  @Option(
      names = "--arrivals",
      paramLabel = "DAYS",
      description = "Over how many days they come (default ${DEFAULT-VALUE}).")
  int arrivals = CohortSettings.ARRIVAL_DAYS;

  @Option(
      names = "--hold-out",
      paramLabel = "SHARE",
      description =
          "The share of people who get nothing, to compare with (default ${DEFAULT-VALUE}).")
  double holdOut = 0;

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
      names = "--cohort",
      paramLabel = "FILE",
      description =
          "Who enters: a cohort file with people, groups, arrivals and hold-out, instead of those options.")
  @Nullable Path cohort;

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
    Optional<CohortPlan> plan = Optional.ofNullable(cohort).map(JourneyFiles::cohort);
    CohortSettings settings = settings(plan);
    if (threads < 1 || threads > 256) {
      throw badUse("--threads takes 1 to 256, not " + threads + ".");
    }
    if ((paths || report) && format == Format.CSV) {
      throw badUse((paths ? "--paths" : "--report") + " needs --format json.");
    }
    List<JourneyFile> read = JourneyFiles.read(files);
    DryRun run = run(read, settings, plan);
    Tallies tallies = run.run(threads);
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

  private DryRun run(List<JourneyFile> read, CohortSettings settings, Optional<CohortPlan> plan) {
    List<Journey> journeys = read.stream().map(JourneyFile::journey).toList();
    var catalogue = JourneyFiles.catalogue(read);
    Circles.find(journeys.stream().map(j -> Leads.of(Strands.expand(j, catalogue))).toList())
        .ifPresent(
            circle -> {
              throw JourneyFiles.refused(
                  files.get(0),
                  "People would go round in a circle without a wait: %s."
                      .formatted(
                          String.join(" to ", circle.stream().map(Object::toString).toList())));
            });
    List<Behaviour> behaviours =
        read.stream()
            .map(
                file -> file.behaviour().orElseGet(() -> TypicalBehaviour.in(Documents.USUAL_ZONE)))
            .map(
                behaviour ->
                    plan.map(who -> behaviour.edit().groups(who.groups()).done()).orElse(behaviour))
            .toList();
    return new DryRun(journeys, catalogue, behaviours, settings);
  }

  private CohortSettings settings(Optional<CohortPlan> plan) {
    LocalDate first =
        start != null
            ? start
            : LocalDate.now(TrellisCommand.CLOCK)
                .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    Instant monday = first.atStartOfDay(ZoneOffset.UTC).toInstant();
    try {
      if (plan.isPresent()) {
        return CohortSettings.of(plan.get(), seed, monday, days(horizon));
      }
      return new CohortSettings(
          people, seed, monday, days(horizon), new ArrivalPlan.Evenly(arrivals), holdOut);
    } catch (Refused refused) {
      throw badUse(refused.getMessage() + ".");
    }
  }

  private int days(String text) {
    Matcher days = Pattern.compile("(\\d{1,6})d?").matcher(text);
    if (!days.matches()) {
      throw badUse("--horizon takes days such as 90d, not " + text + ".");
    }
    return Integer.parseInt(days.group(1));
  }

  private ParameterException badUse(String sentence) {
    return new ParameterException(spec.commandLine(), sentence);
  }
}
