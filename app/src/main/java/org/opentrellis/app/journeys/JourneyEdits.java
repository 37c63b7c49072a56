package org.opentrellis.app.journeys;

import org.opentrellis.core.format.BehaviourDocument;
import org.opentrellis.core.format.JourneyDocument;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.sentence.RunSheet;

/** What a user sends about a journey. */
final class JourneyEdits {
  private JourneyEdits() {}

  /** A new, empty journey. */
  record NewJourney(String name, Purpose purpose) {}

  /**
   * @param version the version it was read at
   */
  record JourneySave(int version, JourneyDocument journey) {}

  /**
   * @param version the version they were read at
   */
  record BehaviourSave(int version, BehaviourDocument behaviour) {}

  /** What a save that lost the race was to save, in words, to set beside what is saved now. */
  record LostSave(JourneyDocument journey, RunSheet sheet) {}
}
