package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.sentence.Style;

/** Reads what brings people in: "joins list x or leaves a cart for 1 hour". */
final class TriggerReader {
  private static final String[] FOLLOWERS = {
    "or", "if", "once", "again", "every", "in", "for at", "with"
  };

  private final Cursor cursor;
  private final Scope scope;
  private final TimeReader times;
  private final NameReader names;

  TriggerReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
    this.times = new TimeReader(cursor);
    this.names = new NameReader(cursor, scope);
  }

  /** All of them, at least one. */
  List<Trigger> read() {
    List<Trigger> triggers = new ArrayList<>(List.of(one()));
    while (cursor.word("or")) {
      triggers.add(one());
    }
    return triggers;
  }

  private Trigger one() {
    Trigger trigger = ofRecord();
    if (trigger == null) {
      trigger = ofMail();
    }
    if (trigger == null) {
      trigger = ofShop();
    }
    if (trigger == null) {
      trigger = ofTime();
    }
    if (trigger == null) {
      throw cursor.lost();
    }
    return trigger;
  }

  private @Nullable Trigger ofRecord() {
    if (cursor.word("joins list")) {
      return new Trigger.JoinsList(name("list", ListName.class, ListName::new));
    }
    if (cursor.word("gets tag")) {
      return new Trigger.GetsTag(name("tag", TagName.class, TagName::new));
    }
    if (cursor.word("submits any form")) {
      return new Trigger.SubmitsForm(Optional.empty());
    }
    if (cursor.word("submits form")) {
      return new Trigger.SubmitsForm(Optional.of(name("form", FormName.class, FormName::new)));
    }
    if (cursor.word("enters segment")) {
      return new Trigger.EntersSegment(name("segment", SegmentName.class, SegmentName::new));
    }
    if (cursor.word("has event")) {
      EventReader.Which which = new EventReader(cursor, scope).read(FOLLOWERS);
      return new Trigger.EventArrives(which.event(), which.where());
    }
    return null;
  }

  private @Nullable Trigger ofMail() {
    if (cursor.word("opens")) {
      return new Trigger.OpensMessage(names.message(false, FOLLOWERS));
    }
    if (!cursor.word("clicks")) {
      return null;
    }
    int from = cursor.at();
    List<String> links =
        scope.library().messages(false).stream()
            .flatMap(message -> message.links().stream())
            .map(LinkName::value)
            .distinct()
            .toList();
    links.forEach(one -> cursor.couldName(one, Style.quoted(one), "link"));
    String first = cursor.silently("the") ? "" : cursor.name("link", links, FOLLOWERS);
    if (!first.isEmpty() && cursor.word("in")) {
      MessageId message = names.message(false, FOLLOWERS);
      return cursor.meaning(
          from, () -> new Trigger.ClicksMessage(message, Optional.of(new LinkName(first))));
    }
    cursor.back(from);
    return clicksWithout(first, from);
  }

  /** An email is named without a link, or a link without its email. */
  private Trigger clicksWithout(String name, int from) {
    Optional<Message> having =
        scope.library().messages(false).stream()
            .filter(m -> m.links().stream().anyMatch(link -> link.value().equals(name)))
            .findFirst();
    boolean isMessage = scope.message(name, 1, false).isPresent();
    if (having.isPresent() && !isMessage) {
      cursor.name("link", List.of(name), FOLLOWERS);
      return cursor.meaning(
          from,
          () -> new Trigger.ClicksMessage(having.get().id(), Optional.of(new LinkName(name))));
    }
    return new Trigger.ClicksMessage(names.message(false, FOLLOWERS), Optional.empty());
  }

  private @Nullable Trigger ofShop() {
    if (cursor.any("leaves a cart", "leaves cart")) {
      int from = cursor.at();
      Amount amount = cursor.word("for") ? times.requireAmount() : null;
      double minutes = amount == null ? 60 : amount.nominalHours() * 60;
      return cursor.meaning(from, () -> new Trigger.LeavesCart((int) Math.round(minutes)));
    }
    return cursor.word("buys")
        ? new Trigger.Buys(new ConditionReader(cursor, scope).purchases())
        : null;
  }

  private @Nullable Trigger ofTime() {
    if (cursor.any("is handed over by another journey", "is handed over")) {
      return new Trigger.HandedOver();
    }
    if (cursor.any("is put in by hand or by an import", "is put in by hand", "is put in")) {
      return new Trigger.PutIn();
    }
    if (cursor.word("enters with all others on")) {
      cursor.could("2027-03-01");
      LocalDate date = times.date();
      if (date == null) {
        throw cursor.lost();
      }
      cursor.silently(",");
      LocalTime at = times.requireTime();
      return cursor.meaning(cursor.at(), () -> new Trigger.OnDate(date, at));
    }
    int from = cursor.at();
    if (!cursor.word("is")) {
      return null;
    }
    Optional<Integer> days = times.around();
    if (days.isEmpty()) {
      throw cursor.lost();
    }
    FieldName field =
        cursor.meaning(
            from,
            () -> new FieldName(cursor.name("field", scope.names(FieldName.class), FOLLOWERS)));
    cursor.also("at");
    LocalTime at = times.requireTime();
    boolean yearly = cursor.also("every year");
    boolean march = yearly && cursor.also("29 February on 1 March");
    return cursor.meaning(from, () -> new Trigger.DateComes(field, days.get(), at, yearly, march));
  }

  /** Whether people may come again, or null if that is not said. */
  @Nullable ReEntry reEntry() {
    if (cursor.also("once per person")) {
      return new ReEntry.Never();
    }
    if (cursor.also("again after having left")) {
      return new ReEntry.AfterHavingLeft();
    }
    if (cursor.also("every time, side by side") || cursor.also("every time")) {
      return new ReEntry.EveryTime();
    }
    if (cursor.also("again after")) {
      int from = cursor.at();
      int days = times.requireDays();
      return cursor.meaning(from, () -> new ReEntry.AfterDays(days));
    }
    return null;
  }

  private <T extends Name> T name(String what, Class<T> kind, Function<String, T> make) {
    int from = cursor.at();
    String name = cursor.name(what, scope.names(kind), FOLLOWERS);
    return cursor.meaning(from, () -> make.apply(name));
  }
}
