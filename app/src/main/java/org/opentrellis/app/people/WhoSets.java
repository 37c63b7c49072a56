package org.opentrellis.app.people;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.Reach;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Attribute;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;

/**
 * Whom a condition means, for all people at once: each single thing that it asks for is a statement
 * that finds the people it holds for, and what stands between them is done to these sets. It finds
 * exactly those for whom the machine says yes ({@link org.opentrellis.core.machine.Onlooker};
 * {@code WhoSetsTest} holds the two together). What depends on a person's own clock is worked out
 * for each zone beforehand.
 */
final class WhoSets {
  /** How the numbers of names are looked up; empty for a name that nobody has to do with. */
  interface Numbers {
    Optional<Long> of(Name name);
  }

  /** Finds people by a statement that selects their numbers. */
  interface Reader {
    Those those(Where statement);
  }

  private final Catalogue catalogue;
  private final Numbers numbers;
  private final List<ZoneId> zones;
  private final Function<ZoneId, ZoneClock> clocks;
  private final long at;
  private final Reader reader;
  private final Set<SegmentName> inside = new HashSet<>();

  /**
   * @param zones those that people live in
   * @param clocks by zone
   * @param at the present, in epoch seconds
   */
  WhoSets(
      Catalogue catalogue,
      Numbers numbers,
      List<ZoneId> zones,
      Function<ZoneId, ZoneClock> clocks,
      long at,
      Reader reader) {
    this.catalogue = catalogue;
    this.numbers = numbers;
    this.zones = zones;
    this.clocks = clocks;
    this.at = at;
    this.reader = reader;
  }

  Those of(Condition who) {
    return switch (who) {
      case Condition.HasTag has -> label(has.tag(), " and x.until is null");
      case Condition.HadTag had -> label(had.tag(), "");
      case Condition.OnList on -> label(on.list(), " and x.until is null");
      case Condition.InSegment in -> segment(in.segment());
      case Condition.Field field -> field(field);
      case Condition.Bought bought -> bought(bought);
      case Condition.InCart in -> inCart(in.what());
      case Condition.Happened happened -> happened(happened);
      case Condition.IsNow now -> now(now);
      case Condition.All all -> all(all.parts());
      case Condition.Any any -> any(any.parts());
      case Condition.None none -> any(none.parts()).not();
      // What belongs to a visit, nobody has outside of one.
      case Condition.AboutEmail asked -> Those.nobody();
      case Condition.CameByForm by -> Those.nobody();
      case Condition.CameByJourney by -> Those.nobody();
      case Condition.CameByList by -> Those.nobody();
      case Condition.CameByOrder by -> Those.nobody();
    };
  }

  private Those all(List<Condition> parts) {
    return parts.stream().map(this::of).reduce(Those.everybody(), Those::and);
  }

  private Those any(List<Condition> parts) {
    return parts.stream().map(this::of).reduce(Those.nobody(), Those::or);
  }

  /**
   * Those of whom a table has a row {@code x} that is as asked. A person's zone is {@code z.zone}.
   *
   * @param asked begins with "and"
   */
  private Those having(String table, Where asked) {
    String zone = asked.mentions("z.zone") ? " left join person z on z.id = x.person_id" : "";
    return reader.those(
        asked.after("select x.person_id from " + table + " x" + zone + " where true"));
  }

  /** The same of a row about a name; nobody has one about an unknown name. */
  private Those having(String table, Name name, UnaryOperator<Where> asked) {
    return numbers
        .of(name)
        .map(
            number ->
                having(table, asked.apply(new Where().add(" and x.name_id = ").value(number))))
        .orElse(Those.nobody());
  }

  private Those label(Name name, String also) {
    return having("person_label", name, where -> where.add(also));
  }

  /** A segment that is not there, or asks about itself, holds for nobody. */
  private Those segment(SegmentName name) {
    Optional<Segment> segment = catalogue.segment(name);
    if (segment.isEmpty() || !inside.add(name)) {
      return Those.nobody();
    }
    Those those = of(segment.get().who());
    inside.remove(name);
    return those;
  }

  private Those field(Condition.Field field) {
    Those those =
        having(
            "person_field",
            field.field(),
            where -> compared(where, "x", field.is(), field.values()));
    return field.is() == Operator.IS_EMPTY ? those.not() : those;
  }

  /**
   * That a value is as asked; that there is one is said already.
   *
   * @param held the row that has it
   */
  private Where compared(Where where, String held, Operator is, List<Operand> operands) {
    return switch (is) {
      case IS_EMPTY -> where;
      case CONTAINS -> contains(where, held, "> 0", operands.getFirst());
      case STARTS_WITH -> contains(where, held, "= 1", operands.getFirst());
      case EQUALS -> ordered(where, held, "=", operands.getFirst());
      case LESS -> ordered(where, held, "<", operands.getFirst());
      case AT_MOST -> ordered(where, held, "<=", operands.getFirst());
      case MORE -> ordered(where, held, ">", operands.getFirst());
      case AT_LEAST -> ordered(where, held, ">=", operands.getFirst());
      case BETWEEN ->
          ordered(ordered(where, held, ">=", operands.getFirst()), held, "<=", operands.get(1));
    };
  }

  /**
   * @param place where it must stand in the text, from 1
   */
  private Where contains(Where where, String held, String place, Operand what) {
    return switch (what) {
      case Operand.Words words ->
          where.add(" and locate(").value(key(words)).add(", " + held + ".words_key) " + place);
      case Operand.OtherField other ->
          ofOther(where, other, " and locate(o.words_key, " + held + ".words_key) " + place);
      case Operand.Number number -> where.add(" and false");
      case Operand.Date date -> where.add(" and false");
      case Operand.Today today -> where.add(" and false");
    };
  }

  /** Values of different kinds never compare. */
  private Where ordered(Where where, String held, String sign, Operand other) {
    return switch (other) {
      case Operand.Words words ->
          where.add(" and " + held + ".words_key " + sign + " ").value(key(words));
      case Operand.Number number ->
          where.add(" and " + held + ".number " + sign + " ").value(number.number() + 0.0);
      case Operand.Date date ->
          where.add(" and " + held + ".dated " + sign + " ").value(date.date());
      case Operand.Today today -> ofToday(where, held, sign, today);
      case Operand.OtherField field ->
          ofOther(
              where,
              field,
              (" and (%2$s.words_key %1$s o.words_key or %2$s.number %1$s o.number"
                      + " or %2$s.dated %1$s o.dated)")
                  .formatted(sign, held));
    };
  }

  private Where ofOther(Where where, Operand.OtherField other, String how) {
    Optional<Long> number = numbers.of(other.field());
    return number.isEmpty()
        ? where.add(" and false")
        : where
            .add(" and exists (select 1 from person_field o where o.person_id = x.person_id")
            .add(" and o.name_id = ")
            .value(number.get())
            .add(how + ")");
  }

  /**
   * What day it is differs from zone to zone, but there are never more than three; and where none
   * of them fits, no zone is looked up.
   */
  private Where ofToday(Where where, String held, String sign, Operand.Today today) {
    Function<ZoneId, LocalDate> days =
        zone -> clocks.apply(zone).date(at).plusDays(today.plusDays());
    Consumer<LocalDate> fits = day -> where.add(held + ".dated " + sign + " ").value(day);
    where.add(" and (false");
    zones.stream()
        .map(days)
        .distinct()
        .forEach(
            day -> {
              where.add(" or ");
              fits.accept(day);
            });
    return byZone(where.add(")"), days, fits);
  }

  /**
   * Goes on with a condition that is another one by the zone of the person; zones with the same one
   * share it, and none is asked about where all do.
   *
   * @param value what the condition is made of, by zone
   */
  private <T> Where byZone(Where where, Function<ZoneId, T> value, Consumer<T> said) {
    Map<T, List<String>> byValue = new LinkedHashMap<>();
    for (ZoneId zone : zones) {
      byValue.computeIfAbsent(value.apply(zone), any -> new ArrayList<>()).add(zone.getId());
    }
    if (byValue.isEmpty()) {
      return where.add(" and false");
    }
    where.add(" and (");
    String between = "";
    for (Map.Entry<T, List<String>> one : byValue.entrySet()) {
      where.add(between + "(");
      said.accept(one.getKey());
      where.add(")");
      if (byValue.size() > 1) {
        where.add(" and z.zone in (").list(one.getValue()).add(")");
      }
      between = " or ";
    }
    return where.add(")");
  }

  private Those bought(Condition.Bought bought) {
    return having("purchase", fitting(recently(new Where(), bought.within()), bought.what()));
  }

  private Where fitting(Where where, Purchases what) {
    what.atLeast().ifPresent(least -> where.add(" and x.cents >= ").value(least.cents()));
    what.product().ifPresent(product -> isOne(where, "x.product_id", product));
    what.category()
        .ifPresent(
            category -> {
              where.add(" and x.product_id in (select n.id from registered_name n where true");
              isOne(where, "n.category_id", category);
              where.add(")");
            });
    return where;
  }

  private void isOne(Where where, String column, Name name) {
    numbers
        .of(name)
        .ifPresentOrElse(
            number -> where.add(" and " + column + " = ").value(number),
            () -> where.add(" and false"));
  }

  /** What lay in the cart when it last changed, unless something was bought since. */
  private Those inCart(Purchases what) {
    Where where =
        new Where()
            .add(" and not x.emptied and x.at = (select max(m.at) from cart_line m")
            .add(" where m.person_id = x.person_id and m.at <= ")
            .value(at)
            .add(") and not exists (select 1 from purchase b where b.person_id = x.person_id")
            .add(" and b.at > x.at and b.at <= ")
            .value(at)
            .add(")");
    return having("cart_line", fitting(where, what));
  }

  private Those happened(Condition.Happened happened) {
    return having(
        "person_event",
        happened.event(),
        where -> {
          recently(where, happened.within());
          happened.where().forEach(attribute -> says(where, attribute));
          return where.add(" group by x.person_id having count(*) >= ").value(happened.atLeast());
        });
  }

  private void says(Where where, Attribute attribute) {
    where
        .add(attribute.is() == Operator.IS_EMPTY ? " and not" : " and")
        .add(" exists (select 1 from person_event_says v where v.event_id = x.id")
        .add(" and v.attribute = ")
        .value(attribute.attribute().value());
    compared(where, "v", attribute.is(), attribute.values());
    where.add(")");
  }

  /** So long before now at the most; ever, if nothing is said. */
  private Where recently(Where where, Optional<Amount> within) {
    where.add(" and x.at <= ").value(at);
    if (within.isEmpty()) {
      return where;
    }
    if (within.get().unit().exact()) {
      return where.add(" and x.at >= ").value(at - within.get().exactSeconds());
    }
    Function<ZoneId, List<Reach.Span>> spans =
        zone -> Reach.to(at, within.get(), clocks.apply(zone));
    zones.stream()
        .flatMap(zone -> spans.apply(zone).stream())
        .mapToLong(Reach.Span::from)
        .min()
        .ifPresent(first -> where.add(" and x.at >= ").value(first));
    return byZone(where, spans, among -> within(where, among));
  }

  private static void within(Where where, List<Reach.Span> spans) {
    String between = "";
    where.add(spans.isEmpty() ? "false" : "");
    for (Reach.Span span : spans) {
      where.add(between + "x.at between ").value(span.from()).add(" and ").value(span.to());
      between = " or ";
    }
  }

  private Those now(Condition.IsNow now) {
    List<String> fitting =
        zones.stream()
            .filter(zone -> now.during().has(at, clocks.apply(zone)))
            .map(ZoneId::getId)
            .toList();
    if (fitting.isEmpty() || fitting.size() == zones.size()) {
      return fitting.isEmpty() ? Those.nobody() : Those.everybody();
    }
    return reader.those(
        new Where().add("select p.id from person p where p.zone in (").list(fitting).add(")"));
  }

  private static String key(Operand.Words words) {
    return TextKey.of(words.text());
  }
}
