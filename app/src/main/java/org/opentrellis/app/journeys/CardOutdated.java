package org.opentrellis.app.journeys;

/** A list was asked for, and what the checks find in a journey was no longer of now. */
public record CardOutdated(long journey) {}
