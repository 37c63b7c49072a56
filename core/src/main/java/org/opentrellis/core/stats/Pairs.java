package org.opentrellis.core.stats;

/**
 * The same people under two treatments, by where an event happened.
 *
 * @param both in both
 * @param onlyFirst in the first alone
 * @param onlySecond in the second alone
 * @param neither in none
 */
public record Pairs(long both, long onlyFirst, long onlySecond, long neither) {
  public Pairs {
    if (both < 0 || onlyFirst < 0 || onlySecond < 0 || neither < 0) {
      throw new IllegalArgumentException("counts of pairs must not be negative");
    }
  }

  public long total() {
    return both + onlyFirst + onlySecond + neither;
  }

  public Proportion first() {
    return new Proportion(both + onlyFirst, total());
  }

  public Proportion second() {
    return new Proportion(both + onlySecond, total());
  }
}
