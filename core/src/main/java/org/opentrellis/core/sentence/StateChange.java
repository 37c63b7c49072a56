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

  /**
   * What can be done with a journey as it is.
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
    String opening = new Sentences(journey, catalogue).opening().text();
    String who =
        journey.triggers().isEmpty()
            ? "Nothing starts this journey yet."
            : "From now on it "
                + Character.toLowerCase(opening.charAt(0))
                + opening.substring(1)
                + ".";
    String already =
        inside == 0
            ? " Nobody is inside; whoever did this before does not enter."
            : " " + people(inside) + " inside go" + (inside == 1 ? "es" : "") + " on as before.";
    String again = journey.state() == JourneyState.DRAFT ? "Open" : "Open again";
    return new StateChange(JourneyState.OPEN, again, who + already);
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
