package org.opentrellis.app.journeys;

import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;

/**
 * A journey as it is kept, with what is assumed of its people.
 *
 * @param kind what it is to its users
 * @param archived whether it has been put away
 * @param starter the starter that it began from, if it did
 */
public record KeptJourney(
    long id,
    JourneyKind kind,
    int version,
    OffsetDateTime savedAt,
    Journey journey,
    Behaviour behaviour,
    int behaviourVersion,
    boolean archived,
    @Nullable String starter) {
  /** When it was saved is kept so exactly. */
  static final ChronoUnit SAVED_TO = ChronoUnit.MILLIS;

  /**
   * @param found the row of an id, if there is one
   * @param catalogue read after the row: what it refers to may have been written just before it
   * @throws NotFound if there is none
   */
  static KeptJourney of(Optional<JourneyRow> found, long id, Catalogue catalogue) {
    JourneyRow row = found.orElseThrow(() -> NotFound.of("journey", id));
    return new KeptJourney(
        row.id(),
        row.kind(),
        row.version(),
        row.savedAt(),
        Documents.readKeptJourney(row.document(), catalogue),
        Documents.readKeptBehaviour(row.behaviour()),
        row.behaviourVersion(),
        row.archived(),
        row.starter());
  }

  /** The same, saved once more. */
  KeptJourney saved(Journey other, OffsetDateTime at) {
    return new KeptJourney(
        id, kind, version + 1, at, other, behaviour, behaviourVersion, archived, starter);
  }
}
