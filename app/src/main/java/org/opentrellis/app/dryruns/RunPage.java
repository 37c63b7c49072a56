package org.opentrellis.app.dryruns;

import java.util.List;

/**
 * A page of kept runs in short, a line for each of their journeys.
 *
 * @param total how many lines there are in all
 */
record RunPage(List<DryRunSummary> runs, int total) {}
