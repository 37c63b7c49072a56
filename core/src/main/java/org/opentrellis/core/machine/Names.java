package org.opentrellis.core.machine;

import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;

/**
 * The numbers of all names that some programs know. They only grow, so that one more program
 * renumbers nothing.
 */
final class Names {
  /** Tags and lists. */
  final Numbering<Name> labels = new Numbering<>();

  final Numbering<FieldName> fields = new Numbering<>();
  final Numbering<EventName> events = new Numbering<>();
  final Numbering<MessageId> messages = new Numbering<>();
  final Numbering<JourneyName> journeys = new Numbering<>();
}
