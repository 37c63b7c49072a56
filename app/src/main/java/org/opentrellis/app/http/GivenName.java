package org.opentrellis.app.http;

import org.opentrellis.core.journey.Characters;
import org.opentrellis.core.problem.ProblemsFound;

/** A name that a user gives to something that is kept. */
public final class GivenName {
  private static final int LONGEST = 80;

  private GivenName() {}

  /**
   * @param what for example "A cohort"
   * @param place where it stands in the request, as a JSON Pointer
   * @return the name without white space at its ends
   * @throws ProblemsFound if it is empty or too long, or holds what cannot be in a name
   */
  public static String of(String what, String given, String place) {
    String name = given.strip();
    if (name.isEmpty() || name.length() > LONGEST) {
      throw ProblemsFound.badValue(
          place, what + " needs a name of 1 to %d characters.".formatted(LONGEST));
    }
    Characters.refusal(name)
        .ifPresent(
            wrong -> {
              throw ProblemsFound.badValue(place, "The name " + wrong + ".");
            });
    return name;
  }
}
