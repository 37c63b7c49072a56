package org.opentrellis.app.people;

import java.util.List;
import org.opentrellis.app.names.NameUse;

/**
 * A segment and who is in it now.
 *
 * @param says who is meant, as it is typed
 * @param version it was saved so many times
 * @param usedBy what uses it
 */
record SegmentLine(String name, String says, int version, long people, List<NameUse> usedBy) {}
