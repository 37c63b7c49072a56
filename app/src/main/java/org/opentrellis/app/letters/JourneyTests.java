package org.opentrellis.app.letters;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Tests of all that a journey sends, in the order of its run sheet. */
@RestController
class JourneyTests {
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final TestSends sends;

  JourneyTests(Journeys journeys, Catalogues catalogues, TestSends sends) {
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.sends = sends;
  }

  /** Each message once; what cannot be sent is told, and the others go. */
  @PostMapping("/api/journeys/{id}/tests")
  TestSent sendJourneyTests(@PathVariable long id, @RequestBody TestOrder order) {
    Journey journey = Strands.expand(journeys.find(id).journey(), catalogues.current());
    Set<MessageId> messages = new LinkedHashSet<>();
    journey
        .sends()
        .forEach(
            send -> {
              messages.add(send.message());
              send.versions().stream().map(Variant::message).forEach(messages::add);
            });
    if (messages.isEmpty()) {
      throw new ProblemsFound(
          List.of(new Problem("sends-nothing", "", "This journey sends nothing yet.")));
    }
    return sends.send(List.copyOf(messages), order);
  }
}
