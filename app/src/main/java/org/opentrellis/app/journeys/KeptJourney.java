package org.opentrellis.app.journeys;

import java.time.OffsetDateTime;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Journey;

/** A journey as it is kept, with what is assumed of its people. */
public record KeptJourney(
    long id,
    int version,
    OffsetDateTime savedAt,
    Journey journey,
    Behaviour behaviour,
    int behaviourVersion) {}
