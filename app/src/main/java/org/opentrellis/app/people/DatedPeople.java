package org.opentrellis.app.people;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.ZoneId;
import java.util.List;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.calendar.YearlyDate;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds people whom a date brings somewhere; of those only who may be mailed. */
@Service
@Transactional(readOnly = true)
public class DatedPeople {
  private static final MonthDay LEAP_DAY = MonthDay.of(2, 29);

  private final DatedMapper mapper;
  private final PeopleMapper people;
  private final RegisteredNames names;
  private final Crowd crowd;

  DatedPeople(DatedMapper mapper, PeopleMapper people, RegisteredNames names, Crowd crowd) {
    this.mapper = mapper;
    this.people = people;
    this.names = names;
    this.crowd = crowd;
  }

  /** The zones that people live or have lived in. */
  public List<ZoneId> zones() {
    return people.zones().stream().map(ZoneId::of).toList();
  }

  /** Everybody of a zone. */
  public List<Long> of(ZoneId zone) {
    return mapper.inZone(zone.getId());
  }

  /** Those of a zone whose field holds a date. */
  public List<Long> with(FieldName field, ZoneId zone, LocalDate date) {
    return names
        .find(field)
        .map(number -> mapper.dated(number, zone.getId(), date))
        .orElse(List.of());
  }

  /**
   * Those of a zone for whom the date in a field returns on a day.
   *
   * @param onFirstOfMarch whether 29 February returns on 1 March in other years
   */
  public List<Long> returning(FieldName field, ZoneId zone, LocalDate day, boolean onFirstOfMarch) {
    return names
        .find(field)
        .map(
            number ->
                mapper.datedOn(number, zone.getId(), days(day, onFirstOfMarch)).stream()
                    .filter(
                        one ->
                            YearlyDate.inYear(one.dated(), day.getYear(), onFirstOfMarch)
                                .equals(day))
                    .map(DatedMapper.Dated::personId)
                    .toList())
        .orElse(List.of());
  }

  /** The days of which the return may fall on a day, such as 1231. */
  private static Integer[] days(LocalDate day, boolean onFirstOfMarch) {
    boolean leaps = day.isLeapYear();
    MonthDay instead = onFirstOfMarch ? MonthDay.of(3, 1) : MonthDay.of(2, 28);
    int that = day.getMonthValue() * 100 + day.getDayOfMonth();
    return !leaps && MonthDay.from(day).equals(instead)
        ? new Integer[] {that, LEAP_DAY.getMonthValue() * 100 + LEAP_DAY.getDayOfMonth()}
        : new Integer[] {that};
  }

  /** Those whom a condition means now. */
  public List<Long> meant(Condition who) {
    return crowd.numbers(crowd.meant(who).and(crowd.mayBeMailed())).boxed().toList();
  }
}
