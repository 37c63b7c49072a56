package org.opentrellis.core.sentence;

import java.util.stream.Collectors;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.RecordChange;

/** Says changes of a person's record, in small letters. */
final class ChangeWords {
  private ChangeWords() {}

  static Phrase say(RecordChange change) {
    if (change instanceof RecordChange.AddTag add) {
      return Phrase.plain("tag ").andStrong(add.tag().value());
    }
    if (change instanceof RecordChange.RemoveTag remove) {
      return Phrase.plain("remove tag ").andStrong(remove.tag().value());
    }
    if (change instanceof RecordChange.JoinList join) {
      return Phrase.plain("add to list ").andStrong(join.list().value());
    }
    if (change instanceof RecordChange.LeaveList leave) {
      return Phrase.plain("take off list ").andStrong(leave.list().value());
    }
    if (change instanceof RecordChange.CopyToList copy) {
      return Phrase.plain("copy to list ")
          .andStrong(copy.list().value())
          .and(", staying on others");
    }
    if (change instanceof RecordChange.MoveToList move) {
      String from = move.from().stream().map(ListName::value).collect(Collectors.joining(" and "));
      return Phrase.plain("move from list ")
          .andStrong(from)
          .and(" to ")
          .andStrong(move.list().value());
    }
    if (change instanceof RecordChange.SetField set) {
      return Phrase.plain("set field ")
          .andStrong(set.field().value())
          .and(" to ")
          .andStrong(ConditionWords.words(set.value()));
    }
    if (change instanceof RecordChange.ClearField clear) {
      return Phrase.plain("clear field ").andStrong(clear.field().value());
    }
    if (change instanceof RecordChange.AddToField add) {
      return Phrase.plain("add ")
          .andStrong(ConditionWords.number(add.number()))
          .and(" to field ")
          .andStrong(add.field().value());
    }
    return change instanceof RecordChange.Unsubscribe
        ? Phrase.strong("unsubscribe").and(" them")
        : Phrase.strong("erase").and(" them");
  }
}
