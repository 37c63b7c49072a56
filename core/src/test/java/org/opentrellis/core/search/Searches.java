package org.opentrellis.core.search;

import static org.opentrellis.core.testing.Steps.MESSAGES;

import java.time.Instant;
import java.util.List;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.vary.VariedRun;

/** Searches in few words, for tests. */
final class Searches {
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");

  private Searches() {}

  static VariedRun plan(Journey journey, Behaviour people, long seed) {
    CohortPlan cohort = CohortPlan.of(2_000, people.groups());
    return new VariedRun(
        journey, MESSAGES, people, cohort, CohortSettings.of(cohort, seed, START, 60));
  }

  static BetterWays forGoal(VariedRun plan, int people, Leeway... leeways) {
    return Search.of(
        new SearchPlan(plan, new SearchWish(List.of(leeways), Wanted.goal(), Limits.NONE, people)),
        SearchWatch.NONE);
  }
}
