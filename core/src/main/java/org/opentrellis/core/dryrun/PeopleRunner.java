package org.opentrellis.core.dryrun;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.machine.JourneyMachine;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Witness;

/** One thread's working state: a population's people go through it one after another. */
final class PeopleRunner {
  private final Population population;
  private final JourneyMachine machine;
  private final Person person;

  PeopleRunner(Population population, Witness witness) {
    this.population = population;
    machine = new JourneyMachine(population.cohort, witness);
    person = population.newPerson();
  }

  /** Takes one person through all that happens to them; good until the next. */
  Person of(int number) {
    population.become(person, number);
    return goesOn();
  }

  /** The same, unless the person is held out. */
  @Nullable Person unlessHeldOut(int number, double share) {
    population.become(person, number);
    return Traits.of(person).heldOut(share) ? null : goesOn();
  }

  private Person goesOn() {
    population.fate(person);
    machine.run(person, person.endsAt());
    machine.close(person);
    return person;
  }
}
