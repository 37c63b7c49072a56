package org.opentrellis.app.people;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
                    .filter(one -> returns(one.dated(), day, onFirstOfMarch))
                    .map(DatedMapper.Dated::personId)
                    .toList())
        .orElse(List.of());
  }

  /** Somebody for whom a date returns on a day. */
  public record Returning(long person, ZoneId zone, LocalDate day) {}

  /** Those for whom the date in a field returns on one of some days, in order of their numbers. */
  public List<Returning> returning(
      FieldName field, Collection<LocalDate> days, boolean onFirstOfMarch) {
    Map<Integer, List<LocalDate>> on = new HashMap<>();
    for (LocalDate day : days) {
      for (int of : days(day, onFirstOfMarch)) {
        on.computeIfAbsent(of, none -> new ArrayList<>()).add(day);
      }
    }
    return names.find(field).filter(number -> !on.isEmpty()).stream()
        .flatMap(number -> mapper.datedOn(number, null, on.keySet()).stream())
        .flatMap(
            one ->
                on.get(number(one.dated())).stream()
                    .filter(day -> returns(one.dated(), day, onFirstOfMarch))
                    .map(day -> new Returning(one.personId(), ZoneId.of(one.zone()), day)))
        .toList();
  }

  private static boolean returns(LocalDate date, LocalDate day, boolean onFirstOfMarch) {
    return YearlyDate.inYear(date, day.getYear(), onFirstOfMarch).equals(day);
  }

  private static int number(LocalDate day) {
    return day.getMonthValue() * 100 + day.getDayOfMonth();
  }

  /** The days of which the return may fall on a day, such as 1231. */
  private static List<Integer> days(LocalDate day, boolean onFirstOfMarch) {
    boolean leaps = day.isLeapYear();
    MonthDay instead = onFirstOfMarch ? MonthDay.of(3, 1) : MonthDay.of(2, 28);
    return !leaps && MonthDay.from(day).equals(instead)
        ? List.of(number(day), LEAP_DAY.getMonthValue() * 100 + LEAP_DAY.getDayOfMonth())
        : List.of(number(day));
  }

  /** Those whom a condition means now. */
  public List<Long> meant(Condition who) {
    return crowd.numbers(crowd.meant(who).and(crowd.mayBeMailed())).boxed().toList();
  }
}
