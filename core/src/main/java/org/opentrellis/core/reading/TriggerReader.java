package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.sentence.Style;

/** Reads what brings people in: "joins list x or leaves a cart for 1 hour". */
final class TriggerReader {
  private static final String[] FOLLOWERS = {
    "or", "if", "only if", "but", "once", "again", "every", "each", "in", "for at", "worth", "with",
    "from", "at", "then", "on", "repeat", "and"
  };

  private static final String[] DATE_FOLLOWERS =
      Stream.concat(Stream.of(FOLLOWERS), Stream.of("date", "\\d(\\d)?")).toArray(String[]::new);

  private final Cursor cursor;
  private final Scope scope;
  private final TimeReader times;
  private final DateReader dates;
  private final NameReader names;

  TriggerReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
    this.times = scope.times(cursor);
    this.dates = scope.dates(cursor);
    this.names = new NameReader(cursor, scope);
  }

  /** All of them, at least one. */
  List<Trigger> read() {
    List<Trigger> triggers = new ArrayList<>(List.of(one()));
    while (cursor.also("or")) {
      cursor.says("(when )?(" + Words.SOMEONE + ")");
      cursor.says("when");
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
    if (cursor.any(
        "joins list",
        "(joins?|subscribes? to|signs? up (for|to)|enters?|gets? on|(is|are) (added|subscribed) to|gets added to"
            + "|lands? on) (the |our )?(mailing )?list")) {
      return new Trigger.JoinsList(name("list", ListName.class, ListName::new));
    }
    if (cursor.any(
        "gets tag",
        "(gets?|receives?|(is|are) given) (the |a )?tag|(is|are|gets?) tagged( with| as)?")) {
      return new Trigger.GetsTag(name("tag", TagName.class, TagName::new));
    }
    if (cursor.any(
        "submits any form", "(submits?|fills? (in|out)|sends?( in)?|completes?) (any|a) form")) {
      return new Trigger.SubmitsForm(Optional.empty());
    }
    if (cursor.any(
        "submits form",
        "(submits?|fills? (in|out)|completes?|signs? up (with|by|through|via|at|on|in)|comes? (in )?(through|by|via)"
            + "|sends?( in)?) (the )?(sign-?up )?form")) {
      return new Trigger.SubmitsForm(Optional.of(name("form", FormName.class, FormName::new)));
    }
    if (cursor.any("enters segment", "(enters?|joins?|comes? into|falls? into) (the )?segment")) {
      return new Trigger.EntersSegment(name("segment", SegmentName.class, SegmentName::new));
    }
    if (cursor.any("has event", "(has|have) (the |an )?event|event")) {
      EventReader.Which which = new EventReader(cursor, scope).read(FOLLOWERS);
      return new Trigger.EventArrives(which.event(), which.where());
    }
    return ofNamedBefore();
  }

  /** "Joins the Newcomers list", "fills in the Planner form": the kind stands behind the name. */
  private @Nullable Trigger ofNamedBefore() {
    int here = cursor.end();
    if (cursor.says(
        "(joins?|subscribes? to|signs? up (for|to)|(is|are|gets?) (added|subscribed) to)( the| our)?")) {
      return new Trigger.JoinsList(
          scope.namedBefore(cursor, "list", ListName.class, ListName::new, FOLLOWERS));
    }
    if (cursor.says("(submits?|fills? (in|out)|completes?)( the| our)?")) {
      return new Trigger.SubmitsForm(
          Optional.of(scope.namedBefore(cursor, "form", FormName.class, FormName::new, FOLLOWERS)));
    }
    if (cursor.says("gets?( the)?")) {
      TagName tag = scope.namedBefore(cursor, "tag", TagName.class, TagName::new, FOLLOWERS);
      if (cursor.said(here, cursor.end()).endsWith("tag")
          || scope.names(TagName.class).contains(tag.value())) {
        return new Trigger.GetsTag(tag);
      }
    }
    cursor.back(here);
    return null;
  }

  private @Nullable Trigger ofMail() {
    if (cursor.any("opens", "(open|reads|read)")) {
      return new Trigger.OpensMessage(names.message(false, FOLLOWERS));
    }
    if (!cursor.any("clicks", "click")) {
      return null;
    }
    cursor.says("on");
    boolean any = cursor.says("(any|a) link in|anything in|(any|a) link of|in");
    int from = cursor.at();
    if (any) {
      return new Trigger.ClicksMessage(names.message(false, FOLLOWERS), Optional.empty());
    }
    List<String> links =
        scope.written().all(false).stream()
            .flatMap(message -> message.links().stream())
            .map(LinkName::value)
            .distinct()
            .toList();
    links.forEach(one -> cursor.couldName(one, Style.quoted(one), "link"));
    boolean link = cursor.sees("(the )?(link|button)");
    String first = !link && cursor.silently("the") ? "" : cursor.name("link", links, FOLLOWERS);
    if (!first.isEmpty() && cursor.word("in")) {
      MessageId message = names.message(false, FOLLOWERS);
      return cursor.meaning(
          from, () -> new Trigger.ClicksMessage(message, Optional.of(new LinkName(first))));
    }
    if (link && links.stream().noneMatch(first::equals)) {
      throw new NotUnderstood(
          "In which email is the link %s? Say \u201cclicks %s in \u2026\u201d."
              .formatted(Style.quoted(first), Style.quoted(first)),
          from,
          cursor.end(),
          true,
          List.of());
    }
    cursor.back(from);
    return clicksWithout(first, from);
  }

  /** An email is named without a link, or a link without its email. */
  private Trigger clicksWithout(String name, int from) {
    Optional<Message> having =
        scope.written().all(false).stream()
            .filter(m -> m.links().stream().anyMatch(link -> link.value().equals(name)))
            .findFirst();
    boolean isMessage = scope.written().find(name, 1, false).isPresent();
    if (having.isPresent() && !isMessage) {
      cursor.name("link", List.of(name), FOLLOWERS);
      return cursor.meaning(
          from,
          () -> new Trigger.ClicksMessage(having.get().id(), Optional.of(new LinkName(name))));
    }
    return new Trigger.ClicksMessage(names.message(false, FOLLOWERS), Optional.empty());
  }

  private @Nullable Trigger ofShop() {
    if (cursor.any(
        "leaves a cart",
        "(leaves?|abandons?) (a |the |their |his |her )?(shopping )?(cart|basket)( behind)?( alone)?",
        "(leaves?|abandons?) (something|anything|things|items) in (the|a|their) (shopping )?(cart|basket)",
        "does not (finish|complete) (the |their )?(order|checkout)")) {
      int from = cursor.at();
      Amount amount =
          cursor.any("for", "and does not come back (for|within)|longer than")
              ? times.requireAmount()
              : null;
      double minutes = amount == null ? 60 : amount.nominalHours() * 60;
      return cursor.meaning(from, () -> new Trigger.LeavesCart((int) Math.round(minutes)));
    }
    if (cursor.says("(places?|makes?) (an|a|any) (order|purchase)|becomes? a customer")) {
      return new Trigger.Buys(Purchases.ANY);
    }
    return cursor.any("buys", "(buy|purchases?|orders?)")
        ? new Trigger.Buys(new PurchaseReader(cursor, scope).read())
        : null;
  }

  private @Nullable Trigger ofTime() {
    if (cursor.any(
        "is handed over by another journey",
        "(is|are) (handed|passed) over( by another journey)?|comes? from another journey")) {
      return new Trigger.HandedOver();
    }
    if (cursor.any(
        "is put in by hand or by an import",
        "(is|are) (put in|added|imported)( by hand)?( or by an import| by an import)?")) {
      return new Trigger.PutIn();
    }
    if (cursor.any(
        "enters with all others on", "enters? (together )?on|(all|everyone) (together )?on")) {
      cursor.could("2027-03-01");
      LocalDate date = dates.date();
      if (date == null) {
        throw cursor.lost();
      }
      LocalTime at = at();
      return cursor.meaning(cursor.at(), () -> new Trigger.OnDate(date, at));
    }
    cursor.word("is");
    return aroundDate();
  }

  /** "3 days before renewal, at 09:00, every year", or null if none stands here. */
  @Nullable Trigger aroundDate() {
    int from = cursor.at();
    int here = cursor.end();
    if (cursor.says("on")) {
      LocalDate date = dates.date();
      if (date != null) {
        LocalTime at = at();
        return cursor.meaning(from, () -> new Trigger.OnDate(date, at));
      }
      cursor.back(here);
    }
    Optional<Integer> days = scope.isOnField(cursor) ? dates.around() : Optional.empty();
    if (days.isEmpty()) {
      return null;
    }
    cursor.says("their|his|her");
    FieldName field = scope.named(cursor, "field", FieldName.class, FieldName::new, DATE_FOLLOWERS);
    cursor.says("date");
    LocalTime at = at();
    boolean yearly = cursor.also("every year", "(each year|yearly|annually)");
    boolean march = yearly && cursor.also("29 February on 1 March");
    LocalTime time = yearly && at.equals(TimeReader.USUAL) ? at() : at;
    return cursor.meaning(
        from, () -> new Trigger.DateComes(field, days.get(), time, yearly, march));
  }

  private LocalTime at() {
    int from = cursor.end();
    cursor.silently(",");
    cursor.could("at 09:00");
    LocalTime time = times.time();
    if (time == null) {
      cursor.back(from);
      return TimeReader.USUAL;
    }
    return time;
  }

  /** Whether people may come again, or null if that is not said. */
  @Nullable ReEntry reEntry() {
    if (cursor.also(
        "once per person",
        "(only )?once per (customer|subscriber|contact|person)|only once( each)?|everyone once|each (person )?only once"
            + "|(only )?once each|just once|once for each (person|customer)|never again")) {
      return new ReEntry.Never();
    }
    if (cursor.also(
        "again after having left",
        "(repeat|again) (for|if|when|whenever) (those|they|people|someone|somebody)( who)? (re-?joins?|re-?joined|joins? again|comes? (back|again)|left( and came back)?)|may come again( after (having left|leaving))?|again once they (have )?left")) {
      return new ReEntry.AfterHavingLeft();
    }
    if (cursor.also(
        "every time, even while inside",
        "every time, side by side",
        "(every|each) time( side by side)?|every cart|as often as (it happens|they do)")) {
      return new ReEntry.EveryTime();
    }
    if (cursor.also("again after", "(at most|only|not more than) (once )?every|again every")) {
      int from = cursor.at();
      int days = times.requireDays();
      return cursor.meaning(from, () -> new ReEntry.AfterDays(days));
    }
    return null;
  }

  private <T extends Name> T name(String what, Class<T> kind, Function<String, T> make) {
    return scope.named(cursor, what, kind, make, FOLLOWERS);
  }
}
