package org.opentrellis.core.random;

/**
 * Draws that are addressed, not sequenced: each is a function of a person's key and of what it is
 * for. So results do not depend on threads, order or partitions, and the same person makes the same
 * choices in two variants of a journey (common random numbers).
 *
 * <p>The mixing is SplitMix64 (Steele, Lea and Flood 2014, "Fast splittable pseudorandom number
 * generators", OOPSLA): {@link #bits} at addresses 1, 2, 3 ... is exactly its published sequence
 * for the key as seed.
 */
public final class Draws {
  private static final long GOLDEN_GAMMA = 0x9e3779b97f4a7c15L;
  private static final double CELLS = 0x1.0p52;
  private static final double TO_UNIT = 1 / CELLS;

  private Draws() {}

  /** SplitMix64's output function: a bijection of 64 bits that leaves no visible pattern. */
  public static long mix(long value) {
    long z = value;
    z = (z ^ (z >>> 30)) * 0xbf58476d1ce4e5b9L;
    z = (z ^ (z >>> 27)) * 0x94d049bb133111ebL;
    return z ^ (z >>> 31);
  }

  /** The 64 bits at an address under a key. */
  public static long bits(long key, long address) {
    return mix(key + address * GOLDEN_GAMMA);
  }

  /** The key of a run, under which its people's keys are addressed. */
  public static long runKey(long seed) {
    return bits(seed, 1);
  }

  /** The key under which all of one person's draws in one run are addressed. */
  public static long personKey(long runKey, long person) {
    return bits(runKey, mix(person + 1));
  }

  /** An address for a purpose and a stable name, such as a step's id. */
  public static long address(int purpose, String name) {
    long hash = 0xcbf29ce484222325L; // FNV-1a, 64 bits
    for (int i = 0; i < name.length(); i++) {
      hash = (hash ^ name.charAt(i)) * 0x100000001b3L;
    }
    return mix(hash + purpose * GOLDEN_GAMMA);
  }

  /** A number in (0, 1), never 0 and never 1: the middle of one of 2^52 cells. */
  public static double uniform(long key, long address) {
    return middleOfCell(bits(key, address));
  }

  /**
   * Whether something happens that has a chance of so many {@link #cells}: exactly whether {@link
   * #uniform} lies below the share, without working it out.
   */
  public static boolean happens(long key, long address, long cells) {
    return cells > 0 && bits(key, address) >>> 12 < cells;
  }

  /**
   * How many of the 2^52 cells lie, with their middle, below a share.
   *
   * @param share 0 to 1
   */
  public static long cells(double share) {
    return (long) Math.ceil(share * CELLS - 0.5);
  }

  /** Whether something happens that has a chance of a part of a whole, without a division. */
  public static boolean happens(long key, long address, double part, double whole) {
    return (bits(key, address) >>> 12) * whole < part * CELLS;
  }

  /** With 2^52 cells every middle is an exact double; with 2^53 the last would round to 1. */
  static double middleOfCell(long bits) {
    return ((bits >>> 12) + 0.5) * TO_UNIT;
  }

  /** An exponential waiting time with the given mean, by inversion. */
  public static double exponential(long key, long address, double mean) {
    return -mean * StrictMath.log(uniform(key, address));
  }
}
