package org.opentrellis.core.random;

/** Which way a lot falls. */
public final class Lot {
  private Lot() {}

  /**
   * @param u in (0, 1)
   * @param ways their shares of 1, added up; the last is 1
   * @return which, from 0
   */
  public static int way(double u, double[] ways) {
    int way = 0;
    while (way < ways.length - 1 && u >= ways[way]) {
      way++;
    }
    return way;
  }
}
