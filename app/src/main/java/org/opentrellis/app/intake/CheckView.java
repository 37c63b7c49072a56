package org.opentrellis.app.intake;

import java.util.List;

/**
 * What bringing a table in would do.
 *
 * @param sentences in words
 * @param refusals the first rows that would be refused
 */
record CheckView(
    long rows,
    long added,
    long known,
    long refused,
    List<String> sentences,
    List<RefusedLine> refusals) {

  record RefusedLine(long line, String why) {}
}
