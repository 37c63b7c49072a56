package org.opentrellis.core.calibrate;

import java.util.List;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Reaction;

/** How many people open an email, as the model has it. */
final class OpenChance {
  private static final int POINTS = 400;

  private OpenChance() {}

  /** The share of all people, with whatever their mail programs do left out. */
  static double ofPeople(List<AudienceGroup> groups, double pull) {
    return groups.stream().mapToDouble(group -> group.share() * of(group, pull)).sum();
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
