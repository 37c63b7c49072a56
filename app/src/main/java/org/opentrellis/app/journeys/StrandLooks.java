package org.opentrellis.app.journeys;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.check.Finding;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.sentence.DifferenceLine;
import org.opentrellis.core.sentence.JourneyDifference;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Looks at a strand that is being edited, and at what it would change. */
@Service
@Transactional(readOnly = true)
class StrandLooks {
  private final Catalogues catalogues;
  private final JourneyIndex index;
  private final JourneyMapper journeys;
  private final Around.Sight sight;

  StrandLooks(
      Catalogues catalogues, JourneyIndex index, JourneyMapper journeys, Around.Sight sight) {
    this.catalogues = catalogues;
    this.index = index;
    this.journeys = journeys;
    this.sight = sight;
  }

  /**
   * A strand in words, and what it would change if it were saved.
   *
   * @param expanded its steps as a journey of their own, those of strands within in place
   * @param difference from what is kept
   * @param users the journeys that go through it
   */
  record StrandLook(
      RunSheet sheet,
      @Schema(ref = Schemas.JOURNEY) JsonNode expanded,
      List<DifferenceLine> difference,
      List<UserView> users) {}

  /**
   * A journey that goes through a strand.
   *
   * @param findings what the checks would find that they do not find now
   */
  record UserView(long id, String name, List<String> findings) {}

  StrandLook look(String id, JsonNode document) {
    Strand strand = Documents.readStrand(document);
    Catalogues.requireSame(id, strand.id().value(), "/document/id");
    Catalogue now = catalogues.current();
    Catalogue then = catalogues.with(strand);
    Journey draft = asJourney(strand);
    Journey kept = now.strand(strand.id()).map(StrandLooks::asJourney).orElse(empty(strand));
    return new StrandLook(
        RunSheet.of(draft, then),
        Documents.write(Strands.expand(draft, then)),
        JourneyDifference.between(kept, draft, then),
        index.using(now.usersOf(strand.id())).stream()
            .flatMap(journey -> user(journey, now, then).stream())
            .toList());
  }

  private static Journey asJourney(Strand strand) {
    return empty(strand).withBody(strand.body());
  }

  private static Journey empty(Strand strand) {
    return Journey.empty(strand.name(), Purpose.OTHER);
  }

  private Optional<UserView> user(long id, Catalogue now, Catalogue then) {
    KeptJourney kept = KeptJourney.of(journeys.find(id), id, now);
    if (kept.archived()) {
      return Optional.empty();
    }
    Around around = sight.of(id);
    List<String> before = sentences(Look.at(kept, now, around));
    List<String> news =
        sentences(Look.at(kept, then, around)).stream()
            .filter(one -> !before.contains(one))
            .toList();
    return Optional.of(new UserView(id, kept.journey().name(), news));
  }

  private static List<String> sentences(Look look) {
    return look.findings().stream().map(Finding::sentence).toList();
  }
}
