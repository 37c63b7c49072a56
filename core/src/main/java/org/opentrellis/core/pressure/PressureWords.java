package org.opentrellis.core.pressure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Pressure;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.McNemar;
import org.opentrellis.core.stats.Newcombe;
import org.opentrellis.core.stats.Pairs;

/** A pressure, and what came of a trial of it, in sentences. */
public final class PressureWords {
  /** Less likely than this is no chance any more. */
  private static final double CHANCE = 0.05;

  private PressureWords() {}

  /** What it means. */
  public static String says(Pressure pressure) {
    List<String> order = pressure.order().stream().map(Purpose::word).toList();
    return "Nobody gets more than %s within seven days. When there is room for some only, what is for %s goes first, then %s; the rest %s."
        .formatted(
            emails(pressure.emailsPerWeek()),
            order.getFirst(),
            String.join(", ", order.subList(1, order.size())),
            pressure.then() == FrequencyGuard.Then.HOLD
                ? "waits until there is room"
                : "is left out");
  }

  /** What it costs and saves. */
  public static List<String> says(PressureTrial trial, Pressure pressure) {
    List<String> says = new ArrayList<>();
    says.add(
        String.format(
            Locale.ROOT,
            "Of %,d simulated people who come to each of them once within %d days, %,d (%s) get more than %s in some week without it; with it nobody does.",
            trial.people(),
            PressureTrial.COMES_WITHIN,
            trial.tooMuch(),
            percent(trial.tooMuch() / (double) trial.people()),
            emails(pressure.emailsPerWeek())));
    says.add(
        String.format(
            Locale.ROOT,
            "%,d emails go out instead of %,d: %,d have to wait, %,d are left out, %,d still wait at the end, and of %,d nobody is there any more.",
            trial.emailsWith(),
            trial.emailsWithout(),
            Math.max(0, trial.waited() - trial.waitedWithout()),
            trial.leftOut(),
            Math.max(0, trial.stillWait()),
            Math.max(0, trial.nobodyThere())));
    says.add("Goals met: " + difference(trial.goals()));
    says.add("Unsubscribed: " + difference(trial.unsubscribed()));
    return says;
  }

  private static String difference(Pairs pairs) {
    double without = pairs.first().value().orElse(0);
    double with = pairs.second().value().orElse(0);
    Interval between = Newcombe.paired(pairs, Confidence.NINETY_FIVE);
    String so =
        "%s without it, %s with it; %s (95%%: %s to %s)"
            .formatted(
                percent(without),
                percent(with),
                signed(with - without) + " points",
                signed(-between.high()),
                signed(-between.low()) + " points");
    return McNemar.exact(pairs) < CHANCE ? so + "." : so + ", which could be chance.";
  }

  private static String emails(int count) {
    return count == 1 ? "1 email" : count + " emails";
  }

  private static String percent(double share) {
    return String.format(Locale.ROOT, "%.1f%%", 100 * share);
  }

  private static String signed(double share) {
    return String.format(Locale.ROOT, "%+.1f", 100 * share).replace('-', '\u2212');
  }
}
