package org.opentrellis.app.people;

/**
 * A cohort that was made like some people.
 *
 * @param people how many it has
 * @param groups how many groups they form
 * @param lookedAt by how many people it was made
 */
record LikeThem(String name, long people, int groups, int lookedAt) {}
