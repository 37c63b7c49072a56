package org.opentrellis.app.people;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A field of somebody. */
record FilledRow(
    long personId,
    String name,
    @Nullable String words,
    @Nullable Double number,
    @Nullable LocalDate dated) {

  ValueRow value() {
    return new ValueRow(name, words, number, dated);
  }

  String coded() {
    return value().coded();
  }
}
