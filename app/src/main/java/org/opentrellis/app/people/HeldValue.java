package org.opentrellis.app.people;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** What somebody has in a field. */
record HeldValue(
    long personId,
    String name,
    @Nullable String words,
    @Nullable Double number,
    @Nullable LocalDate dated) {

  ValueRow value() {
    return new ValueRow(name, words, number, dated);
  }
}
