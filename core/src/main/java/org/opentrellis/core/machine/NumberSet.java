package org.opentrellis.core.machine;

import java.util.Arrays;

/** A set of small numbers, emptied and used again from person to person. */
final class NumberSet {
  private final long[] words;

  /**
   * @param size every number is below it
   */
  NumberSet(int size) {
    words = new long[(size >> 6) + 1];
  }

  void clear() {
    if (words.length == 1) {
      words[0] = 0;
    } else {
      Arrays.fill(words, 0);
    }
  }

  boolean has(int number) {
    return (words[number >> 6] & 1L << number) != 0;
  }

  void add(int number) {
    words[number >> 6] |= 1L << number;
  }

  void remove(int number) {
    words[number >> 6] &= ~(1L << number);
  }
}
