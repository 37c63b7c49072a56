package org.opentrellis.app.people;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.TypedText;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.names.AllNames;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.reading.WhoReader;
import org.opentrellis.core.reading.WhoReading;
import org.opentrellis.core.sentence.Sentences;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds the people of the account. */
@Service
@Transactional(readOnly = true)
public class People {
  /** So many are on a page. */
  static final int PAGE = 100;

  private static final int LONGEST = 2_000;

  private final PeopleMapper mapper;
  private final ActMapper acts;
  private final Crowd crowd;
  private final PeopleInOrder inOrder;
  private final AllNames allNames;
  private final Catalogues catalogues;
  private final Journeys journeys;
  private final Clock clock;

  People(
      PeopleMapper mapper,
      ActMapper acts,
      Crowd crowd,
      PeopleInOrder inOrder,
      AllNames allNames,
      Catalogues catalogues,
      Journeys journeys,
      Clock clock) {
    this.mapper = mapper;
    this.acts = acts;
    this.crowd = crowd;
    this.inOrder = inOrder;
    this.allNames = allNames;
    this.catalogues = catalogues;
    this.journeys = journeys;
    this.clock = clock;
  }

  /**
   * A page of those who are meant by a sentence, and in whose name or address something stands.
   *
   * @throws ProblemsFound if the sentence is not understood
   * @throws NotFound if nobody of that number is there any more
   */
  PeoplePage find(PeopleAsked asked) {
    Those these = meant(new Whom(asked.find(), asked.search(), null));
    PersonRow after = asked.after() == null ? null : row(asked.after());
    List<PersonRow> rows = inOrder.next(these, asked.order(), after, PAGE + 1);
    List<PersonRow> page = rows.subList(0, Math.min(PAGE, rows.size()));
    long everybody = mapper.countAll();
    return new PeoplePage(
        these.count(everybody),
        everybody,
        everybody - mapper.countUnmailable(),
        lines(page),
        rows.size() > PAGE ? page.getLast().id() : null);
  }

  /**
   * Those who are meant, as far as a sentence and a choice of them say.
   *
   * @throws ProblemsFound if the sentence is not understood
   */
  Those meant(Whom whom) {
    Those these = crowd.meant(condition(whom.find())).and(crowd.called(whom.search()));
    return whom.chosen() == null ? these : these.and(crowd.there(whom.chosen()));
  }

  private List<PersonLine> lines(List<PersonRow> page) {
    if (page.isEmpty()) {
      return List.of();
    }
    List<Long> ids = page.stream().map(PersonRow::id).toList();
    Map<Long, List<LabelRow>> labels =
        mapper.labels(ids).stream().collect(Collectors.groupingBy(LabelRow::personId));
    Map<Long, Map<String, String>> fields =
        mapper.fieldsOf(ids.toArray(Long[]::new)).stream()
            .collect(
                Collectors.groupingBy(
                    HeldValue::personId,
                    Collectors.toMap(HeldValue::name, one -> one.value().shown())));
    return page.stream()
        .map(
            row ->
                PersonLine.of(
                    row,
                    labels.getOrDefault(row.id(), List.of()),
                    fields.getOrDefault(row.id(), Map.of())))
        .toList();
  }

  /**
   * @throws NotFound if there is nobody of that number
   */
  PersonView view(long id) {
    PersonRow row = row(id);
    return PersonView.of(
        row,
        mapper.labels(List.of(id)),
        mapper.fields(id),
        mapper.story(id),
        acts.lastEdit(id).orElse(null));
  }

  private PersonRow row(long id) {
    return mapper.find(id).orElseThrow(() -> NotFound.of("person", id));
  }

  /** How a sentence is understood, and how many it means, while it is typed. */
  WhoView read(TypedWho typed) {
    TypedText.require(typed.text(), typed.caret(), LONGEST);
    WhoReading reading = reader().read(typed.text(), typed.caret());
    return switch (reading.result()) {
      case WhoReading.Meant meant -> WhoView.of(meant, count(meant.who()), reading.completions());
      case WhoReading.Unclear unclear -> WhoView.of(unclear.refused(), reading.completions());
    };
  }

  public boolean none() {
    return mapper.countAll() == 0;
  }

  /** How many are meant. */
  long count(Condition who) {
    return crowd.count(crowd.meant(who));
  }

  /**
   * @throws ProblemsFound if it cannot be a condition
   */
  SaidWho say(ChosenWho chosen) {
    return new SaidWho(
        Sentences.ofPeople(catalogues.current()).typed().condition(chosen.read()).text());
  }

  /**
   * What a sentence means; one that says nothing means everybody.
   *
   * @throws ProblemsFound if it is not understood
   */
  public Condition condition(String sentence) {
    return switch (reader().read(sentence, sentence.length()).result()) {
      case WhoReading.Meant meant -> meant.who();
      case WhoReading.Unclear unclear ->
          throw ProblemsFound.badValue("/find", unclear.refused().why());
    };
  }

  private WhoReader reader() {
    return new WhoReader(
        catalogues.current(),
        allNames.known(),
        journeys.names().stream().map(Journeys.Named::name).toList(),
        LocalDate.now(clock));
  }
}
