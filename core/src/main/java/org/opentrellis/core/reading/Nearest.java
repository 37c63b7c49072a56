package org.opentrellis.core.reading;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Finds what somebody meant who typed something else. */
final class Nearest {
  private static final LevenshteinDistance EDITS = LevenshteinDistance.getDefaultInstance();

  /** As many letters for each that may be wrong. */
  private static final int LETTERS_EACH = 3;

  private static final int SHORTEST = 4;
  private static final int LONG = 7;
  private static final Pattern FIGURES = Pattern.compile(".*\\d.*");

  /** Who types one of these has not mistyped another word. */
  private static final Pattern COMMON = Wording.of("the|then|a|an|it|and|or|in|on|at|is");

  private static final Pattern SPACE = Pattern.compile("\\s+");

  private Nearest() {}

  /**
   * What was meant.
   *
   * @param words as they should be
   * @param written as they are put in
   * @param length how many of the characters that were typed they take the place of
   * @param begun whether what was typed is only their beginning
   */
  record Guess(String words, String written, int length, boolean begun) {}

  /**
   * @param typed all from the place on
   */
  static Optional<Guess> of(String typed, List<Expectations.Expected> could) {
    Optional<Guess> begun =
        could.stream()
            .filter(one -> one.what().isEmpty())
            .flatMap(one -> begun(typed, one).stream())
            .max(Comparator.comparingInt(Guess::length));
    return begun.isPresent() || COMMON.matcher(typed).lookingAt() ? begun : similar(typed, could);
  }

  private static Optional<Guess> begun(String typed, Expectations.Expected one) {
    String[] words = SPACE.split(one.words());
    int length = 0;
    for (int n = words.length - 1; n > 0 && length == 0; n--) {
      String first = String.join(" ", List.of(words).subList(0, n));
      length = lengthOf(first, typed);
    }
    return length == 0 || !typed.substring(length).isBlank()
        ? Optional.empty()
        : Optional.of(new Guess(one.words(), one.written(), length, true));
  }

  private static int lengthOf(String words, String typed) {
    var matcher = Wording.of(words.replaceAll("[()?|]", "")).matcher(typed);
    return matcher.lookingAt() ? matcher.end() : 0;
  }

  private record Distant(Guess guess, int edits) {}

  private static Optional<Guess> similar(String typed, List<Expectations.Expected> could) {
    return could.stream()
        .filter(one -> !FIGURES.matcher(one.words()).matches())
        .map(one -> distant(typed, one))
        .filter(one -> one.edits > 0 && one.edits * LETTERS_EACH <= one.guess.words.length())
        .min(Comparator.comparingInt(Distant::edits))
        .map(Distant::guess);
  }

  private static Distant distant(String typed, Expectations.Expected one) {
    int words = SPACE.split(one.words()).length;
    int end = 0;
    for (int n = 0; n < words && end < typed.length(); n++) {
      end = wordEnd(typed, n == 0 ? 0 : end + 1);
    }
    String said = typed.substring(0, end).toLowerCase(Locale.ROOT);
    int edits = edits(SPACE.split(said), SPACE.split(one.words().toLowerCase(Locale.ROOT)));
    return new Distant(new Guess(one.words(), one.written(), end, false), edits);
  }

  /** As many as are wrong in all words; far too many if one word is nothing like it should be. */
  private static int edits(String[] said, String[] meant) {
    if (said.length != meant.length) {
      return Short.MAX_VALUE;
    }
    int all = 0;
    for (int i = 0; i < said.length; i++) {
      int edits = edits(said[i], meant[i]);
      int length = meant[i].length();
      int most = length >= LONG ? 2 : length >= SHORTEST - 1 ? 1 : 0;
      all += edits > most ? Short.MAX_VALUE : edits;
    }
    return all;
  }

  /** Letters that are wrong, missing or too many; two that changed places count once. */
  private static int edits(String one, String other) {
    int edits = EDITS.apply(one, other);
    boolean changedPlaces =
        one.length() == other.length() && edits == 2 && letters(one).equals(letters(other));
    return changedPlaces ? 1 : edits;
  }

  private static String letters(String word) {
    char[] letters = word.toCharArray();
    Arrays.sort(letters);
    return new String(letters);
  }

  private static int wordEnd(String text, int from) {
    int end = Math.min(from, text.length());
    while (end < text.length() && !Character.isWhitespace(text.charAt(end))) {
      end++;
    }
    return end;
  }

  /** A name that differs from another in one word, and in that by a letter or two. */
  static Optional<String> name(String typed, Iterable<String> names) {
    for (String one : names) {
      if (isNear(typed, one)) {
        return Optional.of(one);
      }
    }
    return Optional.empty();
  }

  /** Whether a word is one of some, but for a letter or two. */
  static boolean isNearlyOneOf(String word, List<String> words) {
    String said = word.toLowerCase(Locale.ROOT);
    return words.stream().anyMatch(one -> isNearWord(said, one));
  }

  private static boolean isNear(String typed, String name) {
    String[] said = SPACE.split(typed.toLowerCase(Locale.ROOT));
    String[] meant = SPACE.split(name.toLowerCase(Locale.ROOT));
    if (said.length != meant.length) {
      return false;
    }
    int different = 0;
    boolean near = true;
    for (int i = 0; i < said.length; i++) {
      if (!said[i].equals(meant[i])) {
        different++;
        near = near && isNearWord(said[i], meant[i]);
      }
    }
    return different == 1 && near;
  }

  private static boolean isNearWord(String one, String other) {
    int length = Math.min(one.length(), other.length());
    boolean figures = FIGURES.matcher(one + other).matches();
    int most = length >= LONG ? 2 : 1;
    return length >= SHORTEST && !figures && edits(one, other) <= most;
  }
}
