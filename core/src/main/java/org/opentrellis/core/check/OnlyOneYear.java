package org.opentrellis.core.check;

import java.util.List;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Trigger;

/** A date that returns each year, for people who may enter only once. */
final class OnlyOneYear implements Check {
  /** Long enough that nobody enters twice for one date, short enough for the next one. */
  private static final int NEARLY_A_YEAR = 300;

  @Override
  public List<Finding> look(CheckContext context) {
    Journey journey = context.journey();
    boolean yearly =
        journey.triggers().stream()
            .anyMatch(one -> one instanceof Trigger.DateComes date && date.everyYear());
    return yearly && journey.reEntry() instanceof ReEntry.Never
        ? List.of(
            Findings.fixedBy(
                Findings.warning(
                    "only-one-year",
                    "The date returns every year, but each person enters once: after their first"
                        + " year they get nothing."),
                "Each year: again after %d days".formatted(NEARLY_A_YEAR),
                journey.edit().reEntry(new ReEntry.AfterDays(NEARLY_A_YEAR)).done()))
        : List.of();
  }
}
