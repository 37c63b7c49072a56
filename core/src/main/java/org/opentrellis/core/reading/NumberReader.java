package org.opentrellis.core.reading;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads numbers in figures, and small ones in words. */
final class NumberReader {
  private static final Pattern NUMBER = Pattern.compile("-?\\d+(\\.\\d+)?([eE][-+]?\\d+)?");
  private static final Pattern WHOLE = Pattern.compile("\\d{1,9}(?![.:]\\d|\\d|-)");
  private static final List<String> WORDS =
      List.of(
          "no",
          "one|a single",
          "two|a couple of",
          "three",
          "four",
          "five",
          "six",
          "seven",
          "eight",
          "nine",
          "ten",
          "eleven",
          "twelve");

  private final Cursor cursor;

  NumberReader(Cursor cursor) {
    this.cursor = cursor;
  }

  /** A number, or null if none stands here. */
  @Nullable Double number() {
    Matcher number = cursor.matches(NUMBER);
    if (number != null) {
      return Double.valueOf(number.group());
    }
    Integer word = word();
    return word == null ? null : Double.valueOf(word);
  }

  /** A whole number, or null if none stands here. */
  @Nullable Integer whole() {
    Matcher number = cursor.matches(WHOLE);
    return number == null ? word() : Integer.valueOf(number.group());
  }

  /** A small number in words, from one. */
  private @Nullable Integer word() {
    for (int n = 1; n < WORDS.size(); n++) {
      if (cursor.says(WORDS.get(n))) {
        return n;
      }
    }
    return null;
  }

  /** "once", "twice", "three times", "5 times"; null if none stands here. */
  @Nullable Integer times() {
    if (cursor.says("once|one time")) {
      return 1;
    }
    if (cursor.says("twice|a second time")) {
      return 2;
    }
    int here = cursor.at();
    Integer number = whole();
    if (number == null || !cursor.says("times|time|tries|more times")) {
      cursor.back(here);
      return null;
    }
    return number;
  }

  int requireWhole(String example) {
    cursor.could(example);
    Integer number = whole();
    if (number == null) {
      throw cursor.lost();
    }
    return number;
  }
}
