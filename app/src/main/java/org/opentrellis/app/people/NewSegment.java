package org.opentrellis.app.people;

/**
 * People who are to be known by a name.
 *
 * @param find the sentence that means them
 */
public record NewSegment(String name, String find) {}
