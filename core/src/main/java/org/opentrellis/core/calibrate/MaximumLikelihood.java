package org.opentrellis.core.calibrate;

import java.util.Arrays;
import java.util.function.ToDoubleFunction;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * The parameters that make a log likelihood largest, with standard errors from the inverse of its
 * observed information (the negative matrix of second derivatives, by central differences).
 *
 * @param at the parameters
 * @param errors their standard errors; NaN where the likelihood is flat
 * @param covariance of the parameters; NaN where the likelihood is flat
 * @param logLikelihood the largest value
 */
record MaximumLikelihood(
    double[] at, double[] errors, double[][] covariance, double logLikelihood) {
  private static final int MOST_EVALUATIONS = 20_000;
  private static final double STEP = 1e-3;

  static MaximumLikelihood of(ToDoubleFunction<double[]> logLikelihood, double... start) {
    double[] at = start;
    double best = Double.NEGATIVE_INFINITY;
    // Started again from where it stopped, the simplex gets off ridges.
    for (int round = 0; round < 4; round++) {
      var found =
          new SimplexOptimizer(1e-10, 1e-10)
              .optimize(
                  new MaxEval(MOST_EVALUATIONS),
                  new ObjectiveFunction(logLikelihood::applyAsDouble),
                  GoalType.MAXIMIZE,
                  new InitialGuess(at),
                  new NelderMeadSimplex(start.length, 0.3));
      at = found.getPoint();
      if (found.getValue() - best < 1e-9) {
        break;
      }
      best = found.getValue();
    }
    double[][] covariance = covariance(logLikelihood, at);
    double[] errors = new double[at.length];
    Arrays.setAll(errors, i -> Math.sqrt(covariance[i][i]));
    return new MaximumLikelihood(at, errors, covariance, logLikelihood.applyAsDouble(at));
  }

  private static double[][] covariance(ToDoubleFunction<double[]> logLikelihood, double[] at) {
    int n = at.length;
    RealMatrix information = new Array2DRowRealMatrix(n, n);
    for (int i = 0; i < n; i++) {
      for (int j = i; j < n; j++) {
        double second =
            (moved(logLikelihood, at, i, STEP, j, STEP)
                    - moved(logLikelihood, at, i, STEP, j, -STEP)
                    - moved(logLikelihood, at, i, -STEP, j, STEP)
                    + moved(logLikelihood, at, i, -STEP, j, -STEP))
                / (4 * STEP * STEP);
        information.setEntry(i, j, -second);
        information.setEntry(j, i, -second);
      }
    }
    var solver = new LUDecomposition(information).getSolver();
    if (solver.isNonSingular()) {
      return solver.getInverse().getData();
    }
    double[][] unknown = new double[n][n];
    for (double[] row : unknown) {
      Arrays.fill(row, Double.NaN);
    }
    return unknown;
  }

  /** The standard error of a weighted sum of the parameters. */
  double errorOf(double[] weights) {
    double variance = 0;
    for (int i = 0; i < weights.length; i++) {
      for (int j = 0; j < weights.length; j++) {
        // Parameters that do not count may be anything.
        boolean counts = weights[i] != 0 && weights[j] != 0;
        variance += counts ? weights[i] * weights[j] * covariance[i][j] : 0;
      }
    }
    return Math.sqrt(variance);
  }

  private static double moved(
      ToDoubleFunction<double[]> f, double[] at, int i, double byI, int j, double byJ) {
    double[] moved = at.clone();
    moved[i] += byI;
    moved[j] += byJ;
    return f.applyAsDouble(moved);
  }
}
