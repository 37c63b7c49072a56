package org.opentrellis.app.people;

/**
 * Other people for a segment.
 *
 * @param find a sentence that says who they are
 * @param version at which it was read
 */
record SegmentEdit(String find, int version) {}
