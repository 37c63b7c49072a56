package org.opentrellis.core.search;

import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.problem.Refused;

/**
 * What a variation must keep to.
 *
 * @param unsubscribed of those who enter at most this share, in [0, 1]
 * @param emailsAWeek nobody gets more within seven days
 * @param emailsAMonth no more go out in any calendar month, of all the people that are planned for
 */
public record Limits(
    Optional<Double> unsubscribed, Optional<Integer> emailsAWeek, Optional<Long> emailsAMonth) {
  public static final Limits NONE =
      new Limits(Optional.empty(), Optional.empty(), Optional.empty());

  public Limits {
    if (unsubscribed.filter(share -> !(share >= 0 && share <= 1)).isPresent()) {
      throw new Refused("a limit of unsubscribes is 0 to 100%");
    }
    if (emailsAWeek.filter(most -> most < 1).isPresent()
        || emailsAMonth.filter(most -> most < 1).isPresent()) {
      throw new Refused("a limit of emails is at least 1");
    }
  }

  /** Which limit some figures do not keep to, in words; empty if they keep to all. */
  Optional<String> brokenBy(Figures figures) {
    Double gone = figures.unsubscribed().value();
    if (gone != null && unsubscribed.filter(most -> gone > most).isPresent()) {
      return Optional.of(
          String.format(
              Locale.ROOT,
              "%.2f%% unsubscribe, the limit is %.2f%%",
              100 * gone,
              100 * unsubscribed.get()));
    }
    if (emailsAWeek.filter(most -> figures.mostInAWeek() > most).isPresent()) {
      return Optional.of(
          "somebody gets %d emails within a week, the limit is %d"
              .formatted(figures.mostInAWeek(), emailsAWeek.get()));
    }
    if (emailsAMonth.filter(most -> figures.emailsInBusiestMonth() > most).isPresent()) {
      return Optional.of(
          String.format(
              Locale.ROOT,
              "%,d emails in the busiest month, the limit is %,d",
              figures.emailsInBusiestMonth(),
              emailsAMonth.get()));
    }
    return Optional.empty();
  }
}
