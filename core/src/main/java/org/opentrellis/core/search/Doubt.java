package org.opentrellis.core.search;

import java.util.function.UnaryOperator;
import org.opentrellis.core.vary.VariedRun;

/**
 * People who are otherwise than they are assumed to be.
 *
 * @param words how they are: "people open less"
 * @param change makes a plan's people so
 */
record Doubt(String words, UnaryOperator<VariedRun> change) {}
