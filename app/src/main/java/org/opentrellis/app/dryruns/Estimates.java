package org.opentrellis.app.dryruns;

import java.util.concurrent.CompletableFuture;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.report.NobodyThere;
import org.opentrellis.core.sentence.Sentences;
import org.springframework.stereotype.Service;

/** Quick looks at journeys as they are saved now; nothing is kept of them as a run. */
@Service
class Estimates {
  private static final int PEOPLE = 3_000;
  private static final int DAYS = 90;

  private final ComputingRoom room;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final Mondays mondays;

  Estimates(ComputingRoom room, Journeys journeys, Catalogues catalogues, Mondays mondays) {
    this.room = room;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.mondays = mondays;
  }

  /** All that an estimate depends on. */
  private record Asked(
      Journey journey, Catalogue catalogue, Behaviour behaviour, CohortSettings settings) {
    DryRun dryRun() {
      return new DryRun(journey, catalogue, behaviour, settings);
    }
  }

  CompletableFuture<RunMeasures> of(long journey) {
    return of(journeys.find(journey));
  }

  CompletableFuture<EstimateView> look(long journey) {
    KeptJourney kept = journeys.find(journey);
    Catalogue catalogue = catalogues.current();
    Journey whole = Strands.expand(kept.journey(), catalogue);
    Sentences sentences = new Sentences(kept.journey(), catalogue);
    return of(kept)
        .thenApply(
            measures -> new EstimateView(measures, NobodyThere.of(measures, whole, sentences)));
  }

  CompletableFuture<RunMeasures> of(KeptJourney kept) {
    Asked asked =
        new Asked(
            kept.journey(),
            catalogues.current(),
            kept.behaviour(),
            CohortSettings.of(PEOPLE, 1, mondays.thisWeek(), DAYS));
    return room.compute(asked, Lane.QUICK, effort -> RunMeasures.of(asked.dryRun().run(effort)));
  }
}
