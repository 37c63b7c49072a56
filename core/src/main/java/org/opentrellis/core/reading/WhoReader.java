package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NamesIn;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.sentence.Library;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.sentence.Style;

/**
 * Reads sentences that say which people are meant, in the words of a journey's conditions: "are on
 * list Newcomers and did not buy anything". Nothing said is everybody.
 */
public final class WhoReader {
  private static final String EVERYBODY =
      "(everyone|everybody|anyone|anybody|all|people|those|all people|all those)( (who|that))?";

  private final Catalogue catalogue;
  private final KnownNames known;
  private final Collection<String> journeys;
  private final LocalDate today;

  /**
   * @param known the names in use
   * @param journeys what the journeys of the account are called
   * @param today that a date without a year comes after
   */
  public WhoReader(
      Catalogue catalogue, KnownNames known, Collection<String> journeys, LocalDate today) {
    this.catalogue = catalogue;
    this.known = known;
    this.journeys = journeys;
    this.today = today;
  }

  /**
   * @param caret where completions are wanted, in characters from the start
   */
  public WhoReading read(String text, int caret) {
    Cursor cursor = Cursor.ofPeople(text);
    WhoReading.Result result;
    try {
      Condition who = who(cursor);
      result = new WhoReading.Meant(who, sentences().condition(who), news(who));
    } catch (NotUnderstood problem) {
      result =
          new WhoReading.Unclear(
              new Reading.Refused(
                  problem.sentence(), problem.from, problem.to, problem.asks, problem.offers()));
    }
    Cursor begun = caret == text.length() ? cursor : begun(text.substring(0, caret));
    return new WhoReading(result, begun.completions());
  }

  private Cursor begun(String text) {
    Cursor cursor = Cursor.ofPeople(text);
    try {
      who(cursor);
    } catch (NotUnderstood unfinished) {
      // what could have stood at the end is known all the same
    }
    return cursor;
  }

  private Condition who(Cursor cursor) {
    cursor.says(EVERYBODY);
    if (cursor.atEnd()) {
      noteWaysToBegin(cursor);
      return new Condition.All(List.of());
    }
    Condition who = ofRecord(cursor).read();
    cursor.requireEnd();
    return who;
  }

  private void noteWaysToBegin(Cursor cursor) {
    try {
      ofRecord(cursor).read();
    } catch (NotUnderstood nothing) {
      // nothing needs to stand here
    }
  }

  private ConditionReader ofRecord(Cursor cursor) {
    Scope scope =
        new Scope(library(), new Written(catalogue), known, journeys, List.of(), true, today);
    return new ConditionReader(cursor, scope);
  }

  private List<String> news(Condition who) {
    Set<String> news = new LinkedHashSet<>();
    NamesIn.of(List.of(who))
        .filter(name -> !known.has(name))
        .forEach(name -> Outcome.kindOf(name).ifPresent(kind -> news.add(said(kind, name))));
    return new ArrayList<>(news);
  }

  private static String said(String kind, Name name) {
    return kind + " " + Style.quoted(name.value());
  }

  private Sentences sentences() {
    return Sentences.ofPeople(catalogue);
  }

  private Library library() {
    return new Library(nowhere(), catalogue);
  }

  private static Journey nowhere() {
    return Journey.empty("Nowhere", Purpose.OTHER);
  }
}
