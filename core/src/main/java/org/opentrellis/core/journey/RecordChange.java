package org.opentrellis.core.journey;

import java.util.List;

/** A change to what is known of a person. */
public sealed interface RecordChange {

  record AddTag(TagName tag) implements RecordChange {}

  record RemoveTag(TagName tag) implements RecordChange {}

  record JoinList(ListName list) implements RecordChange {}

  record LeaveList(ListName list) implements RecordChange {}

  /**
   * Joins one list and leaves the others named.
   *
   * @param to the list joined
   * @param from the lists left; at least one
   */
  record MoveToList(ListName to, List<ListName> from) implements RecordChange {
    public MoveToList {
      from = List.copyOf(from);
      if (from.isEmpty()) {
        throw new IllegalArgumentException("a move must name at least one list to leave");
      }
    }
  }

  /** Joins a list and stays on all others. */
  record CopyToList(ListName to) implements RecordChange {}
}
