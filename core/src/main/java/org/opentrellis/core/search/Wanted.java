package org.opentrellis.core.search;

import org.opentrellis.core.problem.Refused;

/**
 * What is wanted of a variation.
 *
 * @param what the more of it, the better
 * @param emailPrice what a thousand emails cost, in the account's currency; 0 if nothing
 * @param mayLose by how much the goal may fall for the sake of fewer emails, in [0, 1]
 */
public record Wanted(What what, double emailPrice, double mayLose) {
  /** By how much the goal may fall unless somebody says so. */
  public static final double USUAL_LOSS = 0.005;

  /** The kinds of wishes. */
  public enum What {
    /** Of those who enter, more meet the goal. */
    GOAL,
    /** More purchases for a thousand who enter. */
    ORDERS,
    /** More money for a thousand who enter, less what their emails cost. */
    MONEY,
    /** Fewer emails for each who enters, and the goal stays. */
    FEWER_EMAILS
  }

  public Wanted {
    if (!(emailPrice >= 0) || emailPrice > 1_000_000) {
      throw new Refused("a thousand emails cost 0 to 1,000,000, not " + emailPrice);
    }
    if (!(mayLose >= 0 && mayLose <= 1)) {
      throw new Refused("the goal may fall by 0 to 100 points, not " + 100 * mayLose);
    }
  }

  public static Wanted goal() {
    return new Wanted(What.GOAL, 0, USUAL_LOSS);
  }
}
