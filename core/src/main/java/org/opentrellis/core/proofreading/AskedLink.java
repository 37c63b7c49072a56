package org.opentrellis.core.proofreading;

import org.opentrellis.core.journey.LinkName;

/**
 * A link of a message that a journey asks about.
 *
 * @param journey what it is called
 */
public record AskedLink(String journey, LinkName link) {}
