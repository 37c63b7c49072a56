package org.opentrellis.app.demo;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.newsletter.Going;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.OnceMore;
import org.opentrellis.core.newsletter.Readers;
import org.opentrellis.core.newsletter.SubjectTest;
import org.springframework.stereotype.Component;

/** A month of Ambercomb: one newsletter that has gone by today, two that come, and a draft. */
@Component
class DemoNewsletters {
  private static final ListName FRIENDS = new ListName("Friends of the hive");
  private static final LocalTime EVENING = LocalTime.of(17, 0);

  private final Newsletters newsletters;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final Account account;
  private final AccountClock clock;

  DemoNewsletters(
      Newsletters newsletters,
      Journeys journeys,
      Catalogues catalogues,
      Account account,
      AccountClock clock) {
    this.newsletters = newsletters;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.account = account;
    this.clock = clock;
  }

  /**
   * Lays those that are to go, or have gone, by the end of so many days.
   *
   * @return the number of the one that goes within them
   */
  long lay(int days) {
    LocalDate begins = LocalDate.ofInstant(clock.instant(), account.zone());
    LocalDate today = begins.plusDays(days);
    LocalDate gone = begins.plusDays(6).with(TemporalAdjusters.next(DayOfWeek.THURSDAY));
    LocalDate next = today.plusDays(1).with(TemporalAdjusters.next(DayOfWeek.THURSDAY));
    long first =
        newsletters.keep(
            news("News of the hive, before the frost", "Before the frost", gone, EVENING),
            friends());
    newsletters.plan(first);
    Newsletter tried =
        news("News of the hive, the long nights", "What a season costs", next, EVENING);
    plan(
        new Newsletter(
            tried.name(),
            tried.message(),
            tried.who(),
            Optional.empty(),
            List.of(new JourneyName("First frames")),
            tried.going(),
            0,
            Optional.of(
                new SubjectTest(
                    List.of("A hive in numbers, before you buy one"),
                    30,
                    SubjectTest.By.OPENED,
                    3)),
            Optional.empty(),
            Optional.of(new OnceMore("In case it slipped past you: what a season costs", 72)),
            Optional.empty()));
    plan(news("Winter offer on kits", "Choosing a kit", next, LocalTime.of(9, 0)));
    newsletters.keep(
        news("After the solstice", "Waking the hive", next.plusDays(14), EVENING), friends());
    return first;
  }

  private void plan(Newsletter newsletter) {
    newsletters.plan(newsletters.keep(newsletter, friends()));
  }

  private Newsletter news(String name, String message, LocalDate day, LocalTime at) {
    return new Newsletter(
        name,
        Optional.of(message(message)),
        Optional.of(new Readers.Those(new Condition.OnList(FRIENDS))),
        Optional.empty(),
        List.of(),
        Optional.of(new Going(day, at, false)),
        0,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  private MessageId message(String name) {
    return catalogues.current().messages().stream()
        .filter(one -> one.name().equals(name))
        .map(Message::id)
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("the demo has no message " + name));
  }

  /** Those who come are on the list. */
  private Behaviour friends() {
    Behaviour usual = journeys.usual();
    return usual
        .edit()
        .groups(
            usual.groups().stream()
                .map(group -> group.edit().lists(Set.of(FRIENDS)).done())
                .toList())
        .done();
  }
}
