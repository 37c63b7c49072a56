package org.opentrellis.app.names;

/**
 * @param into the number of the tag that stays
 */
record NameMerge(long into) {}
