package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.ArrivalPlan;

class ArrivalDaysTest {
  private static ArrivalDays days(ArrivalPlan plan, int people) {
    Instant monday = Instant.parse("2027-03-01T00:00:00Z");
    return new ArrivalDays(new CohortSettings(people, 1, monday, 30, plan, 0));
  }

  @Test
  void evenlyIsTheSameOnEveryDay() {
    assertThat(days(new ArrivalPlan.Evenly(7), 10).at(3, 0.5)).isEqualTo(3.5);
  }

  @Test
  void theWeeksRhythmSaysHowManyComeOnWhichDay() {
    ArrivalPlan plan = new ArrivalPlan.Daily(10, List.of(2.0, 1.0, 1.0, 1.0, 1.0, 1.0, 0.0));
    ArrivalDays days = days(plan, 70);
    assertThat(days.at(19, 0.35)).isEqualTo(0.35);
    assertThat(days.at(20, 0.35)).isEqualTo(1.35);
    assertThat(days.at(69, 0)).isEqualTo(5.0);
  }

  @Test
  void theFirstPeopleComeOnTheSameDaysWhateverTheNumberOfPeople() {
    ArrivalPlan plan = new ArrivalPlan.Daily(7.5, List.of(1.0, 0.0, 2.0, 1.0, 1.0, 1.0, 3.0));
    for (int number = 0; number < 40; number++) {
      assertThat(days(plan, 40).at(number, 0.4)).isEqualTo(days(plan, 400).at(number, 0.4));
    }
  }

  @Test
  void onDatesNobodyComesBetweenThem() {
    ArrivalPlan plan =
        new ArrivalPlan.OnDates(
            List.of(
                new ArrivalPlan.DatedShare(LocalDate.parse("2027-03-03"), 3),
                new ArrivalPlan.DatedShare(LocalDate.parse("2027-03-10"), 1)));
    ArrivalDays days = days(plan, 70);
    assertThat((int) days.at(0, 0)).isEqualTo(2);
    assertThat((int) days.at(0, 0.74)).isEqualTo(2);
    assertThat((int) days.at(0, 0.75)).isEqualTo(9);
    assertThat((int) days.at(0, 0.99)).isEqualTo(9);
  }

  @Test
  void atOnceIsOneMoment() {
    assertThat(days(new ArrivalPlan.AtOnce(LocalTime.of(9, 0)), 5).together).hasValue(32_400);
  }
}
