package org.opentrellis.app.people;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
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
 * A condition about people as SQL over {@code person p}, for many people at once. It finds exactly
 * those for whom the machine says yes ({@link org.opentrellis.core.machine.Onlooker}; {@code
 * WhoSqlTest} holds the two together). What depends on a person's own clock is worked out for each
 * zone beforehand.
 */
final class WhoSql {
  /** How the numbers of names are looked up; empty for a name that nobody has to do with. */
  interface Numbers {
    Optional<Long> of(Name name);
  }

  private final Catalogue catalogue;
  private final Numbers numbers;
  private final List<ZoneId> zones;
  private final Function<ZoneId, ZoneClock> clocks;
  private final long at;
  private final Set<SegmentName> inside = new HashSet<>();
  private final Where where = new Where();

  private WhoSql(
      Catalogue catalogue,
      Numbers numbers,
      List<ZoneId> zones,
      Function<ZoneId, ZoneClock> clocks,
      long at) {
    this.catalogue = catalogue;
    this.numbers = numbers;
    this.zones = zones;
    this.clocks = clocks;
    this.at = at;
  }

  /**
   * @param zones those that people live in
   * @param clocks by zone
   * @param at the present, in epoch seconds
   */
  static Where of(
      Condition who,
      Catalogue catalogue,
      Numbers numbers,
      List<ZoneId> zones,
      Function<ZoneId, ZoneClock> clocks,
      long at) {
    WhoSql sql = new WhoSql(catalogue, numbers, zones, clocks, at);
    sql.say(who);
    return sql.where;
  }

  private void say(Condition who) {
    switch (who) {
      case Condition.HasTag has -> label(has.tag(), "and l.until is null");
      case Condition.HadTag had -> label(had.tag(), "");
      case Condition.OnList on -> label(on.list(), "and l.until is null");
      case Condition.InSegment in -> segment(in.segment());
      case Condition.Field field -> field(field);
      case Condition.Bought bought -> bought(bought);
      case Condition.InCart in -> inCart(in.what());
      case Condition.Happened happened -> happened(happened);
      case Condition.IsNow now -> inZones(zone -> now.during().has(at, clocks.apply(zone)));
      case Condition.All all -> joined(all.parts(), " and ", "true");
      case Condition.Any any -> joined(any.parts(), " or ", "false");
      case Condition.None none -> {
        where.add("not ");
        joined(none.parts(), " or ", "false");
      }
      // What belongs to a visit, nobody has outside of one.
      case Condition.AboutEmail asked -> where.add("false");
      case Condition.CameByForm by -> where.add("false");
      case Condition.CameByJourney by -> where.add("false");
      case Condition.CameByList by -> where.add("false");
      case Condition.CameByOrder by -> where.add("false");
    }
  }

  private void joined(List<Condition> parts, String between, String ifNone) {
    where.add("(");
    for (int i = 0; i < parts.size(); i++) {
      where.add(i == 0 ? "" : between);
      say(parts.get(i));
    }
    where.add(parts.isEmpty() ? ifNone + ")" : ")");
  }

  private void label(Name name, String also) {
    Optional<Long> number = numbers.of(name);
    if (number.isEmpty()) {
      where.add("false");
      return;
    }
    where
        .add("exists (select 1 from person_label l where l.person_id = p.id and l.name_id = ")
        .value(number.get())
        .add(" " + also + ")");
  }

  /** A segment that is not there, or asks about itself, holds for nobody. */
  private void segment(SegmentName name) {
    Optional<Segment> segment = catalogue.segment(name);
    if (segment.isEmpty() || !inside.add(name)) {
      where.add("false");
      return;
    }
    say(segment.get().who());
    inside.remove(name);
  }

  private void field(Condition.Field field) {
    Optional<Long> number = numbers.of(field.field());
    if (number.isEmpty()) {
      where.add(field.is() == Operator.IS_EMPTY ? "true" : "false");
      return;
    }
    where
        .add(field.is() == Operator.IS_EMPTY ? "not " : "")
        .add("exists (select 1 from person_field v where v.person_id = p.id and v.name_id = ")
        .value(number.get());
    compared(field.is(), field.values());
    where.add(")");
  }

  /** That the value {@code v} is as asked; that there is one is said already. */
  private void compared(Operator is, List<Operand> operands) {
    switch (is) {
      case IS_EMPTY -> {}
      case CONTAINS -> contains("> 0", operands.getFirst());
      case STARTS_WITH -> contains("= 1", operands.getFirst());
      case EQUALS -> ordered("=", operands.getFirst());
      case LESS -> ordered("<", operands.getFirst());
      case AT_MOST -> ordered("<=", operands.getFirst());
      case MORE -> ordered(">", operands.getFirst());
      case AT_LEAST -> ordered(">=", operands.getFirst());
      case BETWEEN -> {
        ordered(">=", operands.getFirst());
        ordered("<=", operands.get(1));
      }
    }
  }

  /**
   * @param place where it must stand in the text, from 1
   */
  private void contains(String place, Operand what) {
    switch (what) {
      case Operand.Words words ->
          where.add(" and locate(").value(key(words)).add(", v.words_key) " + place);
      case Operand.OtherField other ->
          ofOther(other, " and locate(o.words_key, v.words_key) " + place);
      case Operand.Number number -> where.add(" and false");
      case Operand.Date date -> where.add(" and false");
      case Operand.Today today -> where.add(" and false");
    }
  }

  /** Values of different kinds never compare. */
  private void ordered(String sign, Operand other) {
    switch (other) {
      case Operand.Words words -> where.add(" and v.words_key " + sign + " ").value(key(words));
      case Operand.Number number ->
          where.add(" and v.number " + sign + " ").value(number.number() + 0.0);
      case Operand.Date date -> where.add(" and v.dated " + sign + " ").value(date.date());
      case Operand.Today today -> {
        where.add(" and v.dated " + sign + " ");
        byZone(zone -> clocks.apply(zone).date(at).plusDays(today.plusDays()));
      }
      case Operand.OtherField field ->
          ofOther(
              field,
              " and (v.words_key %1$s o.words_key or v.number %1$s o.number or v.dated %1$s o.dated)"
                  .formatted(sign));
    }
  }

  private void ofOther(Operand.OtherField other, String how) {
    Optional<Long> number = numbers.of(other.field());
    if (number.isEmpty()) {
      where.add(" and false");
      return;
    }
    where
        .add(" and exists (select 1 from person_field o where o.person_id = p.id and o.name_id = ")
        .value(number.get())
        .add(how + ")");
  }

  private void bought(Condition.Bought bought) {
    where.add("exists (select 1 from purchase b where b.person_id = p.id");
    recently("b.at", bought.within());
    fitting("b", bought.what());
    where.add(")");
  }

  private void fitting(String line, Purchases what) {
    what.atLeast()
        .ifPresent(least -> where.add(" and " + line + ".cents >= ").value(least.cents()));
    if (what.product().isPresent()) {
      isOne(line + ".product_id", what.product().get());
    }
    if (what.category().isPresent()) {
      where.add(
          " and exists (select 1 from registered_name n where n.id = " + line + ".product_id");
      isOne("n.category_id", what.category().get());
      where.add(")");
    }
  }

  private void isOne(String column, Name name) {
    Optional<Long> number = numbers.of(name);
    if (number.isEmpty()) {
      where.add(" and false");
    } else {
      where.add(" and " + column + " = ").value(number.get());
    }
  }

  /** What lay in the cart when it last changed, unless something was bought since. */
  private void inCart(Purchases what) {
    where
        .add("exists (select 1 from cart_line c where c.person_id = p.id and not c.emptied")
        .add(" and c.at = (select max(m.at) from cart_line m where m.person_id = p.id and m.at <= ")
        .value(at)
        .add(") and not exists (select 1 from purchase b where b.person_id = p.id")
        .add(" and b.at > c.at and b.at <= ")
        .value(at)
        .add(")");
    fitting("c", what);
    where.add(")");
  }

  private void happened(Condition.Happened happened) {
    Optional<Long> number = numbers.of(happened.event());
    if (number.isEmpty()) {
      where.add("false");
      return;
    }
    where
        .add("(select count(*) from person_event e where e.person_id = p.id and e.name_id = ")
        .value(number.get());
    recently("e.at", happened.within());
    happened.where().forEach(this::says);
    where.add(") >= ").value(happened.atLeast());
  }

  private void says(Attribute attribute) {
    where
        .add(attribute.is() == Operator.IS_EMPTY ? " and not" : " and")
        .add(" exists (select 1 from person_event_says v where v.event_id = e.id")
        .add(" and v.attribute = ")
        .value(attribute.attribute().value());
    compared(attribute.is(), attribute.values());
    where.add(")");
  }

  /** So long before now at the most; ever, if nothing is said. */
  private void recently(String column, Optional<Amount> within) {
    where.add(" and " + column + " <= ").value(at);
    if (within.isEmpty()) {
      return;
    }
    if (within.get().unit().exact()) {
      where.add(" and " + column + " >= ").value(at - within.get().exactSeconds());
      return;
    }
    where.add(" and (");
    for (int i = 0; i < zones.size(); i++) {
      where.add(i == 0 ? "p.zone = " : " or p.zone = ").value(zones.get(i).getId()).add(" and (");
      among(column, Reach.to(at, within.get(), clocks.apply(zones.get(i))));
      where.add(")");
    }
    where.add(zones.isEmpty() ? "false)" : ")");
  }

  private void among(String column, List<Reach.Span> spans) {
    for (int n = 0; n < spans.size(); n++) {
      where
          .add(n == 0 ? "" : " or ")
          .add(column + " between ")
          .value(spans.get(n).from())
          .add(" and ")
          .value(spans.get(n).to());
    }
  }

  private void inZones(java.util.function.Predicate<ZoneId> fits) {
    List<ZoneId> fitting = zones.stream().filter(fits).toList();
    if (fitting.isEmpty()) {
      where.add("false");
      return;
    }
    where.add("p.zone in (");
    for (int i = 0; i < fitting.size(); i++) {
      where.add(i == 0 ? "" : ", ").value(fitting.get(i).getId());
    }
    where.add(")");
  }

  private void byZone(Function<ZoneId, LocalDate> value) {
    where.add("case p.zone");
    for (ZoneId zone : zones) {
      where.add(" when ").value(zone.getId()).add(" then cast(");
      where.value(value.apply(zone)).add(" as date)");
    }
    where.add(zones.isEmpty() ? " else cast(null as date) end" : " end");
  }

  private static String key(Operand.Words words) {
    return key(words.text());
  }

  /** How texts are compared: without regard to case. */
  static String key(String text) {
    return text.toLowerCase(Locale.ROOT);
  }
}
