package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.sentence.Style;

/** Reads changes of a person's record: "tag x, add to list y". */
final class ChangeReader {
  private static final String THEM = "( them| him| her| the person| everyone)?";
  private static final String[] FOLLOWERS = {"and", "to", "from", "then", "otherwise", "else"};

  private final Cursor cursor;
  private final Scope scope;

  ChangeReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
  }

  /** One change or more, or none if none stands here. */
  List<RecordChange> read() {
    List<RecordChange> changes = new ArrayList<>();
    RecordChange change = one();
    while (change != null) {
      changes.add(change);
      int before = cursor.end();
      boolean more = cursor.silently(",") | cursor.silently("and");
      change = more ? one() : null;
      if (more && change == null) {
        cursor.back(before);
      }
    }
    return changes;
  }

  private @Nullable RecordChange one() {
    RecordChange change = ofTag();
    if (change == null) {
      change = ofList();
    }
    if (change == null) {
      change = ofPerson();
    }
    return change == null ? ofField() : change;
  }

  private @Nullable RecordChange ofTag() {
    if (cursor.any(
        "tag",
        "(tag|mark|label)" + THEM + "( as| with)( the)?( tag)?",
        "(tag|mark) (them|him|her)",
        "(add|set|put|give" + THEM + "|assign|apply) (the |a )?tag( called)?")) {
      TagName tag = named("tag", TagName.class, TagName::new);
      cursor.says("on them|to them");
      return new RecordChange.AddTag(tag);
    }
    if (cursor.any(
        "remove tag", "(remove|delete|drop|take off|take away|take) (the )?tag|untag" + THEM)) {
      TagName tag = named("tag", TagName.class, TagName::new, "off", "away", "from");
      cursor.says("off|away|from them|again");
      return new RecordChange.RemoveTag(tag);
    }
    return null;
  }

  private @Nullable RecordChange ofList() {
    if (cursor.any(
        "add to list",
        "(add|subscribe|put)" + THEM + " (on|onto|to|in|into) (the |our )?(mailing )?list",
        "list")) {
      return new RecordChange.JoinList(list());
    }
    if (cursor.any(
        "take off list",
        "(take|remove|unsubscribe|delete|drop)"
            + THEM
            + " (off|from|out of) (the |our )?(mailing )?list")) {
      return new RecordChange.LeaveList(list());
    }
    if (cursor.any("copy to list", "copy" + THEM + " (on|onto|to) (the )?list")) {
      ListName list = list();
      cursor.also("staying on others");
      return new RecordChange.CopyToList(list);
    }
    RecordChange moved = move();
    return moved == null ? ofListNamedBefore() : moved;
  }

  private @Nullable RecordChange move() {
    if (!cursor.any("move from list", "move" + THEM + " from (the )?(list )?")) {
      int here = cursor.end();
      if (!cursor.says("move" + THEM + " (to|onto) (the )?list")) {
        return null;
      }
      ListName to = list();
      if (!cursor.says("from (the )?(list )?")) {
        throw asksWhereFrom(here, to);
      }
      return new RecordChange.MoveToList(to, lists());
    }
    List<ListName> from = lists();
    cursor.require("to");
    cursor.says("the list|list|the");
    return new RecordChange.MoveToList(list(), from);
  }

  private NotUnderstood asksWhereFrom(int from, ListName to) {
    int end = cursor.end();
    List<Suggestion> offers = new ArrayList<>();
    scope.names(ListName.class).stream()
        .filter(one -> !one.equals(to.value()))
        .limit(3)
        .map(Style::quoted)
        .forEach(
            one ->
                offers.add(
                    new Suggestion(
                        "from list " + one, cursor.instead(end, end, " from list " + one))));
    String added = "add to list " + Style.quoted(to.value());
    offers.add(new Suggestion(added, cursor.instead(from, end, added)));
    return new NotUnderstood("From which list are they moved?", from, end, true, offers);
  }

  private List<ListName> lists() {
    List<ListName> all = new ArrayList<>(List.of(list()));
    while (cursor.word("and")) {
      cursor.says("the list|list");
      all.add(list());
    }
    return all;
  }

  /** "Add them to the Members list". */
  private @Nullable RecordChange ofListNamedBefore() {
    int here = cursor.end();
    boolean joins =
        cursor.says("(add|subscribe|put)" + THEM + " (on|onto|to)( the| our)?(?! journey)");
    boolean leaves =
        !joins
            && cursor.says(
                "(take|remove|unsubscribe|drop)"
                    + THEM
                    + " (off|from|out of)( the| our)?(?! journey)");
    if (joins || leaves) {
      int from = cursor.at();
      boolean known = false;
      try {
        String name = cursor.name("list", scope.names(ListName.class), "list", "and", "then");
        known = scope.names(ListName.class).contains(name);
        if (cursor.says("(mailing )?list") || known) {
          ListName list = cursor.meaning(from, () -> new ListName(name));
          return joins ? new RecordChange.JoinList(list) : new RecordChange.LeaveList(list);
        }
      } catch (NotUnderstood noName) {
        // then something else stands here
      }
    }
    cursor.back(here);
    return null;
  }

  private @Nullable RecordChange ofPerson() {
    if (cursor.any(
        "unsubscribe",
        "(unsubscribe|opt out)" + THEM + "( from everything| from all lists| completely)?")) {
      cursor.says("them|everyone");
      return new RecordChange.Unsubscribe();
    }
    if (cursor.any("erase", "(erase|delete) (them|the person|their data|their record)")) {
      cursor.silently("them");
      return new RecordChange.Erase();
    }
    return null;
  }

  private @Nullable RecordChange ofField() {
    if (cursor.any("set field", "set (the |their )?field|set their")) {
      FieldName field = field("to", "=");
      if (!cursor.says("=")) {
        cursor.require("to");
      }
      Operand value = new OperandReader(cursor, scope).read();
      return new RecordChange.SetField(field, value);
    }
    if (cursor.any("clear field", "(clear|empty) (the |their )?field")) {
      return new RecordChange.ClearField(field("and"));
    }
    cursor.could("add 1 to field");
    int from = cursor.at();
    if (!cursor.silently("add")) {
      return null;
    }
    Double number = new NumberReader(cursor).number();
    if (number == null) {
      throw cursor.lost();
    }
    cursor.require("to field");
    FieldName field = field("and");
    return cursor.meaning(from, () -> new RecordChange.AddToField(field, number));
  }

  private FieldName field(String... followers) {
    return scope.named(cursor, "field", FieldName.class, FieldName::new, followers);
  }

  private ListName list() {
    return named("list", ListName.class, ListName::new);
  }

  private <T extends Name> T named(
      String what, Class<T> kind, Function<String, T> make, String... more) {
    String[] all = Arrays.copyOf(FOLLOWERS, FOLLOWERS.length + more.length);
    System.arraycopy(more, 0, all, FOLLOWERS.length, more.length);
    return scope.named(cursor, what, kind, make, all);
  }
}
