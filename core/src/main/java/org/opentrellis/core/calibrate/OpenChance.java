package org.opentrellis.core.calibrate;

import java.util.List;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Reaction;

/** How many people open an email, as the model has it. */
final class OpenChance {
  private static final int POINTS = 400;
  private static final int ROUNDS = 30;
  private static final double MOST_LOG_PULL = 5;

  private OpenChance() {}

  /** The share of all people, with whatever their mail programs do left out. */
  static double ofPeople(List<AudienceGroup> groups, double pull) {
    return groups.stream().mapToDouble(group -> group.share() * of(group, pull)).sum();
  }

  /**
   * By which factor pulls are to be taken so that the usual email, of pull 1, is opened by this
   * share of people.
   */
  static double scale(List<AudienceGroup> groups, double share) {
    double low = -MOST_LOG_PULL;
    double high = MOST_LOG_PULL;
    for (int round = 0; round < ROUNDS; round++) {
      double middle = (low + high) / 2;
      if (ofPeople(groups, Math.exp(middle)) < share) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return Math.exp((low + high) / 2);
  }

  /** The mean over a group's people, by {@value #POINTS} of them evenly spread by keenness. */
  static double of(AudienceGroup group, double pull) {
    BetaDistribution people =
        BetaDistribution.of(group.keenness().alpha(), group.keenness().beta());
    double sum = 0;
    for (int i = 0; i < POINTS; i++) {
      double keenness = people.inverseCumulativeProbability((i + 0.5) / POINTS);
      sum += Reaction.openChance(pull, keenness);
    }
    return sum / POINTS;
  }
}
