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
import org.opentrellis.app.letters.TextCosts;
import org.opentrellis.app.live.MailFigures;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.TextAfter;
import org.springframework.stereotype.Component;

/** What is to be known of a newsletter before it goes: how many get it, and what that takes. */
@Component
class NewsletterSays {
  private final NewsletterSurroundings surroundings;
  private final NewsletterAudience audience;
  private final TextCosts costs;
  private final MailFigures figures;
  private final Account account;
  private final AccountClock clock;

  NewsletterSays(
      NewsletterSurroundings surroundings,
      NewsletterAudience audience,
      TextCosts costs,
      MailFigures figures,
      Account account,
      AccountClock clock) {
    this.surroundings = surroundings;
    this.audience = audience;
    this.costs = costs;
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
    newsletter.text().flatMap(text -> texts(newsletter, text)).ifPresent(says::add);
    return says;
  }

  /** At most, since whoever opened or clicked may get none. */
  private Optional<String> texts(Newsletter newsletter, TextAfter text) {
    if (newsletter.who().isEmpty()) {
      return Optional.empty();
    }
    return text.text()
        .flatMap(costs::segments)
        .map(
            segments -> {
              int agreed = audience.agreedToTexts(newsletter);
              String price =
                  costs
                      .price((long) agreed * segments)
                      .map(" %s"::formatted)
                      .orElse(" (what one costs is not known: Account says it)");
              return String.format(
                  Locale.ROOT,
                  "%,d of them agreed to texts: at most %,d %s,%s.",
                  agreed,
                  (long) agreed * segments,
                  (long) agreed * segments == 1 ? "segment" : "segments",
                  price);
            });
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
    long most = newsletter.onceMore().isPresent() ? 2 * people : people;
    long left = limit - gone - most;
    String fits =
        left >= 0
            ? String.format(
                Locale.ROOT,
                most > people
                    ? "it fits, and %,d are left if it goes to all of them once more"
                    : "it fits, and %,d are left then",
                left)
            : gone + people <= limit
                ? String.format(
                    Locale.ROOT, "it fits once; %,d may have to wait when it goes once more", -left)
                : String.format(
                    Locale.ROOT, "%,d have to wait for the next month", gone + people - limit);
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
