package org.opentrellis.core.dryrun;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.JourneyMachine;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Witness;

/**
 * What happened in a dry run, as integers: mergeable, and its size does not grow with the people.
 *
 * <p>These hold in every run: entered = finished + left + waiting, for the journey and for each
 * step (there with passed for finished); a branch's arms add up to those who passed it; clicked <=
 * opened by people <= delivered <= sent.
 */
public final class Tallies implements Witness {
  private static final int DAY_SECONDS = 86_400;

  private final Program program;
  private final int horizonDays;
  private final List<StepTally> steps = new ArrayList<>();
  private final List<EmailTally> emails = new ArrayList<>();
  private final int[] emailOfStep;
  private final long[] goalByDay;
  private final long[] left = new long[LeaveReason.values().length];

  private long people;
  private long refused;
  private long turnedAway;
  private long entered;
  private long finished;
  private long waiting;
  private long goalMet;
  private long unsubscribed;

  Tallies(Program program, int horizonDays) {
    this.program = program;
    this.horizonDays = horizonDays;
    this.goalByDay = new long[horizonDays + 1];
    this.emailOfStep = new int[program.steps().size()];
    for (Step step : program.steps()) {
      int arms = step instanceof Step.Branch branch ? branch.arms().size() + 1 : 0;
      emailOfStep[steps.size()] = step instanceof Step.SendEmail ? emails.size() : -1;
      if (step instanceof Step.SendEmail) {
        emails.add(new EmailTally(program.linkCount(emails.size())));
      }
      steps.add(new StepTally(arms, horizonDays + 2));
    }
  }

  void person() {
    people++;
  }

  void refuse() {
    refused++;
  }

  void turnAway() {
    turnedAway++;
  }

  void enter() {
    entered++;
  }

  /** Counts what became of the emails and of the goal, once a pass is over. */
  void close(PersonState person, long end) {
    for (int i = 0; i < emails.size(); i++) {
      EmailTally email = emails.get(i);
      if (person.deliveredAt(i) > end) {
        continue;
      }
      email.delivered++;
      email.opened += person.recordedOpenAt(i) <= end ? 1 : 0;
      email.openedByPeople += person.peopleOpenAt(i) <= end ? 1 : 0;
      if (person.clickAt(i) <= end) {
        email.clicked++;
        if (person.clickedLink(i) >= 0) {
          email.byLink[person.clickedLink(i)]++;
        }
      }
    }
    unsubscribed += person.unsubscribesAt() <= end ? 1 : 0;
    long goalAt = JourneyMachine.goalMetAt(program, person);
    if (goalAt <= end) {
      goalMet++;
      goalByDay[(int) Math.min(horizonDays, (goalAt - person.entryAt()) / DAY_SECONDS)]++;
    }
  }

  @Override
  public void entered(int step, PersonState person) {
    StepTally tally = steps.get(step);
    tally.entered++;
    tally.sinceEntry.accept(person.now() - person.entryAt());
    var rules = person.zone().getRules();
    long local =
        person.now() + rules.getOffset(Instant.ofEpochSecond(person.now())).getTotalSeconds();
    long entry =
        person.entryAt()
            + rules.getOffset(Instant.ofEpochSecond(person.entryAt())).getTotalSeconds();
    long day = Math.floorDiv(local, DAY_SECONDS) - Math.floorDiv(entry, DAY_SECONDS);
    tally.byDay[(int) Math.min(day, tally.byDay.length - 1)]++;
    tally.byQuarter[(int) (Math.floorMod(local, DAY_SECONDS) / 900)]++;
  }

  @Override
  public void passed(int step, PersonState person) {
    steps.get(step).passed++;
    countSent(step);
  }

  @Override
  public void took(int branch, int arm, PersonState person) {
    steps.get(branch).arms[arm]++;
  }

  @Override
  public void left(int step, LeaveReason reason, PersonState person) {
    steps.get(step).left[reason.ordinal()]++;
    left[reason.ordinal()]++;
    if (reason == LeaveReason.BOUNCED) {
      countSent(step);
    }
  }

  @Override
  public void finished(PersonState person) {
    finished++;
  }

  @Override
  public void waiting(int step, PersonState person) {
    steps.get(step).waiting++;
    waiting++;
  }

  private void countSent(int step) {
    if (emailOfStep[step] >= 0) {
      emails.get(emailOfStep[step]).sent++;
    }
  }

  /** Adds another part of the same run. */
  Tallies combine(Tallies other) {
    people += other.people;
    refused += other.refused;
    turnedAway += other.turnedAway;
    entered += other.entered;
    finished += other.finished;
    waiting += other.waiting;
    goalMet += other.goalMet;
    unsubscribed += other.unsubscribed;
    StepTally.add(left, other.left);
    StepTally.add(goalByDay, other.goalByDay);
    for (int i = 0; i < steps.size(); i++) {
      steps.get(i).combine(other.steps.get(i));
    }
    for (int i = 0; i < emails.size(); i++) {
      emails.get(i).combine(other.emails.get(i));
    }
    return this;
  }

  public Program program() {
    return program;
  }

  public int horizonDays() {
    return horizonDays;
  }

  /** People who triggered the journey. */
  public long people() {
    return people;
  }

  /** People whom the entry filter kept out. */
  public long refused() {
    return refused;
  }

  /** Times that somebody came again and the re-entry rule kept them out. */
  public long turnedAway() {
    return turnedAway;
  }

  /** Times that somebody entered; a person may enter more than once. */
  public long entered() {
    return entered;
  }

  public long finished() {
    return finished;
  }

  public long waiting() {
    return waiting;
  }

  public long left(LeaveReason reason) {
    return left[reason.ordinal()];
  }

  /** Entries after which the goal was met within its limit, inside the journey or after it. */
  public long goalMet() {
    return goalMet;
  }

  /** Entries after which the person unsubscribed, inside the journey or after it. */
  public long unsubscribed() {
    return unsubscribed;
  }

  /** Goals met by whole days of 24 hours since entry. */
  public long[] goalByDay() {
    return goalByDay.clone();
  }

  /** By node number. */
  public List<StepTally> steps() {
    return List.copyOf(steps);
  }

  /** By email number. */
  public List<EmailTally> emails() {
    return List.copyOf(emails);
  }
}
