package org.opentrellis.app.journeys;

/** What the others need to know of a journey, as it is kept. */
record FactsRow(
    long id,
    JourneyKind kind,
    String name,
    boolean archived,
    String neighbour,
    String names,
    long revision) {}
