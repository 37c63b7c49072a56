package org.opentrellis.core.behaviour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class ArrivalPlanTest {
  private static final LocalDate MONDAY = LocalDate.parse("2027-03-01");
  private static final List<Double> WORKDAYS = List.of(1.0, 1.0, 1.0, 1.0, 1.0, 0.0, 0.0);

  @Test
  void aDayOfTheWeekHasItsShareOfTheMean() {
    ArrivalPlan.Daily daily = new ArrivalPlan.Daily(100, WORKDAYS);
    assertThat(daily.on(0)).isEqualTo(140);
    assertThat(daily.on(6)).isZero();
    assertThat(daily.days(700, MONDAY)).isEqualTo(5);
    assertThat(daily.days(701, MONDAY)).isEqualTo(8);
  }

  @Test
  void whatCannotBeIsRefusedAndSaysWhatToDo() {
    assertThatThrownBy(() -> new ArrivalPlan.Daily(1, WORKDAYS).days(10_000, MONDAY))
        .hasMessageContaining("take fewer people, or more a day");
    assertThatThrownBy(() -> new ArrivalPlan.Daily(5, List.of(1.0)))
        .hasMessageContaining("seven weights");
    assertThatThrownBy(() -> new ArrivalPlan.Evenly(0)).hasMessageContaining("1 to 366 days");
    ArrivalPlan early =
        new ArrivalPlan.OnDates(List.of(new ArrivalPlan.DatedShare(MONDAY.minusDays(1), 1)));
    assertThatThrownBy(() -> early.days(1, MONDAY))
        .hasMessageContaining("before the cohort starts");
  }
}
