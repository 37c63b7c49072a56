package org.opentrellis.cli;

import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.problem.Refused;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** Who goes through journeys, as options of a command. */
final class CohortOptions {
  @Spec(Spec.Target.MIXEE)
  CommandSpec spec;

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
      names = "--cohort",
      paramLabel = "FILE",
      description =
          "Who enters: a cohort file with people, groups, arrivals and hold-out, instead of those options.")
  @Nullable Path cohort;

  /** Who enters, if a file says so. */
  Optional<CohortPlan> plan() {
    return Optional.ofNullable(cohort).map(JourneyFiles::cohort);
  }

  CohortSettings settings(Optional<CohortPlan> plan) {
    LocalDate first =
        start != null
            ? start
            : LocalDate.now(TrellisCommand.CLOCK)
                .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    Instant monday = first.atStartOfDay(ZoneOffset.UTC).toInstant();
    try {
      if (plan.isPresent()) {
        return CohortSettings.of(plan.get(), seed, monday, days());
      }
      return new CohortSettings(
          people, seed, monday, days(), new ArrivalPlan.Evenly(arrivals), holdOut);
    } catch (Refused refused) {
      throw badUse(refused.getMessage() + ".");
    }
  }

  /** How the people of some files react, who enter as a plan says. */
  static List<Behaviour> behaviours(List<JourneyFile> files, Optional<CohortPlan> plan) {
    return files.stream()
        .map(file -> file.behaviour().orElseGet(() -> TypicalBehaviour.in(Documents.USUAL_ZONE)))
        .map(
            behaviour ->
                plan.map(who -> behaviour.edit().groups(who.groups()).done()).orElse(behaviour))
        .toList();
  }

  private int days() {
    Matcher days = Pattern.compile("(\\d{1,6})d?").matcher(horizon);
    if (!days.matches()) {
      throw badUse("--horizon takes days such as 90d, not " + horizon + ".");
    }
    return Integer.parseInt(days.group(1));
  }

  private ParameterException badUse(String sentence) {
    return new ParameterException(spec.commandLine(), sentence);
  }
}
