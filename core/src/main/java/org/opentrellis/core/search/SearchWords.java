package org.opentrellis.core.search;

import java.util.List;
import java.util.Locale;

/** How differences of what is wanted are told. */
final class SearchWords {
  private SearchWords() {}

  /** A size without its sign: "1.2 points". */
  static String size(Difference difference, Wanted wanted) {
    return number(Math.abs(difference.points()), wanted) + " " + unit(wanted);
  }

  /** "+1.2 points (+0.4 to +2.0)". */
  static String withInterval(Difference difference, Wanted wanted) {
    return "%s %s (%s to %s)"
        .formatted(
            signed(difference.points(), wanted),
            unit(wanted),
            signed(difference.low(), wanted),
            signed(difference.high(), wanted));
  }

  private static String unit(Wanted wanted) {
    return switch (wanted.what()) {
      case GOAL -> "points of the goal";
      case ORDERS -> "orders in 1,000 people";
      case MONEY -> "in money from 1,000 people";
      case FEWER_EMAILS -> "emails saved for each";
    };
  }

  private static String signed(double value, Wanted wanted) {
    String size = number(Math.abs(value), wanted);
    return size.matches("[0.,]*") ? size : (value < 0 ? "\u2212" : "+") + size;
  }

  private static String number(double size, Wanted wanted) {
    return switch (wanted.what()) {
      case GOAL -> String.format(Locale.ROOT, "%.1f", 100 * size);
      case ORDERS -> String.format(Locale.ROOT, "%,.1f", size);
      case MONEY -> String.format(Locale.ROOT, "%,.0f", size);
      case FEWER_EMAILS -> String.format(Locale.ROOT, "%.2f", size);
    };
  }

  static String capitalised(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  /** What came of the whole search. */
  static String outcome(List<BetterWays.Better> shown, int tried, int people, Wanted wanted) {
    String others = String.format(Locale.ROOT, "%,d other people", people);
    String variations = tried == 1 ? "1 variation" : "%,d variations".formatted(tried);
    List<BetterWays.Better> better = shown.stream().filter(BetterWays.Better::verdict).toList();
    if (!better.isEmpty()) {
      return "Of %s, %d %s better than today, and not by chance: the best by %s on %s."
          .formatted(
              variations,
              better.size(),
              better.size() == 1 ? "is" : "are",
              withInterval(better.get(0).difference(), wanted),
              others);
    }
    return shown.isEmpty()
        ? "Nothing better found: none of %s does better than today's journey.".formatted(variations)
        : "Nothing better found: the best of %s were tried on %s, and none is better than today by more than chance, or keeps to what was asked."
            .formatted(variations, others);
  }
}
