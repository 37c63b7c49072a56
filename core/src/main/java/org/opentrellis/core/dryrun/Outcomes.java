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
   * @throws RunCancelled if the control says so
   */
  public static Outcomes of(DryRun run, int journey, Effort effort) {
    return Chunks.run(run.settings().people(), effort, () -> new Part(run, journey)).stream()
        .map(part -> part.outcomes)
        .reduce(Outcomes::plus)
        .orElseThrow();
  }

  /** What one thread finds. */
  private static final class Part implements Chunks.Worker {
    private final Outcomes outcomes = new Outcomes();
    private final PeopleRunner lives;
    private final double holdOut;
    private final int journey;

    Part(DryRun run, int journey) {
      this.lives = run.lives(Witness.NOBODY);
      this.holdOut = run.settings().holdOut();
      this.journey = journey;
    }

    @Override
    public void take(int number) {
      Person person = lives.unlessHeldOut(number, holdOut);
      if (person != null) {
        outcomes.note(person, journey, number);
      }
    }
  }

  private Outcomes plus(Outcomes others) {
    entered.or(others.entered);
    met.or(others.met);
    return this;
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
