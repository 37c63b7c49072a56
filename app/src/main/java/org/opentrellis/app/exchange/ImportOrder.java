package org.opentrellis.app.exchange;

import java.util.Set;

/**
 * A journey file to bring in.
 *
 * @param text the whole file
 * @param keep whether to keep it; otherwise only what it would do is told
 * @param overwrite the clashes in which the file's side is taken, by their keys
 */
record ImportOrder(String text, boolean keep, Set<String> overwrite) {}
