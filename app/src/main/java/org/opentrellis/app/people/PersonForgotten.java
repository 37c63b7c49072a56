package org.opentrellis.app.people;

/** Somebody was forgotten for good: whatever else knows of their address forgets it as well. */
public record PersonForgotten(String address) {}
