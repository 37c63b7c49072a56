package org.opentrellis.app.letters;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.files.KeptFileView;
import org.opentrellis.app.files.KeptFiles;
import org.opentrellis.app.http.TypedText;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.names.AllNames;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.reading.PartReader;
import org.opentrellis.core.sentence.PartWords;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Reads the parts of messages as they are typed, and says them. */
@RestController
@Transactional(readOnly = true)
class PartReadings {
  private static final int LONGEST = 20_000;

  private final Catalogues catalogues;
  private final AllNames names;
  private final Journeys journeys;
  private final KeptFiles files;
  private final Clock clock;

  PartReadings(
      Catalogues catalogues, AllNames names, Journeys journeys, KeptFiles files, Clock clock) {
    this.catalogues = catalogues;
    this.names = names;
    this.journeys = journeys;
    this.files = files;
    this.clock = clock;
  }

  @PostMapping("/api/parts/readings")
  PartView readPart(@RequestBody TypedPart typed) {
    TypedText.require(typed.text(), typed.caret(), LONGEST);
    PartReader reader =
        new PartReader(
            catalogues.current(),
            names.known(),
            journeys.names().stream().map(Journeys.Named::name).toList(),
            files.all().stream().map(KeptFileView::name).toList(),
            LocalDate.now(clock));
    return PartView.of(reader.read(typed.text(), typed.caret(), new PartId(typed.id())));
  }

  /**
   * A part as it is typed.
   *
   * @param part its id
   */
  record SaidPart(String part, String says) {}

  /** Each part of a message as it is typed, those inside of others too. */
  @PostMapping("/api/parts/sentences")
  List<SaidPart> sayParts(@RequestBody ManuscriptOnly given) {
    Manuscript manuscript =
        ProblemsFound.within("/manuscript", () -> Documents.readManuscript(given.manuscript()));
    Catalogue catalogue = catalogues.current();
    PartWords words = new PartWords(catalogue);
    return switch (manuscript) {
      case Manuscript.Email email ->
          email.allParts().map(part -> new SaidPart(part.id().value(), words.say(part))).toList();
      case Manuscript.Text text -> List.of();
    };
  }
}
