package org.opentrellis.core.search;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.PeopleScores;
import org.opentrellis.core.dryrun.PeopleScores.Count;
import org.opentrellis.core.measure.Share;

/**
 * What a variation brings and costs.
 *
 * @param people who went through it
 * @param goal met it, of entries
 * @param emailsEach sent for each entry; null if nobody entered
 * @param unsubscribed of entries
 * @param ordersPerThousand of those who entered
 * @param moneyPerThousand the same in the account's currency, less what the emails cost
 * @param mostInAWeek the most emails that anybody got within seven days
 * @param emailsInBusiestMonth of as many people as are planned for
 */
public record Figures(
    int people,
    Share goal,
    @Nullable Double emailsEach,
    Share unsubscribed,
    @Nullable Double ordersPerThousand,
    @Nullable Double moneyPerThousand,
    int mostInAWeek,
    long emailsInBusiestMonth) {

  /**
   * @param planned how many people the plan itself is for
   */
  static Figures of(PeopleScores scores, int people, int planned, Wanted wanted) {
    long entered = scores.sum(Count.ENTERED);
    long emails = scores.sum(Count.EMAILS);
    double money = scores.sum(Count.CENTS) / 100.0 - emails * wanted.emailPrice() / 1000;
    return new Figures(
        people,
        Share.of(scores.sum(Count.GOAL_MET), entered),
        each(emails, entered),
        Share.of(scores.sum(Count.UNSUBSCRIBED), entered),
        each(1000.0 * scores.sum(Count.ORDERS), entered),
        each(1000 * money, entered),
        scores.mostInAWeek(),
        Math.round((double) scores.emailsInBusiestMonth() * planned / people));
  }

  private static @Nullable Double each(double sum, long entered) {
    return entered == 0 ? null : sum / entered;
  }
}
