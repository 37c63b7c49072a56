package org.opentrellis.core.dryrun;

import java.util.List;
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
  private final Background background;
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
    who.become(number, Draws.personKey(runKey, number), cohort);
    person.begin(who.group.clock);
    who.group.fillRecord(person, who.key);
    person.agreesToTexts(sendsTexts && who.agreesToTexts());
  }

  /**
   * What will happen to the person whatever is sent, and until when they are looked at. What lies
   * in the carts that they leave replaces what they would buy anyway.
   */
  void fate(Person person) {
    Traits who = Traits.of(person);
    long first = arrivals.first(person, who);
    long end = first + (long) settings.horizonDays() * ZoneClock.DAY;
    person.endsAt(end);
    if (!who.leftCart) {
      background.buysAnyway(person, first, end);
    }
    who.group.addEvents(person, who.key, first, end);
  }
}
