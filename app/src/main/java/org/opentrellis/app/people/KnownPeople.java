package org.opentrellis.app.people;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.people.Mailing;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What messages can say of people, and which passages are for them. */
@Service
@Transactional(readOnly = true, noRollbackFor = NotFound.class)
public class KnownPeople {
  private final PeopleMapper mapper;
  private final Crowd crowd;

  KnownPeople(PeopleMapper mapper, Crowd crowd) {
    this.mapper = mapper;
    this.crowd = crowd;
  }

  /**
   * @throws NotFound if there is nobody of that number
   */
  public KnownPerson find(long id) {
    PersonRow row = mapper.find(id).orElseThrow(() -> NotFound.of("person", id));
    Map<FieldName, Operand> fields =
        mapper.fields(id).stream()
            .collect(Collectors.toMap(one -> new FieldName(one.name()), ValueRow::operand));
    return new KnownPerson(
        id,
        row.address(),
        row.firstName(),
        row.lastName(),
        ZoneId.of(row.zone()),
        fields,
        newest(
            mapper.carts(id).stream().filter(one -> !one.emptied()).toList(),
            PersonFile.KnownCart::at,
            one -> line(one.product(), one.cents())),
        newest(
            mapper.purchases(id),
            PersonFile.KnownOrder::at,
            one -> line(one.product(), one.cents())));
  }

  /** How some people are called, by their numbers; those who are not there are left out. */
  public Map<Long, String> called(List<Long> people) {
    if (people.isEmpty()) {
      return Map.of();
    }
    return mapper.rows(people.toArray(Long[]::new)).stream()
        .collect(
            Collectors.toMap(
                PersonRow::id,
                row -> {
                  String name = row.name();
                  return name == null ? row.address() : name;
                }));
  }

  /** The number (E.164) that texts go to, if one is known. */
  public Optional<String> phone(long id) {
    return mapper.find(id).map(PersonRow::phone);
  }

  /**
   * Whether somebody may be sent something.
   *
   * @param zone where they are at home
   * @param mail why they may not be mailed, as a sentence; empty if they may
   * @param texts likewise for texts
   */
  public record Reach(ZoneId zone, Optional<String> mail, Optional<String> texts) {
    static Reach of(PersonRow row) {
      return new Reach(
          ZoneId.of(row.zone()),
          row.mailing() == Mailing.MAY_BE_MAILED
              ? Optional.empty()
              : Optional.of("They may not be mailed: " + row.mailing().words() + "."),
          row.texts() ? Optional.empty() : Optional.of("They did not agree to texts."));
    }
  }

  /** Whether some people may be sent something; those who are not there any more are left out. */
  public Map<Long, Reach> reach(List<Long> people) {
    return mapper.rows(people.toArray(Long[]::new)).stream()
        .collect(Collectors.toMap(PersonRow::id, Reach::of));
  }

  /** Why somebody may not be mailed, as a sentence; empty if they may. */
  public Optional<String> hindrance(long id) {
    return mapper
        .find(id)
        .map(Reach::of)
        .map(Reach::mail)
        .orElse(Optional.of("They were forgotten."));
  }

  /** The lines of the last cart or order: those of one moment. */
  private static <T> List<KnownPerson.KnownLine> newest(
      List<T> lines, ToLongFunction<T> at, Function<T, KnownPerson.KnownLine> line) {
    long last = lines.stream().mapToLong(at).max().orElse(0);
    return lines.stream().filter(one -> at.applyAsLong(one) == last).map(line).toList();
  }

  private static KnownPerson.KnownLine line(@Nullable String product, long cents) {
    return new KnownPerson.KnownLine(Optional.ofNullable(product).map(ProductName::new), cents);
  }

  /** Whether a condition holds for somebody now. */
  public boolean holds(Condition who, long id) {
    return crowd.meant(who).and(crowd.there(List.of(id))).count(1) == 1;
  }

  /** Empty if nobody has one. */
  public String longestFirstName() {
    return mapper.longestFirstName().orElse("");
  }

  public String longestLastName() {
    return mapper.longestLastName().orElse("");
  }

  public String longestAddress() {
    return mapper.longestAddress().orElse("");
  }

  public String longestValue(FieldName field) {
    return mapper.longestValue(field.value()).orElse("");
  }
}
