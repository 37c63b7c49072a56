package org.opentrellis.app.live;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.live.Life;

/**
 * Where somebody stands between two turns.
 *
 * @param nextAt null if nothing is due
 */
record LifeRow(
    long personId,
    long lotKey,
    String begun,
    int begunEdition,
    String standing,
    int edition,
    int turns,
    @Nullable Long nextAt) {

  Life life() {
    return new Life(edition, Documents.readStanding(Json.tree(standing)));
  }

  /** As they stood before their first turn. */
  Life beginning() {
    return new Life(begunEdition, Documents.readStanding(Json.tree(begun)));
  }

  /** After a turn. */
  LifeRow after(Life life, int turn, @Nullable Long nextAt) {
    return new LifeRow(
        personId, lotKey, begun, begunEdition, written(life), life.edition(), turn, nextAt);
  }

  /** The same, but for when they have a turn next. */
  LifeRow waking(@Nullable Long nextAt) {
    return new LifeRow(personId, lotKey, begun, begunEdition, standing, edition, turns, nextAt);
  }

  static String written(Life life) {
    return Json.write(Documents.write(life.standing()));
  }
}
