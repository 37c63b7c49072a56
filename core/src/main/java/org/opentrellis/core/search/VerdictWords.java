package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** What came of a variation among other people, as sentences. */
final class VerdictWords {
  private static final int MOST_NAMED = 3;

  private final Wanted wanted;
  private final int people;

  VerdictWords(Wanted wanted, int people) {
    this.wanted = wanted;
    this.people = people;
  }

  String of(
      Gain difference,
      boolean verdict,
      @Nullable String broken,
      List<BetterWays.Elsewhere> elsewhere) {
    String outcome =
        difference.points() == 0
            ? "Just as good as today"
            : SearchWords.withInterval(difference, wanted);
    String judged =
        broken != null
            ? "; out, since " + broken
            : verdict ? "" : difference.points() > 0 ? "; that could be chance" : "";
    return "%s on %,d other people, the same ones compared one by one%s.%s"
        .formatted(outcome, people, judged, elsewhere.isEmpty() ? "" : " " + holds(elsewhere));
  }

  private static String holds(List<BetterWays.Elsewhere> elsewhere) {
    List<String> lost =
        elsewhere.stream()
            .filter(one -> one.difference().points() <= 0)
            .map(BetterWays.Elsewhere::words)
            .toList();
    int won = elsewhere.size() - lost.size();
    if (lost.isEmpty()) {
      return "Better in all %d other worlds that were tried.".formatted(won);
    }
    List<String> named = new ArrayList<>(lost.subList(0, Math.min(MOST_NAMED, lost.size())));
    if (lost.size() > MOST_NAMED) {
      named.add("%d more".formatted(lost.size() - MOST_NAMED));
    }
    return "Better in %d of %d other worlds; not where %s."
        .formatted(won, elsewhere.size(), String.join(", ", named));
  }

  static String lostGoal(Gain goal, Wanted wanted) {
    return String.format(
        Locale.ROOT,
        "the goal may fall by up to %.1f points, more than the %.1f that it may",
        -100 * goal.low(),
        100 * wanted.mayLose());
  }
}
