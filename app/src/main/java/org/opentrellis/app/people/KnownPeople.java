package org.opentrellis.app.people;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongPredicate;
import java.util.stream.Collectors;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.people.HowOften;
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
    KnownPerson person = those(List.of(id)).get(id);
    if (person == null) {
      throw NotFound.of("person", id);
    }
    return person;
  }

  /** Some people, by their numbers; those who are not there are left out. */
  public Map<Long, KnownPerson> those(List<Long> people) {
    if (people.isEmpty()) {
      return Map.of();
    }
    Long[] numbers = people.toArray(Long[]::new);
    Map<Long, Map<FieldName, Operand>> fields =
        mapper.fieldsOf(numbers).stream()
            .collect(
                Collectors.groupingBy(
                    HeldValue::personId,
                    Collectors.toMap(
                        one -> new FieldName(one.name()), one -> one.value().operand())));
    Map<Long, List<HeldLine>> carts = byPerson(mapper.cartsOf(numbers));
    Map<Long, List<HeldLine>> purchases = byPerson(mapper.purchasesOf(numbers));
    return mapper.rows(numbers).stream()
        .collect(
            Collectors.toMap(
                PersonRow::id,
                row ->
                    new KnownPerson(
                        row.id(),
                        row.address(),
                        row.firstName(),
                        row.lastName(),
                        ZoneId.of(row.zone()),
                        fields.getOrDefault(row.id(), Map.of()),
                        newest(carts.getOrDefault(row.id(), List.of())),
                        newest(purchases.getOrDefault(row.id(), List.of())))));
  }

  private static Map<Long, List<HeldLine>> byPerson(List<HeldLine> lines) {
    return lines.stream().collect(Collectors.groupingBy(HeldLine::personId));
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
   * @param howOften they want to be mailed at most
   * @param mail why they may not be mailed, as a sentence; empty if they may
   * @param texts likewise for texts
   */
  public record Reach(
      ZoneId zone, HowOften howOften, Optional<String> mail, Optional<String> texts) {
    static Reach of(PersonRow row) {
      return new Reach(
          ZoneId.of(row.zone()),
          row.howOften(),
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
  private static List<KnownPerson.KnownLine> newest(List<HeldLine> lines) {
    long last = lines.stream().mapToLong(HeldLine::at).max().orElse(0);
    return lines.stream().filter(one -> one.at() == last).map(HeldLine::known).toList();
  }

  /** Of which people a condition holds now; for those who are there. */
  public LongPredicate meant(Condition who) {
    return crowd.meant(who)::has;
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
