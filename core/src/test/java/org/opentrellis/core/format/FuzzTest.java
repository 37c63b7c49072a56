package org.opentrellis.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.testing.RandomJourneys;

/** Ten thousand broken files: each is read, or refused in sentences; nothing else ever happens. */
@Tag("thorough")
@Order(1)
class FuzzTest {
  private static final String[] HOSTILE = {
    "null",
    "[]",
    "{}",
    "-1",
    "1e999",
    "99999999999999999999",
    "\"\\u0000\"",
    "\"\u202e\"",
    "true",
    "\"kind\"",
    ",",
    ":",
    "{",
    "]",
    "\\",
    "\u0007",
    "\"\\ud800\"",
    "0.1",
    "\"2027-13-45\"",
    "\"25:99\""
  };

  @ParameterizedTest(name = "from seed {0}")
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
  void aBrokenFileIsReadOrRefused(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    int refused = 0;
    for (int i = 0; i < 1_000; i++) {
      String text = broken(valid(seed * 1_000 + i), random);
      try {
        JourneyFile file = Documents.readFile(text);
        assertThat(Documents.readFile(Documents.writeFile(file))).isEqualTo(file);
      } catch (ProblemsFound found) {
        refused++;
        assertThat(found.problems())
            .allSatisfy(
                problem ->
                    assertThat(problem.sentence())
                        .isNotBlank()
                        .doesNotContain("Exception", "tools.jackson"))
            .allSatisfy(problem -> assertThat(problem.place()).matches("(?s)(/.*)?"));
      }
    }
    assertThat(refused).isBetween(500, 1_000);
  }

  private static String valid(long seed) {
    Catalogue all = RandomJourneys.CATALOGUE;
    return Documents.writeFile(
        new JourneyFile(
            JourneyFile.VERSION,
            RandomJourneys.journey(seed, 6),
            all.messages(),
            RandomJourneys.manuscripts(seed),
            all.strands(),
            all.segments(),
            seed % 4 == 0 ? Optional.of(RandomJourneys.behaviour(seed)) : Optional.empty()));
  }

  /** Cuts, doubles, swaps and overwrites pieces: of the text, or whole values. */
  private static String broken(String text, SplittableRandom random) {
    StringBuilder broken = new StringBuilder(text);
    int changes = 1 + random.nextInt(3);
    for (int i = 0; i < changes; i++) {
      int from = random.nextInt(broken.length());
      int to = Math.min(broken.length(), from + 1 + random.nextInt(20));
      switch (random.nextInt(5)) {
        case 0 -> broken.delete(from, to);
        case 1 -> broken.insert(from, broken.substring(from, to));
        case 2 -> broken.insert(from, HOSTILE[random.nextInt(HOSTILE.length)]);
        case 3 -> value(broken, from, HOSTILE[random.nextInt(HOSTILE.length)]);
        default -> broken.setCharAt(from, (char) (32 + random.nextInt(96)));
      }
    }
    return broken.toString();
  }

  /** Overwrites the next plain value. */
  private static void value(StringBuilder text, int from, String other) {
    int colon = text.indexOf(": ", from);
    if (colon >= 0) {
      int end = colon + 2;
      while (end < text.length() && ",}]\n".indexOf(text.charAt(end)) < 0) {
        end++;
      }
      text.replace(colon + 2, end, other);
    }
  }

  /** Bytes that are no text at all. */
  @Test
  void noiseIsRefused() {
    SplittableRandom random = new SplittableRandom(4);
    for (int i = 0; i < 1_000; i++) {
      byte[] noise = new byte[random.nextInt(200)];
      random.nextBytes(noise);
      String text = new String(noise, StandardCharsets.ISO_8859_1);
      assertThatThrownBy(() -> Documents.readFile(text)).isInstanceOf(ProblemsFound.class);
    }
  }
}
