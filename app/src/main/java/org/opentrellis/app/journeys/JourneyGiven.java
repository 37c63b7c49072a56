package org.opentrellis.app.journeys;

import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Journey;

/**
 * Somebody has handed a journey in, and it is about to be saved: whoever will be asked about it in
 * a moment may begin.
 */
public record JourneyGiven(Journey journey, Behaviour behaviour) {}
