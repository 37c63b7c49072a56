package org.opentrellis.app.dryruns;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.journeys.EstimateAtHand;
import org.opentrellis.app.journeys.JourneyGiven;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.app.storage.Quietly;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.report.QuickLook;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/** Quick looks at journeys as they are saved now; nothing is kept of them as a run. */
@Service
class Estimates implements EstimateAtHand {
  private static final Logger LOG = LoggerFactory.getLogger(Estimates.class);
  private static final int PEOPLE = 3_000;
  private static final int DAYS = 90;

  private final ComputingRoom room;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final Mondays mondays;

  /** What is begun early is begun here: whoever saves holds the account, and computes nothing. */
  private final ExecutorService early =
      Executors.newSingleThreadExecutor(task -> new Thread(task, "early-estimates"));

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

  CompletableFuture<QuickLook> look(long journey) {
    return look(journeys.find(journey));
  }

  @Override
  public CompletableFuture<QuickLook> look(KeptJourney kept) {
    Catalogue catalogue = catalogues.current();
    return of(kept).thenApply(measures -> QuickLook.of(measures, kept.journey(), catalogue));
  }

  CompletableFuture<RunMeasures> of(KeptJourney kept) {
    return of(kept.journey(), kept.behaviour());
  }

  /** Begins while the journey is still being saved, so that it is there when it is asked for. */
  @EventListener
  void given(JourneyGiven given) {
    Catalogue catalogue = catalogues.current();
    try {
      early.execute(() -> begin(asked(given.journey(), catalogue, given.behaviour())));
    } catch (RejectedExecutionException closing) {
      LOG.debug("It is begun when it is asked for.");
    }
  }

  private void begin(Asked asked) {
    try {
      of(asked);
    } catch (Refusal busy) {
      LOG.debug("It is begun when it is asked for: {}", busy.getMessage());
    }
  }

  private CompletableFuture<RunMeasures> of(Journey journey, Behaviour behaviour) {
    return of(asked(journey, catalogues.current(), behaviour));
  }

  private Asked asked(Journey journey, Catalogue catalogue, Behaviour behaviour) {
    return new Asked(
        journey, catalogue, behaviour, CohortSettings.of(PEOPLE, 1, mondays.thisWeek(), DAYS));
  }

  private CompletableFuture<RunMeasures> of(Asked asked) {
    return room.compute(asked, Lane.QUICK, effort -> RunMeasures.of(asked.dryRun().run(effort)));
  }

  @PreDestroy
  void close() {
    Quietly.end(early);
  }
}
