package org.opentrellis.app.people;

import static java.util.Comparator.comparing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Gives some people in an order, from one of them on. */
@Component
class PeopleInOrder {
  /** So few are looked up at once; more are met soon enough on the way through everybody. */
  private static final int FEW = 1_000;

  /** So many are gone through at a time. */
  private static final int STRIDE = 2_000;

  private final PeopleMapper mapper;

  PeopleInOrder(PeopleMapper mapper) {
    this.mapper = mapper;
  }

  /**
   * @param after whom they come behind; null for the first ones
   */
  List<PersonRow> next(Those these, PeopleOrder order, @Nullable PersonRow after, int most) {
    return these.atMost(FEW)
        ? sorted(these, order, after, most)
        : met(these, order, after == null ? null : place(after, order), most);
  }

  private List<PersonRow> sorted(
      Those these, PeopleOrder order, @Nullable PersonRow after, int most) {
    Comparator<PersonRow> by = by(order);
    Stream<PersonRow> rows =
        mapper.rows(these.numbers().boxed().toArray(Long[]::new)).stream()
            .filter(row -> after == null || by.compare(row, after) > 0);
    return rows.sorted(by).limit(most).toList();
  }

  /** As the database has them in order. */
  private static Comparator<PersonRow> by(PeopleOrder order) {
    return switch (order) {
      case NAME -> comparing((PersonRow row) -> row.nameKey()).thenComparing(PersonRow::id);
      case ADDRESS -> comparing((PersonRow row) -> row.addressKey());
      case NEWEST -> comparing(PersonRow::id).reversed();
    };
  }

  private List<PersonRow> met(
      Those these, PeopleOrder order, PeopleMapper.@Nullable Place after, int most) {
    List<Long> found = new ArrayList<>();
    List<PeopleMapper.Place> passed = places(order, after, 2 * most);
    while (!passed.isEmpty()) {
      passed.stream()
          .map(PeopleMapper.Place::id)
          .filter(these::has)
          .limit(most - found.size())
          .forEach(found::add);
      passed = found.size() < most ? places(order, passed.getLast(), STRIDE) : List.of();
    }
    return rows(found);
  }

  private List<PeopleMapper.Place> places(
      PeopleOrder order, PeopleMapper.@Nullable Place after, int most) {
    String key = after == null ? "" : after.key();
    return switch (order) {
      case NAME -> mapper.byName(key, after == null ? 0 : after.id(), most);
      case ADDRESS -> mapper.byAddress(key, most);
      case NEWEST -> mapper.newest(after == null ? Long.MAX_VALUE : after.id(), most);
    };
  }

  private static PeopleMapper.Place place(PersonRow row, PeopleOrder order) {
    return new PeopleMapper.Place(
        row.id(),
        switch (order) {
          case NAME -> row.nameKey();
          case ADDRESS -> row.addressKey();
          case NEWEST -> "";
        });
  }

  /** Who they are, in the order of their numbers; those who are gone are left out. */
  List<PersonRow> rows(List<Long> numbers) {
    Map<Long, PersonRow> byNumber =
        mapper.rows(numbers.toArray(Long[]::new)).stream()
            .collect(Collectors.toMap(PersonRow::id, Function.identity()));
    return numbers.stream().filter(byNumber::containsKey).map(byNumber::get).toList();
  }
}
