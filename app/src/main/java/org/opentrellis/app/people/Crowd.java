package org.opentrellis.app.people;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Gatherers;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Name;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** All the account's people: which of them something holds for. */
@Component
@Transactional(readOnly = true)
class Crowd {
  /** So far back clocks are quick. */
  private static final int QUICK_DAYS = 400;

  /** An array of the database holds 65,536. */
  private static final int PIECE = 10_000;

  private final PeopleMapper mapper;
  private final ThoseMapper those;
  private final RegisteredNames names;
  private final Catalogues catalogues;
  private final Clock clock;

  Crowd(
      PeopleMapper mapper,
      ThoseMapper those,
      RegisteredNames names,
      Catalogues catalogues,
      Clock clock) {
    this.mapper = mapper;
    this.those = those;
    this.names = names;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  /** Whom a condition means now. */
  Those meant(Condition who) {
    List<ZoneId> zones = mapper.zones().stream().map(ZoneId::of).toList();
    Instant now = clock.instant();
    Function<ZoneId, ZoneClock> clocks =
        ZoneClock.around(
                zones.isEmpty() ? ZoneId.of("UTC") : zones.getFirst(),
                now.minusSeconds((long) QUICK_DAYS * ZoneClock.DAY),
                QUICK_DAYS + 2)
            ::in;
    return new WhoSets(
            catalogues.current(), names::find, zones, clocks, now.getEpochSecond(), this::read)
        .of(who);
  }

  /** Those whom a statement finds, which selects their numbers. */
  Those read(Where statement) {
    BitSet bits = new BitSet();
    those.read(statement, one -> bits.set(Math.toIntExact(one.getResultObject())));
    return Those.of(bits);
  }

  /**
   * In whose name or address something stands.
   *
   * @param typed as it was typed; blank for whatever
   */
  Those called(String typed) {
    if (typed.isBlank()) {
      return Those.everybody();
    }
    String key = TextKey.of(typed.strip());
    return read(
        new Where()
            .add("select p.id from person p where locate(")
            .value(key)
            .add(", p.name_key) > 0 or locate(")
            .value(key)
            .add(", p.address_key) > 0"));
  }

  /** Those of these numbers who are there. */
  Those there(List<Long> numbers) {
    return Those.of(
        numbers.stream()
            .gather(Gatherers.windowFixed(PIECE))
            .flatMap(piece -> mapper.there(piece.toArray(Long[]::new)).stream())
            .toList());
  }

  /**
   * Those of whom a field holds a value.
   *
   * @param coded as {@link ValueRow#coded} gives it; null for any value
   */
  Those holding(Name field, @Nullable String coded) {
    Optional<Long> number = names.find(field);
    if (number.isEmpty()) {
      return Those.nobody();
    }
    Where where =
        new Where()
            .add("select v.person_id from person_field v where v.name_id = ")
            .value(number.get());
    return read(coded == null ? where : where.add(" and " + ActMapper.CODED + " = ").value(coded));
  }

  /** Those whose mailing can be stopped. */
  Those mailed() {
    return read(new Where()
            .add("select p.id from person p")
            .add(" where p.mailing in ('UNSUBSCRIBED', 'BOUNCED', 'COMPLAINED')"))
        .not();
  }

  /** Those to whom something may be sent. */
  Those mayBeMailed() {
    return read(new Where().add("select p.id from person p where p.mailing = 'MAY_BE_MAILED'"));
  }

  Those agreedToTexts() {
    return read(new Where().add("select p.id from person p where p.texts"));
  }

  long count(Those these) {
    return these.count(mapper.countAll());
  }

  /** Their numbers, in ascending order. */
  LongStream numbers(Those these) {
    return these.areOthers()
        ? read(new Where().add("select p.id from person p")).and(these).numbers()
        : these.numbers();
  }
}
