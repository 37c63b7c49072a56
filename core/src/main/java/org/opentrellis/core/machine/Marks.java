package org.opentrellis.core.machine;

import java.util.Arrays;

/** A set of small numbers, below a limit known beforehand. */
final class Marks {
  private final long[] words;

  Marks(int limit) {
    words = new long[(limit + 63) / 64];
  }

  void clear() {
    Arrays.fill(words, 0);
  }

  void set(int number, boolean on) {
    if (on) {
      words[number >> 6] |= 1L << number;
    } else {
      words[number >> 6] &= ~(1L << number);
    }
  }

  boolean get(int number) {
    return (words[number >> 6] >>> number & 1) != 0;
  }
}
