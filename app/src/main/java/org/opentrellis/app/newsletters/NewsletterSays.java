package org.opentrellis.app.newsletters;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.live.MailFigures;
import org.opentrellis.core.newsletter.Newsletter;
import org.springframework.stereotype.Component;

/** What is to be known of a newsletter before it goes: how many get it, and what that takes. */
@Component
class NewsletterSays {
  private final NewsletterSurroundings surroundings;
  private final MailFigures figures;
  private final Account account;
  private final AccountClock clock;

  NewsletterSays(
      NewsletterSurroundings surroundings,
      MailFigures figures,
      Account account,
      AccountClock clock) {
    this.surroundings = surroundings;
    this.figures = figures;
    this.account = account;
    this.clock = clock;
  }

  List<String> of(Newsletter newsletter, long people) {
    List<String> says = new ArrayList<>();
    String usually =
        surroundings
            .usually()
            .map(usual -> String.format(Locale.ROOT, " Usually %,d do.", usual))
            .orElse("");
    says.add(
        String.format(
                Locale.ROOT,
                people == 1
                    ? "%,d person gets it, as people are now."
                    : "%,d people get it, as they are now.",
                people)
            + usually);
    quota(newsletter, people).ifPresent(says::add);
    return says;
  }

  /** Of the month in which it goes out, as far as mail has gone. */
  private Optional<String> quota(Newsletter newsletter, long people) {
    Long limit = account.limits().monthlyQuota();
    if (limit == null) {
      return Optional.empty();
    }
    ZoneId zone = account.zone();
    LocalDate now = LocalDate.ofInstant(clock.instant(), zone);
    LocalDate day = newsletter.going().map(going -> going.date()).orElse(now);
    String month = day.getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    boolean thisMonth = day.getYear() == now.getYear() && day.getMonth() == now.getMonth();
    long gone =
        thisMonth
            ? figures.emailsSince(now.withDayOfMonth(1).atStartOfDay(zone).toEpochSecond())
            : 0;
    long left = limit - gone - people;
    String fits =
        left >= 0
            ? "it fits, and %,d are left then".formatted(left)
            : "%,d have to wait for the next month".formatted(-left);
    return Optional.of(
        String.format(
            Locale.ROOT,
            "%,d of %s\u2019s %,d emails have gone so far: %s.",
            gone,
            month,
            limit,
            fits));
  }
}
