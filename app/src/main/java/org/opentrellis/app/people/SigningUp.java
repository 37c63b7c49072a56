package org.opentrellis.app.people;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.people.HowOften;
import org.opentrellis.core.people.Mailing;
import org.opentrellis.core.sentence.Style;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People sign up by themselves: who is new comes in, who is there is brought up to date. */
@Service
@Transactional
public class SigningUp {
  private final PeopleMapper mapper;
  private final ArrivalMapper arrivals;
  private final ChangeMapper changes;
  private final Forgotten forgotten;
  private final Differences differences;
  private final ChangeWriter writer;
  private final ApplicationEventPublisher events;

  SigningUp(
      PeopleMapper mapper,
      ArrivalMapper arrivals,
      ChangeMapper changes,
      Forgotten forgotten,
      Differences differences,
      ChangeWriter writer,
      ApplicationEventPublisher events) {
    this.mapper = mapper;
    this.arrivals = arrivals;
    this.changes = changes;
    this.forgotten = forgotten;
    this.differences = differences;
    this.writer = writer;
    this.events = events;
  }

  /**
   * What somebody filled in, as it is understood. What is null or missing stays as it is known.
   *
   * @param address as {@link org.opentrellis.core.people.EmailAddress} has it
   * @param phone E.164
   * @param texts whether they agreed to texts
   * @param agreement to what email they agreed, word for word; empty if they did not
   * @param labels lists and tags that the form gives
   */
  public record Signed(
      FormName form,
      String address,
      @Nullable String firstName,
      @Nullable String lastName,
      @Nullable String phone,
      boolean texts,
      String agreement,
      Map<FieldName, Operand> fields,
      Set<Name> labels) {
    boolean agreed() {
      return !agreement.isBlank();
    }

    String how() {
      return "by form " + Style.quoted(form.value());
    }
  }

  /**
   * Those of some addresses who are known, or were: then it takes them to change anything, which
   * they show by a link in a mail.
   *
   * @return the keys of their addresses
   */
  @Transactional(readOnly = true)
  public Set<String> known(List<String> addresses) {
    Set<String> known = new HashSet<>();
    numbers(addresses.stream().map(TextKey::of).toList()).forEach((key, id) -> known.add(key));
    forgotten.among(addresses).forEach(address -> known.add(TextKey.of(address)));
    return known;
  }

  private Map<String, Long> numbers(List<String> keys) {
    Map<String, Long> numbers = new HashMap<>();
    arrivals
        .known(keys.toArray(String[]::new))
        .forEach(row -> numbers.put(row.addressKey(), row.id()));
    return numbers;
  }

  /**
   * They are in; journeys hear of it.
   *
   * @param zone where they are at home as far as anybody knows
   * @param now in epoch seconds
   * @return their number
   */
  @AgainIfTaken
  public long in(Signed signed, String zone, long now) {
    forgotten.release(signed.address());
    return mapper
        .numberOf(TextKey.of(signed.address()))
        .map(id -> update(id, signed, now))
        .orElseGet(() -> newcomers(List.of(signed), zone, now).getFirst());
  }

  private long update(long id, Signed signed, long now) {
    PersonRow before = mapper.find(id).orElseThrow();
    List<ChangeRow> changes =
        new ArrayList<>(
            before.differences(
                before.with(
                    or(signed.firstName(), before.firstName()),
                    or(signed.lastName(), before.lastName()),
                    or(signed.phone(), before.phone()),
                    before.zone())));
    if (signed.agreed() && before.mailing() != Mailing.MAY_BE_MAILED) {
      changes.add(
          ChangeRow.of(
              id,
              What.MAILING,
              new Side(before.mailing().name(), before.mailingHow(), before.mailingSince(), null),
              new Side(Mailing.MAY_BE_MAILED.name(), signed.how(), now, null)));
    }
    if (signed.texts() && !before.texts()) {
      changes.add(
          texts(id, new Side("false", before.textsHow(), before.textsSince(), null), signed, now));
    }
    Map<FieldName, Optional<Operand>> fields = new LinkedHashMap<>();
    signed.fields().forEach((field, value) -> fields.put(field, Optional.of(value)));
    changes.addAll(differences.fields(id, fields));
    changes.addAll(differences.added(id, signed.labels(), signed.how(), now));
    writer.apply(changes);
    if (changes.stream().anyMatch(one -> one.what() == What.MAILING)) {
      mapper.agreedTo(id, signed.agreement());
    }
    writer.tell(null, now, changes, signed.how());
    writer.markChanged(changes);
    mapper.insertHappening(id, now, "SIGNED_UP", told(signed), null);
    events.publishEvent(
        new RecordsChanged(
            Map.of(
                id,
                happened(signed, ChangesHappen.of(changes, now).getOrDefault(id, List.of()), now)),
            false));
    return id;
  }

  /**
   * People whom nobody knows are in, all together; journeys hear of them. Who does so does it again
   * if somebody else takes one of the addresses at the same moment.
   *
   * @param people no address twice
   * @return their numbers, in the same order
   */
  public List<Long> newcomers(List<Signed> people, String zone, long now) {
    for (Signed signed : people) {
      PersonRow row = row(signed, zone, now);
      mapper.insert(row, row.addressKey(), row.nameKey());
    }
    mapper.noteZone(zone);
    List<String> keys = people.stream().map(one -> TextKey.of(one.address())).toList();
    Map<String, Long> numbers = numbers(keys);
    List<Long> ids = keys.stream().map(key -> Objects.requireNonNull(numbers.get(key))).toList();
    Map<Name, Long> names = new HashMap<>();
    List<ChangeRow> carried = new ArrayList<>();
    List<ChangeRow> texts = new ArrayList<>();
    for (int i = 0; i < people.size(); i++) {
      Signed signed = people.get(i);
      long id = ids.get(i);
      carried.addAll(
          differences.ofNewcomer(id, signed.fields(), signed.labels(), signed.how(), now, names));
      if (signed.texts()) {
        texts.add(texts(id, new Side("false", null, null, null), signed, now));
      }
    }
    writer.applyNew(carried);
    writer.apply(texts);
    changes.insertHappenings(
        null,
        now,
        ids.toArray(Long[]::new),
        ids.stream().map(id -> "SIGNED_UP").toArray(String[]::new),
        people.stream().map(SigningUp::told).toArray(String[]::new));
    Map<Long, List<Happening>> happened = ChangesHappen.of(carried, now);
    Map<Long, List<Happening>> all = new LinkedHashMap<>();
    for (int i = 0; i < people.size(); i++) {
      long id = ids.get(i);
      all.put(id, happened(people.get(i), happened.getOrDefault(id, List.of()), now));
    }
    events.publishEvent(new RecordsChanged(all, false));
    return ids;
  }

  private static List<Happening> happened(Signed signed, List<Happening> changes, long now) {
    List<Happening> happened = new ArrayList<>(changes);
    happened.add(new Happening.FormSubmitted(now, signed.form(), signed.fields()));
    return happened;
  }

  private static String told(Signed signed) {
    return "Signed up " + signed.how() + ".";
  }

  private static ChangeRow texts(long id, Side before, Signed signed, long now) {
    return ChangeRow.of(id, What.TEXTS, before, new Side("true", signed.how(), now, null));
  }

  private static PersonRow row(Signed signed, String zone, long now) {
    return new PersonRow(
        0,
        signed.address(),
        signed.firstName(),
        signed.lastName(),
        signed.phone(),
        zone,
        signed.agreed() ? Mailing.MAY_BE_MAILED : Mailing.NOT_CONFIRMED,
        now,
        signed.how(),
        signed.agreed() ? signed.agreement() : null,
        false,
        null,
        null,
        signed.how(),
        now,
        HowOften.AS_IT_COMES,
        1);
  }

  private static @Nullable String or(@Nullable String typed, @Nullable String known) {
    return typed == null ? known : typed;
  }
}
