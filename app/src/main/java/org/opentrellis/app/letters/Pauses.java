package org.opentrellis.app.letters;

import java.time.Duration;
import java.util.List;
import java.util.stream.IntStream;

/** How long to wait before the next try: growing pauses (RFC 5321, section 4.5.4.1). */
public final class Pauses {
  private static final List<Duration> GROWING =
      List.of(
          Duration.ofMinutes(1),
          Duration.ofMinutes(5),
          Duration.ofMinutes(30),
          Duration.ofHours(1),
          Duration.ofHours(2),
          Duration.ofHours(4));

  private Pauses() {}

  /**
   * In seconds.
   *
   * @param tries how many there were before, from 0
   */
  public static long after(int tries) {
    return GROWING.get(Math.min(tries, GROWING.size() - 1)).toSeconds();
  }

  /**
   * How long it has been tried, pauses taken together, in seconds. Time in which nothing was tried,
   * since it was not to go out yet or the machine was off, does not count.
   *
   * @param tries how many there were, at least 1
   */
  public static long upTo(int tries) {
    return IntStream.range(0, tries).mapToLong(Pauses::after).sum();
  }
}
