package org.opentrellis.core.health;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.stats.Wilson;

/**
 * Those who got mail and opened none, and what it would do not to mail them any more.
 *
 * @param days within which nothing was opened
 * @param groups by when they came, the oldest first
 * @param emails that went to all who are looked at, within these days
 * @param toSilent and of these to those who are silent
 * @param opened of all these, so many were opened
 */
public record Silence(int days, List<Group> groups, long emails, long toSilent, long opened) {
  public Silence {
    groups = List.copyOf(groups);
  }

  /**
   * Those who came in one span.
   *
   * @param came when, in words
   * @param people who got mail, and have been there long enough
   * @param silent who of them opened nothing
   */
  public record Group(String came, long people, long silent) {
    /** The share with its band; nothing of nobody. */
    public Optional<Interval> band() {
      return people == 0
          ? Optional.empty()
          : Optional.of(Wilson.interval(new Proportion(silent, people), Confidence.NINETY_FIVE));
    }
  }

  public long people() {
    return groups.stream().mapToLong(Group::people).sum();
  }

  public long silent() {
    return groups.stream().mapToLong(Group::silent).sum();
  }

  /** What there is to know, and what it would do to mail them no more. */
  public List<String> says() {
    if (people() == 0) {
      return List.of(
          "Nobody who has been here for %s got mail since, so nobody can be called silent."
              .formatted(span()));
    }
    String who =
        String.format(
            Locale.ROOT,
            "Of %,d people who have been here for %s and got mail since, %,d opened none of it (%s).",
            people(),
            span(),
            silent(),
            WeeksHealth.percent(silent() / (double) people()));
    if (silent() == 0 || emails == 0) {
      return List.of(who);
    }
    return List.of(who, without());
  }

  private String span() {
    return days == 1 ? "a day" : days + " days";
  }

  private String without() {
    long others = emails - toSilent;
    String saves =
        String.format(
            Locale.ROOT,
            "Without them %,d of %,d emails (%s) would not have gone out",
            toSilent,
            emails,
            WeeksHealth.percent(toSilent / (double) emails));
    if (others == 0) {
      return saves + ".";
    }
    Proportion now = new Proportion(Math.min(opened, emails), emails);
    Proportion then = new Proportion(Math.min(opened, others), others);
    Interval band = Wilson.interval(then, Confidence.NINETY_FIVE);
    return saves
        + ", and %s of the rest would have been opened (%s to %s) instead of %s."
            .formatted(
                WeeksHealth.percent(then.value().orElseThrow()),
                WeeksHealth.percent(band.low()),
                WeeksHealth.percent(band.high()),
                WeeksHealth.percent(now.value().orElseThrow()));
  }
}
