package org.opentrellis.core.search;

import java.util.List;
import java.util.Locale;

/** How differences of what is wanted are told. */
public final class SearchWords {
  private static final String NOUGHT = "[0.,]*";

  private SearchWords() {}

  /** A size without its sign: "1.2 points of the goal", "less than 0.1 points of the goal". */
  static String size(Gain difference, Wanted wanted) {
    String size = number(Math.abs(difference.points()), wanted);
    boolean tiny = size.matches(NOUGHT) && difference.points() != 0;
    return (tiny ? "less than " + size.replaceFirst("0$", "1") : size) + " " + unit(wanted);
  }

  /** "+1.2 points (+0.4 to +2.0)". */
  public static String withInterval(Gain difference, Wanted wanted) {
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
    return size.matches(NOUGHT) ? size : (value < 0 ? "\u2212" : "+") + size;
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

  /**
   * What came of the whole search.
   *
   * @param out how many of those that were tried did not keep to what was asked
   */
  static String outcome(
      List<BetterWays.Better> shown, int tried, int out, int people, Wanted wanted) {
    String variations = tried == 1 ? "1 variation" : "%,d variations".formatted(tried);
    List<BetterWays.Better> better = shown.stream().filter(BetterWays.Better::verdict).toList();
    if (!better.isEmpty()) {
      return "Of %s, %d %s better than today, and not by chance: the best by %s on %,d other people."
          .formatted(
              variations,
              better.size(),
              better.size() == 1 ? "is" : "are",
              withInterval(better.get(0).difference(), wanted),
              people);
    }
    if (!shown.isEmpty()) {
      return "Nothing better found: the best of %s went on to %,d other people, and there none was better than today by more than chance, or kept to what was asked."
          .formatted(variations, people);
    }
    String kept =
        out == 0 ? "" : " %s did not keep to what was asked.".formatted(out == tried ? "All" : out);
    return "Nothing better found: %s, none of which does better than today.%s"
        .formatted(variations, kept);
  }
}
