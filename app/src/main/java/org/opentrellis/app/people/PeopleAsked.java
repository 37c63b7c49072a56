package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;

/**
 * Which people are asked for.
 *
 * @param find a sentence that says who is meant; nothing for everybody
 * @param search what stands in their name or address; nothing for whatever
 * @param after the last one of the page before; null for the first page
 */
record PeopleAsked(String find, String search, PeopleOrder order, @Nullable Long after) {}
