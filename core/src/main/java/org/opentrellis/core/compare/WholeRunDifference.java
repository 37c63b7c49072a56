package org.opentrellis.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.PairedDryRun;
import org.opentrellis.core.measure.Curve;
import org.opentrellis.core.measure.Estimated;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.stats.LogRank;
import org.opentrellis.core.stats.Pairs;

/**
 * One whole run against the one that the others are compared with.
 *
 * @param goal the goal's difference; null where one of the two has none
 * @param goalSentence the same in words, or why it cannot be told
 * @param goalPace whether the goal is met at another pace; null where one of the two has none
 * @param unsubscribed the difference in who unsubscribed; null if nobody entered in one of the two
 * @param unsubscribePace whether people unsubscribe at another pace; null likewise
 * @param ordersPerThousandPeople difference of orders for each thousand who entered
 * @param ordersPerThousandEmails difference of orders for each thousand emails
 * @param revenuePerThousandPeople difference of revenue for each thousand who entered
 * @param revenuePerThousandEmails difference of revenue for each thousand emails
 */
public record WholeRunDifference(
    @Nullable Judged goal,
    String goalSentence,
    @Nullable Pace goalPace,
    @Nullable Judged unsubscribed,
    @Nullable Pace unsubscribePace,
    @Nullable Judged ordersPerThousandPeople,
    @Nullable Judged ordersPerThousandEmails,
    @Nullable Judged revenuePerThousandPeople,
    @Nullable Judged revenuePerThousandEmails) {

  /**
   * The log-rank test of two curves.
   *
   * @param sentence what it says
   */
  public record Pace(double chiSquare, double pValue, String sentence) {}

  /** By run; null for the baseline itself. Each figure is judged among all the runs. */
  static List<@Nullable WholeRunDifference> of(
      List<ComparedJourney> sides, int baseline, Effort effort) {
    ComparedJourney base = sides.get(baseline);
    List<ComparedJourney> others =
        IntStream.range(0, sides.size()).filter(i -> i != baseline).mapToObj(sides::get).toList();
    List<@Nullable Judged> goals =
        Judge.all(others.stream().map(s -> goal(s, base, effort)).toList());
    List<@Nullable Judged> unsubscribes =
        Judge.all(others.stream().map(s -> unsubscribed(s, base)).toList());
    List<List<@Nullable Judged>> money =
        List.of(
            money(
                others,
                base,
                "orders per thousand people",
                s -> s.measures().money().ordersPerThousandPeople()),
            money(
                others,
                base,
                "orders per thousand emails",
                s -> s.measures().money().ordersPerThousandEmails()),
            money(
                others,
                base,
                "revenue per thousand people",
                s -> s.measures().money().revenuePerThousandPeople()),
            money(
                others,
                base,
                "revenue per thousand emails",
                s -> s.measures().money().revenuePerThousandEmails()));
    List<@Nullable WholeRunDifference> all = new ArrayList<>();
    int n = 0;
    for (int i = 0; i < sides.size(); i++) {
      all.add(
          i == baseline
              ? null
              : new WholeRunDifference(
                  goals.get(n),
                  goalSentence(others.get(n), base, goals.get(n)),
                  pace(
                      "the goal",
                      others.get(n),
                      base,
                      others.get(n).curves().goal(),
                      base.curves().goal()),
                  unsubscribes.get(n),
                  pace(
                      "unsubscribing",
                      others.get(n),
                      base,
                      others.get(n).curves().unsubscribed(),
                      base.curves().unsubscribed()),
                  money.get(0).get(n),
                  money.get(1).get(n),
                  money.get(2).get(n),
                  money.get(3).get(n)));
      n += i == baseline ? 0 : 1;
    }
    return all;
  }

  private static long people(ComparedJourney one, ComparedJourney two) {
    return Math.min(one.measures().people(), two.measures().people());
  }

  private static Judge.Case goal(ComparedJourney side, ComparedJourney base, Effort effort) {
    Share now = side.measures().goal();
    Share then = base.measures().goal();
    if (now == null || then == null) {
      return new Judge.Case(null, "", "points", 100, 0);
    }
    UnjudgedDifference raw;
    if (side.samePeopleAs(base)) {
      Pairs pairs =
          new PairedDryRun(side.run(), side.number(), base.run(), base.number()).goalMet(effort);
      raw = UnjudgedDifference.paired(pairs);
    } else {
      raw = UnjudgedDifference.unpaired(now, then);
    }
    return new Judge.Case(
        raw,
        "%s met the goal for %s, %s for %s"
            .formatted(
                side.quoted(),
                Judge.percent(now.value()),
                base.quoted(),
                Judge.percent(then.value())),
        "points",
        100,
        people(side, base));
  }

  private static String goalSentence(
      ComparedJourney side, ComparedJourney base, @Nullable Judged judged) {
    if (side.measures().goal() == null || base.measures().goal() == null) {
      return "%s and %s cannot be compared by goal: one of them has none."
          .formatted(side.quoted(), base.quoted());
    }
    if (judged == null) {
      return "Nobody entered in one of %s and %s: none yet."
          .formatted(side.quoted(), base.quoted());
    }
    int now = side.journey().goal().orElseThrow().withinDays();
    int then = base.journey().goal().orElseThrow().withinDays();
    boolean same = side.journey().goal().get().what().equals(base.journey().goal().get().what());
    String caution =
        now == then && same
            ? ""
            : " Mind that their goals differ: within %d days against %d%s."
                .formatted(now, then, same ? "" : ", and not for the same thing");
    return judged.sentence() + caution;
  }

  private static Judge.Case unsubscribed(ComparedJourney side, ComparedJourney base) {
    Share now = side.measures().unsubscribed();
    Share then = base.measures().unsubscribed();
    return new Judge.Case(
        UnjudgedDifference.unpaired(now, then),
        "%s of %s unsubscribed against %s of %s"
            .formatted(
                Judge.percent(now.value()),
                side.quoted(),
                Judge.percent(then.value()),
                base.quoted()),
        "points",
        100,
        people(side, base));
  }

  private static List<@Nullable Judged> money(
      List<ComparedJourney> others,
      ComparedJourney base,
      String what,
      Function<ComparedJourney, Estimated> figure) {
    return Judge.all(others.stream().map(side -> money(side, base, what, figure)).toList());
  }

  private static Judge.Case money(
      ComparedJourney side,
      ComparedJourney base,
      String what,
      Function<ComparedJourney, Estimated> figure) {
    Estimated now = figure.apply(side);
    Estimated then = figure.apply(base);
    boolean some =
        now.value() != null && then.value() != null && now.error() != null && then.error() != null;
    UnjudgedDifference raw =
        some
            ? UnjudgedDifference.ofEstimates(
                now.value(), now.error(), then.value(), then.error(), people(side, base))
            : null;
    return new Judge.Case(
        raw,
        "%s %s in %s against %s in %s"
            .formatted(amount(now), what, side.quoted(), amount(then), base.quoted()),
        what,
        1,
        people(side, base));
  }

  private static String amount(Estimated figure) {
    return figure.value() == null
        ? "none yet"
        : String.format(Locale.ROOT, "%,.1f", figure.value());
  }

  private static @Nullable Pace pace(
      String what,
      ComparedJourney side,
      ComparedJourney base,
      @Nullable Curve now,
      @Nullable Curve then) {
    if (now == null || then == null || now.points().isEmpty() || then.points().isEmpty()) {
      return null;
    }
    LogRank test = LogRank.of(now.followed(), then.followed());
    String p =
        test.pValue() < 0.001 ? "p < 0.001" : String.format(Locale.ROOT, "p = %.3f", test.pValue());
    boolean differ = test.pValue() <= Judge.ALPHA;
    String faster = test.observed() > test.expected() ? "faster" : "slower";
    return new Pace(
        test.chiSquare(),
        test.pValue(),
        differ
            ? "By the days, %s goes %s in %s than in %s (log-rank %s)."
                .formatted(what, faster, side.quoted(), base.quoted(), p)
            : "By the days, %s goes alike in %s and %s as far as can be told (log-rank %s)."
                .formatted(what, side.quoted(), base.quoted(), p));
  }
}
