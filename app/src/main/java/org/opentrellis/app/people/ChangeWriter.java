package org.opentrellis.app.people;

import static org.opentrellis.app.storage.Columns.longs;
import static org.opentrellis.app.storage.Columns.texts;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.happening.Happening;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Carries out changes of many people's records, and writes them into their stories. */
@Component
class ChangeWriter {
  private final ChangeMapper mapper;
  private final PeopleMapper people;
  private final ApplicationEventPublisher events;

  ChangeWriter(ChangeMapper mapper, PeopleMapper people, ApplicationEventPublisher events) {
    this.mapper = mapper;
    this.people = people;
    this.events = events;
  }

  /** Keeps what an act changes, so that it can be taken back. */
  void record(long act, List<ChangeRow> changes) {
    if (changes.isEmpty()) {
      return;
    }
    mapper.insertChanges(
        act,
        longs(changes, ChangeRow::personId),
        texts(changes, one -> one.what().name()),
        longs(changes, ChangeRow::nameId),
        texts(changes, ChangeRow::beforeValue),
        texts(changes, ChangeRow::beforeHow),
        longs(changes, ChangeRow::beforeSince),
        longs(changes, ChangeRow::beforeUntil),
        texts(changes, ChangeRow::afterValue),
        texts(changes, ChangeRow::afterHow),
        longs(changes, ChangeRow::afterSince),
        longs(changes, ChangeRow::afterUntil));
  }

  /** Makes the records say what the changes say, whatever they say now. */
  void apply(List<ChangeRow> changes) {
    Map<What, List<ChangeRow>> parts = new EnumMap<>(What.class);
    changes.forEach(one -> parts.computeIfAbsent(one.what(), none -> new ArrayList<>()).add(one));
    parts.forEach(
        (what, rows) -> {
          switch (what) {
            case LABEL -> labels(rows);
            case FIELD -> fields(rows);
            case MAILING ->
                mapper.setMailing(
                    persons(rows),
                    texts(rows, ChangeRow::afterValue),
                    texts(rows, ChangeRow::afterHow),
                    longs(rows, ChangeRow::afterSince));
            case TEXTS ->
                mapper.setTexts(
                    persons(rows),
                    texts(rows, ChangeRow::afterValue),
                    texts(rows, ChangeRow::afterHow),
                    longs(rows, ChangeRow::afterSince));
            case FIRST_NAME, LAST_NAME, PHONE, ZONE, HOW_OFTEN ->
                mapper.setColumn(what, persons(rows), texts(rows, ChangeRow::afterValue));
          }
        });
    if (parts.containsKey(What.ZONE)) {
      mapper.noteZones(texts(parts.get(What.ZONE), ChangeRow::afterValue));
    }
    names(Stream.of(What.FIRST_NAME, What.LAST_NAME).flatMap(what -> ofWhat(parts, what)).toList());
  }

  /** The same for labels and fields of people who have none yet. */
  void applyNew(List<ChangeRow> carried) {
    List<ChangeRow> labels = only(carried, one -> one.what() == What.LABEL);
    if (!labels.isEmpty()) {
      mapper.insertLabels(
          persons(labels),
          longs(labels, ChangeRow::nameId),
          longs(labels, ChangeRow::afterSince),
          texts(labels, ChangeRow::afterHow));
    }
    fillFields(only(carried, one -> one.what() == What.FIELD));
  }

  private static Stream<ChangeRow> ofWhat(Map<What, List<ChangeRow>> parts, What what) {
    return parts.getOrDefault(what, List.of()).stream();
  }

  /** By which they are sorted and searched. */
  private void names(List<ChangeRow> renamed) {
    if (!renamed.isEmpty()) {
      List<PersonRow> rows =
          people.rows(renamed.stream().map(ChangeRow::personId).distinct().toArray(Long[]::new));
      mapper.setNameKeys(longs(rows, PersonRow::id), texts(rows, PersonRow::nameKey));
    }
  }

  private void labels(List<ChangeRow> rows) {
    List<ChangeRow> gone = only(rows, one -> one.afterSince() == null);
    if (!gone.isEmpty()) {
      mapper.deleteLabels(longs(gone, ChangeRow::personId), longs(gone, ChangeRow::nameId));
    }
    putLabels(only(rows, one -> one.afterSince() != null));
  }

  private void putLabels(List<ChangeRow> put) {
    if (!put.isEmpty()) {
      mapper.putLabels(
          longs(put, ChangeRow::personId),
          longs(put, ChangeRow::nameId),
          longs(put, ChangeRow::afterSince),
          texts(put, ChangeRow::afterHow),
          longs(put, ChangeRow::afterUntil));
    }
  }

  private void fields(List<ChangeRow> rows) {
    mapper.deleteFields(longs(rows, ChangeRow::personId), longs(rows, ChangeRow::nameId));
    fillFields(only(rows, one -> one.afterValue() != null));
  }

  private void fillFields(List<ChangeRow> filled) {
    if (filled.isEmpty()) {
      return;
    }
    List<ValueRow> values =
        filled.stream()
            .map(one -> ValueRow.decoded("", Objects.requireNonNull(one.afterValue())))
            .toList();
    mapper.insertFields(
        longs(filled, ChangeRow::personId),
        longs(filled, ChangeRow::nameId),
        texts(values, ValueRow::words),
        texts(values, ValueRow::wordsKey),
        texts(values, one -> text(one.number())),
        texts(values, one -> text(one.dated())));
  }

  private static @Nullable String text(@Nullable Object value) {
    return value == null ? null : value.toString();
  }

  /**
   * Writes changes into the stories of those whom they happened to.
   *
   * @param act that they belong to, if any
   * @param how such as "by hand"
   */
  void tell(@Nullable Long act, long at, List<ChangeRow> changes, String how) {
    if (!changes.isEmpty()) {
      mapper.insertHappenings(
          act,
          at,
          persons(changes),
          texts(changes, ChangeWords::kind),
          texts(changes, one -> ChangeWords.of(one, how)));
    }
  }

  /**
   * Tells journeys that records have been changed.
   *
   * @param quietly whether it brings nobody into one
   */
  void announce(List<ChangeRow> changes, long at, boolean quietly) {
    Map<Long, List<Happening>> happened = ChangesHappen.of(changes, at);
    if (!happened.isEmpty()) {
      events.publishEvent(new RecordsChanged(happened, quietly));
    }
  }

  /** Whoever has one of these people open is told that they have changed. */
  int markChanged(List<ChangeRow> changes) {
    Long[] persons = changes.stream().map(ChangeRow::personId).distinct().toArray(Long[]::new);
    if (persons.length > 0) {
      mapper.changed(persons);
    }
    return persons.length;
  }

  private static Long[] persons(List<ChangeRow> rows) {
    return longs(rows, ChangeRow::personId);
  }

  private static List<ChangeRow> only(List<ChangeRow> rows, Predicate<ChangeRow> which) {
    return rows.stream().filter(which).toList();
  }
}
