package org.opentrellis.app.journeys;

import java.util.concurrent.CompletableFuture;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.core.report.QuickLook;

/** Whoever looks quickly at journeys as they are saved. */
public interface EstimateAtHand {
  /**
   * @throws Refusal if too many are waiting
   */
  CompletableFuture<QuickLook> look(KeptJourney kept);
}
