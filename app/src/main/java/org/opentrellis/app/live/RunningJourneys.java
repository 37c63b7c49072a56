package org.opentrellis.app.live;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.Running;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.live.Edition;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tells the workshop what runs. */
@Component
@Transactional(readOnly = true)
class RunningJourneys implements Running {
  private final EditionMapper editions;
  private final LifeMapper lives;
  private final Journeys journeys;
  private final MailLeaves mail;

  RunningJourneys(
      EditionMapper editions, LifeMapper lives, @Lazy Journeys journeys, MailLeaves mail) {
    this.editions = editions;
    this.lives = lives;
    this.journeys = journeys;
    this.mail = mail;
  }

  @Override
  public Map<String, Long> insideAtSteps(long journey) {
    Map<String, Long> inside = new HashMap<>();
    lives.atStepsOf(journey).forEach(at -> inside.put(at.step(), at.people()));
    return inside;
  }

  @Override
  public boolean changedSinceOpened(long journey, Journey now, Catalogue catalogue) {
    List<Journeys.Named> names = journeys.allNames();
    return editions
        .opened(journey)
        .map(EditionRow::edition)
        .map(Edition.Opened.class::cast)
        .filter(
            opened ->
                !plan(opened.plan(), opened.catalogue())
                    .equals(plan(LiveNames.running(journey, now, names), catalogue)))
        .isPresent();
  }

  @Override
  public Optional<String> mailLeavesTo() {
    return mail.to();
  }

  private static Journey plan(Journey journey, Catalogue catalogue) {
    return Strands.expand(journey, catalogue).edit().state(JourneyState.OPEN).done();
  }
}
