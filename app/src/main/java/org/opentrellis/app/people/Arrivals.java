package org.opentrellis.app.people;

import static org.opentrellis.app.storage.Columns.texts;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.intake.Incoming;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.people.Mailing;
import org.opentrellis.core.sentence.Style;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Brings in many people: adds those who are new, changes those who are known. */
@Service
@Transactional
public class Arrivals {
  private final ArrivalMapper mapper;
  private final ChangeMapper changes;
  private final ChangeWriter writer;
  private final ManyWork many;
  private final RegisteredNames names;
  private final Clock clock;

  Arrivals(
      ArrivalMapper mapper,
      ChangeMapper changes,
      ChangeWriter writer,
      ManyWork many,
      RegisteredNames names,
      Clock clock) {
    this.mapper = mapper;
    this.changes = changes;
    this.writer = writer;
    this.many = many;
    this.names = names;
    this.clock = clock;
  }

  /** Which of some people are there already, by the keys of their addresses. */
  public Map<String, Mailing> known(List<Incoming> people) {
    return find(people).stream()
        .collect(Collectors.toMap(PersonRow::addressKey, PersonRow::mailing));
  }

  private List<PersonRow> find(List<Incoming> people) {
    return mapper.known(texts(people, one -> key(one)));
  }

  /** What two addresses have in common if they are one. */
  public static String key(Incoming person) {
    return TextKey.of(person.address());
  }

  /**
   * Brings some in, as a piece of an act.
   *
   * @param people no address twice
   */
  public Brought bring(Act act, List<Incoming> people, Terms terms) {
    Map<String, PersonRow> known =
        find(people).stream().collect(Collectors.toMap(PersonRow::addressKey, Function.identity()));
    // In the order of the index, which is then written page by page.
    List<Incoming> fresh =
        people.stream()
            .filter(one -> !known.containsKey(key(one)))
            .sorted(Comparator.comparing(Arrivals::key))
            .toList();
    List<Incoming> old = people.stream().filter(one -> known.containsKey(key(one))).toList();
    Numbers numbers = new Numbers();
    List<Long> added = fresh.isEmpty() ? List.of() : add(act, fresh, terms, numbers);
    long changed =
        old.isEmpty() || terms.known() == Known.LEAVE ? 0 : change(act, old, terms, numbers);
    return new Brought(
        added.size(),
        changed,
        old.size() - changed,
        added.stream().min(Long::compare).orElse(null),
        added.stream().max(Long::compare).orElse(null));
  }

  /** The numbers of names, each looked up once. */
  private final class Numbers {
    private final Map<Name, Long> known = new java.util.HashMap<>();

    long of(Name name) {
      return known.computeIfAbsent(name, names::number);
    }
  }

  private List<Long> add(Act act, List<Incoming> people, Terms terms, Numbers numbers) {
    long now = now();
    long before = mapper.highest();
    mapper.insert(
        act.id(),
        cut(terms.how()),
        now,
        texts(people, Incoming::address),
        texts(people, Arrivals::key),
        texts(people, Incoming::firstName),
        texts(people, Incoming::lastName),
        texts(people, Incoming::phone),
        texts(people, one -> zone(one, terms)),
        texts(people, one -> state(one, terms).name()),
        texts(people, one -> cut(how(state(one, terms), terms))),
        texts(people, one -> PersonRow.nameKey(one.firstName(), one.lastName())));
    changes.noteZones(
        people.stream().map(one -> zone(one, terms)).distinct().toArray(String[]::new));
    Map<String, Long> ids =
        mapper.added(act.id(), before).stream()
            .collect(Collectors.toMap(ArrivalMapper.AddedRow::key, ArrivalMapper.AddedRow::id));
    List<ChangeRow> carried = new ArrayList<>();
    List<Long> persons = new ArrayList<>();
    List<String> told = new ArrayList<>();
    for (Incoming person : people) {
      long id = Objects.requireNonNull(ids.get(key(person)));
      persons.add(id);
      Set<Name> labels = labels(person, terms);
      told.add(told(person, labels, terms));
      for (Name label : labels) {
        carried.add(put(id, label, numbers, Side.NONE, terms, now));
      }
      person
          .fields()
          .forEach(
              (field, value) ->
                  carried.add(
                      fill(id, field, numbers, null, ValueRow.of(field.value(), value).coded())));
    }
    writer.applyNew(carried);
    if (terms.startsJourneys()) {
      writer.announce(carried, now, false);
    }
    changes.insertHappenings(
        act.id(),
        now,
        persons.toArray(Long[]::new),
        persons.stream().map(one -> "ADDED").toArray(String[]::new),
        told.toArray(String[]::new));
    return persons;
  }

  private static String told(Incoming person, Set<Name> labels, Terms terms) {
    String put =
        labels.stream()
            .map(
                one ->
                    (one instanceof ListName ? "on list " : "tagged ") + Style.quoted(one.value()))
            .collect(Collectors.joining(", "));
    String state =
        switch (state(person, terms)) {
          case MAY_BE_MAILED -> "; agreed to email: " + terms.agreed();
          case NOT_CONFIRMED -> "; nothing may be sent before they agree";
          case UNSUBSCRIBED -> "; unsubscribed";
          case BOUNCED -> "; bounced";
          case COMPLAINED -> "; complained";
        };
    return "Was brought in %s%s%s.".formatted(terms.how(), state, put.isEmpty() ? "" : "; " + put);
  }

  private static Set<Name> labels(Incoming person, Terms terms) {
    Set<Name> all = new LinkedHashSet<>(terms.labels());
    all.addAll(person.labels());
    return all;
  }

  private static String zone(Incoming person, Terms terms) {
    return person.zone() == null ? terms.zone() : person.zone();
  }

  /** What the table asks for: who has left elsewhere has left here. */
  private static Mailing state(Incoming person, Terms terms) {
    if (person.mailing() != null && person.mailing() != Mailing.MAY_BE_MAILED) {
      return person.mailing();
    }
    return terms.agreed() == null ? Mailing.NOT_CONFIRMED : Mailing.MAY_BE_MAILED;
  }

  private static String how(Mailing state, Terms terms) {
    return switch (state) {
      case MAY_BE_MAILED -> Objects.requireNonNull(terms.agreed());
      case NOT_CONFIRMED -> terms.how() + ", nothing agreed to";
      case UNSUBSCRIBED, BOUNCED, COMPLAINED -> terms.how();
    };
  }

  private static String cut(String text) {
    return text.length() <= 200 ? text : text.substring(0, 200);
  }

  private static ChangeRow put(
      long person, Name label, Numbers numbers, Side before, Terms terms, long now) {
    return ChangeRow.of(
        person,
        What.LABEL,
        numbers.of(label),
        NameKind.of(label).orElseThrow(),
        label.value(),
        before,
        new Side(null, cut(terms.how()), now, null));
  }

  private static ChangeRow fill(
      long person, FieldName field, Numbers numbers, @Nullable String before, String after) {
    return ChangeRow.of(
        person,
        What.FIELD,
        numbers.of(field),
        NameKind.FIELD,
        field.value(),
        Side.of(before),
        Side.of(after));
  }

  private long change(Act act, List<Incoming> people, Terms terms, Numbers numbers) {
    changes.lock(texts(people, Arrivals::key));
    List<PersonRow> rows = find(people);
    Map<String, PersonRow> known =
        rows.stream().collect(Collectors.toMap(PersonRow::addressKey, Function.identity()));
    Long[] ids = rows.stream().map(PersonRow::id).toArray(Long[]::new);
    Map<Long, List<LabelRow>> labels =
        mapper.labels(ids).stream().collect(Collectors.groupingBy(LabelRow::personId));
    Map<Long, List<FilledRow>> fields =
        mapper.fields(ids).stream().collect(Collectors.groupingBy(FilledRow::personId));
    long now = now();
    List<ChangeRow> all =
        people.stream()
            .flatMap(
                person -> {
                  PersonRow row = Objects.requireNonNull(known.get(key(person)));
                  return Stream.of(
                          plain(person, row, terms, now),
                          labels(
                              person,
                              row,
                              labels.getOrDefault(row.id(), List.of()),
                              terms,
                              numbers,
                              now),
                          fields(
                              person,
                              row,
                              fields.getOrDefault(row.id(), List.of()),
                              terms,
                              numbers))
                      .flatMap(Collection::stream);
                })
            .toList();
    writer.record(act.id(), all);
    writer.apply(all);
    writer.tell(act.id(), now, all, terms.how());
    writer.announce(all, now, !terms.startsJourneys());
    return writer.markChanged(all);
  }

  private static List<ChangeRow> plain(Incoming person, PersonRow row, Terms terms, long now) {
    List<ChangeRow> all = new ArrayList<>();
    plain(all, row.id(), What.FIRST_NAME, row.firstName(), person.firstName(), terms);
    plain(all, row.id(), What.LAST_NAME, row.lastName(), person.lastName(), terms);
    plain(all, row.id(), What.PHONE, row.phone(), person.phone(), terms);
    plain(all, row.id(), What.ZONE, row.zone(), person.zone(), terms);
    Mailing state = row.mailing().askedByOthers(state(person, terms));
    if (state != row.mailing()) {
      all.add(
          ChangeRow.of(
              row.id(),
              What.MAILING,
              new Side(row.mailing().name(), row.mailingHow(), row.mailingSince(), null),
              new Side(state.name(), cut(how(state, terms)), now, null)));
    }
    return all;
  }

  private static void plain(
      List<ChangeRow> all,
      long id,
      What what,
      @Nullable String before,
      @Nullable String after,
      Terms terms) {
    boolean wanted = before == null || terms.known() == Known.BRING_UP_TO_DATE;
    if (after != null && wanted && !after.equals(before)) {
      all.add(ChangeRow.of(id, what, Side.of(before), Side.of(after)));
    }
  }

  private static List<ChangeRow> labels(
      Incoming person, PersonRow row, List<LabelRow> had, Terms terms, Numbers numbers, long now) {
    Map<Name, LabelRow> before =
        had.stream().collect(Collectors.toMap(LabelRow::label, Function.identity()));
    return labels(person, terms).stream()
        .filter(label -> !before.containsKey(label) || before.get(label).until() != null)
        .map(
            label -> {
              LabelRow earlier = before.get(label);
              Side side = earlier == null ? Side.NONE : earlier.side();
              return put(row.id(), label, numbers, side, terms, now);
            })
        .toList();
  }

  private static List<ChangeRow> fields(
      Incoming person, PersonRow row, List<FilledRow> had, Terms terms, Numbers numbers) {
    Map<String, String> before =
        had.stream().collect(Collectors.toMap(FilledRow::name, FilledRow::coded));
    List<ChangeRow> all = new ArrayList<>();
    person
        .fields()
        .forEach(
            (field, value) -> {
              String old = before.get(field.value());
              String coded = ValueRow.of(field.value(), value).coded();
              boolean wanted = old == null || terms.known() == Known.BRING_UP_TO_DATE;
              if (wanted && !coded.equals(old)) {
                all.add(fill(row.id(), field, numbers, old, coded));
              }
            });
    return all;
  }

  /**
   * Takes the next piece back: those it added go unless something happened to them since; what it
   * changed of others is changed back unless somebody has changed it since.
   *
   * @param first the lowest number of those it added
   * @param last the highest
   */
  public Act back(Act act, long first, long last) {
    List<Long> people = mapper.touched(act.id(), act.place(), first, last, 500);
    if (people.isEmpty()) {
      return act.as(ActState.TAKEN_BACK);
    }
    long upTo = people.getLast();
    Act after = many.back(act, upTo);
    List<Long> going = mapper.untouched(act.id(), act.place(), upTo);
    long stay = mapper.countAdded(act.id(), act.place(), upTo) - going.size();
    if (!going.isEmpty()) {
      mapper.delete(going);
    }
    return after.further(people.size(), upTo, 0, stay);
  }

  private long now() {
    return clock.instant().getEpochSecond();
  }
}
