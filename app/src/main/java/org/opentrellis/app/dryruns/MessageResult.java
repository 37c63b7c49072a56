package org.opentrellis.app.dryruns;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.measure.Share;

/**
 * How a message did in a run.
 *
 * @param step that sent it
 * @param which of the journey's sends it is, if the message is sent more than once; null otherwise
 * @param people of the run
 * @param at when it was made, in epoch seconds
 * @param delivered of sent
 * @param opened of delivered
 * @param clicked of delivered
 */
record MessageResult(
    long run,
    long journeyId,
    String journeyName,
    String step,
    @Nullable String which,
    int people,
    long at,
    Share delivered,
    Share opened,
    Share clicked) {}
