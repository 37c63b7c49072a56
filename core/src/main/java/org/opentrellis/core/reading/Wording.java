package org.opentrellis.core.reading;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Words as people type them, whatever their case and the spaces between them. Round brackets hold
 * choices, a question mark follows what may be left out: {@code "(joins|is added to) (the )?list"};
 * {@code "in(?! the)"} is not followed by that.
 */
final class Wording {
  /** Where a word or a number does not go on: "2d" is two words. */
  private static final String WORD_ENDS = "(?!(?<=\\p{L})\\p{L}|(?<=\\d)\\d)";

  private static final Pattern NOTHING = Pattern.compile("(?!)");

  private static final int MOST_NAMES = 2_000;

  /** There are as many as the language has words. */
  private static final Map<String, Pattern> SEEN = new ConcurrentHashMap<>();

  /** Of names there may be any number, so those used last are kept. */
  private static final Map<String, Pattern> NAMES =
      Collections.synchronizedMap(
          new LinkedHashMap<>(16, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<String, Pattern> eldest) {
              return size() > MOST_NAMES;
            }
          });

  private Wording() {}

  static Pattern of(String words) {
    return SEEN.computeIfAbsent(words, Wording::compiled);
  }

  /** Any of some wordings; of none, nothing at all. */
  static Pattern anyOf(String... wordings) {
    return wordings.length == 0 ? NOTHING : of("(" + String.join("|", wordings) + ")");
  }

  /** A name as it is, but for its case and the spaces between its words. */
  static Pattern name(String name) {
    return NAMES.computeIfAbsent(
        name,
        one ->
            Pattern.compile(
                Arrays.stream(one.split("\\s+"))
                    .map(Pattern::quote)
                    .collect(Collectors.joining("\\s+")),
                Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE));
  }

  private static Pattern compiled(String words) {
    String regex =
        words
            .replaceAll("[.\\[\\]{}^$*+]", "\\\\$0")
            .replaceAll("\\((?!\\?)", "(?:")
            .replace("'", "['\u2019]")
            .replace(" ", "\\s+");
    return Pattern.compile(
        "(?:" + regex + ")" + WORD_ENDS, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
  }
}
