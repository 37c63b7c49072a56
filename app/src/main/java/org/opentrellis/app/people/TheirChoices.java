package org.opentrellis.app.people;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.people.HowOften;
import org.opentrellis.core.people.Mailing;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people may see and change of their own records. */
@Service
@Transactional
public class TheirChoices {
  private static final String HOW = "by their own choice";

  private final PeopleMapper mapper;
  private final Differences differences;
  private final ChangeWriter writer;

  TheirChoices(PeopleMapper mapper, Differences differences, ChangeWriter writer) {
    this.mapper = mapper;
    this.differences = differences;
    this.writer = writer;
  }

  /**
   * Somebody as they are known.
   *
   * @param mailed whether they may be mailed
   * @param fields as they are typed, by name
   */
  public record Known(
      String address,
      boolean mailed,
      @Nullable String firstName,
      @Nullable String lastName,
      @Nullable String phone,
      boolean texts,
      HowOften howOften,
      Set<Name> labels,
      Map<String, String> fields) {}

  /** Nobody if they were forgotten. */
  @Transactional(readOnly = true)
  public Optional<Known> of(long person) {
    return mapper
        .find(person)
        .map(
            row ->
                new Known(
                    row.address(),
                    row.mailing() == Mailing.MAY_BE_MAILED,
                    row.firstName(),
                    row.lastName(),
                    row.phone(),
                    row.texts(),
                    row.howOften(),
                    carried(person).stream().map(LabelRow::label).collect(Collectors.toSet()),
                    mapper.fields(person).stream()
                        .collect(Collectors.toMap(ValueRow::name, ValueRow::shown))));
  }

  private List<LabelRow> carried(long person) {
    return mapper.labels(List.of(person));
  }

  /**
   * What somebody chose.
   *
   * @param asked what they were asked of their name and phone, and answered
   * @param texts whether they agree to texts; empty if they were not asked
   * @param offered the lists that they were asked about
   * @param on those of them that they want to be on
   * @param fields that they were asked; empty for those that they cleared
   * @param howOften empty if they were not asked
   */
  public record Chosen(
      Map<Part, Optional<String>> asked,
      Optional<Boolean> texts,
      Set<ListName> offered,
      Set<ListName> on,
      Map<FieldName, Optional<Operand>> fields,
      Optional<HowOften> howOften) {}

  /** What a person says of themselves besides fields. */
  public enum Part {
    FIRST_NAME(What.FIRST_NAME),
    LAST_NAME(What.LAST_NAME),
    PHONE(What.PHONE);

    private final What what;

    Part(What what) {
      this.what = what;
    }

    private @Nullable String of(PersonRow row) {
      return switch (this) {
        case FIRST_NAME -> row.firstName();
        case LAST_NAME -> row.lastName();
        case PHONE -> row.phone();
      };
    }
  }

  /**
   * Somebody chooses; what they were not asked stays, and journeys hear of what is different.
   *
   * @param now in epoch seconds
   * @return whether they are still there
   */
  public boolean choose(long person, Chosen chosen, long now) {
    Optional<PersonRow> there = mapper.find(person);
    there.ifPresent(row -> choose(row, chosen, now));
    return there.isPresent();
  }

  private void choose(PersonRow before, Chosen chosen, long now) {
    long id = before.id();
    List<ChangeRow> changes = new ArrayList<>();
    chosen
        .asked()
        .forEach(
            (part, words) ->
                change(id, part.what, part.of(before), words.orElse(null)).ifPresent(changes::add));
    chosen
        .howOften()
        .flatMap(often -> change(id, What.HOW_OFTEN, before.howOften().name(), often.name()))
        .ifPresent(changes::add);
    if (chosen.texts().isPresent() && chosen.texts().get() != before.texts()) {
      changes.add(
          ChangeRow.of(
              id,
              What.TEXTS,
              new Side(
                  String.valueOf(before.texts()), before.textsHow(), before.textsSince(), null),
              new Side(String.valueOf(!before.texts()), HOW, now, null)));
    }
    changes.addAll(differences.fields(id, chosen.fields()));
    changes.addAll(differences.added(id, new LinkedHashSet<>(chosen.on()), HOW, now));
    for (LabelRow row : carried(id)) {
      if (row.label() instanceof ListName list
          && chosen.offered().contains(list)
          && !chosen.on().contains(list)) {
        changes.add(differences.lost(id, row, now));
      }
    }
    writer.apply(changes);
    writer.tell(null, now, changes, HOW);
    writer.markChanged(changes);
    writer.announce(changes, now, false);
  }

  private static Optional<ChangeRow> change(
      long id, What what, @Nullable String before, @Nullable String after) {
    return Objects.equals(before, after)
        ? Optional.empty()
        : Optional.of(ChangeRow.of(id, what, Side.of(before), Side.of(after)));
  }
}
