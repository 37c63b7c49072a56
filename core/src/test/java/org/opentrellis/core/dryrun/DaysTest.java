package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.ZoneClock;

/** Multiplications by a rounded reciprocal, against plain division. */
class DaysTest {
  private static final int DAY = ZoneClock.DAY;
  private static final int QUARTER = 15 * 60;

  @Test
  void everyQuarterOfAnHourIsFoundOnBothSidesOfItsEdge() {
    for (long edge = 0; edge < Days.LIMIT; edge += QUARTER) {
      assertDivides(edge);
      assertDivides(edge + 1);
      assertDivides(edge + QUARTER - 1);
    }
  }

  private static void assertDivides(long seconds) {
    boolean same =
        Days.passed(seconds) == seconds / DAY
            && Days.reached(seconds) == (seconds + DAY - 1) / DAY
            && Days.quarters(seconds) == seconds / QUARTER;
    if (!same) {
      assertThat(seconds).as("a time that is divided wrong").isNegative();
    }
  }

  @Test
  void theLongestRunIsWithinTheLimit() {
    assertThat((CohortSettings.LONGEST_HORIZON_DAYS + 2L) * DAY).isLessThan(Days.LIMIT);
  }
}
