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
    return switch (change) {
      case RecordChange.AddTag add -> Phrase.plain("tag ").and(style.name(add.tag().value()));
      case RecordChange.RemoveTag remove ->
          Phrase.plain("remove tag ").and(style.name(remove.tag().value()));
      case RecordChange.JoinList join ->
          Phrase.plain("add to list ").and(style.name(join.list().value()));
      case RecordChange.LeaveList leave ->
          Phrase.plain("take off list ").and(style.name(leave.list().value()));
      case RecordChange.CopyToList copy ->
          Phrase.plain("copy to list ")
              .and(style.name(copy.list().value()))
              .and(", staying on others");
      case RecordChange.MoveToList move -> {
        List<Phrase> from = move.from().stream().map(one -> style.name(one.value())).toList();
        yield Phrase.plain("move from list ")
            .and(Phrase.join(from, " and "))
            .and(" to ")
            .and(style.name(move.list().value()));
      }
      case RecordChange.SetField set ->
          Phrase.plain("set field ")
              .and(style.name(set.field().value()))
              .and(" to ")
              .andStrong(ConditionWords.words(set.value()));
      case RecordChange.ClearField clear ->
          Phrase.plain("clear field ").and(style.name(clear.field().value()));
      case RecordChange.AddToField add ->
          Phrase.plain("add ")
              .andStrong(ConditionWords.number(add.number()))
              .and(" to field ")
              .and(style.name(add.field().value()));
      case RecordChange.Unsubscribe unsubscribe -> Phrase.strong("unsubscribe").and(" them");
      case RecordChange.Erase erase -> Phrase.strong("erase").and(" them");
    };
  }
}
