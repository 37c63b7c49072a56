package org.opentrellis.app.betterways;

/**
 * A better way that was kept as a version of its journey.
 *
 * @param version its number
 * @param name what it is called
 * @param run a dry run of it with the same people, to be put side by side
 */
record KeptWayView(int version, String name, long run) {}
