package org.opentrellis.core.reading;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A typed sentence with the place up to which it has been read. It knows what words, quotations and
 * names look like, and nothing of the language.
 */
final class TypedText {
  private static final String OPENING = "\u201c\"";

  private final String text;
  private int at;

  TypedText(String text) {
    this.text = text;
  }

  int length() {
    return text.length();
  }

  /** Where the next word begins. */
  int at() {
    skipSpace();
    return at;
  }

  /** Where the last word that was read ends. */
  int end() {
    return at;
  }

  /** Goes on from another place. */
  void moveTo(int place) {
    at = place;
  }

  boolean atEnd() {
    return at() == text.length();
  }

  private void skipSpace() {
    at = afterSpace(at);
  }

  private int afterSpace(int from) {
    int place = from;
    while (place < text.length() && Character.isWhitespace(text.charAt(place))) {
      place++;
    }
    return place;
  }

  /** Reads some words, whatever their case, if they stand here. */
  boolean words(String words) {
    skipSpace();
    int end = at;
    for (String word : words.split(" ", -1)) {
      int next = end > at ? afterSpace(end) : end;
      if (end > at && next == end || !text.regionMatches(true, next, word, 0, word.length())) {
        return false;
      }
      end = next + word.length();
    }
    if (joins(end)) {
      return false;
    }
    at = end;
    return true;
  }

  /** Whether a word or a number goes on at a place; "2d" is two words. */
  private boolean joins(int end) {
    if (end == 0 || end >= text.length()) {
      return false;
    }
    char before = text.charAt(end - 1);
    char after = text.charAt(end);
    return Character.isLetter(before) && Character.isLetter(after)
        || Character.isDigit(before) && Character.isDigit(after);
  }

  /** Reads what a pattern fits, if it ends where a word ends. */
  @Nullable Matcher matches(Pattern pattern) {
    skipSpace();
    Matcher matcher = pattern.matcher(text).region(at, text.length());
    if (!matcher.lookingAt() || joins(matcher.end())) {
      return null;
    }
    at = matcher.end();
    return matcher;
  }

  boolean atQuote() {
    skipSpace();
    return at < text.length() && isOpening(text.charAt(at));
  }

  static boolean isOpening(char c) {
    return OPENING.indexOf(c) >= 0;
  }

  /**
   * Reads the words in the quotation marks that stand here; a closing one within them is doubled.
   *
   * @return empty if the quotation has no end
   */
  Optional<String> quoted() {
    char close = text.charAt(at) == '"' ? '"' : '\u201d';
    StringBuilder inside = new StringBuilder();
    for (int i = at + 1; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == close && i + 1 < text.length() && text.charAt(i + 1) == close) {
        i++;
      } else if (c == close) {
        at = i + 1;
        return Optional.of(inside.toString());
      }
      inside.append(c);
    }
    return Optional.empty();
  }

  /** Reads the longest of some names, if one of them stands here as a whole. */
  Optional<String> oneOf(Collection<String> names, String... followers) {
    skipSpace();
    Optional<String> longest =
        names.stream()
            .filter(one -> text.regionMatches(true, at, one, 0, one.length()))
            .filter(one -> nameEnds(at + one.length(), followers))
            .max(Comparator.comparingInt(String::length));
    longest.ifPresent(one -> at += one.length());
    return longest;
  }

  /**
   * Reads a name without quotation marks, up to what follows; empty if there is none.
   *
   * @param followers words before which it ends
   */
  String bareName(String... followers) {
    skipSpace();
    int end = at;
    while (!nameEnds(end, followers)) {
      end++;
    }
    String bare = text.substring(at, end).strip();
    at = bare.isEmpty() ? at : end;
    return bare;
  }

  /** Whether a name that is written without quotation marks ends at a place. */
  private boolean nameEnds(int end, String... followers) {
    if (end >= text.length() || ",):;".indexOf(text.charAt(end)) >= 0) {
      return true;
    }
    if (!Character.isWhitespace(text.charAt(end))) {
      return false;
    }
    int next = afterSpace(end);
    if (next == text.length() || ",)".indexOf(text.charAt(next)) >= 0) {
      return true;
    }
    for (String follower : followers) {
      int after = next + follower.length();
      if (text.regionMatches(true, next, follower, 0, follower.length()) && !joins(after)) {
        return true;
      }
    }
    return false;
  }

  /** All that follows. */
  String rest() {
    String all = text.substring(at()).strip();
    at = text.length();
    return all;
  }

  /** Where the word that stands at the place ends. */
  int wordEnd() {
    int end = at;
    while (end < text.length() && !Character.isWhitespace(text.charAt(end))) {
      end++;
    }
    return end;
  }

  String between(int from, int to) {
    return text.substring(from, to);
  }
}
