package org.opentrellis.core.journey;

import org.opentrellis.core.problem.Refused;

/**
 * An amount of money in the account's currency.
 *
 * @param cents hundredths; 0 to 100 million
 */
public record Money(long cents) {
  private static final long MOST = 100_000_000;

  public Money {
    if (cents < 0 || cents > MOST) {
      throw new Refused("an amount of money must be 0 to a million, not " + inUnits(cents));
    }
  }

  /** The amount in words: {@code 49.90}. */
  public String inWords() {
    return inUnits(cents);
  }

  private static String inUnits(long cents) {
    return "%d.%02d".formatted(cents / 100, Math.abs(cents % 100));
  }
}
