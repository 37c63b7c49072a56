package org.opentrellis.app.journeys;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Makes the cards that a later version of the application tells otherwise. */
@Component
@Order(0)
class CardsAtStart implements ApplicationRunner {
  private final Cards cards;

  CardsAtStart(Cards cards) {
    this.cards = cards;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    cards.makeMissing();
  }
}
