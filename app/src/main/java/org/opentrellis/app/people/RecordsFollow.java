package org.opentrellis.app.people;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.people.Mailing;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People's records follow what journeys do with them, and what mail servers say of them. */
@Service
@Transactional
public class RecordsFollow {
  private final PeopleMapper mapper;
  private final ArrivalMapper many;
  private final ChangeWriter writer;
  private final RegisteredNames names;

  RecordsFollow(
      PeopleMapper mapper, ArrivalMapper many, ChangeWriter writer, RegisteredNames names) {
    this.mapper = mapper;
    this.many = many;
    this.writer = writer;
    this.names = names;
  }

  /**
   * How somebody stood, and stands now.
   *
   * @param at in epoch seconds
   * @param how what brought it about, such as "by hand"
   */
  public record Stood(long person, PersonState before, PersonState after, long at, String how) {
    private boolean inOther(Function<PersonState, ?> what) {
      return !what.apply(before).equals(what.apply(after));
    }
  }

  /** What is told in a story in the same words. */
  private record Because(long at, String how) {}

  /**
   * Has records say what is different in how people stand; what they say already stays.
   *
   * @param all each person once
   */
  public void follow(List<Stood> all) {
    Map<Because, List<ChangeRow>> changes = new LinkedHashMap<>();
    Map<Long, Map<Name, LabelRow>> recorded = recorded(all);
    for (Stood one : all) {
      List<ChangeRow> of =
          changes.computeIfAbsent(new Because(one.at(), one.how()), none -> new ArrayList<>());
      if (one.inOther(PersonState::labels)) {
        of.addAll(labels(one, recorded.getOrDefault(one.person(), Map.of())));
      }
      if (one.inOther(PersonState::fields)) {
        of.addAll(fields(one.person(), one.before().fields(), one.after().fields()));
      }
      if (one.inOther(RecordsFollow::mailing)) {
        of.addAll(mailing(one.person(), mailing(one.after()), one.at(), one.how()));
      }
    }
    List<ChangeRow> together = changes.values().stream().flatMap(List::stream).toList();
    if (!together.isEmpty()) {
      writer.apply(together);
      changes.forEach((why, some) -> writer.tell(null, why.at(), some, why.how()));
      writer.markChanged(together);
    }
  }

  private Map<Long, Map<Name, LabelRow>> recorded(List<Stood> all) {
    Long[] others =
        all.stream()
            .filter(one -> one.inOther(PersonState::labels))
            .map(Stood::person)
            .toArray(Long[]::new);
    Map<Long, Map<Name, LabelRow>> recorded = new HashMap<>();
    if (others.length > 0) {
      many.labels(others)
          .forEach(
              row ->
                  recorded
                      .computeIfAbsent(row.personId(), none -> new HashMap<>())
                      .put(row.label(), row));
    }
    return recorded;
  }

  private List<ChangeRow> labels(Stood stood, Map<Name, LabelRow> recorded) {
    long person = stood.person();
    long at = stood.at();
    String how = stood.how();
    Set<Name> before = stood.before().labels();
    Set<Name> after = stood.after().labels();
    Set<Name> all = new HashSet<>(before);
    all.addAll(after);
    List<ChangeRow> changes = new ArrayList<>();
    for (Name label : all) {
      @Nullable LabelRow row = recorded.get(label);
      boolean carried = row != null && row.until() == null;
      if (after.contains(label) && !before.contains(label) && !carried) {
        changes.add(label(person, label, row, new Side(null, how, at, null)));
      } else if (before.contains(label) && !after.contains(label) && row != null && carried) {
        changes.add(label(person, label, row, new Side(null, row.how(), row.since(), at)));
      }
    }
    return changes;
  }

  private ChangeRow label(long person, Name label, @Nullable LabelRow row, Side after) {
    return ChangeRow.of(
        person,
        What.LABEL,
        names.number(label),
        NameKind.of(label).orElseThrow(),
        label.value(),
        row == null ? Side.NONE : row.side(),
        after);
  }

  private List<ChangeRow> fields(
      long person, Map<FieldName, Operand> before, Map<FieldName, Operand> after) {
    Map<String, ValueRow> recorded = new HashMap<>();
    mapper.fields(person).forEach(row -> recorded.put(row.name(), row));
    Set<FieldName> all = new HashSet<>(before.keySet());
    all.addAll(after.keySet());
    List<ChangeRow> changes = new ArrayList<>();
    for (FieldName field : all) {
      @Nullable Operand value = after.get(field);
      @Nullable ValueRow had = recorded.get(field.value());
      @Nullable ValueRow has = value == null ? null : ValueRow.of(field.value(), value);
      boolean said = Objects.equals(had, has) || had != null && has != null && had.says(has);
      if (!said && !Objects.equals(before.get(field), value)) {
        changes.add(
            ChangeRow.of(
                person,
                What.FIELD,
                value == null ? names.number(field) : names.number(field, value),
                NameKind.FIELD,
                field.value(),
                Side.of(had == null ? null : had.coded()),
                Side.of(has == null ? null : has.coded())));
      }
    }
    return changes;
  }

  /** As the machine has it. */
  private static Mailing mailing(PersonState standing) {
    if (standing.complainedAt() != Person.NEVER) {
      return Mailing.COMPLAINED;
    }
    if (standing.bouncedAt() != Person.NEVER) {
      return Mailing.BOUNCED;
    }
    return standing.unsubscribedAt() == Person.NEVER ? Mailing.MAY_BE_MAILED : Mailing.UNSUBSCRIBED;
  }

  private List<ChangeRow> mailing(long person, Mailing now, long at, String how) {
    PersonRow row = mapper.find(person).orElseThrow();
    Mailing after = now == Mailing.MAY_BE_MAILED ? now : row.mailing().askedByOthers(now);
    if (row.mailing() == after) {
      return List.of();
    }
    return List.of(
        ChangeRow.of(
            person,
            What.MAILING,
            new Side(row.mailing().name(), row.mailingHow(), row.mailingSince(), null),
            new Side(after.name(), how, at, null)));
  }
}
