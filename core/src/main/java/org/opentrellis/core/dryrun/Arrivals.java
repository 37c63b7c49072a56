package org.opentrellis.core.dryrun;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.YearlyDate;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Circles;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.random.Draws;

/**
 * How people come to the journeys of a run. A journey that another one of the run leads into, by
 * handing over, tagging or a list, is entered from there, and of journeys that lead into each other
 * only the first is entered from outside; to every other journey everybody comes once, and again as
 * often as their group does. Immutable.
 */
final class Arrivals {
  /** Nobody comes to one journey more often than this in one run. */
  private static final int MOST_PASSES = 50;

  private final World world;
  private final CohortSettings settings;
  private final Shop shop;
  private final ArrivalDays days;
  private final List<Door> doors = new ArrayList<>();
  private final boolean fromCart;

  /** A journey that people come to from outside, and the triggers that can bring them. */
  private record Door(int program, List<Trigger> all, int[] triggers, String prefix) {}

  Arrivals(World world, CohortSettings settings, Shop shop) {
    this.world = world;
    this.settings = settings;
    this.shop = shop;
    this.days = new ArrivalDays(settings);
    for (Program program : fromOutside(world.programs())) {
      List<Trigger> all = program.journey().triggers();
      int number = program.number();
      String prefix = number == 0 ? "" : "journey " + number;
      doors.add(new Door(number, all, bringing(all), prefix));
    }
    this.fromCart =
        doors.stream()
            .flatMap(door -> door.all.stream())
            .anyMatch(Trigger.LeavesCart.class::isInstance);
  }

  /** Those that no other leads into, and the first of each circle. */
  private static List<Program> fromOutside(List<Program> programs) {
    List<Program> entered = new ArrayList<>();
    Set<Program> reached = new HashSet<>();
    for (Program program : programs) {
      if (programs.stream().noneMatch(other -> other != program && leads(other, program))) {
        entered.add(program);
        reach(program, programs, reached);
      }
    }
    for (Program program : programs) {
      if (!reached.contains(program)) {
        entered.add(program);
        reach(program, programs, reached);
      }
    }
    return entered;
  }

  private static void reach(Program program, List<Program> programs, Set<Program> reached) {
    if (reached.add(program)) {
      programs.stream()
          .filter(other -> leads(program, other))
          .forEach(other -> reach(other, programs, reached));
    }
  }

  private static boolean leads(Program from, Program to) {
    return from.steps().stream().anyMatch(step -> Circles.leads(step, to.journey()));
  }

  /** Being handed over counts only where nothing else brings people in. */
  private static int[] bringing(List<Trigger> all) {
    List<Integer> some = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      if (all.size() == 1 || !(all.get(i) instanceof Trigger.HandedOver)) {
        some.add(i);
      }
    }
    return some.stream().mapToInt(Integer::intValue).toArray();
  }

  /**
   * Puts a person at the doors of the journeys.
   *
   * @return when they first come
   */
  long first(Person person, Traits who) {
    long first = Person.NEVER;
    for (int i = 0; i < doors.size(); i++) {
      first = Math.min(first, comes(person, who, doors.get(i)));
    }
    if (first == Person.NEVER) {
      return settings.start().getEpochSecond();
    }
    return first;
  }

  private long comes(Person person, Traits who, Door door) {
    long key =
        door.program == 0
            ? who.key
            : Draws.bits(who.key, Draws.address(Purposes.JOURNEY, door.prefix));
    int trigger = trigger(key, door);
    long at = arrival(key, person, who.group, trigger < 0 ? null : door.all.get(trigger));
    comes(person, key, door, trigger, at);
    double mean = who.group.comesAgainMeanSeconds;
    if (mean != Double.POSITIVE_INFINITY) {
      comesAgain(person, key, door, trigger, at, mean);
    }
    return at;
  }

  private void comesAgain(
      Person person, long key, Door door, int trigger, long first, double meanSeconds) {
    long end = first + (long) settings.horizonDays() * ZoneClock.DAY;
    long at = first;
    for (int again = 1; again < MOST_PASSES; again++) {
      double later = Draws.exponential(key, Purposes.COMES_AGAIN + 1000L * again, meanSeconds);
      if (!(at + later <= end)) {
        return;
      }
      at += Math.max(1, (long) later);
      comes(person, key + again, door, trigger, at);
    }
  }

  private static int trigger(long key, Door door) {
    if (door.triggers.length < 2) {
      return door.triggers.length == 0 ? -1 : door.triggers[0];
    }
    return door.triggers[(int) (Draws.uniform(key, Purposes.TRIGGER) * door.triggers.length)];
  }

  /** When a person comes for the first time. */
  private long arrival(long key, Person person, GroupDraws group, @Nullable Trigger trigger) {
    if (trigger instanceof Trigger.OnDate on) {
      return group.clock.instant(on.date().toEpochDay() * ZoneClock.DAY + on.at().toSecondOfDay());
    }
    double day = days.at(Draws.uniform(key, Purposes.ARRIVAL));
    long start = settings.start().getEpochSecond();
    long usual = start + (long) (day * ZoneClock.DAY);
    int from = group.group.arriveFromHour();
    int hours = group.group.arriveToHour() - from;
    if (days.together.isPresent()) {
      usual = group.clock.instant(startDay() * ZoneClock.DAY + days.together.getAsInt());
    } else if (hours < 24) {
      double hour = from + hours * Draws.uniform(key, Purposes.ARRIVAL_HOUR);
      usual = group.clock.instant(group.clock.day(usual) * ZoneClock.DAY + (long) (hour * 3600));
    }
    return trigger instanceof Trigger.DateComes date ? onDate(date, person, group, usual) : usual;
  }

  private long startDay() {
    return Math.floorDiv(settings.start().getEpochSecond(), (long) ZoneClock.DAY);
  }

  /** The date's return that is next when the cohort starts; people without a date come as usual. */
  private long onDate(Trigger.DateComes date, Person person, GroupDraws group, long usual) {
    int field = world.field(date.field()).orElseThrow();
    if (!(person.field(field) instanceof Operand.Date held)) {
      return usual;
    }
    LocalDate start = group.clock.date(settings.start().getEpochSecond());
    LocalDate day =
        date.everyYear()
            ? YearlyDate.nextMoved(held.date(), date.days(), date.onFirstOfMarch(), start)
            : held.date().plusDays(date.days());
    return group.clock.instant(day.toEpochDay() * ZoneClock.DAY + date.at().toSecondOfDay());
  }

  /** What brings the person in happens, and so they come. */
  private void comes(Person person, long key, Door door, int trigger, long at) {
    Trigger by = trigger < 0 ? null : door.all.get(trigger);
    if (by instanceof Trigger.Buys buys) {
      int offer = shop.fitting(buys.what(), world, key, Draws.address(Purposes.OFFER, "comes"));
      if (offer >= -1) {
        long least = buys.what().atLeast().map(money -> money.cents()).orElse(0L);
        person.buys(at, offer, Math.max(least, shop.cents(key, Purposes.ORDER_VALUE)));
        return;
      }
    }
    if (by instanceof Trigger.EventArrives arrives) {
      person.experiences(at, world.event(arrives.event()).orElseThrow());
      return;
    }
    person.comes(door.program, trigger, at);
  }

  /** Whether what brings people in is a cart left. */
  boolean fromCart() {
    return fromCart;
  }
}
