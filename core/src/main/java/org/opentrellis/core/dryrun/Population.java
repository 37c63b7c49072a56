package org.opentrellis.core.dryrun;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.random.Draws;

/** Some journeys and the people who come to them, by number. Immutable. */
final class Population {
  final World world;
  final Cohort cohort;
  private final CohortSettings settings;
  private final long runKey;
  private final Arrivals arrivals;
  final Background background;
  private final boolean sendsTexts;

  Population(
      List<Journey> journeys,
      Catalogue catalogue,
      List<Behaviour> behaviours,
      CohortSettings settings) {
    this.settings = settings;
    this.runKey = Draws.runKey(settings.seed());
    world = World.compile(journeys, catalogue, Shop.products(behaviours.get(0)));
    cohort = new Cohort(world, behaviours, settings);
    background = new Background(cohort.shop());
    arrivals = new Arrivals(world, settings, behaviours.get(0), cohort.shop(), background);
    sendsTexts =
        world.programs().stream()
            .flatMap(program -> program.sends().stream())
            .anyMatch(Step.SendText.class::isInstance);
  }

  /** A person to become one after another of these. */
  Person newPerson() {
    Person person = world.newPerson(cohort.groups().get(0).clock);
    person.traits(new Traits(cohort.groups().get(0)));
    return person;
  }

  /** Makes a person one of these, with what their record says. */
  void become(Person person, int number) {
    Traits who = Traits.of(person);
    become(who, number);
    person.begin(who.group.clock);
    who.group.fillRecord(person, who.key);
    person.agreesToTexts(sendsTexts && who.agreesToTexts());
  }

  /** Draws who one of these is. */
  void become(Traits who, int number) {
    who.become(number, Draws.personKey(runKey, number), cohort);
  }

  /** The only door, if there is but one and people come to it once, when the cohort says. */
  Optional<Door> onlyDoor() {
    return arrivals.onlyDoor();
  }

  /** When one of these comes to the only door. */
  long entersAt(long key, int number, GroupDraws group) {
    return arrivals.usual(key, number, group);
  }

  /** Until when somebody is looked at who comes at a moment. */
  long endOf(long first) {
    return first + (long) settings.horizonDays() * ZoneClock.DAY;
  }

  /**
   * What will happen to the person whatever is sent, and until when they are looked at. What lies
   * in the carts that they leave replaces what they would buy anyway.
   */
  void fate(Person person) {
    Traits who = Traits.of(person);
    long first = arrivals.first(person, who);
    long end = endOf(first);
    person.endsAt(end);
    if (!who.leftCart) {
      background.buysAnyway(person, first, end);
    }
    who.group.addEvents(person, who.key, first, end);
  }
}
