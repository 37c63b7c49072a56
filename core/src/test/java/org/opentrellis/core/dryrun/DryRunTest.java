package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.onlyOpens;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.statistics.distribution.LogNormalDistribution;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.stats.Pairs;
import org.opentrellis.core.testing.Steps;

/**
 * The dry run against closed forms. Seeds are fixed; bounds say how often a sound run would fail.
 */
class DryRunTest {
  private static final Instant START = Instant.parse("2025-06-02T00:00:00Z");
  private static final Amount LONG = Amount.of(60, TimeUnit.DAYS);

  /** Two-sided normal bound with a false alarm of 1e-5. */
  private static final double Z = 4.417173;

  private static DryRun dryRun(Journey journey, Behaviour behaviour, int people) {
    return new DryRun(journey, MESSAGES, behaviour, CohortSettings.of(people, 5, START, 700));
  }

  private static void assertShare(long count, long of, double expected) {
    double error = Math.sqrt(expected * (1 - expected) / of);
    assertThat(count / (double) of).isCloseTo(expected, within(Z * error));
  }

  /**
   * The Polya chain: with keenness Beta(2, 3) and a pull of 1, the chance of a first open at the
   * n-th try is a/(a+b+n-1): 2/5, 1/3, 2/7, 1/4 (exact; checked with rational arithmetic).
   */
  @Test
  void aChainOfSecondTriesFollowsThePolyaUrn() {
    Keenness keenness = new Keenness(0.4, 1 / 6.0);
    assertThat(keenness.alpha()).isCloseTo(2, within(1e-12));
    assertThat(keenness.beta()).isCloseTo(3, within(1e-12));
    Journey chain =
        journey(
            Optional.empty(),
            send("t1"),
            branch("b1", opened("t1"), LONG, List.of(finish("f1")), List.of()),
            send("t2"),
            branch("b2", opened("t2"), LONG, List.of(finish("f2")), List.of()),
            send("t3"),
            branch("b3", opened("t3"), LONG, List.of(finish("f3")), List.of()),
            send("t4"));
    Tallies run = dryRun(chain, onlyOpens(keenness), 200_000).run(2);
    double[] hazards = {2 / 5.0, 1 / 3.0, 2 / 7.0, 1 / 4.0};
    for (int n = 0; n < 4; n++) {
      EmailTally email = run.journey().sends().get(n);
      assertShare(email.openedByPeople(), email.delivered(), hazards[n]);
    }
  }

  /** The test above would catch a wrong pull by a mile: the same bound fails for a pull of 1.1. */
  @Test
  void theBoundIsTightEnoughToCatchAWrongModel() {
    double wrong = 1.1 * 0.4 / (0.6 + 1.1 * 0.4);
    double bound = Z * Math.sqrt(0.4 * 0.6 / 200_000);
    assertThat(Math.abs(wrong - 0.4)).isGreaterThan(4 * bound);
  }

  /** P(opened within 8 h) by the lognormal distribution function, given that they open at all. */
  @Test
  void opensFollowTheLognormalClock() {
    Journey journey =
        journey(
            Optional.empty(),
            send("a"),
            branch("b", opened("a"), Amount.of(8, TimeUnit.HOURS), List.of(), List.of()));
    Tallies run = dryRun(journey, onlyOpens(new Keenness(0.5, 0.2)), 100_000).run(2);
    double within8 =
        LogNormalDistribution.of(Math.log(2), 1.9389829614324).cumulativeProbability(8);
    assertThat(within8).isCloseTo(0.762682976947134, within(1e-12)); // R
    assertShare(run.journey().steps().get(1).ways()[0], 100_000, 0.5 * within8);
  }

  /** Background buying: 10% within 30 days without any email, by definition of the assumption. */
  @Test
  void peopleBuyAnyway() {
    Journey journey = journey(Optional.of(Goal.bought(30, true)), pause("w", 60, TimeUnit.DAYS));
    Behaviour people = behaviour(group(new Keenness(0.4, 0.2), 0.1), 0);
    Tallies run = dryRun(journey, people, 100_000).run(2);
    assertShare(run.journey().goalMet(), 100_000, 0.1);
    assertThat(run.journey().left(LeaveReason.GOAL_MET)).isEqualTo(run.journey().goalMet());
  }

  @Test
  void aStepThatDoesNothingChangesNobodysChoices() {
    Behaviour people = behaviour(group(new Keenness(0.4, 0.2), 0.05), 0.2);
    Journey plain = journey(send("a"), pause("w", 2, TimeUnit.DAYS), send("b"));
    Journey longer =
        journey(tag("new", "x"), send("a"), pause("w", 2, TimeUnit.DAYS), tag("t", "y"), send("b"));
    Tallies one = dryRun(plain, people, 5_000).run(1);
    Tallies two = dryRun(longer, people, 5_000).run(1);
    for (int email = 0; email < 2; email++) {
      assertThat(two.journey().sends().get(email).opened())
          .isEqualTo(one.journey().sends().get(email).opened());
      assertThat(two.journey().sends().get(email).clicked())
          .isEqualTo(one.journey().sends().get(email).clicked());
    }
    assertThat(two.journey().goalMet()).isEqualTo(one.journey().goalMet());
  }

  /** Identical variants differ by 0: by definition of common random numbers. */
  @Test
  void aJourneyPairedWithItselfDoesNotDiffer() {
    Behaviour people = behaviour(group(new Keenness(0.4, 0.2), 0.05), 0.2);
    DryRun run = dryRun(journey(send("a"), pause("w", 2, TimeUnit.DAYS)), people, 5_000);
    Pairs pairs = new PairedDryRun(run, run).goalMet(Effort.of(3));
    assertThat(pairs.onlyFirst()).isZero();
    assertThat(pairs.onlySecond()).isZero();
    assertThat(pairs.both()).isEqualTo(run.run(3).journey().goalMet());
  }

  @Test
  void pairedRunsNeedTheSamePeople() {
    Journey journey = journey(send("a"));
    Behaviour people = onlyOpens(new Keenness(0.4, 0.2));
    assertThatThrownBy(
            () -> new PairedDryRun(dryRun(journey, people, 10), dryRun(journey, people, 11)))
        .hasMessage("paired runs need the same people: 10 against 11");
  }

  @Test
  void theEntryFilterKeepsOutWhoCarriesTheTag() {
    Journey filtered = with(new ReEntry.Never(), Optional.of(not("member")));
    AudienceGroup plain = group(new Keenness(0.4, 0.2), 0);
    Behaviour half =
        onlyOpens(plain.keenness())
            .edit()
            .groups(
                List.of(
                    share(plain, 0.3, Set.of(new TagName("member")), 0),
                    share(plain, 0.7, Set.of(), 0)))
            .done();
    Tallies run = dryRun(filtered, half, 50_000).run(2);
    assertShare(run.journey().refused(), 50_000, 0.3);
    assertThat(run.journey().entered() + run.journey().refused()).isEqualTo(run.people());
  }

  @Test
  void whoComesAgainIsTurnedAwayOrEntersAsTheRuleSays() {
    AudienceGroup back = share(group(new Keenness(0.4, 0.2), 0), 1, Set.of(), 0.9);
    Behaviour people = behaviour(back, 0);
    Tallies never = dryRun(with(new ReEntry.Never(), Optional.empty()), people, 1_000).run(1);
    assertThat(never.journey().entered()).isEqualTo(1_000);
    assertThat(never.journey().turnedAway()).isGreaterThan(1_000);
    Tallies again =
        dryRun(with(new ReEntry.AfterHavingLeft(), Optional.empty()), people, 1_000).run(1);
    assertThat(again.journey().entered()).isGreaterThan(2_000);
    // Those who come back within the journey's three days are still inside.
    assertThat(again.journey().turnedAway()).isPositive().isLessThan(never.journey().turnedAway());
  }

  @Test
  void refusesSettingsOutOfRange() {
    assertThatThrownBy(() -> CohortSettings.of(0, 1, START, 10))
        .hasMessage("people must be 1 to 2,000,000,000, not 0");
    assertThatThrownBy(() -> CohortSettings.of(1, 1, START, 0))
        .hasMessage("the horizon's days must be 1 to 730, not 0");
    assertThatThrownBy(
            () -> dryRun(journey(send("a")), onlyOpens(new Keenness(0.4, 0.2)), 1).run(0))
        .hasMessage("threads must be at least 1, not 0");
  }

  private static Condition not(String tag) {
    return new Condition.None(List.of(new Condition.HasTag(new TagName(tag))));
  }

  private static Journey with(ReEntry reEntry, Optional<Condition> filter) {
    return journey(Optional.empty(), send("a"), pause("w", 3, TimeUnit.DAYS))
        .edit()
        .entryFilter(filter)
        .reEntry(reEntry)
        .done();
  }

  private static AudienceGroup share(
      AudienceGroup group, double share, Set<TagName> tags, double comesAgain) {
    Assumed none = Assumed.typical(0);
    return new AudienceGroup(
        group.name(),
        share,
        group.keenness(),
        Steps.BERLIN,
        0,
        24,
        none,
        none,
        none,
        none,
        none,
        none,
        Assumed.typical(20),
        Assumed.typical(comesAgain),
        tags,
        Set.of(),
        Map.of(),
        Map.of(),
        Map.of());
  }
}
