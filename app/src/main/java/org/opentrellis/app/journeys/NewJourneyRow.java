package org.opentrellis.app.journeys;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

/** A row to insert; the database sets its id. Mutable, because MyBatis hands keys back that way. */
final class NewJourneyRow {
  @Nullable Long id;
  final JourneyKind kind;
  final String name;
  final String document;
  final OffsetDateTime savedAt;
  final String behaviour;
  final @Nullable String starter;

  NewJourneyRow(
      JourneyKind kind,
      String name,
      String document,
      OffsetDateTime savedAt,
      String behaviour,
      @Nullable String starter) {
    this.kind = kind;
    this.name = name;
    this.document = document;
    this.savedAt = savedAt;
    this.behaviour = behaviour;
    this.starter = starter;
  }
}
