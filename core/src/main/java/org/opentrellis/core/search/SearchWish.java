package org.opentrellis.core.search;

import java.util.List;
import org.opentrellis.core.problem.Refused;

/**
 * What is to be looked for, whatever journey it is looked for in.
 *
 * @param vary what may vary
 * @param people how many go through each variation that stays in the race, 500 to 200,000
 */
public record SearchWish(List<Leeway> vary, Wanted wanted, Limits limits, int people) {
  public static final int FEWEST_PEOPLE = 500;
  public static final int MOST_PEOPLE = 200_000;

  /** So many go through each variation unless somebody says so. */
  public static final int USUAL_PEOPLE = 20_000;

  public SearchWish {
    vary = List.copyOf(vary);
    if (people < FEWEST_PEOPLE || people > MOST_PEOPLE) {
      throw new Refused(
          "%,d to %,d people go through each variation, not %,d"
              .formatted(FEWEST_PEOPLE, MOST_PEOPLE, people));
    }
  }
}
