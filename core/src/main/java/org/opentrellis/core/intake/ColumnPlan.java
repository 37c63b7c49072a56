package org.opentrellis.core.intake;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.people.FieldType;

/**
 * What a column is taken for.
 *
 * @param field the name of the field, if it is one
 * @param type of the field
 * @param dates how its dates are written; null where that is not known
 * @param decimal how its numbers are written; null where that is not known
 */
public record ColumnPlan(
    Use use,
    @Nullable String field,
    @Nullable FieldType type,
    @Nullable DateOrder dates,
    @Nullable DecimalMark decimal) {

  public static ColumnPlan of(Use use) {
    return new ColumnPlan(use, null, null, null, null);
  }
}
