package org.opentrellis.app.live;

import java.util.List;
import java.util.Optional;
import org.opentrellis.app.catalogue.PressureChanged;
import org.opentrellis.app.catalogue.Pressures;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.JourneyStateChanged;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What is open follows the states of journeys; whoever is inside has a turn at once. */
@Component
@Transactional
class Shelf {
  /** So many have their turn at once; more than that have it while the answer is on its way. */
  private static final int AT_ONCE = 200;

  private final OpenJourneys open;
  private final Lookouts lookouts;
  private final Pressures pressures;
  private final LifeMapper lives;
  private final Turns turns;
  private final AccountClock clock;

  Shelf(
      OpenJourneys open,
      Lookouts lookouts,
      Pressures pressures,
      LifeMapper lives,
      Turns turns,
      AccountClock clock) {
    this.open = open;
    this.lookouts = lookouts;
    this.pressures = pressures;
    this.lives = lives;
    this.turns = turns;
    this.clock = clock;
  }

  /** Those who wait for room look again at once. */
  @EventListener
  void follow(PressureChanged change) {
    if (!open.none()) {
      open.press(change.pressure());
      lives.wakeAll(clock.now());
    }
  }

  @EventListener
  void follow(JourneyStateChanged change) {
    if (open.none()) {
      pressures.now().pressure().ifPresent(one -> open.press(Optional.of(one)));
    }
    switch (change.state()) {
      case OPEN -> {
        open.open(change.journey(), change.takesAlong());
        lookouts.opens(change.journey());
      }
      case CLOSING -> open.close(change.journey());
      case STOPPED -> open.stop(change.journey());
      case DRAFT -> {}
    }
    long now = clock.now();
    lives.wakeInside(change.journey(), now);
    List<Long> inside = lives.inside(change.journey(), AT_ONCE);
    if (inside.size() < AT_ONCE) {
      turns.take(inside.stream().map(person -> new Turns.Asked(person, List.of(), now)).toList());
    }
  }
}
