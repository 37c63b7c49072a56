package org.opentrellis.core.reading;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.problem.Refused;

/**
 * Goes through a typed sentence from left to right: reads what stands in its {@link TypedText},
 * notes what could have stood there in its {@link Expectations}, and says what is not understood.
 */
final class Cursor {
  private static final int MOST_NAMED = 6;

  private final TypedText text;
  private final Expectations expected = new Expectations();

  Cursor(String text) {
    this.text = new TypedText(text);
  }

  /** Where the next word begins. */
  int at() {
    return text.at();
  }

  /** Where the last word that was read ends. */
  int end() {
    return text.end();
  }

  /** Goes back to where the cursor stood before. */
  void back(int to) {
    text.moveTo(to);
  }

  boolean atEnd() {
    return text.atEnd();
  }

  /** Says that some words of the language could stand here. */
  void could(String words) {
    expected.words(text.at(), words);
  }

  /** Says that something with a name could stand here. */
  void couldName(String name, String written, String what) {
    expected.name(text.at(), name, written, what);
  }

  /**
   * Reads some words, whatever their case.
   *
   * @return whether they stand here
   */
  boolean word(String words) {
    could(words);
    return text.words(words);
  }

  /** Reads a comma and some words; the comma may be left out. */
  boolean also(String words) {
    could(", " + words);
    int before = text.end();
    text.words(",");
    if (text.words(words)) {
      return true;
    }
    text.moveTo(before);
    return false;
  }

  /** The same for another way to say something, which is not offered. */
  boolean silently(String words) {
    return text.words(words);
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
    return text.matches(pattern);
  }

  boolean atQuote() {
    return text.atQuote();
  }

  /** Reads words in quotation marks; a closing one within them is doubled. */
  String quoted(String what) {
    if (!text.atQuote()) {
      throw new NotUnderstood(
          what + " in quotation marks is missing here, such as \u201cwords\u201d.",
          text.end(),
          text.wordEnd());
    }
    int from = text.end();
    return text.quoted()
        .orElseThrow(
            () ->
                new NotUnderstood(
                    "The quotation that begins here has no end.", from, text.length()));
  }

  /**
   * Reads a name: in quotation marks, or one that is known, or any words up to what follows.
   *
   * @param what it is the name of, such as "tag"
   * @param followers words before which a name that is not known ends
   */
  String name(String what, Collection<String> known, String... followers) {
    int here = text.at();
    known.forEach(one -> expected.name(here, one, what));
    if (text.atQuote()) {
      return quoted("the name of a " + what);
    }
    Optional<String> one = text.oneOf(known, followers);
    String name = one.isPresent() ? one.get() : text.bareName(followers);
    if (name.isEmpty()) {
      throw new NotUnderstood(
          "The name of a %s is missing here.%s".formatted(what, suchAs(known)),
          text.end(),
          text.wordEnd());
    }
    return name;
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

  /** Makes something of what was read; a refusal is told at the words that brought it about. */
  <T> T meaning(int from, Supplier<T> make) {
    try {
      return make.get();
    } catch (Refused refused) {
      throw new NotUnderstood(refused.sentence(), from, Math.max(from, text.end()));
    }
  }

  /** All that follows. */
  String rest() {
    return text.rest();
  }

  /** Requires that nothing more follows. */
  void requireEnd() {
    if (!atEnd()) {
      throw lost();
    }
  }

  /** That what stands here is none of what could. */
  NotUnderstood lost() {
    int at = text.at();
    int end = text.wordEnd();
    Set<String> could = expected.at(at);
    String before =
        end == at
            ? "The sentence is not finished."
            : "\u201c" + text.between(at, end) + "\u201d is not understood here.";
    String list = could.stream().limit(MOST_NAMED).collect(Collectors.joining(", "));
    String rest = could.size() > MOST_NAMED ? " and more" : "";
    return new NotUnderstood(
        could.isEmpty() ? before : before + " It could be " + list + rest + ".", at, end);
  }

  /** The ways to go on at the end of the text, the longest words read first. */
  List<Completion> completions() {
    return expected.completions(text);
  }
}
