package org.opentrellis.app.catalogue;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Pressure;

/**
 * How much mail is enough, as it is kept.
 *
 * @param document null if nothing is too much
 */
record PressureRow(@Nullable String document, int version) {
  Optional<Pressure> pressure() {
    return Optional.ofNullable(document).map(text -> Json.read(text, Pressure.class));
  }
}
