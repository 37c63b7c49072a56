package org.opentrellis.core.journey;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * 3GPP TS 23.038 and 23.040 (rules from memory); the counts were verified with Perl's Encode
 * gsm0338 and a typed table, which agree.
 */
class TextSegmentsTest {
  private static final String EURO = "\u20ac";

  @ParameterizedTest(name = "{0} x {1}: {2}")
  @CsvSource({
    "a,160,1",
    "a,161,2",
    "a,306,2",
    "a,307,3",
    "a,459,3",
    "a,460,4",
    "\u20ac,80,1",
    "\u20ac,81,2",
    "\u20ac,152,2",
    "\u20ac,153,3",
    "\u0436,70,1",
    "\u0436,71,2",
    "\u0436,134,2",
    "\u0436,135,3",
    "\u0436,201,3",
    "\u0436,202,4",
    "\uD83D\uDE00,35,1",
    "\uD83D\uDE00,36,2",
    "\uD83D\uDE00,66,2",
    "\uD83D\uDE00,67,3",
    "\u00e1,71,2",
    "\u00c7,160,1",
    "\u00e7,71,2",
    "`,71,2",
    "^,80,1",
    "\u03b1,71,2",
  })
  void repeatedCharacters(String character, int times, int segments) {
    assertThat(TextSegments.of(character.repeat(times))).isEqualTo(segments);
  }

  @ParameterizedTest
  @CsvSource({"152,152,3", "152,151,2", "158,0,1", "159,0,2"})
  void aCharacterOfTwoSeptetsIsNotParted(int before, int after, int segments) {
    assertThat(TextSegments.of("a".repeat(before) + EURO + "a".repeat(after))).isEqualTo(segments);
  }

  @ParameterizedTest
  @CsvSource({"159,3"})
  void oneCharacterOutsideTheAlphabetMakesAllWide(int before, int segments) {
    assertThat(TextSegments.of("a".repeat(before) + "\u2019")).isEqualTo(segments);
  }
}
