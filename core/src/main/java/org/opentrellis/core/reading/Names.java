package org.opentrellis.core.reading;

import java.util.Collection;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** How names are told from words of the language. */
final class Names {
  /** The words for a kind of thing, which may stand before its name. */
  private static final Map<String, String> KINDS =
      Map.ofEntries(
          Map.entry("tag", "tag"),
          Map.entry("list", "mailing list|list"),
          Map.entry("form", "sign-up form|signup form|form"),
          Map.entry("segment", "segment"),
          Map.entry("field", "date field|field"),
          Map.entry("event", "event"),
          Map.entry("product", "product"),
          Map.entry("category", "product category|category"),
          Map.entry("journey", "journey"),
          Map.entry("email", "e-mail|email|mail|message|newsletter"),
          Map.entry("text", "text message|text|sms"),
          Map.entry("link", "link to|link|button"),
          Map.entry("strand", "strand"));

  /** No name begins so, unless it is written like one. */
  private static final Pattern DOUBTFUL =
      Wording.of(
          "since|after|before|if|when|whenever|that|which|who|and|or|with|within|until|once|again|"
              + "any|anything|something|all|everything|nothing|not|no|it|them|they|from|in|on|at|"
              + "for|to|of|by|into|through|as|is|are|was|were|has|have|did|do|does|every|each|only|just|then|"
              + "a|an|some|someone|somebody|wait|send|tag|list");

  private static final Pattern COUNTED =
      Wording.of(
          "(one|two|three|four|five|six|seven|another|more|\\d) (e-?mails?|mails?|texts?|messages?|more)");

  private static final Pattern THE = Wording.of("the|next|later|tomorrow");

  /** A kind of thing is no name. */
  private static final Pattern KIND =
      Wording.of(
          "(the |a )?(tag|list|form|segment|field|event|product|category|journey|email|e-mail|mail|"
              + "message|text|sms|link|strand|(mon|tues|wednes|thurs|fri|satur|sun)?day|january|february|march|april|may|june|july|"
              + "august|september|october|november|december|date|week|month|year|time|cart|order)s?");

  private Names() {}

  /** What may stand before the name of something: "the list", "a product called". */
  static String before(String what) {
    return "((the |a |an |our |my |their |his |her )?("
        + KINDS.getOrDefault(what, what)
        + ")( called| named)?)|the|our|my|their";
  }

  /** What may stand behind it. */
  static String behind(String what) {
    return KINDS.getOrDefault(what, what);
  }

  /** Whether a name without quotation marks looks like words of the language. */
  static boolean isDoubtful(String what, String name) {
    boolean message = what.equals("email") || what.equals("text") || what.equals("file");
    char first = name.charAt(0);
    return Character.isLowerCase(first) && DOUBTFUL.matcher(name).lookingAt()
        || message && COUNTED.matcher(name).lookingAt()
        || !message && Character.isDigit(first)
        || KIND.matcher(name).matches()
        || name.indexOf('"') >= 0
        || name.indexOf('\u201c') >= 0;
  }

  /** A known name that another begins with, if words of the language follow in it. */
  static Optional<String> begun(String name, Collection<String> known) {
    return known.stream()
        .filter(one -> name.regionMatches(true, 0, one + " ", 0, one.length() + 1))
        .filter(one -> goesOn(name.substring(one.length() + 1)))
        .max(Comparator.comparingInt(String::length));
  }

  private static boolean goesOn(String rest) {
    return !rest.isEmpty()
        && Character.isLowerCase(rest.charAt(0))
        && (DOUBTFUL.matcher(rest).lookingAt()
            || THE.matcher(rest).lookingAt()
            || Wording.of(Words.STEP).matcher(rest).lookingAt());
  }
}
