package org.opentrellis.core.sentence;

import java.util.List;
import org.opentrellis.core.journey.RecordChange;

/** Says changes of a person's record, in small letters. */
final class ChangeWords {
  private final Style style;

  ChangeWords(Style style) {
    this.style = style;
  }

  Phrase say(RecordChange change) {
    if (change instanceof RecordChange.AddTag add) {
      return Phrase.plain("tag ").and(style.name(add.tag().value()));
    }
    if (change instanceof RecordChange.RemoveTag remove) {
      return Phrase.plain("remove tag ").and(style.name(remove.tag().value()));
    }
    if (change instanceof RecordChange.JoinList join) {
      return Phrase.plain("add to list ").and(style.name(join.list().value()));
    }
    if (change instanceof RecordChange.LeaveList leave) {
      return Phrase.plain("take off list ").and(style.name(leave.list().value()));
    }
    if (change instanceof RecordChange.CopyToList copy) {
      return Phrase.plain("copy to list ")
          .and(style.name(copy.list().value()))
          .and(", staying on others");
    }
    if (change instanceof RecordChange.MoveToList move) {
      List<Phrase> from = move.from().stream().map(one -> style.name(one.value())).toList();
      return Phrase.plain("move from list ")
          .and(Phrase.join(from, " and "))
          .and(" to ")
          .and(style.name(move.list().value()));
    }
    if (change instanceof RecordChange.SetField set) {
      return Phrase.plain("set field ")
          .and(style.name(set.field().value()))
          .and(" to ")
          .andStrong(ConditionWords.words(set.value()));
    }
    if (change instanceof RecordChange.ClearField clear) {
      return Phrase.plain("clear field ").and(style.name(clear.field().value()));
    }
    if (change instanceof RecordChange.AddToField add) {
      return Phrase.plain("add ")
          .andStrong(ConditionWords.number(add.number()))
          .and(" to field ")
          .and(style.name(add.field().value()));
    }
    return change instanceof RecordChange.Unsubscribe
        ? Phrase.strong("unsubscribe").and(" them")
        : Phrase.strong("erase").and(" them");
  }
}
