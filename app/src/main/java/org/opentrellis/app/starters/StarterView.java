package org.opentrellis.app.starters;

import java.util.Map;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.sentence.RunSheet;

/**
 * A ready-made journey.
 *
 * @param id its name in addresses
 * @param reasons why it is as it is, by step or line of the journey
 */
record StarterView(
    String id, String name, Purpose purpose, RunSheet sheet, Map<String, String> reasons) {}
