package org.opentrellis.core.sentence;

import java.util.List;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;

/**
 * A change of a journey's state, and what it means.
 *
 * @param to the state after it
 * @param label what a button that does it says
 * @param sentence what will happen, and to how many people
 */
public record StateChange(JourneyState to, String label, String sentence) {

  /** What can be done with a journey where journeys are planned, and do not run. */
  public static List<StateChange> ofPlan(Journey journey, Catalogue catalogue) {
    return of(journey, catalogue, 0).stream()
        .map(
            change ->
                new StateChange(change.to, change.label, planned(change.to, journey, catalogue)))
        .toList();
  }

  private static String planned(JourneyState to, Journey journey, Catalogue catalogue) {
    return switch (to) {
      case OPEN ->
          journey.triggers().isEmpty()
              ? "Nothing starts this journey yet."
              : "Once journeys run here, it %s. Until then nobody enters and nothing is sent."
                  .formatted(starts(journey, catalogue));
      case CLOSING -> "Once journeys run here, it lets nobody new in. Nobody is inside now.";
      case STOPPED -> "It stays shut when journeys run here. Nobody is inside now.";
      case DRAFT -> "It is a plan again, which nobody enters until it is opened.";
    };
  }

  /**
   * What can be done with a journey as it runs.
   *
   * @param inside how many people are in it now
   */
  public static List<StateChange> of(Journey journey, Catalogue catalogue, long inside) {
    StateChange opening = opening(journey, catalogue, inside);
    StateChange closing =
        new StateChange(JourneyState.CLOSING, "Close", "Nobody new enters. " + staying(inside));
    StateChange stopping =
        new StateChange(JourneyState.STOPPED, "Stop", "Nobody enters any more. " + leaving(inside));
    StateChange planning =
        new StateChange(
            JourneyState.DRAFT,
            "Back to draft",
            "It is a plan again, which nobody enters until it is opened.");
    return switch (journey.state()) {
      case DRAFT -> List.of(opening);
      case OPEN -> List.of(closing, stopping);
      case CLOSING -> List.of(opening, stopping);
      case STOPPED -> List.of(opening, planning);
    };
  }

  private static StateChange opening(Journey journey, Catalogue catalogue, long inside) {
    String who =
        journey.triggers().isEmpty()
            ? "Nothing starts this journey yet."
            : "From now on it " + starts(journey, catalogue) + ".";
    String already =
        inside == 0
            ? " Nobody is inside; whoever did this before does not enter."
            : " " + people(inside) + " inside go" + (inside == 1 ? "es" : "") + " on as before.";
    String again = journey.state() == JourneyState.DRAFT ? "Open" : "Open again";
    return new StateChange(JourneyState.OPEN, again, who + already);
  }

  private static String starts(Journey journey, Catalogue catalogue) {
    String opening = new Sentences(journey, catalogue).opening().text();
    return Character.toLowerCase(opening.charAt(0)) + opening.substring(1);
  }

  private static String staying(long inside) {
    return inside == 0
        ? "Nobody is inside, so nothing more will be sent."
        : people(inside) + " inside go" + (inside == 1 ? "es" : "") + " on to the end.";
  }

  private static String leaving(long inside) {
    return inside == 0
        ? "Nobody is inside, so nobody has to leave."
        : people(inside)
            + " inside leave"
            + (inside == 1 ? "s" : "")
            + " now and get"
            + (inside == 1 ? "s" : "")
            + " nothing more.";
  }

  private static String people(long count) {
    return count == 1 ? "The 1 person" : "The %,d people".formatted(count);
  }
}
