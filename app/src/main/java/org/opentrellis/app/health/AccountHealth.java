package org.opentrellis.app.health;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.health.HealthView.HealthRate;
import org.opentrellis.app.health.HealthView.HealthWeek;
import org.opentrellis.app.health.HealthView.SilentGroup;
import org.opentrellis.app.health.HealthView.SilentView;
import org.opentrellis.app.live.MailHealth;
import org.opentrellis.core.health.Silence;
import org.opentrellis.core.health.WeekOfMail;
import org.opentrellis.core.health.WeekOfMail.Loss;
import org.opentrellis.core.health.WeeksHealth;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.stats.Interval;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts together whether the account's mail is welcome. */
@Service
@Transactional(readOnly = true)
class AccountHealth {
  private static final int WEEKS = 12;
  private static final int LONGEST = 730;
  private static final long DAY = 24L * 3600;
  private static final DateTimeFormatter MONTH =
      DateTimeFormatter.ofPattern("MMMM uuuu", Locale.ENGLISH);

  private final MailHealth mail;
  private final Account account;
  private final AccountClock clock;

  AccountHealth(MailHealth mail, Account account, AccountClock clock) {
    this.mail = mail;
    this.account = account;
    this.clock = clock;
  }

  /**
   * @param days for how long somebody opened nothing who is silent
   * @throws ProblemsFound if that is out of range
   */
  HealthView view(int days) {
    if (days < 1 || days > LONGEST) {
      throw ProblemsFound.badValue(
          "/days", "Somebody is silent for 1 to %d days, not %d.".formatted(LONGEST, days));
    }
    ZoneId zone = account.zone();
    LocalDate monday =
        LocalDate.ofInstant(clock.instant(), zone)
            .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    List<WeekOfMail> all = mail.weeks(monday.minusWeeks(WEEKS - 1), WEEKS, zone);
    List<WeekOfMail> weeks = sinceTheFirst(all);
    return new HealthView(
        weeks.stream().map(AccountHealth::week).toList(),
        new WeeksHealth(weeks).says(),
        silent(days, zone));
  }

  /** Without the weeks before anything went out; this week stays in any case. */
  private static List<WeekOfMail> sinceTheFirst(List<WeekOfMail> weeks) {
    int first = 0;
    while (first < weeks.size() - 1 && weeks.get(first).sent() == 0) {
      first++;
    }
    return weeks.subList(first, weeks.size());
  }

  private static HealthWeek week(WeekOfMail week) {
    return new HealthWeek(
        week.monday(),
        week.sent(),
        rate(week, Loss.BOUNCED),
        rate(week, Loss.COMPLAINED),
        rate(week, Loss.UNSUBSCRIBED));
  }

  private static @Nullable HealthRate rate(WeekOfMail week, Loss loss) {
    return WeeksHealth.rate(week, loss)
        .map(
            rate ->
                new HealthRate(rate.count(), rate.share(), rate.band().low(), rate.band().high()))
        .orElse(null);
  }

  private SilentView silent(int days, ZoneId zone) {
    List<MailHealth.Mailed> mailed = mail.mailed(clock.now() - days * DAY);
    Map<LocalDate, long[]> byMonth = new TreeMap<>();
    List<Long> silent = new ArrayList<>();
    long emails = 0;
    long toSilent = 0;
    long opened = 0;
    for (MailHealth.Mailed one : mailed) {
      boolean isSilent = one.opened() == 0;
      LocalDate month = LocalDate.ofInstant(one.came(), zone).withDayOfMonth(1);
      long[] counts = byMonth.computeIfAbsent(month, none -> new long[2]);
      counts[0]++;
      counts[1] += isSilent ? 1 : 0;
      emails += one.emails();
      opened += one.opened();
      if (isSilent) {
        toSilent += one.emails();
        silent.add(one.person());
      }
    }
    List<Silence.Group> groups =
        byMonth.entrySet().stream()
            .map(
                month ->
                    new Silence.Group(
                        MONTH.format(month.getKey()), month.getValue()[0], month.getValue()[1]))
            .toList();
    return new SilentView(
        days,
        groups.stream().map(AccountHealth::group).toList(),
        silent,
        new Silence(days, groups, emails, toSilent, opened).says());
  }

  private static SilentGroup group(Silence.Group group) {
    Optional<Interval> band = group.band();
    return new SilentGroup(
        group.came(),
        group.people(),
        group.silent(),
        (double) group.silent() / group.people(),
        band.map(Interval::low).orElse(0.0),
        band.map(Interval::high).orElse(1.0));
  }
}
