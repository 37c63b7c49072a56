package org.opentrellis.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.stats.Holm;
import org.opentrellis.core.stats.Points;

/** Judges differences that are looked at together, so that hardly any is called by chance. */
final class Judge {
  /** A difference is called one when chance alone would bring it about more rarely than this. */
  static final double ALPHA = 0.05;

  /** With fewer than so many, nothing is said but that there are too few. */
  static final long FEW = 30;

  /** More people are only proposed if so many times as many would do. */
  private static final double WORTH_ASKING = 10;

  /**
   * One thing that is compared.
   *
   * @param raw null if there is nothing to compare
   * @param figures what stands before the verdict, such as "A: 10% against B: 12%"
   * @param unit what the difference is counted in
   * @param scale what it is multiplied by for that
   * @param people how many people the smaller run has
   */
  record Case(
      @Nullable UnjudgedDifference raw, String figures, String unit, double scale, long people) {}

  private Judge() {}

  /** In the order given; null where there is nothing to compare. */
  static List<@Nullable Judged> all(List<Case> cases) {
    double[] p =
        cases.stream()
            .map(Case::raw)
            .filter(java.util.Objects::nonNull)
            .mapToDouble(UnjudgedDifference::pValue)
            .toArray();
    double[] adjusted = Holm.adjust(p);
    List<@Nullable Judged> judged = new ArrayList<>();
    int n = 0;
    for (Case one : cases) {
      judged.add(one.raw == null ? null : judged(one, one.raw, adjusted[n++], p.length));
    }
    return judged;
  }

  private static Judged judged(Case of, UnjudgedDifference raw, double adjusted, int family) {
    Long more = null;
    Judged.Kind kind;
    if (raw.fewest() < FEW) {
      kind = Judged.Kind.TOO_FEW;
    } else if (adjusted <= ALPHA) {
      kind = Judged.Kind.DIFFERENCE;
    } else if (raw.factor() <= WORTH_ASKING && raw.factor() > 1) {
      kind = Judged.Kind.TOO_FEW;
      more = rounded(of.people * (raw.factor() - 1));
    } else {
      kind = Judged.Kind.COULD_BE_CHANCE;
    }
    return new Judged(
        raw.points(),
        raw.interval().low(),
        raw.interval().high(),
        raw.paired(),
        raw.pValue(),
        adjusted,
        kind,
        more,
        sentence(of, raw, adjusted, kind, more, family));
  }

  private static String sentence(
      Case of,
      UnjudgedDifference raw,
      double adjusted,
      Judged.Kind kind,
      @Nullable Long more,
      int family) {
    String figures =
        "%s: %s %s (95%% interval %s to %s)"
            .formatted(
                of.figures,
                Points.signed(raw.points() * of.scale),
                of.unit,
                Points.signed(raw.interval().low() * of.scale),
                Points.signed(raw.interval().high() * of.scale));
    if (raw.paired() && raw.points() == 0 && raw.pValue() == 1) {
      return of.figures + ": no difference, the same people compared one by one.";
    }
    String who = raw.paired() ? ", the same people compared one by one" : "";
    String among = family > 1 ? " among %d compared".formatted(family) : "";
    String p = adjusted < 0.001 ? "p < 0.001" : String.format(Locale.ROOT, "p = %.3f", adjusted);
    String verdict =
        switch (kind) {
          case DIFFERENCE -> "That is a difference (%s%s).".formatted(p, among);
          case COULD_BE_CHANCE -> "That could be chance (%s%s).".formatted(p, among);
          case TOO_FEW ->
              more == null
                  ? "Too few people: only %,d count on one side.".formatted(raw.fewest())
                  : "Too few people to tell (%s%s); about %,d more would settle it, if it is as it looks."
                      .formatted(p, among, more);
        };
    return figures + who + ". " + verdict;
  }

  /** Two figures that count are enough for a number of people to come. */
  private static long rounded(double people) {
    double scale = Math.pow(10, Math.max(0, Math.floor(Math.log10(Math.max(1, people))) - 1));
    return Math.max(1, (long) (Math.ceil(people / scale) * scale));
  }

  static String percent(@Nullable Double share) {
    return share == null ? "none yet" : String.format(Locale.ROOT, "%.1f%%", share * 100);
  }
}
