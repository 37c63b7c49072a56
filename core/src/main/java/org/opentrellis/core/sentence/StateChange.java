package org.opentrellis.core.sentence;

import java.util.ArrayList;
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
 * @param goOn what becomes of those inside if they go on with the plan as it is now; empty if
 *     nothing is to be chosen for them
 * @param finishBegun likewise if they finish on the plan that they began
 */
public record StateChange(
    JourneyState to, String label, String sentence, String goOn, String finishBegun) {

  /** What can be done with a journey. */
  public static List<StateChange> of(Journey journey, Catalogue catalogue, Inside inside) {
    StateChange opening = opening(journey, catalogue, inside);
    StateChange closing =
        plain(JourneyState.CLOSING, "Close", "Nobody new enters. " + staying(inside));
    StateChange stopping =
        plain(JourneyState.STOPPED, "Stop", "Nobody enters any more. " + leaving(inside));
    StateChange planning =
        plain(
            JourneyState.DRAFT,
            "Back to draft",
            "It is a plan again, which nobody enters until it is opened.");
    return switch (journey.state()) {
      case DRAFT -> List.of(opening);
      case OPEN -> {
        List<StateChange> changes = new ArrayList<>();
        if (inside.changed()) {
          changes.add(opening);
        }
        changes.addAll(List.of(closing, stopping));
        yield changes;
      }
      case CLOSING -> List.of(opening, stopping);
      case STOPPED -> List.of(opening, planning);
    };
  }

  private static StateChange plain(JourneyState to, String label, String sentence) {
    return new StateChange(to, label, sentence, "", "");
  }

  private static StateChange opening(Journey journey, Catalogue catalogue, Inside inside) {
    String label =
        switch (journey.state()) {
          case DRAFT -> "Open";
          case OPEN -> "Put into effect";
          case CLOSING, STOPPED -> "Open again";
        };
    String who =
        journey.triggers().isEmpty()
            ? "Nothing starts this journey yet."
            : "From now on it " + starts(journey, catalogue) + ".";
    if (inside.people() == 0) {
      return plain(
          JourneyState.OPEN,
          label,
          who + " Nobody is inside; whoever did this before does not enter.");
    }
    if (!inside.changed()) {
      return plain(
          JourneyState.OPEN,
          label,
          "%s %s inside %s on as before."
              .formatted(who, inside.who(), inside.ending("goes", "go")));
    }
    return new StateChange(
        JourneyState.OPEN,
        label,
        who,
        "%s inside %s on with the new plan from the step where they stand.%s"
            .formatted(inside.who(), inside.ending("goes", "go"), gone(inside)),
        "%s inside %s on the plan that they began."
            .formatted(inside.who(), inside.ending("finishes", "finish")));
  }

  private static String gone(Inside inside) {
    if (inside.onGoneSteps() == 0) {
      return " Nobody stands at a step that is gone.";
    }
    return inside.onGoneSteps() == 1
        ? " 1 of them stands at a step that is gone, and goes on at what came after it."
        : " %,d of them stand at a step that is gone, and go on at what came after it."
            .formatted(inside.onGoneSteps());
  }

  private static String starts(Journey journey, Catalogue catalogue) {
    String opening = new Sentences(journey, catalogue).opening().text();
    return Character.toLowerCase(opening.charAt(0)) + opening.substring(1);
  }

  private static String staying(Inside inside) {
    return inside.people() == 0
        ? "Nobody is inside, so nothing more will be sent."
        : "%s inside %s on to the end.".formatted(inside.who(), inside.ending("goes", "go"));
  }

  private static String leaving(Inside inside) {
    return inside.people() == 0
        ? "Nobody is inside, so nobody has to leave."
        : "%s inside %s now and %s nothing more."
            .formatted(
                inside.who(), inside.ending("leaves", "leave"), inside.ending("gets", "get"));
  }
}
