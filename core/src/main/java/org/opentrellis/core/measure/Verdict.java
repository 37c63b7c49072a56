package org.opentrellis.core.measure;

import java.util.Locale;

/** A difference of two runs' goals, in a sentence that a specialist can repeat. */
public final class Verdict {
  private Verdict() {}

  /**
   * Says which run met the goal more often, and whether that is a difference.
   *
   * @param first the name of the run that was subtracted from
   * @param second the name of the other
   * @param difference of the goal's shares, first minus second
   * @param one the first run's share
   * @param two the second's
   */
  public static String onGoal(
      String first, String second, Difference difference, Share one, Share two) {
    String figures =
        "\u201c%s\u201d met the goal for %s, \u201c%s\u201d for %s"
            .formatted(first, percent(one.value()), second, percent(two.value()));
    String interval =
        "%s points (95%% interval %s to %s)"
            .formatted(
                signed(difference.points()), signed(difference.low()), signed(difference.high()));
    String who =
        difference.paired()
            ? "the same %,d people in both, compared one by one".formatted(two.of())
            : "different people, so compared by their totals";
    return "%s: %s, %s. %s".formatted(figures, interval, who, judgement(difference, first, second));
  }

  /** What to say when the goals are not the same, or nothing. */
  public static String caution(int firstDays, int secondDays) {
    return firstDays == secondDays
        ? ""
        : " Mind that their goals differ: bought within %d days against %d."
            .formatted(firstDays, secondDays);
  }

  private static String judgement(Difference difference, String first, String second) {
    if (!difference.realDifference()) {
      return "That could be chance.";
    }
    return "That is a difference: \u201c%s\u201d does better."
        .formatted(difference.points() > 0 ? first : second);
  }

  private static String percent(@org.jspecify.annotations.Nullable Double share) {
    return share == null ? "none yet" : String.format(Locale.ROOT, "%.1f%%", share * 100);
  }

  private static String signed(double points) {
    String text = String.format(Locale.ROOT, "%+.1f", points * 100);
    return text.equals("-0.0") || text.equals("+0.0") ? "0.0" : text.replace('-', '\u2212');
  }
}
