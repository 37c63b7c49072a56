package org.opentrellis.core.reading;

import java.util.Collection;
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

  /** Words that lead on to something that is not there yet. */
  private static final Pattern DANGLING =
      Pattern.compile("(?:and|or|then|but)\\s*(?:$|\\n)", Pattern.CASE_INSENSITIVE);

  private static final Pattern SPACES = Pattern.compile("\\s+");

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
    while (place < text.length() && isSpace(text.charAt(place))) {
      place++;
    }
    return place;
  }

  /** A new line is no space here: it ends a sentence. */
  private static boolean isSpace(char c) {
    return c != '\n' && Character.isWhitespace(c);
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

  /** Reads words of a wording, if they stand here. */
  boolean says(String wording) {
    return matches(Wording.of(wording)) != null;
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
    Matcher matcher = pattern.matcher(text).region(at, text.length()).useTransparentBounds(true);
    if (!matcher.lookingAt() || joins(matcher.end())) {
      return null;
    }
    at = matcher.end();
    return matcher;
  }

  /** Whether the next word is written small, as words of the language are. */
  boolean atSmallLetter() {
    skipSpace();
    return at < text.length() && Character.isLowerCase(text.charAt(at));
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
    int end = at;
    Optional<String> longest = Optional.empty();
    Matcher followed = Wording.anyOf(followers).matcher(text).useTransparentBounds(true);
    for (String name : names) {
      int behind = behind(name);
      if (behind > end && nameEnds(behind, followed)) {
        end = behind;
        longest = Optional.of(name);
      }
    }
    at = end;
    return longest;
  }

  /** Where a name ends that stands here, or -1. */
  private int behind(String name) {
    // Most names begin otherwise: this is quicker than to look for all of one.
    if (name.isEmpty() || !text.regionMatches(true, at, name, 0, 1)) {
      return -1;
    }
    Matcher matcher = Wording.name(name).matcher(text).region(at, text.length());
    return matcher.lookingAt() ? matcher.end() : -1;
  }

  /**
   * Reads a name without quotation marks, up to what follows; empty if there is none.
   *
   * @param followers wordings before which it ends
   */
  String bareName(String... followers) {
    skipSpace();
    int end = at;
    Matcher followed = Wording.anyOf(followers).matcher(text).useTransparentBounds(true);
    while (!nameEnds(end, followed)) {
      end++;
    }
    String bare = SPACES.matcher(text.substring(at, end).strip()).replaceAll(" ");
    at = bare.isEmpty() ? at : end;
    return bare;
  }

  /** Whether a name that is written without quotation marks ends at a place. */
  private boolean nameEnds(int end, Matcher followed) {
    if (end >= text.length() || ",):;\n".indexOf(text.charAt(end)) >= 0 || endsSentence(end)) {
      return true;
    }
    if (!Character.isWhitespace(text.charAt(end))) {
      return false;
    }
    int next = afterSpace(end);
    if (next == text.length() || ",)\n".indexOf(text.charAt(next)) >= 0) {
      return true;
    }
    return DANGLING.matcher(text).region(next, text.length()).lookingAt()
        || followed.region(next, text.length()).lookingAt();
  }

  /** Whether a full stop stands here: one that no letter or figure follows. */
  private boolean endsSentence(int place) {
    return text.charAt(place) == '.'
        && (place + 1 == text.length() || Character.isWhitespace(text.charAt(place + 1)));
  }

  /** Reads what ends a sentence: a full stop, a semicolon, a new line. */
  boolean sentenceEnd() {
    int before = at;
    skipSpace();
    while (at < text.length() && (";\n".indexOf(text.charAt(at)) >= 0 || endsSentence(at))) {
      at++;
      skipSpace();
    }
    boolean ended = at > before && ";.\n".indexOf(lastBefore(at)) >= 0;
    if (!ended) {
      at = before;
    }
    return ended;
  }

  private char lastBefore(int place) {
    int last = place - 1;
    while (last > 0 && isSpace(text.charAt(last))) {
      last--;
    }
    return text.charAt(last);
  }

  /** All that follows in the line. */
  String rest() {
    int end = text.indexOf('\n', at());
    int to = end < 0 ? text.length() : end;
    String all = SPACES.matcher(text.substring(at, to).strip()).replaceAll(" ");
    at = to;
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
