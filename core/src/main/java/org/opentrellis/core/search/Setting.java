package org.opentrellis.core.search;

/**
 * One thing that a variation sets.
 *
 * @param factor what, by its id
 * @param level to what, by its key
 */
public record Setting(String factor, String level) {}
