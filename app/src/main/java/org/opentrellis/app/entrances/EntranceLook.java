package org.opentrellis.app.entrances;

import java.util.List;
import org.opentrellis.core.entrance.EntranceFinding;

/**
 * How an entrance would be.
 *
 * @param sheet what it asks and what happens then, in sentences
 * @param html its page, as people would see it
 */
record EntranceLook(List<String> sheet, List<EntranceFinding> findings, String html) {}
