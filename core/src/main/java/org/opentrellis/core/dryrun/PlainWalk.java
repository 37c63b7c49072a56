package org.opentrellis.core.dryrun;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.PlainProgram;
import org.opentrellis.core.machine.PlainQuestion;
import org.opentrellis.core.machine.Stand;

/**
 * Takes people through a plain journey, one after another: quicker than the machine, since it need
 * not look out for anything that such a journey does not have. It comes to the counts of the
 * machine, to the last bit; {@code PlainWalkTest} holds it to that.
 */
final class PlainWalk extends PlainLife implements Stand, Background.Buys {
  private final Population population;
  private final PlainProgram plain;
  private final Door door;
  private final Tallies tallies;
  final JourneyTally tally;
  final ArrivalTally arrivals;
  final SendCalendar emails;
  final Sampler sampler;
  private final ZoneClock[] clocks;
  private final long[] marks;

  /** By trigger, the tag or list that brings people in, as a bit. */
  private final long[] labelsOnEntry;

  private final boolean leavesAtGoal;
  private final PlainStop first;
  final Traits who;

  private PlainWalk(Population population, PlainProgram plain, Door door, Tallies tallies) {
    super(plain.program(), population.cohort.groups().get(0).clock);
    this.population = population;
    this.plain = plain;
    this.door = door;
    this.tallies = tallies;
    tally = tallies.journey();
    arrivals = tally.arrivals;
    emails = tallies.emails();
    sampler = population.cohort.sampler(plain.program());
    List<GroupDraws> groups = population.cohort.groups();
    clocks =
        groups.stream()
            .map(group -> plain.program().clockFor(group.clock))
            .toArray(ZoneClock[]::new);
    marks = groups.stream().mapToLong(GroupDraws::marksAsBits).toArray();
    labelsOnEntry = plain.labelsOnEntry();
    leavesAtGoal = plain.leavesAtGoal();
    who = new Traits(groups.get(0));
    first = PlainStops.of(plain, this);
  }

  /** Nothing if people must go through the journey by the machine. */
  static Optional<PlainWalk> of(Population population, Tallies tallies) {
    Optional<PlainProgram> plain = PlainProgram.of(population.world);
    Optional<Door> door = population.onlyDoor();
    return plain.isPresent() && door.isPresent()
        ? Optional.of(new PlainWalk(population, plain.get(), door.get(), tallies))
        : Optional.empty();
  }

  /** Takes a person through and counts them. */
  void take(int number) {
    comes(number);
    arrivals.add(first.number, 1);
    PlainStop at = first;
    while (at != null) {
      at = at.act(this);
    }
    tallies.close(this, number, mostEmailsInAWeek());
  }

  private void comes(int number) {
    population.become(who, number);
    GroupDraws group = who.group;
    int by = Arrivals.trigger(who.key, door);
    long at = population.entersAt(who.key, number, group);
    begin(by, at, population.endOf(at), clocks[group.number]);
    labels = marks[group.number] | (by < 0 ? 0 : labelsOnEntry[by]);
    hadLabels = labels;
    if (Background.buysSomething(who.key, group)) {
      population.background.buysAnyway(who.key, group, at, endsAt, this);
    }
    tally.entered++;
    comesTo(at);
  }

  /** Time comes to a moment. */
  void comesTo(long at) {
    now = at;
    arrivals.comesTo(clock.local(at), entryDay, at - entryAt);
  }

  @Override
  public void buys(long at, int offer, long worth) {
    notePurchase(at, offer, worth);
    if (at <= entryAt) {
      return;
    }
    PlainQuestion.Bought goal = plain.goal();
    if (goal != null && at <= entryAt + plain.goalSeconds() && goal.fits(offer, worth)) {
      goalAt = Math.min(goalAt, at);
      outAt = leavesAtGoal ? Math.min(outAt, at) : outAt;
    }
    List<PlainQuestion.Bought> rules = plain.leaveRules();
    for (int i = 0; i < rules.size(); i++) {
      outAt = rules.get(i).fits(offer, worth) ? Math.min(outAt, at) : outAt;
    }
  }

  /** Why they leave, if they do at a moment. */
  LeaveReason why(long at) {
    if (goneAt > at) {
      return leavesAtGoal && goalAt <= at ? LeaveReason.GOAL_MET : LeaveReason.RULE;
    }
    if (unsubscribesAt == goneAt) {
      return LeaveReason.UNSUBSCRIBED;
    }
    return complainsAt == goneAt ? LeaveReason.COMPLAINED : LeaveReason.BOUNCED;
  }

  @Override
  public long now() {
    return now;
  }

  @Override
  public ZoneClock clock() {
    return clock;
  }

  @Override
  public int trigger() {
    return trigger;
  }

  @Override
  public @Nullable Operand field(int number) {
    throw new IllegalStateException("a plain journey does not look at the record");
  }
}
