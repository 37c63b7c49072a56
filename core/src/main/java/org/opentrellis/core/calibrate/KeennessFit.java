package org.opentrellis.core.calibrate;

import java.util.ArrayList;
import java.util.Comparator;
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
 * With all pulls 1 this is the beta-binomial distribution.
 *
 * <p>Pulls are relative to the journey's usual email: the mean of their logarithms, weighted by how
 * many of each were delivered, is 0. So no message is the reference, and intervals mean the same
 * from history to history. One that everybody opened, or nobody, has no pull that could be told.
 *
 * @param mean the mean keenness
 * @param spread how much people differ
 * @param pulls by message, where anything is known
 */
record KeennessFit(Estimate mean, Estimate spread, Map<String, Estimate> pulls) {
  private static final int NODES = 200;
  private static final double Z = 1.959963984540054;

  /**
   * One message that reached somebody.
   *
   * @param seen the chance that an open would have been seen by now
   */
  record Trial(String message, boolean opened, double seen) {}

  /**
   * @param people by person, what reached them
   */
  static KeennessFit fit(List<List<Trial>> people) {
    Pulls pulls = Pulls.of(people);
    Map<List<Answer>, Integer> patterns = new LinkedHashMap<>();
    for (List<Trial> one : people) {
      List<Answer> answers = pulls.answers(one);
      if (!answers.isEmpty()) {
        patterns.merge(answers, 1, Integer::sum);
      }
    }
    double[] start = new double[2 + pulls.free()];
    MaximumLikelihood best = MaximumLikelihood.of(at -> logLikelihood(patterns, pulls, at), start);
    Map<String, Estimate> found = new TreeMap<>();
    long count = people.size();
    for (int i = 0; i < pulls.messages.size(); i++) {
      double log = pulls.log(best.at(), i);
      double error = Z * best.errorOf(pulls.weights(i, start.length));
      found.put(
          pulls.messages.get(i),
          new Estimate(Math.exp(log), Math.exp(log - error), Math.exp(log + error), count));
    }
    return new KeennessFit(
        share(best.at()[0], best.errors()[0], count),
        share(best.at()[1], best.errors()[1], count),
        found);
  }

  /** A share about which the history says nothing may be anything: one email tells no spread. */
  private static Estimate share(double logit, double error, long count) {
    return Double.isNaN(error)
        ? new Estimate(Logit.inverse(logit), 0, 1, count)
        : new Estimate(
            Logit.inverse(logit),
            Logit.inverse(logit - Z * error),
            Logit.inverse(logit + Z * error),
            count);
  }

  private static double logLikelihood(
      Map<List<Answer>, Integer> patterns, Pulls messages, double[] at) {
    double mean = Logit.inverse(at[0]);
    double spread = Logit.inverse(at[1]);
    if (mean < 0.001 || mean > 0.999 || spread < 0.001 || spread > 0.999) {
      return -1e12;
    }
    Keenness keenness = new Keenness(mean, spread);
    BetaDistribution beta = BetaDistribution.of(keenness.alpha(), keenness.beta());
    double[] nodes = new double[NODES];
    for (int i = 0; i < NODES; i++) {
      nodes[i] = beta.inverseCumulativeProbability((i + 0.5) / NODES);
    }
    double[] pulls = new double[messages.messages.size()];
    for (int i = 0; i < pulls.length; i++) {
      pulls[i] = Math.exp(messages.log(at, i));
    }
    double sum = 0;
    for (Map.Entry<List<Answer>, Integer> pattern : patterns.entrySet()) {
      sum += pattern.getValue() * Math.log(chance(pattern.getKey(), nodes, pulls));
    }
    return sum;
  }

  private static double chance(List<Answer> answers, double[] nodes, double[] pulls) {
    double sum = 0;
    for (double theta : nodes) {
      double product = 1;
      for (Answer answer : answers) {
        double opens = Reaction.openChance(pulls[answer.message], theta) * answer.percentSeen / 100;
        product *= answer.opened ? opens : 1 - opens;
      }
      sum += product;
    }
    return Math.max(sum / NODES, 1e-300);
  }

  /** People with the same answers count together; how much would be seen goes by whole percents. */
  private record Answer(int message, boolean opened, int percentSeen) {}

  /**
   * The messages whose pulls are told, and their weights: shares of what was delivered. The last,
   * the most delivered, follows from the others.
   */
  private record Pulls(List<String> messages, double[] share) {
    static Pulls of(List<List<Trial>> people) {
      Map<String, long[]> counts = new TreeMap<>();
      for (List<Trial> one : people) {
        for (Trial trial : one) {
          long[] count = counts.computeIfAbsent(trial.message, name -> new long[2]);
          count[0]++;
          count[1] += trial.opened ? 1 : 0;
        }
      }
      counts.values().removeIf(count -> count[1] == 0 || count[1] == count[0]);
      List<String> messages = new ArrayList<>(counts.keySet());
      messages.sort(Comparator.comparing(name -> counts.get(name)[0]));
      double all = counts.values().stream().mapToLong(count -> count[0]).sum();
      return new Pulls(
          messages, messages.stream().mapToDouble(name -> counts.get(name)[0] / all).toArray());
    }

    int free() {
      return Math.max(0, messages.size() - 1);
    }

    double log(double[] at, int message) {
      if (message < free()) {
        return at[2 + message];
      }
      double sum = 0;
      for (int i = 0; i < free(); i++) {
        sum -= share[i] / share[message] * at[2 + i];
      }
      return sum;
    }

    /** The logarithm of a pull as a weighted sum of the parameters. */
    double[] weights(int message, int parameters) {
      double[] weights = new double[parameters];
      if (message < free()) {
        weights[2 + message] = 1;
      } else {
        for (int i = 0; i < free(); i++) {
          weights[2 + i] = -share[i] / share[message];
        }
      }
      return weights;
    }

    List<Answer> answers(List<Trial> trials) {
      return trials.stream()
          .filter(trial -> messages.contains(trial.message))
          .map(
              trial ->
                  new Answer(
                      messages.indexOf(trial.message),
                      trial.opened,
                      (int) Math.round(100 * trial.seen)))
          .sorted(
              Comparator.comparing(Answer::message)
                  .thenComparing(Answer::opened)
                  .thenComparing(Answer::percentSeen))
          .toList();
    }
  }
}
