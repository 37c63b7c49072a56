package org.opentrellis.app.dryruns;

import java.util.List;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.cohorts.Cohorts;
import org.opentrellis.app.elsewhere.Elsewhere;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.journey.Circles;
import org.opentrellis.core.journey.Leads;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.problem.Problems;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Component;

/** Reads orders of dry runs: of the journeys as they are saved now. */
@Component
class RunOrders {
  /** The most people that go through on this machine, so that nobody waits for it for long. */
  static final int MOST_HERE = 10_000_000;

  private static final int MOST_JOURNEYS = 6;

  private final Journeys journeys;
  private final Catalogues catalogues;
  private final Cohorts cohorts;
  private final Elsewhere elsewhere;
  private final Mondays mondays;

  RunOrders(
      Journeys journeys,
      Catalogues catalogues,
      Cohorts cohorts,
      Elsewhere elsewhere,
      Mondays mondays) {
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.cohorts = cohorts;
    this.elsewhere = elsewhere;
    this.mondays = mondays;
  }

  /**
   * @throws ProblemsFound if something in the order is out of range
   */
  RunSetup setup(RunOrder order) {
    List<Long> wanted = order.journeys();
    if (wanted.isEmpty()
        || wanted.size() > MOST_JOURNEYS
        || wanted.stream().distinct().count() != wanted.size()) {
      throw ProblemsFound.badValue(
          "/journeys",
          "A dry run takes one to %d different journeys together.".formatted(MOST_JOURNEYS));
    }
    CohortPlan cohort = Cohorts.read(order.cohort());
    check(order, cohort);
    List<KeptJourney> kept = wanted.stream().map(journeys::find).toList();
    var catalogue = catalogues.current();
    refuseOneName(kept);
    Circles.find(
            kept.stream().map(one -> Leads.of(Strands.expand(one.journey(), catalogue))).toList())
        .ifPresent(
            circle -> {
              throw ProblemsFound.badValue(
                  "/journeys",
                  "People would go round in a circle without a wait: %s."
                      .formatted(
                          String.join(" to ", circle.stream().map(Object::toString).toList())));
            });
    return new RunSetup(
        kept.stream().map(KeptRun.Part::of).toList(),
        catalogue,
        cohort,
        cohorts.nameOf(order.cohortId(), cohort),
        settings(order, cohort));
  }

  private CohortSettings settings(RunOrder order, CohortPlan cohort) {
    try {
      return CohortSettings.of(cohort, order.seed(), mondays.thisWeek(), order.horizonDays());
    } catch (Refused refused) {
      throw ProblemsFound.refused("/cohort/arrivals", refused);
    }
  }

  private static void refuseOneName(List<KeptJourney> kept) {
    long names = kept.stream().map(one -> one.journey().name()).distinct().count();
    if (names < kept.size()) {
      throw ProblemsFound.badValue(
          "/journeys",
          "Journeys that run together need different names: they hand people to each other by name.");
    }
  }

  private void check(RunOrder order, CohortPlan cohort) {
    Problems problems = new Problems();
    if (cohort.people() > MOST_HERE && elsewhere.where(cohort.people()).isEmpty()) {
      problems.add(
          "bad-value",
          "/cohort/people",
          "This machine takes 1 to %,d people in a dry run, not %,d; one that is started with --on sends more to a cluster."
              .formatted(MOST_HERE, cohort.people()));
    }
    int longest = CohortSettings.LONGEST_HORIZON_DAYS;
    if (order.horizonDays() < 1 || order.horizonDays() > longest) {
      problems.add(
          "bad-value",
          "/horizonDays",
          "People are followed for 1 to %d days, not %d.".formatted(longest, order.horizonDays()));
    }
    problems.throwIfAny();
  }
}
