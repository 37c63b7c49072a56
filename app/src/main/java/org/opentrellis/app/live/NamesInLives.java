package org.opentrellis.app.live;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.revisions.NameChanged;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.machine.PersonState;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What runs follows when a name changes: the plans that people go through, where everybody stands,
 * and what happened to them, so that nobody stands at a name that is gone.
 */
@Component
@Transactional
class NamesInLives {
  /** After the journeys, which need the account's hold. */
  private static final int AFTER_JOURNEYS = 20;

  private final EditionMapper editions;
  private final LifeMapper lives;
  private final HappeningMapper log;
  private final Revisions revisions;

  NamesInLives(EditionMapper editions, LifeMapper lives, HappeningMapper log, Revisions revisions) {
    this.editions = editions;
    this.lives = lives;
    this.log = log;
    this.revisions = revisions;
  }

  @EventListener
  @Order(AFTER_JOURNEYS)
  void follow(NameChanged change) {
    if (change.before() instanceof JourneyName) {
      // Where they run, journeys are called by their numbers.
      return;
    }
    NameExchange exchange = new NameExchange(change.before(), change.after());
    // Without its quotation marks: where kinds of names are mixed, the kind stands in front.
    String text = change.text().substring(1, change.text().length() - 1);
    List<EditionRow> holding = editions.holding(text);
    holding.forEach(row -> follow(row, exchange));
    if (!holding.isEmpty()) {
      revisions.grow(Revisions.Kind.EDITIONS);
    }
    for (LifeRow row : lives.holding(text)) {
      lives.rewrite(
          row.personId(), standing(row.begun(), exchange), standing(row.standing(), exchange));
    }
    for (HappeningMapper.Told told : log.holding(text)) {
      Happening happening = Documents.readHappening(Json.tree(told.document()));
      log.rewrite(told.id(), Json.write(Documents.write(exchange.in(happening))));
    }
  }

  private void follow(EditionRow row, NameExchange exchange) {
    Catalogue catalogue =
        Documents.readCatalogue(Json.tree(Objects.requireNonNull(row.catalogue())));
    Journey journey = Documents.readKeptJourney(Objects.requireNonNull(row.document()), catalogue);
    @Nullable String written = Json.write(Documents.write(exchange.in(journey)));
    editions.rewrite(row.number(), written, Json.write(Documents.write(exchange.in(catalogue))));
  }

  private static String standing(String document, NameExchange exchange) {
    PersonState standing = Documents.readStanding(Json.tree(document));
    return Json.write(Documents.write(exchange.in(standing)));
  }
}
