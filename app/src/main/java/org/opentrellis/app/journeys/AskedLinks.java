package org.opentrellis.app.journeys;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.proofreading.AskedLink;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Knows which clicks in a message journeys ask about. */
@Component
@Transactional(readOnly = true)
public class AskedLinks {
  private final JourneyIndex index;
  private final JourneyMapper journeys;
  private final Catalogues catalogues;

  AskedLinks(JourneyIndex index, JourneyMapper journeys, Catalogues catalogues) {
    this.index = index;
    this.journeys = journeys;
    this.catalogues = catalogues;
  }

  /** What journeys that are not archived ask about the links of a message. */
  public List<AskedLink> of(MessageId message) {
    Catalogue catalogue = catalogues.current();
    return index.using(catalogue.usersOf(message)).stream()
        .map(id -> KeptJourney.of(journeys.find(id), id, catalogue))
        .filter(kept -> !kept.archived())
        .flatMap(kept -> asked(Strands.expand(kept.journey(), catalogue), message))
        .distinct()
        .toList();
  }

  private static Stream<AskedLink> asked(Journey journey, MessageId message) {
    Set<StepId> sends =
        journey.sends().stream()
            .filter(send -> sends(send, message))
            .map(Step::id)
            .collect(Collectors.toSet());
    return journey
        .steps()
        .flatMap(step -> step.conditions().stream())
        .flatMap(Condition::all)
        .filter(Condition.Clicked.class::isInstance)
        .map(Condition.Clicked.class::cast)
        .filter(clicked -> clicked.step().filter(sends::contains).isPresent())
        .map(Condition.Clicked::link)
        .flatMap(Optional::stream)
        .map(link -> new AskedLink(journey.name(), link));
  }

  private static boolean sends(Step.Send send, MessageId message) {
    return send.message().equals(message)
        || send.versions().stream().anyMatch(one -> one.message().equals(message));
  }
}
