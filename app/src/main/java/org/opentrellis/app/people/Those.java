package org.opentrellis.app.people;

import java.util.BitSet;
import java.util.stream.LongStream;

/**
 * Some people, by their numbers; or all others but some, so that nobody has to list everybody in
 * order to leave a few out. A bit for each person; never changed.
 */
final class Those {
  private final BitSet bits;
  private final boolean others;

  private Those(BitSet bits, boolean others) {
    this.bits = bits;
    this.others = others;
  }

  static Those nobody() {
    return new Those(new BitSet(), false);
  }

  static Those everybody() {
    return new Those(new BitSet(), true);
  }

  static Those of(Iterable<Long> numbers) {
    BitSet bits = new BitSet();
    numbers.forEach(one -> bits.set(Math.toIntExact(one)));
    return new Those(bits, false);
  }

  /**
   * @param bits not to be changed any more
   */
  static Those of(BitSet bits) {
    return new Those(bits, false);
  }

  Those not() {
    return new Those(bits, !others);
  }

  Those and(Those more) {
    if (others && more.others) {
      return not().or(more.not()).not();
    }
    if (others) {
      return more.and(this);
    }
    BitSet both = (BitSet) bits.clone();
    if (more.others) {
      both.andNot(more.bits);
    } else {
      both.and(more.bits);
    }
    return new Those(both, false);
  }

  Those or(Those more) {
    if (others || more.others) {
      return not().and(more.not()).not();
    }
    BitSet either = (BitSet) bits.clone();
    either.or(more.bits);
    return new Those(either, false);
  }

  boolean has(long number) {
    return bits.get(Math.toIntExact(number)) != others;
  }

  /**
   * @param everybody how many people there are
   */
  long count(long everybody) {
    return others ? everybody - bits.cardinality() : bits.cardinality();
  }

  /** Whether they are known one by one, and no more than so many. */
  boolean atMost(int most) {
    return !others && bits.cardinality() <= most;
  }

  /** Whether everybody is meant of whom nothing is said. */
  boolean areOthers() {
    return others;
  }

  /**
   * In ascending order.
   *
   * @throws IllegalStateException if they are all others but some
   */
  LongStream numbers() {
    if (others) {
      throw new IllegalStateException("whoever is there besides is not known here");
    }
    return bits.stream().asLongStream();
  }
}
