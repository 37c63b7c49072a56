package org.opentrellis.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.vary.VariedRun;

/** Every kind of leeway, over random journeys. */
class ProposalsTest {
  private static VariedRun plan(long seed) {
    Journey journey = RandomJourneys.journey(seed, 12);
    Behaviour people = RandomJourneys.behaviour(seed);
    CohortPlan cohort = CohortPlan.of(500, people.groups());
    return new VariedRun(
        journey,
        RandomJourneys.CATALOGUE,
        people,
        cohort,
        CohortSettings.of(cohort, seed, Instant.parse("2027-03-01T00:00:00Z"), 30));
  }

  /**
   * Each level leaves a journey that compiles; today's leaves it as it is, any other reads
   * differently unless it asks the impossible; and it can be set again by what it is called.
   */
  @Test
  void everyLevelIsAnotherJourneyThatCanBeRun() {
    Set<Class<?>> seen = new HashSet<>();
    for (long seed = 0; seed < 120; seed++) {
      VariedRun plan = plan(seed);
      for (Proposal proposal : Proposals.of(plan)) {
        seen.add(proposal.leeway().getClass());
        assertThat(proposal.sentence()).endsWith(".").doesNotContain("null");
        Space space = Space.of(plan, List.of(proposal.leeway()));
        if (space.factors().isEmpty()) {
          assertThat(proposal.levels()).hasSize(1);
          continue;
        }
        assertThat(space.at(space.today())).contains(plan);
        for (Variation single : space.singles()) {
          space
              .at(single)
              .ifPresent(
                  varied -> {
                    varied.dryRun();
                    assertThat(varied.journey()).isNotEqualTo(plan.journey());
                    assertThat(space.words(single)).hasSize(1).noneMatch(String::isBlank);
                    assertThat(Search.set(plan, List.of(proposal.leeway()), space.settings(single)))
                        .isEqualTo(varied);
                  });
        }
      }
    }
    assertThat(seen).hasSize(Leeway.class.getPermittedSubclasses().length);
  }
}
