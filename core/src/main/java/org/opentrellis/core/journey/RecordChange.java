package org.opentrellis.core.journey;

import java.util.List;
import org.opentrellis.core.problem.Refused;

/** A change to what is known of a person. */
public sealed interface RecordChange
    permits RecordChange.AddTag,
        RecordChange.RemoveTag,
        RecordChange.JoinList,
        RecordChange.LeaveList,
        RecordChange.MoveToList,
        RecordChange.CopyToList,
        RecordChange.SetField,
        RecordChange.ClearField,
        RecordChange.AddToField,
        RecordChange.Unsubscribe,
        RecordChange.Erase {

  record AddTag(TagName tag) implements RecordChange {}

  record RemoveTag(TagName tag) implements RecordChange {}

  record JoinList(ListName list) implements RecordChange {}

  record LeaveList(ListName list) implements RecordChange {}

  /**
   * Joins one list and leaves the others named.
   *
   * @param list the list joined
   * @param from the lists left; at least one
   */
  record MoveToList(ListName list, List<ListName> from) implements RecordChange {
    public MoveToList {
      from = List.copyOf(from);
      if (from.isEmpty()) {
        throw new Refused("a move must name at least one list to leave");
      }
    }
  }

  /** Joins a list and stays on all others. */
  record CopyToList(ListName list) implements RecordChange {}

  record SetField(FieldName field, Operand value) implements RecordChange {}

  record ClearField(FieldName field) implements RecordChange {}

  /**
   * Adds to a field that holds a number; an empty one counts as 0.
   *
   * @param number what is added; taken off if negative
   */
  record AddToField(FieldName field, double number) implements RecordChange {
    public AddToField {
      if (!Double.isFinite(number)) {
        throw new Refused("a number must be finite, not " + number);
      }
    }
  }

  /** Takes the person off all mail; they leave every journey. */
  record Unsubscribe() implements RecordChange {}

  /** Forgets the person; they leave every journey. */
  record Erase() implements RecordChange {}
}
