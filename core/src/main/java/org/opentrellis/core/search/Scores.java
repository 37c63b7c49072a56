package org.opentrellis.core.search;

import java.util.Arrays;
import org.opentrellis.core.dryrun.PeopleScores;
import org.opentrellis.core.dryrun.PeopleScores.Count;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.stats.PairedMeans;
import org.opentrellis.core.vary.VariedRun;

/**
 * What some people made of a plan, person by person, as far as the wish looks at it.
 *
 * @param entered how often each came in
 * @param goal how often each met the goal
 * @param worth what is wanted of each; the more, the better
 * @param figures all of them together
 */
record Scores(long[] entered, long[] goal, long[] worth, Figures figures) {

  /**
   * @param planned how many people the plan itself is for
   */
  static Scores of(VariedRun plan, Wanted wanted, int planned, Runner runner, RunControl control) {
    PeopleScores people = runner.scores(plan, control);
    return new Scores(
        people.of(Count.ENTERED),
        people.of(Count.GOAL_MET),
        worth(people, wanted),
        Figures.of(people, plan.settings().people(), planned, wanted));
  }

  /** Money is in thousandths of cents, so that the price of a single email is a whole number. */
  private static long[] worth(PeopleScores people, Wanted wanted) {
    return switch (wanted.what()) {
      case GOAL -> people.of(Count.GOAL_MET);
      case ORDERS -> people.of(Count.ORDERS);
      case FEWER_EMAILS -> Arrays.stream(people.of(Count.EMAILS)).map(one -> -one).toArray();
      case MONEY -> {
        long[] worth = people.of(Count.CENTS).clone();
        long[] emails = people.of(Count.EMAILS);
        long price = Math.round(100 * wanted.emailPrice());
        Arrays.setAll(worth, i -> 1000 * worth[i] - price * emails[i]);
        yield worth;
      }
    };
  }

  /** For each who entered, in the unit of {@link #worth}; 0 if nobody did. */
  double value() {
    double count = Arrays.stream(entered).sum();
    return count == 0 ? 0 : Arrays.stream(worth).asDoubleStream().sum() / count;
  }

  /** By how much this is worth more to the same people than something else is. */
  PairedMeans against(Scores other) {
    return PairedMeans.of(worth, entered, other.worth, other.entered);
  }

  /** The goal's difference to something else, the same people compared one by one. */
  Gain goalAgainst(Scores other) {
    return Gain.ofShares(entered, goal, other.entered, other.goal);
  }

  /** By how much more this brings of what is wanted, in the unit in which it is told. */
  Gain wantedAgainst(Scores other, Wanted wanted) {
    return switch (wanted.what()) {
      case GOAL -> goalAgainst(other);
      case ORDERS -> Gain.of(against(other), 1000);
      case MONEY -> Gain.of(against(other), 0.01); // thousandths of cents of one, money of 1,000
      case FEWER_EMAILS -> Gain.of(against(other), 1);
    };
  }

  /** Whether every single person did the same. */
  boolean sameAs(Scores other) {
    return Arrays.equals(worth, other.worth)
        && Arrays.equals(goal, other.goal)
        && Arrays.equals(entered, other.entered);
  }
}
