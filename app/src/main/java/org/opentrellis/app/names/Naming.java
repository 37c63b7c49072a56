package org.opentrellis.app.names;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.revisions.NameChanged;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.people.FieldType;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.Style;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes names, gives them others everywhere, merges and deletes them. */
@Service
@Transactional
public class Naming {
  private static final int LONGEST_ABOUT = 400;
  private static final int LONGEST_GROUP = 80;
  private static final int MOST_CHOICES = 200;

  private final NameMapper mapper;
  private final RegisteredNames names;
  private final NameUses uses;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Naming(
      NameMapper mapper,
      RegisteredNames names,
      NameUses uses,
      ApplicationEventPublisher events,
      Clock clock) {
    this.mapper = mapper;
    this.names = names;
    this.uses = uses;
    this.events = events;
    this.clock = clock;
  }

  /** All of them, and those that journeys and messages use and that are not registered. */
  @Transactional(readOnly = true)
  public List<NameView> all() {
    List<NameRow> rows = mapper.views();
    List<NameView> all = new ArrayList<>(rows.stream().map(this::view).toList());
    Map<NameKind, Set<String>> there =
        rows.stream()
            .collect(
                Collectors.groupingBy(
                    NameRow::kind, Collectors.mapping(NameRow::name, Collectors.toSet())));
    Map<String, SortedSet<String>> used = uses.inUse().byKind();
    for (NameKind kind : NameKind.values()) {
      Set<String> known = there.getOrDefault(kind, Set.of());
      used.getOrDefault(kind.type().getSimpleName(), Collections.emptySortedSet()).stream()
          .filter(name -> !known.contains(name))
          .map(name -> NameView.unknown(kind, name, uses.of(kind.named(name))))
          .filter(one -> !one.usedBy().isEmpty())
          .forEach(all::add);
    }
    all.sort(Comparator.comparing(NameView::name, String.CASE_INSENSITIVE_ORDER));
    return all;
  }

  private NameView view(NameRow row) {
    return NameView.of(row, uses.of(row.asName()), NameWords.found(row).orElse(null));
  }

  private NameRow find(long id) {
    return mapper.view(id).orElseThrow(() -> NotFound.of("name", id));
  }

  /**
   * @throws ProblemsFound if something is not right
   * @throws NameTaken if there is one of that kind and name
   */
  @AgainIfTaken
  NameView make(NameEdit edit) {
    return view(find(register(edit)));
  }

  /**
   * The same, where nobody looks at it.
   *
   * @return its number
   */
  public long register(NameEdit edit) {
    Name name = checked(edit);
    if (mapper.find(edit.kind(), name.value()).isPresent()) {
      throw NameTaken.of(edit.kind().words(), name.value(), "/name");
    }
    mapper.insert(edit.kind(), name.value());
    long id = mapper.find(edit.kind(), name.value()).orElseThrow();
    write(id, edit, name);
    return id;
  }

  /**
   * Writes it down otherwise; another name takes the place of the one before everywhere.
   *
   * @throws ProblemsFound if something is not right
   * @throws NameTaken if another one of that kind is called so
   * @throws Refusal if it is renamed while many people are being changed
   */
  @AgainIfTaken
  NameView change(long id, NameEdit edit) {
    NameRow before = find(id);
    Name name = checked(edit);
    if (edit.kind() != before.kind()) {
      throw ProblemsFound.badValue(
          "/kind", "A %s stays a %s.".formatted(before.kind().words(), before.kind().words()));
    }
    requireFitting(before, edit);
    boolean renamed = !name.value().equals(before.name());
    if (renamed) {
      requireRest();
    }
    if (renamed && mapper.find(edit.kind(), name.value()).isPresent()) {
      throw NameTaken.of(edit.kind().words(), name.value(), "/name");
    }
    write(id, edit, name);
    if (renamed) {
      tell(before.asName(), name);
    }
    return view(find(id));
  }

  private void tell(Name before, Name after) {
    events.publishEvent(NameChanged.of(before, after));
  }

  /** What is under way goes by the names that there were when it began. */
  private void requireRest() {
    if (mapper.underWay()) {
      throw new Refusal(
          HttpStatus.CONFLICT,
          "under-way",
          "Many people are being changed or come in just now, by the names as they are. Try again when that is done.",
          null);
    }
  }

  /** Nothing that people have may become something that the field does not hold. */
  private void requireFitting(NameRow before, NameEdit edit) {
    if (before.kind() != NameKind.FIELD || before.people() == 0) {
      return;
    }
    boolean texts = before.fieldType() == FieldType.TEXT || before.fieldType() == FieldType.ONE_OF;
    if (edit.fieldType() == FieldType.ONE_OF && texts) {
      long others = mapper.countOthers(before.id(), edit.choices());
      if (others > 0) {
        throw ProblemsFound.badValue(
            "/choices",
            "%,d people have another value; add it here, or change it there first."
                .formatted(others));
      }
    } else if (edit.fieldType() != before.fieldType()
        && !(edit.fieldType() == FieldType.TEXT && texts)) {
      throw ProblemsFound.badValue(
          "/fieldType",
          "%,d people have a value in it, which would be lost; make another field."
              .formatted(before.people()));
    }
  }

  private Name checked(NameEdit edit) {
    List<Problem> problems = new ArrayList<>();
    Name name = null;
    try {
      name = edit.asName();
    } catch (Refused refused) {
      problems.add(new Problem(refused.code(), "/name", refused.sentence()));
    }
    limit(edit.about(), "/about", "What it is for", LONGEST_ABOUT, problems);
    limit(edit.group(), "/group", "A group", LONGEST_GROUP, problems);
    if (edit.fieldType() == FieldType.ONE_OF && edit.choices().isEmpty()) {
      problems.add(new Problem("required", "/choices", "Say what may be chosen."));
    }
    if (edit.choices().size() > MOST_CHOICES) {
      problems.add(
          new Problem(
              "bad-value", "/choices", "At most %d can be chosen from.".formatted(MOST_CHOICES)));
    }
    if (edit.priceCents() != null && edit.priceCents() < 0) {
      problems.add(new Problem("bad-value", "/priceCents", "A price is not below zero."));
    }
    category(edit.category(), problems);
    if (name == null || !problems.isEmpty()) {
      throw new ProblemsFound(problems);
    }
    return name;
  }

  private static void category(@Nullable String category, List<Problem> problems) {
    if (category != null) {
      try {
        new CategoryName(category);
      } catch (Refused refused) {
        problems.add(new Problem(refused.code(), "/category", refused.sentence()));
      }
    }
  }

  private static void limit(
      @Nullable String text, String place, String what, int most, List<Problem> problems) {
    if (text != null && text.length() > most) {
      problems.add(
          new Problem("bad-value", place, "%s has at most %d characters.".formatted(what, most)));
    }
  }

  private void write(long id, NameEdit edit, Name name) {
    Long category =
        edit.kind() == NameKind.PRODUCT && edit.category() != null
            ? names.number(new CategoryName(edit.category()))
            : null;
    NameEdit written =
        new NameEdit(
            edit.kind(),
            name.value(),
            edit.about(),
            edit.group(),
            edit.kind() == NameKind.FIELD ? edit.fieldType() : null,
            edit.choices(),
            edit.category(),
            edit.priceCents());
    mapper.update(
        id,
        written,
        edit.fieldType() == FieldType.ONE_OF ? String.join("\n", edit.choices()) : null,
        category);
  }

  /**
   * Makes one tag of two: whoever carries the first carries the second from now on, and whatever
   * names the first names the second.
   *
   * @throws Refusal if they are not two tags, or many people are being changed
   */
  NameView merge(long id, long into) {
    NameRow from = find(id);
    NameRow other = find(into);
    requireRest();
    if (from.kind() != NameKind.TAG || other.kind() != NameKind.TAG || id == into) {
      throw new Refusal(
          HttpStatus.CONFLICT, "not-two-tags", "Two different tags can be made one.", null);
    }
    mapper.tell(
        id,
        clock.instant().getEpochSecond(),
        "LABELLED",
        "The tag %s became %s.".formatted(Style.quoted(from.name()), Style.quoted(other.name())));
    mapper.takeUpAgain(id, into);
    mapper.moveLabels(id, into);
    mapper.deleteLabels(id);
    mapper.moveChanges(id, into);
    mapper.moveActs(id, into);
    mapper.delete(id);
    tell(from.asName(), other.asName());
    return view(find(into));
  }

  /**
   * Takes it away from all who have it.
   *
   * @throws Refusal if purchases, carts or events have it, since what happened stays; or if many
   *     people are being changed
   */
  void delete(long id) {
    NameRow row = find(id);
    requireRest();
    if (row.happened() > 0) {
      throw new Refusal(
          HttpStatus.CONFLICT,
          "has-happened",
          "It stands in %,d purchases, carts or events; what happened stays as it was."
              .formatted(row.happened()),
          null);
    }
    mapper.tell(
        id,
        clock.instant().getEpochSecond(),
        "UNLABELLED",
        "The %s %s was deleted.".formatted(row.kind().words(), Style.quoted(row.name())));
    mapper.deleteLabels(id);
    mapper.deleteValues(id);
    mapper.deleteChanges(id);
    mapper.leaveActs(id);
    mapper.leaveCategory(id);
    mapper.delete(id);
  }
}
