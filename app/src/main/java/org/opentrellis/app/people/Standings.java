package org.opentrellis.app.people;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.people.Mailing;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * How somebody stands of whom no journey has known yet: what their record says, as the machine
 * takes it up.
 */
@Service
@Transactional(readOnly = true)
public class Standings {
  private final PeopleMapper mapper;
  private final ArrivalMapper many;

  Standings(PeopleMapper mapper, ArrivalMapper many) {
    this.mapper = mapper;
    this.many = many;
  }

  /**
   * @throws NotFound if there is nobody of that number
   */
  public PersonState of(long id) {
    PersonRow row = mapper.find(id).orElseThrow(() -> NotFound.of("person", id));
    Set<Name> labels = new HashSet<>();
    Set<Name> hadLabels = new HashSet<>();
    for (LabelRow label : many.labels(new Long[] {id})) {
      hadLabels.add(label.label());
      if (label.until() == null) {
        labels.add(label.label());
      }
    }
    Map<FieldName, Operand> fields = new HashMap<>();
    mapper.fields(id).forEach(one -> fields.put(new FieldName(one.name()), one.operand()));
    List<PersonState.CartLine> carts = carts(id);
    return new PersonState(
        ZoneId.of(row.zone()),
        Long.MIN_VALUE,
        labels,
        hadLabels,
        fields,
        row.texts(),
        purchases(id),
        events(id),
        carts,
        Set.of(),
        List.of(),
        0,
        List.of(),
        Person.NEVER,
        since(row, Mailing.UNSUBSCRIBED, Mailing.NOT_CONFIRMED),
        since(row, Mailing.COMPLAINED, Mailing.COMPLAINED),
        since(row, Mailing.BOUNCED, Mailing.BOUNCED),
        Long.MIN_VALUE,
        carts.stream().mapToLong(PersonState.CartLine::at).max().orElse(Long.MIN_VALUE),
        Map.of(),
        List.of(),
        Map.of(),
        List.of());
  }

  /** Whoever has not confirmed gets nothing, just as whoever unsubscribed. */
  private static long since(PersonRow row, Mailing one, Mailing or) {
    return row.mailing() == one || row.mailing() == or ? row.mailingSince() : Person.NEVER;
  }

  private List<PersonState.Purchase> purchases(long id) {
    return mapper.purchases(id).stream()
        .map(one -> new PersonState.Purchase(one.at(), product(one.product()), one.cents()))
        .toList();
  }

  private List<PersonState.CartLine> carts(long id) {
    return mapper.carts(id).stream()
        .map(
            one ->
                new PersonState.CartLine(
                    one.at(), one.emptied(), product(one.product()), one.cents()))
        .toList();
  }

  private static Optional<ProductName> product(@Nullable String name) {
    return Optional.ofNullable(name).map(ProductName::new);
  }

  private List<PersonState.Event> events(long id) {
    Map<Long, List<HeardRow>> rows = new LinkedHashMap<>();
    mapper
        .heard(id)
        .forEach(row -> rows.computeIfAbsent(row.id(), none -> new ArrayList<>()).add(row));
    return rows.values().stream().map(Standings::event).toList();
  }

  private static PersonState.Event event(List<HeardRow> rows) {
    Map<AttributeName, Operand> payload = new HashMap<>();
    for (HeardRow row : rows) {
      if (row.attribute() != null) {
        payload.put(
            new AttributeName(row.attribute()),
            new ValueRow(row.attribute(), row.words(), row.number(), row.dated()).operand());
      }
    }
    HeardRow first = rows.getFirst();
    return new PersonState.Event(first.at(), new EventName(first.event()), payload);
  }
}
