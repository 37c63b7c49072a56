package org.opentrellis.app.journeys;

import org.opentrellis.core.journey.JourneyState;

/**
 * A journey was opened, closed, stopped or made a draft again; told in the transaction in which it
 * is.
 *
 * @param takesAlong when it is opened: whether those inside go on with it as it is now
 */
public record JourneyStateChanged(long journey, JourneyState state, boolean takesAlong) {}
