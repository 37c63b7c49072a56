package org.opentrellis.core.journey;

import java.util.Optional;

/** Which tag or list the parts of a journey are about. */
public final class Labels {
  private Labels() {}

  /** The tag or list that a trigger waits for. */
  public static Optional<Name> waitedFor(Trigger trigger) {
    return switch (trigger) {
      case Trigger.JoinsList joins -> Optional.of(joins.list());
      case Trigger.GetsTag gets -> Optional.of(gets.tag());
      case Trigger.SubmitsForm submits -> Optional.empty();
      case Trigger.EntersSegment enters -> Optional.empty();
      case Trigger.OpensMessage opens -> Optional.empty();
      case Trigger.ClicksMessage clicks -> Optional.empty();
      case Trigger.LeavesCart leaves -> Optional.empty();
      case Trigger.Buys buys -> Optional.empty();
      case Trigger.DateComes date -> Optional.empty();
      case Trigger.OnDate on -> Optional.empty();
      case Trigger.EventArrives arrives -> Optional.empty();
      case Trigger.HandedOver over -> Optional.empty();
      case Trigger.PutIn in -> Optional.empty();
    };
  }

  /** The tag or list that somebody has after a change of their record. */
  public static Optional<Name> setBy(RecordChange change) {
    return switch (change) {
      case RecordChange.AddTag add -> Optional.of(add.tag());
      case RecordChange.JoinList join -> Optional.of(join.list());
      case RecordChange.CopyToList copy -> Optional.of(copy.list());
      case RecordChange.MoveToList move -> Optional.of(move.list());
      case RecordChange.RemoveTag remove -> Optional.empty();
      case RecordChange.LeaveList leave -> Optional.empty();
      case RecordChange.SetField set -> Optional.empty();
      case RecordChange.ClearField clear -> Optional.empty();
      case RecordChange.AddToField add -> Optional.empty();
      case RecordChange.Unsubscribe unsubscribe -> Optional.empty();
      case RecordChange.Erase erase -> Optional.empty();
    };
  }

  /** The tag or list that a condition itself asks about, without its parts. */
  public static Optional<Name> askedBy(Condition condition) {
    return switch (condition) {
      case Condition.HasTag has -> Optional.of(has.tag());
      case Condition.HadTag had -> Optional.of(had.tag());
      case Condition.OnList on -> Optional.of(on.list());
      case Condition.AboutEmail asked -> Optional.empty();
      case Condition.InSegment in -> Optional.empty();
      case Condition.Field field -> Optional.empty();
      case Condition.Bought bought -> Optional.empty();
      case Condition.InCart in -> Optional.empty();
      case Condition.Happened happened -> Optional.empty();
      case Condition.CameByForm by -> Optional.empty();
      case Condition.CameByJourney by -> Optional.empty();
      case Condition.CameByList by -> Optional.empty();
      case Condition.CameByOrder by -> Optional.empty();
      case Condition.IsNow now -> Optional.empty();
      case Condition.Combining combining -> Optional.empty();
    };
  }
}
