package org.opentrellis.app.dryruns;

import jakarta.annotation.PreDestroy;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.journeys.CardList;
import org.opentrellis.app.journeys.CardMade;
import org.opentrellis.app.journeys.CardOutdated;
import org.opentrellis.app.storage.Quietly;
import org.opentrellis.app.storage.StorageWatch;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.report.Sketch;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Draws the small pictures of lists: once a journey has been saved, and it has an estimate, that is
 * put on its card, with what the checks find by now. One after another, behind what somebody waits
 * for.
 */
@Component
class Sketches {
  private static final Logger LOG = LoggerFactory.getLogger(Sketches.class);

  /** A journey is asked for again so long after too many were waiting. */
  private static final long BREATH_MILLIS = 500;

  /** Whoever saves may save again, and waits for an estimate meanwhile. */
  private static final long AFTER_SAVE_MILLIS = 1_000;

  private final CardList cards;
  private final Estimates estimates;
  private final StorageWatch storage;
  private final Set<Long> waiting = ConcurrentHashMap.newKeySet();
  private final ScheduledThreadPoolExecutor worker =
      new ScheduledThreadPoolExecutor(1, task -> new Thread(task, "sketches"));

  Sketches(CardList cards, Estimates estimates, StorageWatch storage) {
    this.cards = cards;
    this.estimates = estimates;
    this.storage = storage;
    worker.setExecuteExistingDelayedTasksAfterShutdownPolicy(false);
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void cardMade(CardMade made) {
    order(made.journey(), AFTER_SAVE_MILLIS);
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void cardOutdated(CardOutdated outdated) {
    order(outdated.journey(), 0);
  }

  /** What is missing is drawn after each start. */
  @EventListener(ApplicationReadyEvent.class)
  void started() {
    cards.withoutSketch().forEach(journey -> order(journey, 0));
  }

  private void order(long journey, long millis) {
    if (waiting.add(journey)) {
      try {
        worker.schedule(() -> draw(journey), millis, TimeUnit.MILLISECONDS);
      } catch (RejectedExecutionException closing) {
        LOG.debug("It is drawn after the next start.");
      }
    }
  }

  private void draw(long journey) {
    waiting.remove(journey);
    try {
      cards.refresh(journey);
      if (!cards.hasSketch(journey)) {
        int made = cards.made(journey);
        RunMeasures measures = estimates.of(journey).get();
        cards.keepSketch(journey, made, Sketch.of(measures));
      }
    } catch (Refusal busy) {
      order(journey, BREATH_MILLIS);
    } catch (NotFound | ExecutionException refused) {
      // The list shows its plain picture.
      LOG.debug("No picture of journey {}: {}", journey, refused.getMessage());
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
    } catch (RuntimeException failed) {
      storage.failed(failed);
      LOG.debug("No picture of journey {} for now", journey, failed);
    }
  }

  @PreDestroy
  void close() {
    Quietly.end(worker);
  }
}
