package org.opentrellis.app.intake;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.intake.ColumnPlan;
import org.opentrellis.core.intake.TableForm;

/**
 * A table that was handed in and is not brought in yet.
 *
 * @param encodings those that can be chosen
 * @param rows how many there are, without the one that names the columns
 */
record TableView(
    long id,
    String name,
    TableForm form,
    List<String> encodings,
    long rows,
    List<FoundColumn> columns) {

  /**
   * A column as it is found.
   *
   * @param head its name; empty if it has none
   * @param samples what stands in it in the first rows
   * @param asks what has to be said before it can be read
   */
  record FoundColumn(String head, List<String> samples, ColumnPlan plan, @Nullable String asks) {}
}
