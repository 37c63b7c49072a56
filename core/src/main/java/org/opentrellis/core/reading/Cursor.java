package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.Style;

/**
 * Goes through a typed sentence from left to right. It keeps what could have stood at each place,
 * which gives both the words of an error and the ways to go on.
 */
final class Cursor {
  private static final String OPENING = "\u201c\"";
  private static final int MOST_NAMED = 6;

  /**
   * Something that could stand at a place.
   *
   * @param words what is compared with what was typed
   * @param written what is put in for it
   */
  private record Expected(int at, String words, String written, String what) {}

  private final String text;
  private final List<Expected> expected = new ArrayList<>();
  private int at;

  Cursor(String text) {
    this.text = text;
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

  /** Goes back to where the cursor stood before. */
  void back(int to) {
    at = to;
  }

  boolean atEnd() {
    skipSpace();
    return at == text.length();
  }

  private void skipSpace() {
    while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
      at++;
    }
  }

  /** Says that some words of the language could stand here. */
  void could(String words) {
    skipSpace();
    expected.add(new Expected(at, words, words, ""));
  }

  /** Says that something with a name could stand here. */
  void couldName(String name, String written, String what) {
    skipSpace();
    expected.add(new Expected(at, name, written, what));
  }

  /**
   * Reads some words, whatever their case.
   *
   * @return whether they stand here
   */
  boolean word(String words) {
    could(words);
    return silently(words);
  }

  /** Reads a comma and some words; the comma may be left out. */
  boolean also(String words) {
    could(", " + words);
    int before = at;
    silently(",");
    if (silently(words)) {
      return true;
    }
    at = before;
    return false;
  }

  /** The same for another way to say something, which is not offered. */
  boolean silently(String words) {
    skipSpace();
    int end = at;
    for (String word : words.split(" ", -1)) {
      int gap = end;
      while (end > at && end < text.length() && Character.isWhitespace(text.charAt(end))) {
        end++;
      }
      if (end > at && gap == end) {
        return false;
      }
      if (!text.regionMatches(true, end, word, 0, word.length())) {
        return false;
      }
      end += word.length();
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

  /** Any of some words. */
  boolean any(String... ways) {
    boolean first = true;
    for (String words : ways) {
      if (first ? word(words) : silently(words)) {
        return true;
      }
      first = false;
    }
    return false;
  }

  void require(String words) {
    if (!word(words)) {
      throw lost();
    }
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
    return at < text.length() && OPENING.indexOf(text.charAt(at)) >= 0;
  }

  /** Reads words in quotation marks; a closing one within them is doubled. */
  String quoted(String what) {
    if (!atQuote()) {
      throw new NotUnderstood(
          what + " in quotation marks is missing here, such as \u201cwords\u201d.", at, wordEnd());
    }
    char close = text.charAt(at) == '"' ? '"' : '\u201d';
    StringBuilder inside = new StringBuilder();
    int from = at;
    for (int i = at + 1; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == close && i + 1 < text.length() && text.charAt(i + 1) == close) {
        i++;
      } else if (c == close) {
        at = i + 1;
        return inside.toString();
      }
      inside.append(c);
    }
    throw new NotUnderstood("The quotation that begins here has no end.", from, text.length());
  }

  /**
   * Reads a name: in quotation marks, or one that is known, or any words up to what follows.
   *
   * @param what it is the name of, such as "tag"
   * @param followers words before which a name that is not known ends
   */
  String name(String what, Collection<String> known, String... followers) {
    skipSpace();
    known.forEach(one -> couldName(one, Style.quoted(one), what));
    if (atQuote()) {
      return quoted("the name of a " + what);
    }
    String longest =
        known.stream()
            .filter(one -> text.regionMatches(true, at, one, 0, one.length()))
            .filter(one -> ends(at + one.length(), followers))
            .max(Comparator.comparingInt(String::length))
            .orElse(null);
    if (longest != null) {
      at += longest.length();
      return longest;
    }
    int end = at;
    while (!ends(end, followers)) {
      end++;
    }
    String bare = text.substring(at, end).strip();
    if (bare.isEmpty()) {
      throw new NotUnderstood(
          "The name of a %s is missing here.%s".formatted(what, suchAs(known)), at, wordEnd());
    }
    at = end;
    return bare;
  }

  private static String suchAs(Collection<String> known) {
    return known.isEmpty()
        ? ""
        : " There is "
            + known.stream()
                .limit(MOST_NAMED)
                .map(name -> "\u201c" + name + "\u201d")
                .collect(Collectors.joining(", "))
            + (known.size() > MOST_NAMED ? " and more." : ".");
  }

  /** Whether a name that is written without quotation marks ends at a place. */
  private boolean ends(int end, String... followers) {
    if (end >= text.length() || ",):;".indexOf(text.charAt(end)) >= 0) {
      return true;
    }
    if (!Character.isWhitespace(text.charAt(end))) {
      return false;
    }
    int next = end;
    while (next < text.length() && Character.isWhitespace(text.charAt(next))) {
      next++;
    }
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

  /** Makes something of what was read; a refusal is told at the words that brought it about. */
  <T> T meaning(int from, Supplier<T> make) {
    try {
      return make.get();
    } catch (Refused refused) {
      String why = String.valueOf(refused.getMessage());
      String sentence = why.substring(0, 1).toUpperCase(Locale.ROOT) + why.substring(1) + ".";
      throw new NotUnderstood(sentence, from, Math.max(from, at));
    }
  }

  /** All that follows. */
  String rest() {
    skipSpace();
    String all = text.substring(at).strip();
    at = text.length();
    return all;
  }

  /** Requires that nothing more follows. */
  void requireEnd() {
    if (!atEnd()) {
      throw lost();
    }
  }

  private int wordEnd() {
    int end = at;
    while (end < text.length() && !Character.isWhitespace(text.charAt(end))) {
      end++;
    }
    return end;
  }

  /** That what stands here is none of what could. */
  NotUnderstood lost() {
    skipSpace();
    Set<String> could = new LinkedHashSet<>();
    for (Expected one : expected) {
      if (one.at == at) {
        could.add("\u201c" + one.words + "\u201d");
      }
    }
    int end = wordEnd();
    String before =
        end == at
            ? "The sentence is not finished."
            : "\u201c" + text.substring(at, end) + "\u201d is not understood here.";
    String list = could.stream().limit(MOST_NAMED).collect(Collectors.joining(", "));
    String rest = could.size() > MOST_NAMED ? " and more" : "";
    return new NotUnderstood(
        could.isEmpty() ? before : before + " It could be " + list + rest + ".", at, end);
  }

  /** The ways to go on at the end of the text, the longest words read first. */
  List<Completion> completions() {
    List<Completion> all = new ArrayList<>();
    Set<String> seen = new LinkedHashSet<>();
    expected.stream()
        .sorted(Comparator.comparing(this::rank).thenComparing(one -> -one.at))
        .filter(this::goesOn)
        .forEach(
            one -> {
              if (seen.add(one.written + "/" + one.what)) {
                all.add(new Completion(apart(one) + one.written, one.at, one.what));
              }
            });
    return all;
  }

  /** What completes the word at the end comes first, then what goes on behind it. */
  private int rank(Expected one) {
    String begun = text.substring(one.at);
    if (begun.isEmpty()) {
      return 1;
    }
    return begun.chars().noneMatch(Character::isWhitespace) ? 0 : 2;
  }

  /** A space, if what is put in would stick to the word before it. */
  private String apart(Expected one) {
    boolean sticks =
        one.at > 0
            && !Character.isWhitespace(text.charAt(one.at - 1))
            && text.charAt(one.at - 1) != '('
            && !one.written.startsWith(",");
    return sticks ? " " : "";
  }

  private boolean goesOn(Expected one) {
    String begun = text.substring(one.at);
    if (begun.isEmpty()) {
      return true;
    }
    if (OPENING.indexOf(begun.charAt(0)) >= 0) {
      begun = begun.substring(1);
      if (one.what.isEmpty()) {
        return false;
      }
    }
    String has = one.words.toLowerCase(Locale.ROOT);
    String wanted = begun.toLowerCase(Locale.ROOT);
    boolean whole = has.equals(wanted);
    return !whole && (has.startsWith(wanted) || !one.what.isEmpty() && has.contains(" " + wanted));
  }
}
