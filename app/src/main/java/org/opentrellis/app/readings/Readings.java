package org.opentrellis.app.readings;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.TypedText;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.names.AllNames;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageContent;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NamesIn;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.reading.Reader;
import org.opentrellis.core.reading.Reading;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;

/** Reads sentences about the journeys of the account. */
@Service
class Readings {
  private static final int LONGEST = 20_000;

  private final Journeys journeys;
  private final Catalogues catalogues;
  private final AllNames allNames;
  private final Clock clock;

  Readings(Journeys journeys, Catalogues catalogues, AllNames allNames, Clock clock) {
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.allNames = allNames;
    this.clock = clock;
  }

  /**
   * @throws ProblemsFound if the journey or the place in the sentence is not right; a sentence that
   *     is not understood is no problem in this sense
   */
  ReadingView read(long id, TypedSentence typed) {
    TypedText.require(typed.text(), typed.caret(), LONGEST);
    Catalogue catalogue = catalogues.current();
    Journey journey = journeys.readIn("/journey", typed.journey());
    List<String> others =
        journeys.names().stream().filter(one -> one.id() != id).map(Journeys.Named::name).toList();
    KnownNames known = KnownNames.of(List.of(allNames.known(), KnownNames.in(List.of(journey))));
    Reader reader = new Reader(journey, catalogue, others, known, LocalDate.now(clock));
    Reading reading =
        typed.replaces()
            ? reader.replace(typed.row(), typed.text(), typed.caret())
            : reader.add(typed.row(), typed.text(), typed.caret());
    return switch (reading.result()) {
      case Reading.Understood understood ->
          ReadingView.of(
              understood,
              shared(understood, journey, catalogue, id),
              sheet(understood, catalogue),
              reading.completions());
      case Reading.Refused refused -> ReadingView.of(refused, reading.completions());
    };
  }

  /** With the messages that the sentence brings along. */
  private static RunSheet sheet(Reading.Understood understood, Catalogue catalogue) {
    List<Message> messages = new ArrayList<>(catalogue.messages());
    for (Message written : understood.written()) {
      messages.removeIf(there -> there.id().equals(written.id()));
      messages.add(written);
    }
    return RunSheet.of(
        understood.journey(), new Catalogue(messages, catalogue.strands(), catalogue.segments()));
  }

  /** Of messages that were there and are sent here now, those that other journeys send, too. */
  private List<String> shared(
      Reading.Understood understood, Journey before, Catalogue catalogue, long id) {
    Set<Name> known = NamesIn.of(before.body()).collect(Collectors.toSet());
    return NamesIn.of(understood.journey().body())
        .filter(name -> name instanceof MessageId && !known.contains(name))
        .distinct()
        .flatMap(name -> catalogue.message((MessageId) name).stream())
        .flatMap(message -> shared(message, id).stream())
        .toList();
  }

  private Optional<String> shared(Message message, long id) {
    return journeys.othersUsing(message.id(), id).stream()
        .findFirst()
        .map(
            other ->
                "uses the %s \u201c%s\u201d that \u201c%s\u201d sends, too"
                    .formatted(
                        message.content() instanceof MessageContent.Text ? "text" : "email",
                        message.name(),
                        other));
  }
}
