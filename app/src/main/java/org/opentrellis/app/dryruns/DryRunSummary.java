package org.opentrellis.app.dryruns;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.measure.Share;

/**
 * One journey of a dry run in short.
 *
 * @param id the run's
 * @param number the journey's in the run, from 0
 * @param name given to the run by hand, or null
 * @param pinned whether it is kept at the top
 * @param journeys how many the run takes together
 * @param cohortName what its people are called, or null
 * @param goal who met the goal, of those who entered; null if the journey had none
 * @param lastReach who got the last email, of those who entered; null if it sent none
 * @param lived who the people are, if it tells what they really went through; null if they were
 *     simulated
 * @param aside whether its journey was never what it is now: a variation that was kept aside
 */
public record DryRunSummary(
    long id,
    int number,
    @Nullable String name,
    boolean pinned,
    long journeyId,
    String journeyName,
    Purpose purpose,
    int journeyVersion,
    int journeys,
    int people,
    @Nullable String cohortName,
    long seed,
    int horizonDays,
    OffsetDateTime madeAt,
    long millis,
    long entered,
    @Nullable Share goal,
    @Nullable Share lastReach,
    @Nullable String lived,
    boolean aside) {}
