package org.opentrellis.core.dryrun;

import java.util.BitSet;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.stats.Pairs;
import org.opentrellis.core.stats.Proportion;

/**
 * Who of a cohort entered a journey and who met its goal in any of their visits, person by person.
 * People who are held out entered nothing.
 */
public final class Outcomes {
  private final BitSet entered = new BitSet();
  private final BitSet met = new BitSet();

  private Outcomes() {}

  /**
   * @param journey which of the run's
   * @param from the first person
   * @param to behind the last
   */
  public static Outcomes of(DryRun run, int journey, int from, int to) {
    Outcomes outcomes = new Outcomes();
    PeopleRunner lives = run.lives(Witness.NOBODY);
    for (int number = from; number < to; number++) {
      Person person = lives.unlessHeldOut(number, run.settings().holdOut());
      if (person != null) {
        outcomes.note(person, journey, number);
      }
    }
    return outcomes;
  }

  private void note(Person person, int journey, int number) {
    long end = person.endsAt();
    for (int n = 0; n < person.visitCount(); n++) {
      Visit visit = person.visit(n);
      if (visit.program().number() == journey) {
        entered.set(number);
        if (visit.goalMetAt(end) <= end) {
          met.set(number);
        }
      }
    }
  }

  /** Who met the goal, of those who entered. */
  public Proportion goal() {
    return new Proportion(met.cardinality(), entered.cardinality());
  }

  /** The same people here and there, of all who entered in one of the two. */
  public Pairs against(Outcomes other) {
    BitSet either = (BitSet) entered.clone();
    either.or(other.entered);
    BitSet both = (BitSet) met.clone();
    both.and(other.met);
    long here = met.cardinality() - both.cardinality();
    long there = other.met.cardinality() - both.cardinality();
    return new Pairs(
        both.cardinality(), here, there, either.cardinality() - both.cardinality() - here - there);
  }
}
