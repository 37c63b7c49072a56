package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.TagName;

/** Reads changes of a person's record: "tag x, add to list y". */
final class ChangeReader {
  private final Cursor cursor;
  private final Scope scope;
  private final TimeReader times;

  ChangeReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
    this.times = new TimeReader(cursor);
  }

  /** One change or more, or none if none stands here. */
  List<RecordChange> read() {
    List<RecordChange> changes = new ArrayList<>();
    RecordChange change = one();
    while (change != null) {
      changes.add(change);
      int before = cursor.at();
      boolean more = cursor.silently(",") | cursor.silently("and");
      change = more ? one() : null;
      if (more && change == null) {
        cursor.back(before);
      }
    }
    return changes;
  }

  private @Nullable RecordChange one() {
    if (cursor.any("tag", "add tag")) {
      return new RecordChange.AddTag(name("tag", TagName.class, TagName::new, "and"));
    }
    if (cursor.any("remove tag", "take off tag", "untag")) {
      return new RecordChange.RemoveTag(name("tag", TagName.class, TagName::new, "and"));
    }
    if (cursor.any("add to list", "list")) {
      return new RecordChange.JoinList(list("and"));
    }
    if (cursor.any("take off list", "remove from list")) {
      return new RecordChange.LeaveList(list("and"));
    }
    if (cursor.word("copy to list")) {
      ListName list = list("and");
      cursor.also("staying on others");
      return new RecordChange.CopyToList(list);
    }
    RecordChange change = move();
    return change == null ? ofField() : change;
  }

  private @Nullable RecordChange move() {
    if (cursor.word("move from list")) {
      List<ListName> from = new ArrayList<>(List.of(list("and", "to")));
      while (cursor.word("and")) {
        from.add(list("and", "to"));
      }
      cursor.require("to");
      cursor.silently("list");
      return new RecordChange.MoveToList(list("and"), from);
    }
    if (cursor.word("unsubscribe")) {
      cursor.silently("them");
      return new RecordChange.Unsubscribe();
    }
    if (cursor.word("erase")) {
      cursor.silently("them");
      return new RecordChange.Erase();
    }
    return null;
  }

  private @Nullable RecordChange ofField() {
    if (cursor.word("set field")) {
      FieldName field = name("field", FieldName.class, FieldName::new, "to");
      cursor.require("to");
      Operand value = new OperandReader(cursor, scope.names(FieldName.class)).read();
      return new RecordChange.SetField(field, value);
    }
    if (cursor.word("clear field")) {
      return new RecordChange.ClearField(name("field", FieldName.class, FieldName::new, "and"));
    }
    cursor.could("add 1 to field");
    int from = cursor.at();
    if (!cursor.silently("add")) {
      return null;
    }
    Double number = times.number();
    if (number == null) {
      throw cursor.lost();
    }
    cursor.require("to field");
    FieldName field = name("field", FieldName.class, FieldName::new, "and");
    return cursor.meaning(from, () -> new RecordChange.AddToField(field, number));
  }

  private ListName list(String... followers) {
    return name("list", ListName.class, ListName::new, followers);
  }

  private <T extends Name> T name(
      String what, Class<T> kind, Function<String, T> make, String... followers) {
    int from = cursor.at();
    String name = cursor.name(what, scope.names(kind), followers);
    return cursor.meaning(from, () -> make.apply(name));
  }
}
