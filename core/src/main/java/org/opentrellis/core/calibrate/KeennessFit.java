package org.opentrellis.core.calibrate;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Reaction;

/**
 * Keenness, spread and the pulls of messages together, by maximum likelihood: each person's
 * keenness is beta distributed, and given it they open message j with the odds of their keenness
 * times its pull. The integral over keenness is a sum over {@value #NODES} equally likely values.
 * With all pulls 1 this is the beta-binomial distribution. The message that most people got counts
 * as usual, with a pull of 1.
 *
 * @param mean the mean keenness
 * @param spread how much people differ
 * @param pulls by message
 */
record KeennessFit(Estimate mean, Estimate spread, Map<String, Estimate> pulls) {
  private static final int NODES = 200;
  private static final double Z = 1.959963984540054;

  /**
   * One person's messages.
   *
   * @param opened by message number; what they did not get is null
   * @param seen by message, the chance that an open would have been seen by now
   */
  record Answers(Boolean[] opened, double[] seen) {}

  static KeennessFit fit(List<Answers> people, List<String> messages, int usual) {
    Map<Key, Integer> patterns = new LinkedHashMap<>();
    people.forEach(one -> patterns.merge(Key.of(one), 1, Integer::sum));
    double[] start = new double[messages.size() + 1];
    MaximumLikelihood best = MaximumLikelihood.of(at -> logLikelihood(patterns, at, usual), start);
    double[] at = best.at();
    double[] errors = best.errors();
    long count = people.size();
    Map<String, Estimate> pulls = new TreeMap<>();
    int parameter = 2;
    for (int i = 0; i < messages.size(); i++) {
      if (i == usual) {
        pulls.put(messages.get(i), new Estimate(1, 1, 1, count));
      } else {
        double error = Z * errors[parameter];
        pulls.put(
            messages.get(i),
            new Estimate(
                Math.exp(at[parameter]),
                Math.exp(at[parameter] - error),
                Math.exp(at[parameter] + error),
                count));
        parameter++;
      }
    }
    return new KeennessFit(share(at[0], errors[0], count), share(at[1], errors[1], count), pulls);
  }

  /** A share about which the history says nothing may be anything: one email tells no spread. */
  private static Estimate share(double logit, double error, long count) {
    if (Double.isNaN(error)) {
      return new Estimate(inverseLogit(logit), 0, 1, count);
    }
    return new Estimate(
        inverseLogit(logit),
        inverseLogit(logit - Z * error),
        inverseLogit(logit + Z * error),
        count);
  }

  private static double logLikelihood(Map<Key, Integer> patterns, double[] at, int usual) {
    double mean = inverseLogit(at[0]);
    double spread = inverseLogit(at[1]);
    if (mean < 0.001 || mean > 0.999 || spread < 0.001 || spread > 0.999) {
      return -1e12;
    }
    Keenness keenness = new Keenness(mean, spread);
    BetaDistribution beta = BetaDistribution.of(keenness.alpha(), keenness.beta());
    double[] nodes = new double[NODES];
    for (int i = 0; i < NODES; i++) {
      nodes[i] = beta.inverseCumulativeProbability((i + 0.5) / NODES);
    }
    double sum = 0;
    for (Map.Entry<Key, Integer> pattern : patterns.entrySet()) {
      sum += pattern.getValue() * Math.log(chance(pattern.getKey(), nodes, at, usual));
    }
    return sum;
  }

  private static double chance(Key key, double[] nodes, double[] at, int usual) {
    double sum = 0;
    for (double theta : nodes) {
      double product = 1;
      int parameter = 2;
      for (int j = 0; j < key.answers.size(); j++) {
        double pull = j == usual ? 1 : Math.exp(at[parameter++]);
        Boolean opened = key.answers.get(j);
        if (opened != null) {
          double seen = Reaction.openChance(pull, theta) * key.seen.get(j) / 100.0;
          product *= opened ? seen : 1 - seen;
        }
      }
      sum += product;
    }
    return Math.max(sum / NODES, 1e-300);
  }

  private static double inverseLogit(double t) {
    return 1 / (1 + Math.exp(-t));
  }

  /** People with the same answers count together; how much would be seen goes by whole percents. */
  private record Key(List<Boolean> answers, List<Integer> seen) {
    static Key of(Answers one) {
      List<Integer> seen =
          java.util.Arrays.stream(one.seen()).mapToObj(s -> (int) Math.round(100 * s)).toList();
      return new Key(java.util.Arrays.asList(one.opened()), seen);
    }
  }

  static Map<String, Integer> numbers(List<String> messages) {
    Map<String, Integer> numbers = new HashMap<>();
    messages.forEach(message -> numbers.put(message, numbers.size()));
    return numbers;
  }
}
