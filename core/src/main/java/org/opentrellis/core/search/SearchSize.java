package org.opentrellis.core.search;

/**
 * How much there is to try.
 *
 * @param combinations of all levels, today's among them
 * @param tries how many of them are tried, about
 * @param all whether that is every one
 * @param personRuns how often one person goes through a journey for it, about
 */
public record SearchSize(long combinations, int tries, boolean all, long personRuns) {}
