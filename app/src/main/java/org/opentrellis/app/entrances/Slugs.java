package org.opentrellis.app.entrances;

import java.text.Normalizer;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** What stands in an entrance's address: lower case letters, digits and hyphens. */
final class Slugs {
  private static final int LONGEST = 60;

  private Slugs() {}

  /** Of a name, with a number behind it if that is taken. */
  static String of(String name, Predicate<String> taken) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .replaceAll("\\p{M}", "")
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    String begun = plain.isEmpty() ? "form" : plain.substring(0, Math.min(LONGEST, plain.length()));
    return IntStream.iterate(1, n -> n + 1)
        .mapToObj(n -> n == 1 ? begun : begun + "-" + n)
        .filter(taken.negate())
        .findFirst()
        .orElseThrow();
  }
}
