package org.opentrellis.app.journeys;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Journey;

/**
 * A journey as it is kept, with what is assumed of its people.
 *
 * @param archived whether it has been put away
 * @param starter the starter that it began from, if it did
 */
public record KeptJourney(
    long id,
    int version,
    OffsetDateTime savedAt,
    Journey journey,
    Behaviour behaviour,
    int behaviourVersion,
    boolean archived,
    @Nullable String starter) {}
