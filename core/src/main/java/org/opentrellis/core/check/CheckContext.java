package org.opentrellis.core.check;

import java.util.List;
import java.util.Set;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.TagName;

/**
 * What checks look at.
 *
 * @param messages those that the journey sends
 * @param behaviour what is assumed of people, for the figures
 * @param tagsSetElsewhere tags that other journeys set
 */
public record CheckContext(
    Journey journey, List<Message> messages, Behaviour behaviour, Set<TagName> tagsSetElsewhere) {}
