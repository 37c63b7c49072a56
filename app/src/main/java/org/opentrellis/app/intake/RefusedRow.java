package org.opentrellis.app.intake;

/**
 * A row that was not taken.
 *
 * @param cells as a line of CSV; empty if nothing of it may be kept
 */
record RefusedRow(long rowNumber, long line, String why, String cells) {}
