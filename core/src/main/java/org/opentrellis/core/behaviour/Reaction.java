package org.opentrellis.core.behaviour;

import java.util.List;
import org.opentrellis.core.problem.Refused;

/**
 * What people do with one message.
 *
 * @param pull k, how much it raises the odds of opening against a usual email; 1 is usual
 * @param clickGivenOpen chance to click for somebody who opened it
 * @param unsubscribeGivenOpen chance to unsubscribe for somebody who opened it
 * @param complaintGivenOpen chance to report it as unwanted for somebody who opened it
 * @param linkWeights how the clicks part over its links, in the message's order; empty for alike
 */
public record Reaction(
    Assumed pull,
    Assumed clickGivenOpen,
    Assumed unsubscribeGivenOpen,
    Assumed complaintGivenOpen,
    List<Double> linkWeights) {
  public Reaction {
    pull.positive("an email's pull");
    clickGivenOpen.share("the chance to click");
    unsubscribeGivenOpen.share("the chance to unsubscribe");
    complaintGivenOpen.share("the chance to complain");
    linkWeights = List.copyOf(linkWeights);
    boolean someBelow0 = linkWeights.stream().anyMatch(weight -> !(weight >= 0));
    boolean none = linkWeights.stream().allMatch(weight -> weight == 0);
    if (!linkWeights.isEmpty() && (someBelow0 || none)) {
      throw new Refused("the weights of links must not be negative, nor all 0");
    }
  }

  /**
   * The chance that somebody opens: {@code k theta / (1 - theta + k theta)}.
   *
   * @param keenness theta in [0, 1]
   */
  public double openChance(double keenness) {
    return openChance(pull.value(), keenness);
  }

  /** The same with another pull. */
  public static double openChance(double pull, double keenness) {
    double pulled = pull * keenness;
    return pulled / (1 - keenness + pulled);
  }
}
