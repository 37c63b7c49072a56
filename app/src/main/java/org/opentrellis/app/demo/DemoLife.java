package org.opentrellis.app.demo;

import java.time.Duration;
import java.util.List;
import java.util.Objects;
import org.opentrellis.app.clock.ClockKeeper;
import org.opentrellis.app.journeys.JourneyShelf;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.ClockTurning;
import org.opentrellis.app.live.CrowdOrder;
import org.opentrellis.app.live.Crowds;
import org.opentrellis.app.rules.Rules;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Has the demo's journeys been open for three weeks: they are opened then, simulated people come,
 * and the clock is turned on to today, with all that happens on the way.
 */
@Component
class DemoLife {
  private static final Duration OPEN_FOR = Duration.ofDays(21);
  private static final int DAYS = 17;
  private static final long SEED = 61;

  /** So many of the account's people come as guests, by journey. */
  private static final List<Coming> COMING =
      List.of(
          new Coming("First frames", 0.06),
          new Coming("Left on the bench", 0.03),
          new Coming("Membership turns over", 0));

  private static final int FEWEST = 12;

  /** So many of the account's people read its newsletters. */
  private static final double READERS = 0.2;

  private static final int MOST_READERS = 400;

  private record Coming(String journey, double share) {}

  private final Journeys journeys;
  private final JourneyShelf shelf;
  private final DemoNewsletters newsletters;
  private final DemoNews news;
  private final Rules rules;
  private final Crowds crowds;
  private final ClockKeeper keeper;
  private final ClockTurning clock;
  private final TransactionTemplate transaction;

  DemoLife(
      Journeys journeys,
      JourneyShelf shelf,
      DemoNewsletters newsletters,
      DemoNews news,
      Rules rules,
      Crowds crowds,
      ClockKeeper keeper,
      ClockTurning clock,
      TransactionTemplate transaction) {
    this.journeys = journeys;
    this.shelf = shelf;
    this.newsletters = newsletters;
    this.news = news;
    this.rules = rules;
    this.crowds = crowds;
    this.keeper = keeper;
    this.clock = clock;
    this.transaction = transaction;
  }

  /** Before anything is laid: it is three weeks ago. */
  void beginsBefore() {
    keeper.beginBefore(OPEN_FOR);
  }

  /** After everything is laid. */
  void goesOn(int people) {
    for (Coming coming : COMING) {
      long id =
          journeys.names().stream()
              .filter(one -> one.name().equals(coming.journey()))
              .findFirst()
              .orElseThrow()
              .id();
      transaction.executeWithoutResult(status -> shelf.open(id));
      if (coming.share() > 0) {
        int guests = Math.max(FEWEST, (int) (people * coming.share()));
        crowds.come(new CrowdOrder(List.of(id), guests, DAYS, SEED + id));
      }
    }
    transaction.executeWithoutResult(
        status -> {
          rules.add("when someone buys something from Hives, tag hive-keeper", true);
          rules.add("when someone buys Membership, tag member", true);
          rules.add("when someone gets tag lapsed, add to list Quiet", false);
        });
    transaction.executeWithoutResult(status -> news.lay((int) OPEN_FOR.toDays()));
    long letter =
        Objects.requireNonNull(
            transaction.execute(status -> newsletters.lay((int) OPEN_FOR.toDays())));
    int readers = Math.clamp((long) (people * READERS), FEWEST, MOST_READERS);
    crowds.come(new CrowdOrder(List.of(letter), readers, DAYS, SEED + letter));
    clock.catchUp();
  }

  /** What was cut off before goes on. */
  void catchesUp() {
    clock.catchUp();
  }
}
