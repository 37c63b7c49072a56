package org.opentrellis.core.sentence;

import org.opentrellis.core.journey.JourneyState;

/**
 * A journey's state in words.
 *
 * @param title what it is
 * @param sentence what that means now
 */
public record StateWords(String title, String sentence) {
  public static StateWords of(JourneyState state, Inside inside) {
    return switch (state) {
      case DRAFT -> new StateWords("This journey is a draft.", "Nobody enters until it is opened.");
      case OPEN ->
          new StateWords(
              "This journey is open.",
              inside.changed()
                  ? "People enter as it was when it was opened; what was changed since is not in effect. "
                      + count(inside)
                  : "People enter. " + count(inside));
      case CLOSING ->
          new StateWords(
              "This journey is closing.",
              inside.people() == 0
                  ? "Nobody new enters, and nobody is inside any more."
                  : "Nobody new enters. %s inside %s on to the end."
                      .formatted(inside.who(), inside.ending("goes", "go")));
      case STOPPED ->
          new StateWords("This journey is stopped.", "Nobody enters, and nobody is inside.");
    };
  }

  private static String count(Inside inside) {
    return inside.people() == 0
        ? "Nobody is inside now."
        : "%,d %s inside now.".formatted(inside.people(), inside.ending("is", "are"));
  }
}
