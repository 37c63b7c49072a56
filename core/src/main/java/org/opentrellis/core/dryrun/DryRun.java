package org.opentrellis.core.dryrun;

import java.util.stream.IntStream;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.machine.JourneyMachine;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.QuantileTable;

/**
 * Sends a simulated cohort through a journey. People are independent and their draws are addressed,
 * so the same settings give bit-identical tallies for any number of partitions, in any order.
 *
 * <p>Immutable; may be run many times and from several threads.
 */
public final class DryRun {
  private static final QuantileTable NORMAL = QuantileTable.standardNormal();
  private static final int DAY_SECONDS = 86_400;

  /** Nobody enters more often than this in one run. */
  private static final int MOST_PASSES = 50;

  private final Program program;
  private final Behaviour behaviour;
  private final CohortSettings settings;
  private final Audience audience;

  public DryRun(Program program, Behaviour behaviour, CohortSettings settings) {
    this.program = program;
    this.behaviour = behaviour;
    this.settings = settings;
    this.audience = new Audience(behaviour, program);
  }

  /**
   * Runs everyone.
   *
   * @param partitions into how many parts the people are split, which may run at the same time
   */
  public Tallies run(int partitions) {
    if (partitions < 1) {
      throw new IllegalArgumentException("partitions must be at least 1, not " + partitions);
    }
    return IntStream.range(0, partitions)
        .parallel()
        .mapToObj(part -> run(bound(part, partitions), bound(part + 1, partitions)))
        .reduce(Tallies::combine)
        .orElseThrow();
  }

  private int bound(int part, int partitions) {
    return (int) ((long) settings.people() * part / partitions);
  }

  private Tallies run(int from, int to) {
    Passage passage = new Passage();
    for (int person = from; person < to; person++) {
      passage.person(person);
    }
    return passage.tallies;
  }

  /** Whether one person meets the goal in any of their passes. Derived anew; nothing is stored. */
  PersonOutcome outcomes() {
    Passage passage = new Passage();
    return person -> {
      long before = passage.tallies.goalMet();
      passage.person(person);
      return passage.tallies.goalMet() > before;
    };
  }

  /** Answers whether a person of the cohort meets the goal. */
  @FunctionalInterface
  interface PersonOutcome {
    boolean goalMet(int person);
  }

  int people() {
    return settings.people();
  }

  /** One partition's working state: people go through it one after another. */
  private final class Passage {
    final Tallies tallies = new Tallies(program, settings.horizonDays());
    final Sampler sampler = new Sampler(program, behaviour, audience, NORMAL);
    final JourneyMachine machine = new JourneyMachine(program, sampler, tallies);
    final PersonState state = program.newState();

    void person(int number) {
      sampler.become(Draws.personKey(settings.seed(), number));
      tallies.person();
      long first =
          settings.start().getEpochSecond()
              + sampler.arrival((long) CohortSettings.ARRIVAL_DAYS * DAY_SECONDS);
      long end = first + (long) settings.horizonDays() * DAY_SECONDS;
      state.record().clear();
      state.record().or(sampler.group().brings());
      long at = first;
      boolean inside = pass(at, end, 0);
      for (int again = 1; again < MOST_PASSES; again++) {
        double later = sampler.comesAgainAfter();
        if (!(at + later <= end)) {
          return;
        }
        at += Math.max(1, (long) later);
        sampler.passAgain(again);
        boolean stillInside = inside || state.now() >= at;
        if (program.journey().reEntry() == ReEntry.NEVER || stillInside) {
          tallies.turnAway();
        } else {
          inside = pass(at, end, again);
        }
      }
    }

    /** One trigger of the journey. Returns whether the person is still inside at the end. */
    private boolean pass(long at, long end, int number) {
      int mark = sampler.triggerMark();
      if (mark >= 0) {
        state.record().set(mark);
      }
      machine.enter(state, at, sampler.group().group().zone());
      if (!program.admits(state)) {
        if (number == 0) {
          tallies.refuse();
        }
        return false;
      }
      tallies.enter();
      sampler.buysAnyway(state);
      long waitingBefore = tallies.waiting();
      machine.run(state, end);
      tallies.close(state, end);
      return tallies.waiting() > waitingBefore;
    }
  }
}
