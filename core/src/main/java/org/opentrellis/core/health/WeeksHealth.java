package org.opentrellis.core.health;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.health.WeekOfMail.Loss;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Holm;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Newcombe;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.stats.TwoShares;
import org.opentrellis.core.stats.Wilson;

/** Weeks beside each other: shares with their bands, and which of them stand out. */
public final class WeeksHealth {
  /** Fewer emails than these say nothing of a week. */
  private static final int FEWEST = 20;

  /** Less likely than this, of all weeks together, is no chance any more. */
  private static final double CHANCE = 0.05;

  /** Providers find more complaints than 3 in 1,000 too many (common practice, no source). */
  private static final double COMPLAINTS = 0.003;

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

  private final List<WeekOfMail> weeks;

  public WeeksHealth(List<WeekOfMail> weeks) {
    this.weeks = List.copyOf(weeks);
  }

  /**
   * A share with its band.
   *
   * @param share of the emails that went out; nothing of none
   */
  public record Rate(long count, double share, Interval band) {}

  /** Of a week's emails; nothing if none went out. */
  public static Optional<Rate> rate(WeekOfMail week, Loss loss) {
    if (week.sent() == 0) {
      return Optional.empty();
    }
    Proportion share = share(week, loss);
    return Optional.of(
        new Rate(
            share.count(),
            share.value().orElseThrow(),
            Wilson.interval(share, Confidence.NINETY_FIVE)));
  }

  /** One email may be lost in several ways, but none more often than it went out. */
  private static Proportion share(WeekOfMail week, Loss loss) {
    return new Proportion(Math.min(week.of(loss), week.sent()), week.sent());
  }

  /** What is to be known, in sentences; that nothing stands out among them. */
  public List<String> says() {
    List<String> says = new ArrayList<>();
    for (Loss loss : Loss.values()) {
      says.addAll(standOut(loss));
    }
    Proportion complaints = sum(weeks, Loss.COMPLAINED);
    if (complaints.of() >= FEWEST) {
      Interval band = Wilson.interval(complaints, Confidence.NINETY_FIVE);
      if (band.low() > COMPLAINTS) {
        says.add(
            "More than 3 in 1,000 emails are complained about (%s to %s): mail providers find that too many."
                .formatted(percent(band.low()), percent(band.high())));
      }
    }
    if (says.isEmpty()) {
      says.add(
          weeks.stream().mapToLong(WeekOfMail::sent).sum() < FEWEST
              ? "Hardly anything has gone out, so nothing can stand out."
              : "No week stands out: what differs could be chance.");
    }
    return says;
  }

  private List<String> standOut(Loss loss) {
    List<WeekOfMail> looked = weeks.stream().filter(week -> week.sent() >= FEWEST).toList();
    if (looked.size() < 2) {
      return List.of();
    }
    double[] pValues = new double[looked.size()];
    for (int n = 0; n < pValues.length; n++) {
      pValues[n] =
          TwoShares.pValue(TwoShares.z(share(looked.get(n), loss), sum(others(looked, n), loss)));
    }
    double[] adjusted = Holm.adjust(pValues);
    List<String> says = new ArrayList<>();
    for (int n = 0; n < pValues.length; n++) {
      Proportion here = share(looked.get(n), loss);
      Proportion elsewhere = sum(others(looked, n), loss);
      Interval difference = Newcombe.independent(here, elsewhere, Confidence.NINETY_FIVE);
      // The z test alone calls too much a difference where counts are small.
      if (adjusted[n] < CHANCE && !difference.contains(0)) {
        says.add(
            "In the week of %s %s of the emails %s, in the other weeks %s: %s than chance explains."
                .formatted(
                    DAY.format(looked.get(n).monday()),
                    percent(here.value().orElseThrow()),
                    loss.words(),
                    percent(elsewhere.value().orElseThrow()),
                    difference.low() > 0 ? "more" : "less"));
      }
    }
    return says;
  }

  private static List<WeekOfMail> others(List<WeekOfMail> all, int but) {
    List<WeekOfMail> others = new ArrayList<>(all);
    others.remove(but);
    return others;
  }

  private static Proportion sum(List<WeekOfMail> some, Loss loss) {
    long sent = some.stream().mapToLong(WeekOfMail::sent).sum();
    long lost = some.stream().mapToLong(week -> week.of(loss)).sum();
    return new Proportion(Math.min(lost, sent), sent);
  }

  static String percent(double share) {
    return String.format(Locale.ROOT, share < 0.01 ? "%.2f%%" : "%.1f%%", 100 * share);
  }
}
