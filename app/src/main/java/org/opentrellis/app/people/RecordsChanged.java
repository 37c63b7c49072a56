package org.opentrellis.app.people;

import java.util.List;
import java.util.Map;
import org.opentrellis.core.happening.Happening;

/**
 * Records of people were changed, by hand, to many or by a table; told in the transaction in which
 * they are. What journeys do with records is not told.
 *
 * @param happened to each of them, in epoch seconds; nothing is not listed
 * @param quietly whether it brings nobody into a journey
 */
public record RecordsChanged(Map<Long, List<Happening>> happened, boolean quietly) {}
