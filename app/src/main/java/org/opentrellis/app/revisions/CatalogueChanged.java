package org.opentrellis.app.revisions;

import org.opentrellis.core.journey.Name;

/**
 * A message, strand or segment has been added or changed, in the transaction in which this is told.
 *
 * @param name what it is referred to by
 */
public record CatalogueChanged(Name name) {}
