package org.opentrellis.bench;

/**
 * What a simulation of the reference journey counted.
 *
 * @param entered people who got to each step, in the order of the run sheet
 * @param goal people who met it
 */
record Counts(long[] entered, long goal) {

  /** The largest difference to another in standard errors; both must be of as many people. */
  double distance(Counts other, long people) {
    double most = Math.abs(z(goal, other.goal, people));
    for (int i = 0; i < entered.length; i++) {
      most = Math.max(most, Math.abs(z(entered[i], other.entered[i], people)));
    }
    return most;
  }

  private static double z(long one, long two, long people) {
    double p = (one + two) / (2.0 * people);
    double error = Math.sqrt(2 * p * (1 - p) / people);
    return one == two ? 0 : (one - two) / (people * Math.max(error, 1e-9));
  }
}
