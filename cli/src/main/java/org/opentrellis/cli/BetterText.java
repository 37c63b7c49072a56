package org.opentrellis.cli;

import java.io.PrintWriter;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.search.BetterWays;
import org.opentrellis.core.search.Figures;

/** What a search came to, to be read in a terminal. */
final class BetterText {
  private BetterText() {}

  static void print(BetterWays ways, PrintWriter out) {
    out.println(ways.sentence());
    out.println();
    int number = 0;
    for (BetterWays.Better one : ways.better()) {
      out.printf("%d. %s.%n", ++number, String.join("; ", one.changes()));
      out.printf("   %s%n", figures(one.figures()));
      out.printf("   %s%n", one.sentence());
    }
    out.printf("Today: %s%n", figures(ways.today()));
    out.printf(
        Locale.ROOT,
        "%s of %,d combinations were tried, those that stayed in the race by %,d people.%n",
        ways.size().all() ? "All" : "%,d".formatted(ways.tried().size()),
        ways.size().combinations(),
        ways.people());
  }

  private static String figures(Figures figures) {
    return "goal %s, %s emails each, %s unsubscribed"
        .formatted(
            share(figures.goal()), number(figures.emailsEach()), share(figures.unsubscribed()));
  }

  private static String number(@Nullable Double value) {
    return value == null ? "none yet:" : String.format(Locale.ROOT, "%.2f", value);
  }

  private static String share(Share share) {
    return share.value() == null || share.low() == null || share.high() == null
        ? "none yet"
        : String.format(
            Locale.ROOT,
            "%.2f%% (%.2f to %.2f)",
            100 * share.value(),
            100 * share.low(),
            100 * share.high());
  }
}
