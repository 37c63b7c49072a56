package org.opentrellis.app.journeys;

import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.revisions.NameChanged;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.NameExchange;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Journeys follow when a name changes: the newest version by a new one, so that whoever has it open
 * is told; those before in their place, so that they go on meaning what they meant.
 */
@Component
class NamesInJourneys {
  /** After what journeys refer to. */
  private static final int AFTER_CATALOGUE = 10;

  private static final String SIGNED = "a name changed";

  private final JourneyMapper mapper;
  private final VersionMapper versions;
  private final Journeys journeys;
  private final Cards cards;
  private final Catalogues catalogues;
  private final Revisions revisions;

  NamesInJourneys(
      JourneyMapper mapper,
      VersionMapper versions,
      Journeys journeys,
      Cards cards,
      Catalogues catalogues,
      Revisions revisions) {
    this.mapper = mapper;
    this.versions = versions;
    this.journeys = journeys;
    this.cards = cards;
    this.catalogues = catalogues;
    this.revisions = revisions;
  }

  @EventListener
  @Order(AFTER_CATALOGUE)
  void follow(NameChanged change) {
    revisions.hold();
    NameExchange exchange = new NameExchange(change.before(), change.after());
    Catalogue catalogue = catalogues.current();
    mapper.holding(change.text()).forEach(id -> follow(id, exchange, catalogue));
    // After the newest: what was the newest is one of those before now.
    versions
        .holding(change.text())
        .forEach(
            row -> {
              Journey journey = Documents.readKeptJourney(row.document(), catalogue);
              Journey renamed = exchange.in(journey);
              if (renamed != journey) {
                versions.rewrite(
                    row.journeyId(), row.version(), Json.write(Documents.write(renamed)));
              }
            });
  }

  private void follow(long id, NameExchange exchange, Catalogue catalogue) {
    KeptJourney kept = KeptJourney.of(mapper.find(id), id, catalogue);
    Behaviour behaviour = exchange.in(kept.behaviour());
    boolean assumed = behaviour != kept.behaviour();
    if (assumed) {
      mapper.updateBehaviour(id, kept.behaviourVersion(), Json.write(Documents.write(behaviour)));
      kept = KeptJourney.of(mapper.find(id), id, catalogue);
    }
    Journey renamed = exchange.in(kept.journey());
    if (renamed != kept.journey()) {
      journeys.write(kept, renamed, SIGNED).orElseThrow();
    } else if (assumed) {
      cards.make(id);
    }
  }
}
