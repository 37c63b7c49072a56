package org.opentrellis.core.dryrun;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.calendar.YearlyDate;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.random.Draws;

/**
 * How people come to the journeys of a run. A date lets people in on that date only, a yearly one
 * on each of its returns, and one that is over when the run begins lets nobody in. By every other
 * trigger everybody comes once, and again as often as their group does. Immutable.
 */
final class Arrivals {
  /** Nobody comes to one journey more often than this in one run. */
  private static final int MOST_PASSES = 50;

  private static final int MINUTE = 60;

  private final World world;
  private final CohortSettings settings;
  private final Behaviour behaviour;
  private final Shop shop;
  private final Background background;
  private final ArrivalDays days;
  private final List<Door> doors;

  /**
   * @param behaviour says who the people are
   */
  Arrivals(
      World world, CohortSettings settings, Behaviour behaviour, Shop shop, Background background) {
    this.world = world;
    this.settings = settings;
    this.behaviour = behaviour;
    this.shop = shop;
    this.background = background;
    this.days = new ArrivalDays(settings);
    this.doors = Door.of(world.programs());
  }

  /**
   * Puts a person at the doors of the journeys.
   *
   * @return when they first come; when the run begins for them if they never do
   */
  long first(Person person, Traits who) {
    long first = Person.NEVER;
    for (int i = 0; i < doors.size(); i++) {
      first = Math.min(first, comes(person, who, doors.get(i)));
    }
    return first == Person.NEVER ? begins(who.group) : first;
  }

  /** The midnight of the first day in a group's zone. */
  private long begins(GroupDraws group) {
    return group.clock.instant(days.firstDay() * ZoneClock.DAY);
  }

  private long comes(Person person, Traits who, Door door) {
    long key =
        door.program() == 0
            ? who.key
            : Draws.bits(who.key, Draws.address(Purposes.JOURNEY, door.prefix()));
    int trigger = trigger(key, door);
    if (trigger < 0) {
      return comesAsUsual(person, key, door, trigger);
    }
    return switch (door.all().get(trigger)) {
      case Trigger.OnDate on ->
          comesOnce(person, door, trigger, on.date(), local(on.date(), on.at().toSecondOfDay()));
      case Trigger.DateComes date ->
          isKnown(date.field())
              ? comesOnDates(person, door, trigger, date)
              : comesAsUsual(person, key, door, trigger);
      case Trigger.JoinsList joins -> comesAsUsual(person, key, door, trigger);
      case Trigger.GetsTag gets -> comesAsUsual(person, key, door, trigger);
      case Trigger.SubmitsForm submits -> comesAsUsual(person, key, door, trigger);
      case Trigger.EntersSegment enters -> comesAsUsual(person, key, door, trigger);
      case Trigger.OpensMessage opens -> comesAsUsual(person, key, door, trigger);
      case Trigger.ClicksMessage clicks -> comesAsUsual(person, key, door, trigger);
      case Trigger.LeavesCart leaves -> comesAsUsual(person, key, door, trigger);
      case Trigger.Buys buys -> comesAsUsual(person, key, door, trigger);
      case Trigger.EventArrives arrives -> comesAsUsual(person, key, door, trigger);
      case Trigger.HandedOver over -> comesAsUsual(person, key, door, trigger);
      case Trigger.PutIn in -> comesAsUsual(person, key, door, trigger);
    };
  }

  /** Comes when the cohort says, and again as often as the group does. */
  private long comesAsUsual(Person person, long key, Door door, int trigger) {
    Traits who = Traits.of(person);
    long at = usual(key, who);
    comes(person, key, door, trigger, at);
    double mean = who.group.comesAgainMeanSeconds;
    if (mean != Double.POSITIVE_INFINITY) {
      comesAgain(person, key, door, trigger, at, mean);
    }
    return at;
  }

  /** Whether the assumptions say anything of a field; if not, people come as if it were no date. */
  private boolean isKnown(FieldName field) {
    return behaviour.groups().stream().anyMatch(group -> group.fields().containsKey(field));
  }

  private static long local(LocalDate date, int secondOfDay) {
    return date.toEpochDay() * ZoneClock.DAY + secondOfDay;
  }

  /** Comes at a local time, unless its day is over when the run begins. */
  private long comesOnce(Person person, Door door, int trigger, LocalDate day, long local) {
    if (day.toEpochDay() < days.firstDay()) {
      return Person.NEVER;
    }
    ZoneClock clock = world.programs().get(door.program()).clockFor(Traits.of(person).group.clock);
    long at = clock.instant(local);
    person.comes(door.program(), trigger, at);
    return at;
  }

  /** Comes on a date in the record, each year again if it returns; never without a date. */
  private long comesOnDates(Person person, Door door, int trigger, Trigger.DateComes date) {
    int field = world.field(date.field()).orElseThrow();
    if (!(person.field(field) instanceof Operand.Date held)) {
      return Person.NEVER;
    }
    int second = date.at().toSecondOfDay();
    if (!date.everyYear()) {
      LocalDate day = held.date().plusDays(date.days());
      return comesOnce(person, door, trigger, day, local(day, second));
    }
    long first = Person.NEVER;
    long end = Person.NEVER;
    LocalDate from = LocalDate.ofEpochDay(days.firstDay());
    while (true) {
      LocalDate day = YearlyDate.nextMoved(held.date(), date.days(), date.onFirstOfMarch(), from);
      if (first != Person.NEVER && local(day, second) > end) {
        return first;
      }
      long at = comesOnce(person, door, trigger, day, local(day, second));
      if (first == Person.NEVER) {
        first = at;
        end = local(day, second) + (long) settings.horizonDays() * ZoneClock.DAY;
      }
      from = day.plusDays(1);
    }
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

  static int trigger(long key, Door door) {
    int[] some = door.triggers();
    if (some.length < 2) {
      return some.length == 0 ? -1 : some[0];
    }
    return some[(int) (Draws.uniform(key, Purposes.TRIGGER) * some.length)];
  }

  private long usual(long key, Traits who) {
    return usual(key, who.number, who.group);
  }

  /** The only door, if there is but one and people come to it once, when the cohort says. */
  Optional<Door> onlyDoor() {
    boolean onceOnly =
        behaviour.groups().stream().allMatch(group -> group.comesAgain().value() == 0);
    return doors.size() == 1 && onceOnly ? Optional.of(doors.get(0)) : Optional.empty();
  }

  /** When a person comes for the first time, by a trigger that is no date. */
  long usual(long key, int number, GroupDraws group) {
    long local = days.local(number, Draws.uniform(key, Purposes.ARRIVAL));
    int from = group.group.arriveFromHour();
    int hours = group.group.arriveToHour() - from;
    if (days.together.isPresent()) {
      local = midnight(local) + days.together.getAsInt();
    } else if (hours < 24) {
      double hour = from + hours * Draws.uniform(key, Purposes.ARRIVAL_HOUR);
      local = midnight(local) + (long) (hour * 3600);
    }
    return group.clock.instant(local);
  }

  private static long midnight(long local) {
    return Math.floorDiv(local, (long) ZoneClock.DAY) * ZoneClock.DAY;
  }

  /** What brings the person in happens, and so they come. */
  private void comes(Person person, long key, Door door, int trigger, long at) {
    boolean byItself = trigger >= 0 && happens(person, key, door, trigger, at);
    if (!byItself) {
      person.comes(door.program(), trigger, at);
    }
  }

  /**
   * What brings the person in happens.
   *
   * @return whether that alone makes them come
   */
  private boolean happens(Person person, long key, Door door, int trigger, long at) {
    return switch (door.all().get(trigger)) {
      case Trigger.LeavesCart cart -> {
        background.leavesCart(person, key, at, (long) cart.minutes() * MINUTE);
        yield false;
      }
      case Trigger.Buys buys -> buys(person, key, buys.what(), at);
      case Trigger.EventArrives arrives -> {
        Program program = world.programs().get(door.program());
        yield experiences(
            person,
            key,
            arrives.event(),
            payload -> program.isMet(trigger, payload, person, at),
            at);
      }
      case Trigger.JoinsList joins -> false;
      case Trigger.GetsTag gets -> false;
      case Trigger.SubmitsForm submits -> false;
      case Trigger.EntersSegment enters -> false;
      case Trigger.OpensMessage opens -> false;
      case Trigger.ClicksMessage clicks -> false;
      case Trigger.DateComes date -> false;
      case Trigger.OnDate on -> false;
      case Trigger.HandedOver over -> false;
      case Trigger.PutIn in -> false;
    };
  }

  /** The first of some draws that says what it must. */
  private boolean experiences(
      Person person,
      long key,
      EventName event,
      Predicate<Map<AttributeName, Operand>> fits,
      long at) {
    Guesses guesses = Traits.of(person).group.guesses;
    for (int attempt = 0; attempt < MOST_PASSES; attempt++) {
      Map<AttributeName, Operand> payload = guesses.payload(key, "comes " + attempt);
      if (fits.test(payload)) {
        person.experiences(at, world.event(event).orElseThrow(), payload);
        return true;
      }
    }
    return false;
  }

  private boolean buys(Person person, long key, Purchases what, long at) {
    int offer = shop.fitting(what, world, key, Draws.address(Purposes.OFFER, "comes"));
    if (offer < -1) {
      return false;
    }
    long least = what.atLeast().map(money -> money.cents()).orElse(0L);
    person.buys(at, offer, Math.max(least, shop.cents(key, Purposes.ORDER_VALUE)));
    return true;
  }
}
