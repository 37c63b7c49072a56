package org.opentrellis.app.dryruns;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.measure.Share;

/** A run in short, as it is kept. */
record SummaryRow(
    long id,
    long journeyId,
    int journeyVersion,
    String journeyName,
    Purpose purpose,
    int people,
    long seed,
    int horizonDays,
    OffsetDateTime madeAt,
    long millis,
    long entered,
    @Nullable Long goalMet,
    @Nullable Long lastReached) {

  DryRunSummary summary() {
    return new DryRunSummary(
        id,
        journeyId,
        journeyName,
        purpose,
        journeyVersion,
        people,
        seed,
        horizonDays,
        madeAt,
        millis,
        entered,
        goalMet == null ? null : Share.of(goalMet, entered),
        lastReached == null ? null : Share.of(lastReached, entered));
  }
}
