package org.opentrellis.app.live;

import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Pressure;
import org.opentrellis.core.live.Edition;

/**
 * A change of what is open, as it is kept.
 *
 * @param journeyId null if it is of no journey
 * @param version and the three after it, of what was opened
 * @param pressure of what is enough; null if nothing is too much
 */
record EditionRow(
    int number,
    @Nullable Long journeyId,
    Kind kind,
    long at,
    @Nullable Integer version,
    @Nullable String document,
    @Nullable String catalogue,
    @Nullable Boolean takesAlong,
    @Nullable String pressure) {

  enum Kind {
    OPENED,
    CLOSED,
    STOPPED,
    PRESSED
  }

  Edition edition() {
    return switch (kind) {
      case OPENED -> {
        Catalogue all = Documents.readCatalogue(Json.tree(Objects.requireNonNull(catalogue)));
        yield new Edition.Opened(
            Documents.readKeptJourney(Objects.requireNonNull(document), all),
            number,
            all,
            Objects.requireNonNull(takesAlong));
      }
      case CLOSED -> new Edition.Closed(name());
      case STOPPED -> new Edition.Stopped(name());
      case PRESSED ->
          new Edition.Pressed(
              Optional.ofNullable(pressure).map(text -> Json.read(text, Pressure.class)));
    };
  }

  private JourneyName name() {
    return LiveNames.of(Objects.requireNonNull(journeyId));
  }
}
