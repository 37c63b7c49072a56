package org.opentrellis.core.journey;

/**
 * A segment: the people for whom a condition on their record holds.
 *
 * @param who asks nothing about a journey's emails or entry
 */
public record Segment(SegmentName name, Condition who) {}
