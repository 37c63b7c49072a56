package org.opentrellis.app.journeys;

/** A version of a journey in which some text stands. */
record HeldVersion(long journeyId, int version, String document) {}
