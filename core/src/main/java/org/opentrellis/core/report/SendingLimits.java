package org.opentrellis.core.report;

import java.time.DayOfWeek;
import java.time.YearMonth;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.problem.Refused;

/**
 * What the user's plan and conscience allow, and how a run stands to it, in sentences.
 *
 * @param monthlyQuota emails that may go out in a calendar month; null if there is no limit
 * @param segmentPrice what one segment of a text costs, in the account's currency; null if it is
 *     not known
 * @param emailsPerWeek how many emails a person should get within seven days at most, 1 to 50
 */
public record SendingLimits(
    @Nullable Long monthlyQuota, @Nullable Double segmentPrice, int emailsPerWeek) {
  private static final DateTimeFormatter MONTH =
      DateTimeFormatter.ofPattern("MMMM uuuu", Locale.ENGLISH);
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEEE d MMMM uuuu", Locale.ENGLISH);

  public SendingLimits {
    if (monthlyQuota != null && monthlyQuota < 1) {
      throw new Refused("a monthly quota must be at least 1, not " + monthlyQuota);
    }
    if (segmentPrice != null && !(segmentPrice >= 0 && segmentPrice < 1_000)) {
      throw new Refused("a segment must cost 0 to 1,000, not " + segmentPrice);
    }
    if (emailsPerWeek < 1 || emailsPerWeek > 50) {
      throw new Refused("the emails a week must be 1 to 50, not " + emailsPerWeek);
    }
  }

  /**
   * One thing to know about what goes out.
   *
   * @param trouble whether something is over its limit
   */
  public record LimitLine(String text, boolean trouble) {}

  /** The fullest moments, the quota, the price of texts, and who gets too much. */
  public List<LimitLine> of(Outgoing out) {
    List<LimitLine> lines = new ArrayList<>();
    if (out.peakDay() == null || out.peakHour() == null) {
      lines.add(new LimitLine("Nothing goes out.", false));
      return lines;
    }
    lines.add(peaks(out, out.peakDay(), out.peakHour()));
    quota(out).ifPresent(lines::add);
    if (!out.texts().isEmpty()) {
      lines.add(texts(out));
    }
    lines.add(week(out));
    return lines;
  }

  private static LimitLine peaks(Outgoing out, Outgoing.Peak day, Outgoing.Peak hour) {
    String weekday =
        DayOfWeek.of(hour.at() / 24 + 1).getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    return new LimitLine(
        "Most goes out on %s: %,d messages; the fullest hour of the week is %s %02d:00 to %02d:00, with %,d in all."
            .formatted(
                out.firstDay().plusDays(day.at()).format(DAY),
                day.messages(),
                weekday,
                hour.at() % 24,
                hour.at() % 24 + 1,
                hour.messages()),
        false);
  }

  private Optional<LimitLine> quota(Outgoing out) {
    Optional<Outgoing.Month> fullest =
        out.months().stream().max(Comparator.comparingLong(Outgoing.Month::emails));
    return fullest.map(month -> quota(month));
  }

  private LimitLine quota(Outgoing.Month month) {
    String name = YearMonth.parse(month.month()).format(MONTH);
    if (monthlyQuota == null) {
      return new LimitLine(
          "The fullest month is %s with %,d emails; no quota is set."
              .formatted(name, month.emails()),
          false);
    }
    long over = month.emails() - monthlyQuota;
    return over > 0
        ? new LimitLine(
            "%s is over the quota: %,d emails, %,d more than %,d."
                .formatted(name, month.emails(), over, monthlyQuota),
            true)
        : new LimitLine(
            "Within the quota: %s, the fullest month, has %,d emails of %,d."
                .formatted(name, month.emails(), monthlyQuota),
            false);
  }

  private LimitLine texts(Outgoing out) {
    long sent = out.texts().stream().mapToLong(Outgoing.TextLine::sent).sum();
    long segments = out.texts().stream().mapToLong(line -> line.sent() * line.segments()).sum();
    String price =
        segmentPrice == null
            ? "; set what a segment costs to see the price"
            : String.format(
                Locale.ROOT,
                ", which cost %,.2f at %.3f each",
                segments * segmentPrice,
                segmentPrice);
    return new LimitLine(
        "%,d texts go out in %,d segments%s.".formatted(sent, segments, price), false);
  }

  private LimitLine week(Outgoing out) {
    long people = 0;
    long over = 0;
    for (int emails = 0; emails < out.mostInAWeek().size(); emails++) {
      people += out.mostInAWeek().get(emails);
      over += emails > emailsPerWeek ? out.mostInAWeek().get(emails) : 0;
    }
    String limit = emailsPerWeek == 1 ? "1 email" : emailsPerWeek + " emails";
    return over == 0
        ? new LimitLine("Nobody gets more than %s within seven days.".formatted(limit), false)
        : new LimitLine(
            "%,d of %,d people (%.1f%%) get more than %s within some seven days."
                .formatted(over, people, 100.0 * over / people, limit),
            true);
  }
}
