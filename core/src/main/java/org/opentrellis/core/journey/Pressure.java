package org.opentrellis.core.journey;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import org.opentrellis.core.problem.Refused;

/**
 * How much mail is enough for one person, from all journeys and newsletters together.
 *
 * @param emailsPerWeek that a person gets within any seven days, 1 to 50
 * @param order which purposes go first when there is room for some only; those that are not named
 *     come last
 * @param then what becomes of an email for which there is no room
 */
public record Pressure(int emailsPerWeek, List<Purpose> order, FrequencyGuard.Then then) {
  private static final int MOST = 50;

  public Pressure {
    if (emailsPerWeek < 1 || emailsPerWeek > MOST) {
      throw new Refused("the emails a week must be 1 to %d, not %d".formatted(MOST, emailsPerWeek));
    }
    List<Purpose> all = new ArrayList<>(new LinkedHashSet<>(order));
    for (Purpose purpose : Purpose.values()) {
      if (!all.contains(purpose)) {
        all.add(purpose);
      }
    }
    order = List.copyOf(all);
  }

  /** The same with another number. */
  public Pressure of(int emails) {
    return new Pressure(emails, order, then);
  }
}
