package org.opentrellis.app.journeys;

/** A journey's card as it is made, without findings and picture. */
record CardRow(
    long journeyId,
    int form,
    String purpose,
    String state,
    String search,
    String opening,
    String goal,
    String body,
    String neighbour,
    String names,
    long revision) {}
