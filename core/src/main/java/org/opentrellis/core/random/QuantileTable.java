package org.opentrellis.core.random;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;

/**
 * A distribution's inverse as a table with linear interpolation: shares are evenly spaced in the
 * middle and, where the inverse bends more, as dense as their logarithms in the tails. Inversion
 * keeps draws monotone in their uniform, so that a person who opens early under one assumption does
 * so under a nearby one.
 *
 * <p>A table is made and looked up with operations that give the same bits on every machine.
 *
 * <p>Accuracy: with {@value #CELLS} cells the standard normal is off by less than 1e-4, which
 * shifts a lognormal delay by less than 0.02%.
 */
public final class QuantileTable {
  public static final int CELLS = 2048;

  /** A share below 2^-8, or so close to 1, lies in a tail. */
  private static final int TAIL_CELLS = CELLS >> 8;

  /** Of a draw's 64 bits the first 11 say the cell, and the next 41 where in it. */
  private static final int CELL_SHIFT = 53;

  private static final long WITHIN_MASK = (1L << 41) - 1;
  private static final double WITHIN_UNIT = 0x1.0p-41;

  /** In a tail the exponent and the first five bits behind it say the cell. */
  private static final int TAIL_SHIFT = 47;

  private static final long TAIL_MASK = (1L << TAIL_SHIFT) - 1;
  private static final double TAIL_UNIT = 0x1.0p-47;

  /** The smallest draw is 2^-53. */
  private static final int TAIL_FIRST = tailCell(0x1.0p-53);

  private static final int IN_TAIL = tailCell(0x1.0p-8) - TAIL_FIRST;
  private static final double[] SHARES = shares();
  private static final QuantileTable NORMAL = of(new Bell.Normal(), z -> z);

  private static final int KEPT = 64;
  private static final Map<List<Double>, QuantileTable> BETAS =
      Collections.synchronizedMap(
          new LinkedHashMap<>(KEPT, 0.75f, true) {
            private static final long serialVersionUID = 1;

            @Override
            protected boolean removeEldestEntry(Map.Entry<List<Double>, QuantileTable> eldest) {
              return size() > KEPT;
            }
          });

  private final double[] low;
  private final double[] middle;
  private final double[] high;

  private QuantileTable(double[] low, double[] middle, double[] high) {
    this.low = low;
    this.middle = middle;
    this.high = high;
  }

  public static QuantileTable standardNormal() {
    return NORMAL;
  }

  /**
   * The lognormal distribution.
   *
   * @param median more than 0
   * @param sigma the standard deviation of the logarithm, more than 0
   */
  public static QuantileTable logNormal(double median, double sigma) {
    return NORMAL.map(z -> median * StrictMath.exp(sigma * z));
  }

  /**
   * The beta distribution with these parameters, both more than 0. A table takes some 10 ms to
   * make, so the last {@value #KEPT} are kept: an edit of a journey leaves its people as they are.
   */
  public static QuantileTable beta(double alpha, double beta) {
    return BETAS.computeIfAbsent(
        List.of(alpha, beta), shape -> of(new Bell.BetaLogit(alpha, beta), Bell.BetaLogit::share));
  }

  /**
   * @param value of a point of the bell
   */
  private static QuantileTable of(Bell bell, DoubleUnaryOperator value) {
    double[] left = Quantiles.of(bell, SHARES);
    double[] right = Quantiles.of(bell.mirrored(), SHARES);
    QuantileTable points =
        new QuantileTable(new double[IN_TAIL + 1], new double[CELLS + 1], new double[IN_TAIL + 1]);
    for (int i = 0; i <= IN_TAIL; i++) {
      points.low[i] = left[i];
      points.high[i] = -right[i];
    }
    for (int cell = TAIL_CELLS; cell <= CELLS / 2; cell++) {
      points.middle[CELLS - cell] = -right[IN_TAIL + cell - TAIL_CELLS];
      points.middle[cell] = left[IN_TAIL + cell - TAIL_CELLS];
    }
    return points.map(value);
  }

  private QuantileTable map(DoubleUnaryOperator value) {
    double[] inner = new double[CELLS + 1];
    for (int cell = TAIL_CELLS; cell <= CELLS - TAIL_CELLS; cell++) {
      inner[cell] = value.applyAsDouble(middle[cell]);
    }
    return new QuantileTable(
        Arrays.stream(low).map(value).toArray(), inner, Arrays.stream(high).map(value).toArray());
  }

  /** The shares of the left half whose quantiles a table holds: of the tail and of the middle. */
  private static double[] shares() {
    double[] shares = new double[IN_TAIL + CELLS / 2 - TAIL_CELLS + 1];
    for (int i = 0; i < IN_TAIL; i++) {
      shares[i] = Double.longBitsToDouble((long) (TAIL_FIRST + i) << TAIL_SHIFT);
    }
    for (int cell = TAIL_CELLS; cell <= CELLS / 2; cell++) {
      shares[IN_TAIL + cell - TAIL_CELLS] = (double) cell / CELLS;
    }
    return shares;
  }

  private static int tailCell(double share) {
    return (int) (Double.doubleToRawLongBits(share) >>> TAIL_SHIFT);
  }

  /**
   * A value drawn by its address: the same as {@link #at} of the uniform draw there, but the cell
   * is looked up without a detour through floating point.
   */
  public double draw(long key, long address) {
    long bits = Draws.bits(key, address);
    int cell = (int) (bits >>> CELL_SHIFT);
    if (isInTail(cell)) {
      return inTail(Draws.middleOfCell(bits));
    }
    double within = ((bits >>> 12 & WITHIN_MASK) + 0.5) * WITHIN_UNIT;
    return middle[cell] + within * (middle[cell + 1] - middle[cell]);
  }

  /**
   * The value below which a share lies.
   *
   * @param share from 2^-53 to 1 - 2^-53
   */
  public double at(double share) {
    double position = share * CELLS;
    int cell = (int) position;
    if (isInTail(cell)) {
      return inTail(share);
    }
    return middle[cell] + (position - cell) * (middle[cell + 1] - middle[cell]);
  }

  private static boolean isInTail(int cell) {
    return cell < TAIL_CELLS || cell >= CELLS - TAIL_CELLS;
  }

  private double inTail(double share) {
    return share < 0.5 ? inTail(low, share) : inTail(high, 1 - share);
  }

  private static double inTail(double[] points, double share) {
    int cell = tailCell(share) - TAIL_FIRST;
    double within = (Double.doubleToRawLongBits(share) & TAIL_MASK) * TAIL_UNIT;
    return points[cell] + within * (points[cell + 1] - points[cell]);
  }
}
