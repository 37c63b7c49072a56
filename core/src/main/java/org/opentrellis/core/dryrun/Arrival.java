package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.PersonState;

/**
 * Somebody who really came to a journey.
 *
 * @param before as they stood then: with no visit, and with nothing ahead of it
 * @param trigger the position of what brought them among the journey's triggers; -1 if they were
 *     put in in some other way
 * @param at when, in epoch seconds
 */
public record Arrival(PersonState before, int trigger, long at) {}
