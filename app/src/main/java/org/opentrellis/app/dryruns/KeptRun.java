package org.opentrellis.app.dryruns;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.measure.RunMeasures;

/** Everything that is needed to do a run again to the same figures, and what it showed. */
public record KeptRun(
    DryRunSummary summary,
    Journey journey,
    List<Message> messages,
    Behaviour behaviour,
    CohortSettings cohort,
    RunMeasures measures) {

  /** The run, ready to be done again. */
  public DryRun again() {
    return prepare(journey, messages, behaviour, cohort);
  }

  /** Whether both runs had the same people: person n of one is person n of the other. */
  public boolean samePeopleAs(KeptRun other) {
    return cohort.people() == other.cohort.people()
        && cohort.seed() == other.cohort.seed()
        && behaviour.groups().equals(other.behaviour.groups());
  }

  static DryRun prepare(
      Journey journey, List<Message> messages, Behaviour behaviour, CohortSettings cohort) {
    Map<MessageId, List<LinkName>> links =
        messages.stream().collect(Collectors.toMap(Message::id, Message::links));
    return new DryRun(Program.compile(journey, links), behaviour, cohort);
  }

  static CohortSettings cohort(DryRunOrder order, Instant start) {
    return new CohortSettings(order.people(), order.seed(), start, order.horizonDays());
  }
}
