package org.opentrellis.app.tryouts;

/**
 * A private run as it is kept: all else follows from it.
 *
 * @param version of the journey that is tried
 * @param who tries it, as JSON
 * @param begunAt in epoch seconds
 * @param lotKey by which lots fall
 * @param acts what they did, as JSON
 */
record TryoutRow(
    long journeyId,
    int version,
    String plan,
    String catalogue,
    String who,
    long begunAt,
    long lotKey,
    String acts) {}
