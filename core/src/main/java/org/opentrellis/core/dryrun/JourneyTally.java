package org.opentrellis.core.dryrun;

import java.util.Arrays;
import java.util.List;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Tries;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.stats.TimeBuckets;

/**
 * What happened in one journey of a dry run, as integers: mergeable, and its size does not grow
 * with the people.
 *
 * <p>These hold in every run: entered = finished + left + waiting, for the journey and for each
 * step (there with passed for finished); a branch's arms add up to those who passed it; clicked <=
 * opened by people <= delivered <= sent; the paths add up to those who entered.
 */
public final class JourneyTally {
  private final Program program;
  private final int horizonDays;
  final ArrivalTally arrivals;
  final StepTally[] steps;
  final EmailTally[] sends;
  final long[] sentByVersion;
  final DayTally days;
  private final MoneyTally money = new MoneyTally();
  private final ChainTally[] chains;
  private final TimeBuckets goalTimes = new TimeBuckets();
  final long[] left = new long[LeaveReason.values().length];
  private final long[] sentPerVisit;
  private Paths paths = Paths.ofChunk();

  long refused;
  long turnedAway;
  long entered;
  long finished;
  long waiting;
  private long goalMet;
  private final long[] secondaryGoalsMet;
  private long unsubscribed;
  private long complained;
  private long heldOut;
  private long heldOutGoalMet;

  JourneyTally(Program program, int horizonDays) {
    this.program = program;
    this.horizonDays = horizonDays;
    int goalDays = program.goal().map(Goal::withinDays).orElse(horizonDays);
    this.secondaryGoalsMet = new long[program.journey().secondaryGoals().size()];
    this.days = new DayTally(horizonDays, goalDays);
    int counted = horizonDays + 2;
    this.arrivals = new ArrivalTally(program, counted);
    this.steps = new StepTally[program.steps().size()];
    for (int i = 0; i < steps.length; i++) {
      steps[i] = new StepTally(arrivals, i, program.steps().get(i).ways().size(), counted);
    }
    this.sentByVersion = new long[program.versions()];
    this.sends = new EmailTally[program.sends().size()];
    for (int i = 0; i < sends.length; i++) {
      List<Message> versions = program.messages(i);
      int links = versions.stream().mapToInt(m -> m.links().size()).max().orElse(0);
      sends[i] = new EmailTally(sentByVersion, program.firstVersion(i), versions.size(), links);
    }
    this.sentPerVisit = new long[sends.length + 1];
    this.chains =
        Tries.of(program.journey()).stream()
            .map(chain -> new ChainTally(chain.stream().mapToInt(program::sendOf).toArray()))
            .toArray(ChainTally[]::new);
  }

  /** Once everybody has been counted. */
  void finish() {
    arrivals.finish();
  }

  /** Counts what a visit came to, once it is over. */
  void close(Visit visit, int person, int number, long end) {
    close(new VisitCourse(visit, end), person, number);
  }

  /** The same of any course. */
  void close(Course course, int person, int number) {
    long end = course.end();
    arrivals.close();
    long goalAt = course.goalAt();
    for (ChainTally chain : chains) {
      chain.close(course);
    }
    sentPerVisit[course.sends()]++;
    if (course.goneAt() <= end) {
      gone(course);
    }
    if (goalAt <= end) {
      goalMet++;
      goalTimes.accept(goalAt - course.entryAt());
      sentAfter(goalAt, course);
    }
    for (int n = 0; n < secondaryGoalsMet.length; n++) {
      secondaryGoalsMet[n] += course.secondaryGoalMet(n) ? 1 : 0;
    }
    days.close(course.entryAt(), goalAt, course.unsubscribesAt(), end);
    money.close(course);
    paths.accept(
        Draws.mix(course.pathKey()),
        person,
        number,
        goalAt <= end,
        course.sends(),
        course.until() - course.entryAt());
  }

  private void gone(Course course) {
    unsubscribed += course.unsubscribesAt() <= course.end() ? 1 : 0;
    complained += course.complainsAt() <= course.end() ? 1 : 0;
    int by = course.unsubscribedBy();
    if (by >= 0) {
      sends[by].unsubscribed++;
    }
  }

  private void sentAfter(long goalAt, Course course) {
    for (int n = course.sends() - 1; n >= 0 && course.sentAt(course.sendInOrder(n)) > goalAt; n--) {
      sends[course.sendInOrder(n)].afterGoal++;
    }
  }

  /** Gives away the paths of a chunk of people, and begins those of the next. */
  Paths takePaths() {
    Paths taken = paths;
    paths = Paths.ofChunk();
    return taken;
  }

  /** Sets the paths of all people. */
  void paths(Paths all) {
    paths = all;
  }

  void heldOut(Visit visit, long end) {
    heldOut++;
    heldOutGoalMet += visit.goalMetAt(end) <= end ? 1 : 0;
  }

  /** Adds everything but the paths, which go by the order of people. */
  void combine(JourneyTally other) {
    refused += other.refused;
    turnedAway += other.turnedAway;
    entered += other.entered;
    finished += other.finished;
    waiting += other.waiting;
    goalMet += other.goalMet;
    StepTally.add(secondaryGoalsMet, other.secondaryGoalsMet);
    unsubscribed += other.unsubscribed;
    complained += other.complained;
    heldOut += other.heldOut;
    heldOutGoalMet += other.heldOutGoalMet;
    StepTally.add(left, other.left);
    days.combine(other.days);
    money.combine(other.money);
    for (int i = 0; i < chains.length; i++) {
      chains[i].combine(other.chains[i]);
    }
    StepTally.add(sentPerVisit, other.sentPerVisit);
    goalTimes.combine(other.goalTimes);
    arrivals.combine(other.arrivals);
    for (int i = 0; i < steps.length; i++) {
      steps[i].combine(other.steps[i]);
    }
    StepTally.add(sentByVersion, other.sentByVersion);
    for (int i = 0; i < sends.length; i++) {
      sends[i].combine(other.sends[i]);
    }
  }

  /** Everything that is counted, the paths too; it must be finished. */
  void counts(Counts counts) {
    refused = counts.of(refused);
    turnedAway = counts.of(turnedAway);
    entered = counts.of(entered);
    finished = counts.of(finished);
    waiting = counts.of(waiting);
    goalMet = counts.of(goalMet);
    counts.of(secondaryGoalsMet);
    unsubscribed = counts.of(unsubscribed);
    complained = counts.of(complained);
    heldOut = counts.of(heldOut);
    heldOutGoalMet = counts.of(heldOutGoalMet);
    counts.of(left);
    days.counts(counts);
    money.counts(counts);
    for (ChainTally chain : chains) {
      chain.counts(counts);
    }
    counts.of(sentPerVisit);
    long[] times = goalTimes.counts();
    counts.of(times);
    goalTimes.become(times);
    arrivals.counts(counts);
    for (StepTally step : steps) {
      step.counts(counts);
    }
    counts.of(sentByVersion);
    for (EmailTally send : sends) {
      send.counts(counts);
    }
    paths.counts(counts);
  }

  public Program program() {
    return program;
  }

  public int horizonDays() {
    return horizonDays;
  }

  /** Times that the entry filter kept somebody out. */
  public long refused() {
    return refused;
  }

  /** Times that somebody came again and the re-entry rule kept them out. */
  public long turnedAway() {
    return turnedAway;
  }

  /** Times that somebody entered; a person may enter more than once. Without those held out. */
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

  /** Left the journey before its end, for any reason. */
  public long left() {
    return Arrays.stream(left).sum();
  }

  /** Entries after which the goal was met within its limit, inside the journey or after it. */
  public long goalMet() {
    return goalMet;
  }

  /** The same of each secondary goal, in the journey's order. */
  public long[] secondaryGoalsMet() {
    return secondaryGoalsMet.clone();
  }

  /** Entries after which the person unsubscribed, inside the journey or after it. */
  public long unsubscribed() {
    return unsubscribed;
  }

  /** Entries after which the person complained, inside the journey or after it. */
  public long complained() {
    return complained;
  }

  /** Entries of people who got nothing, to compare with. */
  public long heldOut() {
    return heldOut;
  }

  /** Of those, how many met the goal all the same. */
  public long heldOutGoalMet() {
    return heldOutGoalMet;
  }

  /** What had happened by each day since entry. */
  public DayTally days() {
    return days;
  }

  /** What people bought after they entered. */
  public MoneyTally money() {
    return money;
  }

  /** Emails that are tried again, each with its further tries. */
  public List<ChainTally> chains() {
    return List.of(chains);
  }

  /** Seconds from entry to the goal. */
  public TimeBuckets goalTimes() {
    return goalTimes;
  }

  /** Entries by how many messages went out to them. */
  public long[] sentPerVisit() {
    return sentPerVisit.clone();
  }

  public Paths paths() {
    return paths;
  }

  /** By node number. */
  public List<StepTally> steps() {
    return List.of(steps);
  }

  /** By send number. */
  public List<EmailTally> sends() {
    return List.of(sends);
  }
}
