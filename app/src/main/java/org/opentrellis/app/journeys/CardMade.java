package org.opentrellis.app.journeys;

/** A journey's card has been made anew, in the transaction in which this is told. */
public record CardMade(long journey) {}
