package org.opentrellis.app.dryruns;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.measure.Share;

/** One journey of a run in short, as it is kept. */
record SummaryRow(
    long id,
    int number,
    @Nullable String name,
    boolean pinned,
    long journeyId,
    int journeyVersion,
    String journeyName,
    Purpose purpose,
    int journeys,
    int people,
    @Nullable String cohortName,
    long seed,
    int horizonDays,
    OffsetDateTime madeAt,
    long millis,
    long entered,
    @Nullable Long goalMet,
    @Nullable Long lastReached,
    @Nullable String lived,
    boolean aside) {

  DryRunSummary summary() {
    return new DryRunSummary(
        id,
        number,
        name,
        pinned,
        journeyId,
        journeyName,
        purpose,
        journeyVersion,
        journeys,
        people,
        cohortName,
        seed,
        horizonDays,
        madeAt,
        millis,
        entered,
        goalMet == null ? null : Share.of(goalMet, entered),
        lastReached == null ? null : Share.of(lastReached, entered),
        lived,
        aside);
  }
}
