package org.opentrellis.app.dryruns;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.measure.Share;

/**
 * A dry run in short.
 *
 * @param goal who met the goal, of those who entered; null if the journey had none
 * @param lastReach who got the last email, of those who entered; null if it sent none
 */
public record DryRunSummary(
    long id,
    long journeyId,
    String journeyName,
    Purpose purpose,
    int journeyVersion,
    int people,
    long seed,
    int horizonDays,
    OffsetDateTime madeAt,
    long millis,
    long entered,
    @Nullable Share goal,
    @Nullable Share lastReach) {}
