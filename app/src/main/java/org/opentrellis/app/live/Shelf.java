package org.opentrellis.app.live;

import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.JourneyStateChanged;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What is open follows the states of journeys; whoever is inside has a turn at once. */
@Component
@Transactional
class Shelf {
  private final OpenJourneys open;
  private final Lookouts lookouts;
  private final LifeMapper lives;
  private final AccountClock clock;

  Shelf(OpenJourneys open, Lookouts lookouts, LifeMapper lives, AccountClock clock) {
    this.open = open;
    this.lookouts = lookouts;
    this.lives = lives;
    this.clock = clock;
  }

  @EventListener
  void follow(JourneyStateChanged change) {
    switch (change.state()) {
      case OPEN -> {
        open.open(change.journey(), change.takesAlong());
        lookouts.opens(change.journey());
      }
      case CLOSING -> open.close(change.journey());
      case STOPPED -> open.stop(change.journey());
      case DRAFT -> {}
    }
    lives.wakeInside(change.journey(), clock.now());
  }
}
