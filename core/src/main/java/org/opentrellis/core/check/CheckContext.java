package org.opentrellis.core.check;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.sentence.Sentences;

/**
 * What checks look at.
 *
 * @param journey as it is written
 * @param catalogue what journeys refer to
 * @param behaviour what is assumed of people, for the figures
 * @param others what is to be known of the other journeys of the account, or of the run
 * @param carried tags and lists that somebody of the account has
 * @param today for dates that are past
 */
public record CheckContext(
    Journey journey,
    Catalogue catalogue,
    Behaviour behaviour,
    List<Neighbour> others,
    Set<Name> carried,
    LocalDate today) {

  /** The journey with the steps of its strands in place. */
  Journey expanded() {
    return Strands.expand(journey, catalogue);
  }

  /** This journey and the others. */
  Stream<Neighbour> all() {
    return Stream.concat(Stream.of(Neighbour.of(journey, catalogue)), others.stream());
  }

  Sentences sentences() {
    return new Sentences(journey, catalogue);
  }

  /** Whether a step stands in the journey itself, not in a strand, so that an edit can mend it. */
  boolean own(Step step) {
    return journey.steps().anyMatch(one -> one.id().equals(step.id()));
  }
}
