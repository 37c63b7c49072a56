package org.opentrellis.core.sentence;

import org.opentrellis.core.journey.JourneyState;

/**
 * A journey's state in words, where journeys are planned and do not run: nobody enters, whatever
 * the state, and it says so.
 *
 * @param title what it is
 * @param sentence what that means now
 */
public record PlannedState(String title, String sentence) {
  public static PlannedState of(JourneyState state) {
    return switch (state) {
      case DRAFT ->
          new PlannedState(
              "This journey is a draft.",
              "Open it when the plan is ready. Journeys do not run here yet, so nobody enters.");
      case OPEN ->
          new PlannedState(
              "This journey is planned to open.",
              "Journeys do not run here yet: nobody enters and nothing is sent.");
      case CLOSING ->
          new PlannedState(
              "This journey is planned to close.",
              "Journeys do not run here yet: nobody is inside, and nobody new will enter.");
      case STOPPED ->
          new PlannedState(
              "This journey is planned to stay shut.",
              "Journeys do not run here yet, and this one lets nobody in when they do.");
    };
  }
}
