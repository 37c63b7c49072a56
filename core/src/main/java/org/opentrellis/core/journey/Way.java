package org.opentrellis.core.journey;

import java.util.List;

/**
 * A way through a branch or a split test, whichever it is.
 *
 * @param id the arm's
 * @param steps in order
 */
public record Way(StepId id, List<Step> steps) {}
