package org.opentrellis.app.people;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.springframework.stereotype.Component;

/** How somebody's record differs from what it is to say; what it says already makes no change. */
@Component
class Differences {
  private final PeopleMapper mapper;
  private final RegisteredNames names;

  Differences(PeopleMapper mapper, RegisteredNames names) {
    this.mapper = mapper;
    this.names = names;
  }

  /**
   * The labels that somebody is to carry and does not.
   *
   * @param how they came to them, such as "by hand"
   */
  List<ChangeRow> added(long id, Set<Name> labels, String how, long now) {
    Map<Name, LabelRow> carried = new LinkedHashMap<>();
    mapper.labels(List.of(id)).forEach(row -> carried.put(row.label(), row));
    List<ChangeRow> changes = new ArrayList<>();
    for (Name label : labels) {
      if (!carried.containsKey(label)) {
        long number = names.number(label);
        Side earlier = mapper.earlierLabel(id, number).map(LabelRow::side).orElse(Side.NONE);
        changes.add(label(id, label, earlier, new Side(null, how, now, null)));
      }
    }
    return changes;
  }

  /**
   * What somebody carries and holds who is new.
   *
   * @param numbers of names that were looked up; grows
   */
  List<ChangeRow> ofNewcomer(
      long id,
      Map<FieldName, Operand> fields,
      Set<Name> labels,
      String how,
      long now,
      Map<Name, Long> numbers) {
    List<ChangeRow> changes = new ArrayList<>();
    fields.forEach(
        (field, value) ->
            changes.add(
                ChangeRow.of(
                    id,
                    What.FIELD,
                    numbers.computeIfAbsent(field, name -> names.number(field, value)),
                    NameKind.FIELD,
                    field.value(),
                    Side.NONE,
                    Side.of(ValueRow.of(field.value(), value).coded()))));
    for (Name label : labels) {
      long number = numbers.computeIfAbsent(label, names::number);
      changes.add(label(id, label, number, Side.NONE, new Side(null, how, now, null)));
    }
    return changes;
  }

  /** A label that they carry is taken from them. */
  ChangeRow lost(long id, LabelRow row, long now) {
    return label(id, row.label(), row.side(), new Side(null, row.how(), row.since(), now));
  }

  private ChangeRow label(long id, Name label, Side before, Side after) {
    return label(id, label, names.number(label), before, after);
  }

  private static ChangeRow label(long id, Name label, long number, Side before, Side after) {
    return ChangeRow.of(
        id, What.LABEL, number, NameKind.of(label).orElseThrow(), label.value(), before, after);
  }

  /**
   * The fields that are to hold something else.
   *
   * @param fields what they are to hold; empty for nothing
   */
  List<ChangeRow> fields(long id, Map<FieldName, Optional<Operand>> fields) {
    List<ChangeRow> changes = new ArrayList<>();
    Map<String, ValueRow> before = new LinkedHashMap<>();
    mapper.fields(id).forEach(row -> before.put(row.name(), row));
    fields.forEach(
        (field, value) -> {
          @Nullable ValueRow had = before.get(field.value());
          @Nullable ValueRow has = value.map(one -> ValueRow.of(field.value(), one)).orElse(null);
          if (Objects.equals(had, has) || had != null && has != null && had.says(has)) {
            return;
          }
          changes.add(
              ChangeRow.of(
                  id,
                  What.FIELD,
                  value.map(one -> names.number(field, one)).orElseGet(() -> names.number(field)),
                  NameKind.FIELD,
                  field.value(),
                  Side.of(had == null ? null : had.coded()),
                  Side.of(has == null ? null : has.coded())));
        });
    return changes;
  }
}
