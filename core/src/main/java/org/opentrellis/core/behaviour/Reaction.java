package org.opentrellis.core.behaviour;

/**
 * What people do with one email.
 *
 * @param pull k, how much it raises the odds of opening against a usual email; 1 is usual
 * @param clickGivenOpen chance to click for somebody who opened it
 * @param unsubscribeGivenOpen chance to unsubscribe for somebody who opened it
 */
public record Reaction(Assumed pull, Assumed clickGivenOpen, Assumed unsubscribeGivenOpen) {
  public Reaction {
    pull.positive("an email's pull");
    clickGivenOpen.share("the chance to click");
    unsubscribeGivenOpen.share("the chance to unsubscribe");
  }

  /**
   * The chance that somebody opens: {@code k theta / (1 - theta + k theta)}.
   *
   * @param keenness theta in [0, 1]
   */
  public double openChance(double keenness) {
    double pulled = pull.value() * keenness;
    return pulled / (1 - keenness + pulled);
  }
}
