package org.opentrellis.app.dryruns;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Purpose;

/** One journey of a run as it is kept. */
record RunJourneyRow(
    long runId,
    int number,
    long journeyId,
    int journeyVersion,
    String journeyName,
    Purpose purpose,
    long entered,
    @Nullable Long goalMet,
    @Nullable Long lastReached,
    String document,
    String behaviour) {}
