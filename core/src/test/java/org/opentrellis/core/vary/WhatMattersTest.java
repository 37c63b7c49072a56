package org.opentrellis.core.vary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.journey.Journey;

class WhatMattersTest {
  private static VariedRun plan(Journey journey) {
    Behaviour people = behaviour(group(new Keenness(0.5, 0.2), 0), 0.5);
    CohortPlan cohort = CohortPlan.of(6_000, people.groups());
    Instant start = Instant.parse("2027-03-01T00:00:00Z");
    return new VariedRun(
        journey, MESSAGES, people, cohort, CohortSettings.of(cohort, 1, start, 60));
  }

  /**
   * One email, nobody buys anyway: who buys opened, clicked and bought. So a fifth less of the
   * chance to buy is a fifth less of the goal, and the length of a wait behind it moves nothing
   * (closed form).
   */
  @Test
  void whatMultipliesTheGoalMovesItInProportion() {
    WhatMatters matters = whatMatters(plan(journey(send("a"), pause("w", 3, TimeUnit.DAYS))));
    WhatMatters.MattersRow buy = row(matters, "buy-after-click");
    double goal = matters.goal().value();
    assertThat(buy.lower().points()).isCloseTo(-0.2 * goal, within(0.01));
    assertThat(buy.higher().points()).isCloseTo(0.25 * goal, within(0.01));
    assertThat(buy.lower().paired()).isTrue();
    assertThat(buy.sentence()).contains("Buy after a click is 50%");
    WhatMatters.MattersRow wait = row(matters, "wait:w");
    assertThat(wait.swing()).isZero();
    assertThat(wait.sentence()).endsWith("neither is more than chance.");
    assertThat(wait.step()).isEqualTo("w");
  }

  @Test
  void theLargestSwingComesFirst() {
    WhatMatters matters = whatMatters(plan(journey(send("a"))));
    List<Double> swings = matters.rows().stream().map(WhatMatters.MattersRow::swing).toList();
    assertThat(swings).isSortedAccordingTo(java.util.Comparator.reverseOrder());
    assertThat(matters.rows())
        .extracting(WhatMatters.MattersRow::id)
        .contains("pull:a", "keenness:0");
  }

  @Test
  void aSweepHasThePlanItselfWithoutADifference() {
    VariedRun plan = plan(journey(send("a")));
    Optional<WhatMatters.Sweep> sweep = WhatMatters.sweep(plan, "click:a", RunControl.NONE);
    WhatMatters.SweepPoint here =
        sweep.orElseThrow().points().stream()
            .filter(point -> point.value() == sweep.get().value())
            .findFirst()
            .orElseThrow();
    assertThat(here.against().points()).isZero();
    assertThat(here.goal()).isEqualTo(whatMatters(plan).goal());
    List<Double> goals = sweep.get().points().stream().map(p -> p.goal().value()).toList();
    assertThat(goals).isSorted();
    assertThat(WhatMatters.sweep(plan, "nothing", RunControl.NONE)).isEmpty();
  }

  @Test
  void withoutAGoalNothingCanMatter() {
    assertThat(whatMatters(plan(journey(Optional.empty(), send("a")))).rows()).isEmpty();
  }

  @Test
  void itCanBeStopped() {
    VariedRun plan = plan(journey(send("a")));
    assertThatThrownBy(
            () ->
                WhatMatters.of(
                    plan,
                    people -> {
                      throw new RunCancelled();
                    }))
        .isInstanceOf(RunCancelled.class);
  }

  private static WhatMatters whatMatters(VariedRun plan) {
    return WhatMatters.of(plan, RunControl.NONE);
  }

  private static WhatMatters.MattersRow row(WhatMatters matters, String id) {
    return matters.rows().stream().filter(row -> row.id().equals(id)).findFirst().orElseThrow();
  }
}
