package org.opentrellis.app.people;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.people.Mailing;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.Style;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Adds people and changes them; each change of a record is a happening of theirs. */
@Service
@Transactional
class PersonKeeping {
  private static final int LONGEST_HOW = 200;
  private static final String BY_HAND = "by hand";

  private final PeopleMapper mapper;
  private final People people;
  private final RegisteredNames names;
  private final Clock clock;

  PersonKeeping(PeopleMapper mapper, People people, RegisteredNames names, Clock clock) {
    this.mapper = mapper;
    this.people = people;
    this.names = names;
    this.clock = clock;
  }

  /**
   * @throws ProblemsFound if something is not right, all of it at once
   */
  @AgainIfTaken
  PersonView add(NewPerson asked) {
    long now = clock.instant().getEpochSecond();
    Given given = new Given();
    String address = given.read("/address", () -> new EmailAddress(asked.address()).value(), "");
    String agreed = given.text("/agreed", "what you note", asked.agreed(), LONGEST_HOW);
    PersonRow row =
        new PersonRow(
            0,
            address,
            given.text("/firstName", "a first name", asked.firstName(), Given.LONGEST_NAME),
            given.text("/lastName", "a last name", asked.lastName(), Given.LONGEST_NAME),
            given.phone(asked.phone()),
            given.zone(asked.zone()),
            agreed == null ? Mailing.NOT_CONFIRMED : Mailing.MAY_BE_MAILED,
            now,
            agreed == null ? "added by hand, nothing agreed to" : agreed,
            null,
            false,
            BY_HAND,
            now,
            1);
    if (given.isRight() && mapper.numberOf(row.addressKey()).isPresent()) {
      given.problem("address-taken", "/address", "Somebody with this address is there already.");
    }
    given.requireRight();
    mapper.insert(row, row.addressKey(), row.nameKey());
    long id = mapper.numberOf(row.addressKey()).orElseThrow();
    happened(
        id,
        now,
        "ADDED",
        agreed == null
            ? "Was added by hand; nothing may be sent before they agree."
            : "Was added by hand; agreed to email: " + agreed + ".");
    return people.view(id);
  }

  private void happened(long id, long at, String kind, String sentence) {
    mapper.insertHappening(id, at, kind, sentence);
  }

  /**
   * Changes somebody's record; each thing that is different is a happening of theirs.
   *
   * @throws ProblemsFound if something is not right, all of it at once
   * @throws SaveLost if somebody else has changed them since
   * @throws NotFound if there is nobody of that number
   */
  @AgainIfTaken
  PersonView change(long id, PersonEdit asked) {
    PersonRow before = mapper.find(id).orElseThrow(() -> NotFound.of("person", id));
    long now = clock.instant().getEpochSecond();
    Given given = new Given();
    PersonRow after =
        before.with(
            given.text("/firstName", "a first name", asked.firstName(), Given.LONGEST_NAME),
            given.text("/lastName", "a last name", asked.lastName(), Given.LONGEST_NAME),
            given.phone(asked.phone()),
            given.zone(asked.zone()));
    Set<Name> labels = new LinkedHashSet<>();
    for (int i = 0; i < asked.lists().size(); i++) {
      String name = asked.lists().get(i);
      given.read("/lists/" + i, () -> labels.add(new ListName(name)), false);
    }
    for (int i = 0; i < asked.tags().size(); i++) {
      String name = asked.tags().get(i);
      given.read("/tags/" + i, () -> labels.add(new TagName(name)), false);
    }
    Map<FieldName, Optional<Operand>> fields = new LinkedHashMap<>();
    for (int i = 0; i < asked.fields().size(); i++) {
      PersonView.Value value = asked.fields().get(i);
      given.read("/fields/" + i, () -> put(fields, value), null);
    }
    given.requireRight();
    if (asked.version() != before.version() || mapper.update(after, after.nameKey()) == 0) {
      throw new SaveLost(
          "Somebody else has changed this person since you opened them.", people.view(id), asked);
    }
    for (String sentence : before.differences(after)) {
      happened(id, now, "CHANGED", sentence);
    }
    changeLabels(id, labels, now);
    changeFields(id, fields, now);
    return people.view(id);
  }

  private @Nullable Void put(Map<FieldName, Optional<Operand>> fields, PersonView.Value value) {
    FieldName field = new FieldName(value.field());
    fields.put(field, names.read(field, value.value()));
    return null;
  }

  private void changeLabels(long id, Set<Name> labels, long now) {
    Set<Name> before = new LinkedHashSet<>();
    mapper.labels(List.of(id)).forEach(row -> before.add(row.label()));
    for (Name label : labels) {
      if (!before.contains(label)) {
        mapper.putLabel(id, names.number(label), now, BY_HAND);
        happened(id, now, "LABELLED", said(label, "Was put on list %s", "Was tagged %s"));
      }
    }
    for (Name label : before) {
      if (!labels.contains(label)) {
        mapper.endLabel(id, names.number(label), now);
        happened(id, now, "UNLABELLED", said(label, "Was taken off list %s", "Lost the tag %s"));
      }
    }
  }

  private static String said(Name label, String ofList, String ofTag) {
    return (label instanceof ListName ? ofList : ofTag).formatted(Style.quoted(label.value()))
        + ", by hand.";
  }

  private void changeFields(long id, Map<FieldName, Optional<Operand>> fields, long now) {
    Map<String, ValueRow> before = new LinkedHashMap<>();
    mapper.fields(id).forEach(row -> before.put(row.name(), row));
    fields.forEach(
        (field, value) -> {
          ValueRow had = before.get(field.value());
          ValueRow has = value.map(one -> ValueRow.of(field.value(), one)).orElse(null);
          if (Objects.equals(had, has) || had != null && has != null && had.says(has)) {
            return;
          }
          mapper.clearField(id, names.number(field));
          value.ifPresent(
              one -> {
                ValueRow row = ValueRow.of(field.value(), one);
                mapper.insertField(id, names.number(field, one), row, row.wordsKey());
              });
          happened(id, now, "FIELD_CHANGED", said(field, had, has));
        });
  }

  private static String said(FieldName field, @Nullable ValueRow had, @Nullable ValueRow has) {
    String what = "Field " + Style.quoted(field.value());
    String before = had == null ? "" : " (before: %s)".formatted(had.shown());
    return has == null
        ? "%s was cleared%s, by hand.".formatted(what, before)
        : "%s was set to %s%s, by hand.".formatted(what, has.shown(), before);
  }
}
