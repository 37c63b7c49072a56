package org.opentrellis.app.people;

import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.app.storage.NewKey;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.people.HowOften;
import org.opentrellis.core.people.Mailing;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Adds people and changes them; each change of a record is a happening of theirs. */
@Service
@Transactional
class PersonKeeping {
  private static final int LONGEST_HOW = 200;
  private static final String BY_HAND = "by hand";

  private final PeopleMapper mapper;
  private final ActMapper acts;
  private final ChangeWriter writer;
  private final Differences differences;
  private final People people;
  private final RegisteredNames names;
  private final Forgotten forgotten;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  PersonKeeping(
      PeopleMapper mapper,
      ActMapper acts,
      ChangeWriter writer,
      Differences differences,
      People people,
      RegisteredNames names,
      Forgotten forgotten,
      ApplicationEventPublisher events,
      Clock clock) {
    this.mapper = mapper;
    this.acts = acts;
    this.writer = writer;
    this.differences = differences;
    this.people = people;
    this.names = names;
    this.forgotten = forgotten;
    this.events = events;
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
            null,
            null,
            BY_HAND,
            now,
            HowOften.AS_IT_COMES,
            1);
    if (given.isRight() && mapper.numberOf(row.addressKey()).isPresent()) {
      given.problem("address-taken", "/address", "Somebody with this address is there already.");
    }
    if (given.isRight() && !forgotten.among(List.of(address)).isEmpty()) {
      if (agreed == null) {
        given.problem(
            "was-forgotten",
            "/address",
            "Somebody with this address asked to be forgotten. If they want to be back, note how you know.");
      } else {
        forgotten.release(address);
      }
    }
    given.requireRight();
    mapper.insert(row, row.addressKey(), row.nameKey());
    mapper.noteZone(row.zone());
    long id = mapper.numberOf(row.addressKey()).orElseThrow();
    mapper.insertHappening(
        id,
        now,
        "ADDED",
        agreed == null
            ? "Was added by hand; nothing may be sent before they agree."
            : "Was added by hand; agreed to email: " + agreed + ".",
        null);
    return people.view(id);
  }

  /**
   * Forgets somebody for good: all that is known of them goes, and a fingerprint of the address
   * keeps tables from bringing them back.
   *
   * @throws NotFound if there is nobody of that number
   */
  void forget(long id) {
    PersonRow row = mapper.find(id).orElseThrow(() -> NotFound.of("person", id));
    forgotten.note(row.address());
    events.publishEvent(new PersonForgotten(id, row.address(), row.phone()));
    mapper.delete(id);
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
    Optional<ChangeRow> texts = texts(before, after, asked.texts(), given, now);
    given.requireRight();
    if (mapper.take(id, asked.version()) == 0) {
      throw new SaveLost(
          "Somebody else has changed this person since you opened them.", people.view(id), asked);
    }
    List<ChangeRow> changes = new ArrayList<>(before.differences(after));
    texts.ifPresent(changes::add);
    changes.addAll(labels(id, labels, now));
    changes.addAll(differences.fields(id, fields));
    keep(changes, now);
    return people.view(id);
  }

  /** Whether they agree to texts is theirs to say, so how it is known is noted. */
  private static Optional<ChangeRow> texts(
      PersonRow before, PersonRow after, PersonEdit.@Nullable Texts asked, Given given, long now) {
    if (asked == null || asked.agreed() == before.texts()) {
      return Optional.empty();
    }
    String how = given.text("/texts", "what you note", asked.how(), LONGEST_HOW);
    if (asked.agreed() && after.phone() == null) {
      given.problem("required", "/texts", "Texts go to a phone number; there is none.");
    } else if (asked.agreed() && how == null) {
      given.problem("required", "/texts", "Note how you know that they agreed to texts.");
    }
    return Optional.of(
        ChangeRow.of(
            before.id(),
            What.TEXTS,
            texts(before.texts(), before.textsHow(), before.textsSince()),
            texts(asked.agreed(), how == null ? BY_HAND : how, now)));
  }

  private static Side texts(boolean agreed, @Nullable String how, @Nullable Long since) {
    return new Side(Boolean.toString(agreed), how, since, null);
  }

  private @Nullable Void put(Map<FieldName, Optional<Operand>> fields, PersonView.Value value) {
    FieldName field = new FieldName(value.field());
    fields.put(field, names.read(field, value.value()));
    return null;
  }

  private void keep(List<ChangeRow> changes, long now) {
    if (changes.isEmpty()) {
      return;
    }
    NewKey key = new NewKey();
    acts.insert(Act.begun(ActKind.EDIT, "Change by hand", now, 1).as(ActState.DONE), key);
    writer.record(key.id(), changes);
    writer.apply(changes);
    writer.tell(key.id(), now, changes, BY_HAND);
    writer.announce(changes, now, false);
  }

  private List<ChangeRow> labels(long id, Set<Name> labels, long now) {
    List<ChangeRow> changes = new ArrayList<>(differences.added(id, labels, BY_HAND, now));
    mapper.labels(List.of(id)).stream()
        .filter(row -> !labels.contains(row.label()))
        .forEach(row -> changes.add(differences.lost(id, row, now)));
    return changes;
  }
}
