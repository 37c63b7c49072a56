package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.RecordChange;

/**
 * One tag or list being set or cleared: what every change of a record comes down to.
 *
 * @param name a tag's or list's name
 * @param on whether the person carries it afterwards
 */
record MarkChange(Object name, boolean on) {

  /** What a change does, in order: a move leaves first, then joins. */
  static List<MarkChange> of(RecordChange change) {
    if (change instanceof RecordChange.AddTag add) {
      return List.of(new MarkChange(add.tag(), true));
    }
    if (change instanceof RecordChange.RemoveTag remove) {
      return List.of(new MarkChange(remove.tag(), false));
    }
    if (change instanceof RecordChange.JoinList join) {
      return List.of(new MarkChange(join.list(), true));
    }
    if (change instanceof RecordChange.LeaveList leave) {
      return List.of(new MarkChange(leave.list(), false));
    }
    if (change instanceof RecordChange.CopyToList copy) {
      return List.of(new MarkChange(copy.to(), true));
    }
    RecordChange.MoveToList move = (RecordChange.MoveToList) change;
    List<MarkChange> all = new ArrayList<>();
    for (ListName left : move.from()) {
      all.add(new MarkChange(left, false));
    }
    all.add(new MarkChange(move.to(), true));
    return all;
  }
}
