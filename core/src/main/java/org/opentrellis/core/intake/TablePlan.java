package org.opentrellis.core.intake;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How the rows of a table are read.
 *
 * @param columns from the left
 * @param country two letters (ISO 3166) whose numbers the table writes without its code; null if
 *     every number has one
 * @param choices what fields of the type "one of a list" may hold
 */
public record TablePlan(
    List<ColumnPlan> columns, @Nullable String country, Map<String, List<String>> choices) {}
