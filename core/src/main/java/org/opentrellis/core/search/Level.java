package org.opentrellis.core.search;

import java.util.function.UnaryOperator;
import org.opentrellis.core.vary.VariedRun;

/**
 * One of the things that may be tried.
 *
 * @param key names it among the levels of its factor, the same as long as the leeway is
 * @param brief in a word or two: "3 days"
 * @param words what is different with it, as a sentence without its full stop
 * @param change makes a plan so; leaves it alone where the step is gone
 */
record Level(String key, String brief, String words, UnaryOperator<VariedRun> change) {}
