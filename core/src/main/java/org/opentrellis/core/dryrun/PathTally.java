package org.opentrellis.core.dryrun;

/**
 * People who went the same way: took the same arms and ended at the same place for the same reason.
 *
 * @param firstPerson the first of them, by whom the way can be followed again
 * @param firstVisit which of that person's visits, by order of entry
 * @param count how many
 * @param goalMet of them
 * @param messages sent to them in all
 * @param seconds from entry to the end in all; to the horizon for those still inside
 */
public record PathTally(
    int firstPerson, int firstVisit, long count, long goalMet, long messages, long seconds) {}
