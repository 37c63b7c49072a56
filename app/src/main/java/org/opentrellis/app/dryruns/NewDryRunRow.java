package org.opentrellis.app.dryruns;

import org.jspecify.annotations.Nullable;

/** A row to insert; the database sets its id. Mutable, because MyBatis hands keys back that way. */
final class NewDryRunRow {
  @Nullable Long id;
  final SummaryRow summary;
  final DryRunRow content;

  NewDryRunRow(SummaryRow summary, DryRunRow content) {
    this.summary = summary;
    this.content = content;
  }
}
