package org.opentrellis.core.intake;

import java.util.List;

/**
 * A row of a table.
 *
 * @param number of the row, from 1, without the one that names the columns
 * @param line on which it begins, from 1
 */
public record TableRow(long number, long line, List<String> cells) {}
