package org.opentrellis.core.machine;

import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;

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

  /** The number of the field that an operand means, or -1. */
  int fieldOf(Operand operand) {
    return operand instanceof Operand.OtherField other ? fields.of(other.field()) : -1;
  }
}
