package org.opentrellis.core.random;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * An independent generator as a judge of ours: Philox4x32-10 (Salmon and others 2011), first
 * against its published vectors, then side by side with the addressed draws.
 */
class PhiloxTest {

  /** The counter-based generator, written from its paper. */
  static int[] philox(int[] counter, int[] key) {
    int[] c = counter.clone();
    int[] k = key.clone();
    for (int round = 0; round < 10; round++) {
      long product0 = (c[0] & 0xffffffffL) * 0xD2511F53L;
      long product1 = (c[2] & 0xffffffffL) * 0xCD9E8D57L;
      c =
          new int[] {
            (int) (product1 >>> 32) ^ c[1] ^ k[0], (int) product1,
            (int) (product0 >>> 32) ^ c[3] ^ k[1], (int) product0
          };
      k[0] += 0x9E3779B9;
      k[1] += 0xBB67AE85;
    }
    return c;
  }

  private static int[] words(String hex) {
    return java.util.Arrays.stream(hex.split(" "))
        .mapToInt(w -> (int) Long.parseLong(w, 16))
        .toArray();
  }

  /** Known answers of Random123 1.14, and word order from its C header. */
  @ParameterizedTest
  @CsvSource({
    "0 0 0 0, 0 0, 6627e8d5 e169c58d bc57ac4c 9b00dbd8",
    "ffffffff ffffffff ffffffff ffffffff, ffffffff ffffffff, 408f276d 41c83b0e a20bc7c6 6d5451fd",
    "243f6a88 85a308d3 13198a2e 03707344, a4093822 299f31d0, d16cfe09 94fdcceb 5001e420 24126ea1",
    "1 0 0 0, 0 0, f8e4cca4 5cb200db b1a574eb 097eff67",
    "0 0 0 0, 0 1, fdde3e0b fa7e58b6 3380ec46 d8d55c4f",
  })
  void philoxGivesItsPublishedVectors(String counter, String key, String expected) {
    assertThat(philox(words(counter), words(key))).containsExactly(words(expected));
  }

  /**
   * Ours and Philox's draws for the same 200,000 addresses fall alike into 256 cells, and together
   * into 64 by 64: Pearson's chi-square of each is inside bounds that a sound generator leaves once
   * in 100,000 times (Wilson and Hilferty's approximation).
   */
  @Test
  void ourDrawsAreAsEvenAsPhiloxsAndIndependentOfThem() {
    int n = 200_000;
    long[] ours = new long[256];
    long[] theirs = new long[256];
    long[] both = new long[64 * 64];
    long[] neighbours = new long[64 * 64];
    for (int person = 0; person < n; person++) {
      double own = Draws.uniform(Draws.personKey(Draws.runKey(7), person), 21);
      double next = Draws.uniform(Draws.personKey(Draws.runKey(7), person), 22);
      double other = (philox(new int[] {person, 21, 0, 0}, new int[] {7, 0})[0] >>> 1) / 0x1p31;
      ours[(int) (own * 256)]++;
      theirs[(int) (other * 256)]++;
      both[(int) (own * 64) * 64 + (int) (other * 64)]++;
      neighbours[(int) (own * 64) * 64 + (int) (next * 64)]++;
    }
    for (long[] cells : List.of(ours, theirs, both, neighbours)) {
      double due = n / (double) cells.length;
      double chiSquare =
          java.util.Arrays.stream(cells).mapToDouble(c -> (c - due) * (c - due) / due).sum();
      double df = cells.length - 1.0;
      double z = (Math.cbrt(chiSquare / df) - (1 - 2 / (9 * df))) / Math.sqrt(2 / (9 * df));
      assertThat(z).isBetween(-4.417173, 4.417173);
    }
  }
}
