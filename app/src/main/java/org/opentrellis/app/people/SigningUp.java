package org.opentrellis.app.people;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
  private final Forgotten forgotten;
  private final Differences differences;
  private final ChangeWriter writer;
  private final ApplicationEventPublisher events;

  SigningUp(
      PeopleMapper mapper,
      Forgotten forgotten,
      Differences differences,
      ChangeWriter writer,
      ApplicationEventPublisher events) {
    this.mapper = mapper;
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
   * @param agreed whether they agreed to email
   * @param labels lists and tags that the form gives
   */
  public record Signed(
      FormName form,
      String address,
      @Nullable String firstName,
      @Nullable String lastName,
      @Nullable String phone,
      boolean texts,
      boolean agreed,
      Map<FieldName, Operand> fields,
      Set<Name> labels) {
    String how() {
      return "by form " + Style.quoted(form.value());
    }
  }

  /**
   * Whether somebody is known who has this address, or was: then it takes them to change anything,
   * which they show by a link in a mail.
   */
  @Transactional(readOnly = true)
  public boolean isKnown(String address) {
    return mapper.numberOf(TextKey.of(address)).isPresent()
        || !forgotten.among(List.of(address)).isEmpty();
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
    long id =
        mapper.numberOf(TextKey.of(signed.address())).orElseGet(() -> begin(signed, zone, now));
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
          ChangeRow.of(
              id,
              What.TEXTS,
              new Side("false", before.textsHow(), before.textsSince(), null),
              new Side("true", signed.how(), now, null)));
    }
    Map<FieldName, Optional<Operand>> fields = new LinkedHashMap<>();
    signed.fields().forEach((field, value) -> fields.put(field, Optional.of(value)));
    changes.addAll(differences.fields(id, fields));
    changes.addAll(differences.added(id, signed.labels(), signed.how(), now));
    writer.apply(changes);
    writer.tell(null, now, changes, signed.how());
    writer.markChanged(changes);
    mapper.insertHappening(id, now, "SIGNED_UP", "Signed up " + signed.how() + ".", null);
    List<Happening> happened =
        new ArrayList<>(ChangesHappen.of(changes, now).getOrDefault(id, List.of()));
    happened.add(new Happening.FormSubmitted(now, signed.form(), signed.fields()));
    events.publishEvent(new RecordsChanged(Map.of(id, happened), false));
    return id;
  }

  private long begin(Signed signed, String zone, long now) {
    PersonRow row =
        new PersonRow(
            0,
            signed.address(),
            null,
            null,
            null,
            zone,
            signed.agreed() ? Mailing.MAY_BE_MAILED : Mailing.NOT_CONFIRMED,
            now,
            signed.how(),
            null,
            false,
            null,
            null,
            signed.how(),
            now,
            HowOften.AS_IT_COMES,
            1);
    mapper.insert(row, row.addressKey(), row.nameKey());
    mapper.noteZone(zone);
    return mapper.numberOf(row.addressKey()).orElseThrow();
  }

  private static @Nullable String or(@Nullable String typed, @Nullable String known) {
    return typed == null ? known : typed;
  }
}
