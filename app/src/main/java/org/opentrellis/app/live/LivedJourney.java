package org.opentrellis.app.live;

import java.time.Instant;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.lived.LivedRun;

/**
 * A journey that people really went through, as it was opened last.
 *
 * @param plan as it runs
 * @param told the same with the names that readers know
 * @param people how many have come to it
 * @param first when the first of them did, in epoch seconds
 * @param start of the first day that is counted
 * @param days how many
 * @param until the present, in epoch seconds
 */
record LivedJourney(
    long journey,
    int version,
    Journey plan,
    Journey told,
    Catalogue catalogue,
    LivedRun run,
    int people,
    long first,
    Instant start,
    int days,
    long until) {}
