package org.opentrellis.core.reading;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.Style;

/**
 * Goes through a typed sentence from left to right: reads what stands in its {@link TypedText},
 * notes what could have stood there in its {@link Expectations}, and says what is not understood.
 */
final class Cursor {
  private static final int MOST_NAMED = 6;
  private static final int FEW = 3;
  private static final String OF_A_JOURNEY =
      " A line says what happens, such as \u201csend \u2026\u201d, \u201cwait \u2026\u201d or \u201cif they \u2026\u201d.";
  private static final String OF_PEOPLE =
      " Say who they are, such as \u201care on list \u2026\u201d, \u201chave tag \u2026\u201d or \u201cbought anything\u201d.";

  private final TypedText text;
  private final String given;
  private final Expectations expected = new Expectations();

  private static final String OF_PARTS =
      " A part is called \u201cbutton \u2026\u201d, \u201cpicture \u2026\u201d, \u201ctwo columns\u201d or \u201cpassage if \u2026\u201d.";

  private final About about;

  /** What a text is about. */
  private enum About {
    A_JOURNEY,
    PEOPLE,
    PARTS
  }

  Cursor(String text) {
    this(Layout.plain(text), text, About.A_JOURNEY);
  }

  /** One for a text that says which people are meant. */
  static Cursor ofPeople(String text) {
    return new Cursor(Layout.plain(text), text, About.PEOPLE);
  }

  /** One for a part of a message, in which the line breaks and marks stay as they are. */
  static Cursor ofParts(String text) {
    return new Cursor(text, text, About.PARTS);
  }

  /**
   * @param plain what is read
   * @param given as it was typed, with as many characters
   */
  private Cursor(String plain, String given, About about) {
    this.text = new TypedText(plain);
    this.given = given;
    this.about = about;
  }

  /** Whether people are meant outside of any journey, who have no emails of one. */
  boolean isOfPeople() {
    return about != About.A_JOURNEY;
  }

  /** The whole text as it was typed. */
  String given() {
    return given;
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

  /** Whether a sentence ends here. */
  boolean atSentenceEnd() {
    int here = text.end();
    boolean ends = text.atEnd() || text.sentenceEnd();
    text.moveTo(here);
    return ends;
  }

  /** Whether a sentence or a part of it ends here. */
  boolean atPause() {
    int here = text.end();
    boolean ends = text.words(",") || text.words(":") || text.words(")");
    text.moveTo(here);
    return ends || atSentenceEnd();
  }

  /** Reads the end of a sentence, if one stands here. */
  boolean sentenceEnd() {
    return text.sentenceEnd();
  }

  /** What stands between two places. */
  String said(int from, int to) {
    return text.between(from, to);
  }

  /** The whole text with other words in the place of some. */
  String instead(int from, int to, String words) {
    return given.substring(0, from) + words + given.substring(to);
  }

  /** Says that some words of the language could stand here. */
  void could(String words) {
    expected.words(text.at(), words);
    if (isOfPeople()) {
      ofOnePerson(words).ifPresent(one -> expected.name(text.at(), one, words, ""));
    }
  }

  /** Whoever begins with "is" or "has" is offered the same as with "are" and "have". */
  private static Optional<String> ofOnePerson(String words) {
    if (words.startsWith("are ")) {
      return Optional.of("is " + words.substring("are ".length()));
    }
    return words.startsWith("have ")
        ? Optional.of("has " + words.substring("have ".length()))
        : Optional.empty();
  }

  /** Reads without noting what could have stood there: it is not to be offered. */
  <T extends @Nullable Object> T quietly(Supplier<T> reading) {
    int mark = expected.mark();
    try {
      return reading.get();
    } finally {
      expected.forgetSince(mark);
    }
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

  /** Reads a comma and some words, or another {@link Wording}; the comma may be left out. */
  boolean also(String words, String... wordings) {
    could(", " + words);
    int before = text.end();
    text.words(",");
    if (text.words(words) || Arrays.stream(wordings).anyMatch(text::says)) {
      return true;
    }
    text.moveTo(before);
    return false;
  }

  /** The same for another way to say something, which is not offered. */
  boolean silently(String words) {
    return text.words(words);
  }

  /** Reads what a {@link Wording} says; it is not offered either. */
  boolean says(String wording) {
    return text.says(wording);
  }

  /** Whether a wording stands here. */
  boolean sees(String wording) {
    int here = text.end();
    boolean stands = text.says(wording);
    text.moveTo(here);
    return stands;
  }

  /** Whether a wording stands at another place. */
  boolean seesAt(int place, String wording) {
    int here = text.end();
    text.moveTo(place);
    boolean stands = text.says(wording);
    text.moveTo(here);
    return stands;
  }

  /** Whether some words stand here as they are, whatever their case. */
  boolean seesWords(String words) {
    int here = text.end();
    boolean stands = text.words(words);
    text.moveTo(here);
    return stands;
  }

  /** Some words, or another {@link Wording} of the same: the longest that stands here. */
  boolean any(String words, String... wordings) {
    could(words);
    int here = text.end();
    int longest = text.words(words) ? text.end() : -1;
    for (String wording : wordings) {
      text.moveTo(here);
      if (text.says(wording)) {
        longest = Math.max(longest, text.end());
      }
    }
    text.moveTo(Math.max(here, longest));
    return longest >= 0;
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
          "%s in quotation marks is missing here, such as \u201cwords\u201d."
              .formatted(what.substring(0, 1).toUpperCase(Locale.ROOT) + what.substring(1)),
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
   * Reads a name: in quotation marks, or one that is known, or any words up to what follows. The
   * kind of thing may be said before it.
   *
   * @param what it is the name of, such as "tag"
   * @param followers wordings before which a name that is not known ends
   * @throws NotUnderstood if none stands here, or one that is rather something else
   */
  String name(String what, Collection<String> known, String... followers) {
    int here = text.at();
    known.forEach(one -> expected.name(here, one, what));
    if (text.atQuote()) {
      return quoted("the name of " + article(what));
    }
    Optional<String> one = text.oneOf(known, followers);
    if (one.isEmpty() && text.atSmallLetter() && text.says(Names.before(what))) {
      if (text.atQuote()) {
        return quoted("the name of " + article(what));
      }
      one = text.oneOf(known, followers);
    }
    if (one.isPresent()) {
      return one.get();
    }
    int from = text.at();
    String name = text.bareName(followers);
    if (name.isEmpty()) {
      throw new NotUnderstood(
          "The name of %s is missing here.%s".formatted(article(what), suchAs(known)),
          text.end(),
          text.wordEnd());
    }
    requireMeant(what, name, from, known);
    return name;
  }

  /** A name of something that must be there already. */
  String reference(String what, Collection<String> known, String... followers) {
    try {
      return name(what, known, followers);
    } catch (NotUnderstood doubtful) {
      if (!doubtful.asks) {
        throw doubtful;
      }
      List<Suggestion> there =
          doubtful.offers().stream().filter(one -> !one.says().startsWith("new ")).toList();
      String name = said(doubtful.from, doubtful.to);
      throw new NotUnderstood(
          there.isEmpty()
              ? "No %s is called %s.%s".formatted(what, Style.quoted(name), suchAs(known))
              : "No %s is called %s. Did you mean %s?"
                  .formatted(what, Style.quoted(name), there.get(0).says()),
          doubtful.from,
          doubtful.to,
          false,
          there);
    }
  }

  /** A name that is nearly one that is known, or words of the language, is asked about. */
  private void requireMeant(String what, String name, int from, Collection<String> known) {
    int to = text.end();
    Suggestion made =
        new Suggestion(
            "new %s %s".formatted(what, Style.quoted(name)), instead(from, to, Style.quoted(name)));
    Optional<String> near = Nearest.name(name, known);
    if (near.isPresent()) {
      Suggestion meant =
          new Suggestion(Style.quoted(near.get()), instead(from, to, Style.quoted(near.get())));
      throw new NotUnderstood(
          "There is %s %s. Is it meant, or a new %s %s?"
              .formatted(article(what), Style.quoted(near.get()), what, Style.quoted(name)),
          from,
          to,
          true,
          List.of(meant, made));
    }
    Optional<String> begun = Names.begun(name, known);
    if (begun.isPresent()) {
      String rest = name.substring(begun.get().length());
      Suggestion meant =
          new Suggestion(
              Style.quoted(begun.get()) + rest,
              instead(from, to, Style.quoted(begun.get()) + "," + rest));
      throw new NotUnderstood(
          "Is the %s %s meant, or a new one %s?"
              .formatted(what, Style.quoted(begun.get()), Style.quoted(name)),
          from,
          to,
          true,
          List.of(meant, made));
    }
    if (Names.isDoubtful(what, name)) {
      throw new NotUnderstood(
          "Is %s the name of a new %s?".formatted(Style.quoted(name), what),
          from,
          to,
          true,
          List.of(made));
    }
  }

  static String article(String what) {
    return ("aeiou".indexOf(what.charAt(0)) >= 0 ? "an " : "a ") + what;
  }

  private static String suchAs(Collection<String> known) {
    return known.isEmpty()
        ? ""
        : " There is "
            + known.stream().limit(MOST_NAMED).map(Style::quoted).collect(Collectors.joining(", "))
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
    text.sentenceEnd();
    if (!atEnd()) {
      throw lost();
    }
  }

  /** That what stands here is none of what could: the nearest of it is offered. */
  NotUnderstood lost() {
    int at = text.at();
    List<Expectations.Expected> could = expected.at(at);
    if (atSentenceEnd()) {
      return new NotUnderstood(
          could.isEmpty()
              ? "The sentence is not finished."
              : "The sentence is not finished: here could stand " + few(could) + ".",
          at,
          at);
    }
    int end = text.wordEnd();
    String typed = text.between(at, text.length());
    String word = Style.quoted(text.between(at, end));
    Optional<Nearest.Guess> guess = Nearest.of(typed, could);
    if (guess.isPresent()) {
      Nearest.Guess meant = guess.get();
      String more = meant.begun() ? meant.words() + " \u2026" : meant.words();
      String why =
          meant.begun()
              ? "Something is missing: " + Style.quoted(more) + "."
              : "%s is not understood here. Did you mean %s?".formatted(word, Style.quoted(more));
      Suggestion offer =
          new Suggestion(meant.written(), instead(at, at + meant.length(), meant.written()));
      return new NotUnderstood(why, at, Math.max(end, at + meant.length()), false, List.of(offer));
    }
    return new NotUnderstood(
        word
            + " is not understood here."
            + (at == 0 ? suchAs() : could.isEmpty() ? "" : " Here could stand " + few(could) + "."),
        at,
        end);
  }

  private String suchAs() {
    return switch (about) {
      case A_JOURNEY -> OF_A_JOURNEY;
      case PEOPLE -> OF_PEOPLE;
      case PARTS -> OF_PARTS;
    };
  }

  private static String few(List<Expectations.Expected> could) {
    List<String> some =
        could.stream()
            .filter(one -> !one.what().isEmpty() || one.words().equals(one.written()))
            .map(one -> Style.quoted(one.words().replaceFirst("^, ", "")))
            .distinct()
            .limit(FEW)
            .toList();
    return some.size() == 1
        ? some.get(0)
        : String.join(", ", some.subList(0, some.size() - 1)) + " or " + some.getLast();
  }

  /** The ways to go on at the end of the text, the longest words read first. */
  List<Completion> completions() {
    return expected.completions(text);
  }
}
