package org.opentrellis.app.dryruns;

import org.jspecify.annotations.Nullable;

/** A row to insert; the database sets its id. Mutable, because MyBatis hands keys back that way. */
final class NewRunRow {
  @Nullable Long id;
  final RunRow row;
  final byte @Nullable [] counts;

  NewRunRow(RunRow row, byte @Nullable [] counts) {
    this.row = row;
    this.counts = counts;
  }
}
