package org.opentrellis.app.live;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.live.Edition;

/** A change of what is open, as it is kept; only what was opened has the last four. */
record EditionRow(
    int number,
    long journeyId,
    Kind kind,
    long at,
    @Nullable Integer version,
    @Nullable String document,
    @Nullable String catalogue,
    @Nullable Boolean takesAlong) {

  enum Kind {
    OPENED,
    CLOSED,
    STOPPED
  }

  Edition edition() {
    JourneyName name = LiveNames.of(journeyId);
    return switch (kind) {
      case OPENED -> {
        Catalogue all = Documents.readCatalogue(Json.tree(Objects.requireNonNull(catalogue)));
        yield new Edition.Opened(
            Documents.readKeptJourney(Objects.requireNonNull(document), all),
            number,
            all,
            Objects.requireNonNull(takesAlong));
      }
      case CLOSED -> new Edition.Closed(name);
      case STOPPED -> new Edition.Stopped(name);
    };
  }
}
