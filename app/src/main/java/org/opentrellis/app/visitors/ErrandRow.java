package org.opentrellis.app.visitors;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.crowd.Errand;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;

/**
 * Something that somebody is going to do, as it is kept.
 *
 * @param at in epoch seconds
 * @param document what they do, for {@link Kind#DOES}
 * @param tries how often it could not be done yet
 */
record ErrandRow(
    long id, long visitorId, long at, Kind kind, @Nullable String document, int tries) {
  enum Kind {
    SIGNS_UP,
    CONFIRMS,
    DOES
  }

  static ErrandRow of(long visitor, Errand errand) {
    return switch (errand) {
      case Errand.SignsUp up -> new ErrandRow(0, visitor, up.at(), Kind.SIGNS_UP, null, 0);
      case Errand.Confirms that -> new ErrandRow(0, visitor, that.at(), Kind.CONFIRMS, null, 0);
      case Errand.Does does ->
          new ErrandRow(
              0, visitor, does.at(), Kind.DOES, Json.write(Documents.write(does.what())), 0);
    };
  }

  Happening what() {
    return Documents.readHappening(Json.tree(Objects.requireNonNull(document)));
  }
}
